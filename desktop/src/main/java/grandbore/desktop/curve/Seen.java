package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;

/**
 * The curves that are drawn.
 *
 * @param curve null before the first
 * @param ghost beside it, null for none
 * @param old whether an edit has overtaken it
 */
record Seen(Curve curve, Curve ghost, boolean old) {
  static final Seen NOTHING = new Seen(null, null, false);

  /**
   * @param laid the curve of a build laid over, which takes the ghost's place; null for none
   */
  static Seen of(CurveState state, Curve laid) {
    var sketch = state.sketch();
    boolean old = sketch == null ? state.isRunning() : sketch.old();
    return new Seen(state.shown(), laid == null ? state.shownGhost() : laid, old);
  }
}
