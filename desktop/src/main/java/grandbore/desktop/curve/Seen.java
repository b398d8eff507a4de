package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;

/**
 * The curves that are drawn.
 *
 * @param curve null before the first
 * @param ghost beside it, null for none
 * @param beside the name of the build that the ghost is of; empty where it is this one's before
 */
record Seen(Curve curve, Curve ghost, String beside) {
  static final Seen NOTHING = new Seen(null, null, "");

  /**
   * @param laid the curve of a build laid over, which takes the ghost's place; null for none
   * @param name of that build
   */
  static Seen of(CurveState state, Curve laid, String name) {
    return laid == null
        ? new Seen(state.shown(), state.shownGhost(), "")
        : new Seen(state.shown(), laid, name);
  }

  /** Whether an edit has overtaken what is drawn. */
  static boolean isOld(CurveState state) {
    var sketch = state.sketch();
    return sketch == null ? state.isRunning() : sketch.old();
  }
}
