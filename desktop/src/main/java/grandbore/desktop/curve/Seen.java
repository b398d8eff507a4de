package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;

/**
 * The curves that are drawn.
 *
 * @param curve null before the first
 * @param ghost beside it, null for none
 */
record Seen(Curve curve, Curve ghost) {
  static final Seen NOTHING = new Seen(null, null);

  /**
   * @param laid the curve of a build laid over, which takes the ghost's place; null for none
   */
  static Seen of(CurveState state, Curve laid) {
    return new Seen(state.shown(), laid == null ? state.shownGhost() : laid);
  }

  /** Whether an edit has overtaken what is drawn. */
  static boolean isOld(CurveState state) {
    var sketch = state.sketch();
    return sketch == null ? state.isRunning() : sketch.old();
  }
}
