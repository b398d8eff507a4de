package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;
import java.util.List;

/**
 * The curves that are drawn.
 *
 * @param curve null before the first
 * @param ghost beside it, null for none
 * @param beside the name of the build that the ghost is of; empty where it is this one's before
 * @param pinned those that stay
 */
record Seen(Curve curve, Curve ghost, String beside, List<Pinned> pinned) {
  static final Seen NOTHING = new Seen(null, null, "", List.of());

  Seen {
    pinned = List.copyOf(pinned);
  }

  /**
   * @param laid the curve of a build laid over, which takes the ghost's place; null for none
   * @param name of that build
   */
  static Seen of(CurveState state, Curve laid, String name, List<Pinned> pinned) {
    return laid == null
        ? new Seen(state.shown(), state.shownGhost(), "", pinned)
        : new Seen(state.shown(), laid, name, pinned);
  }

  /** Whether an edit has overtaken what is drawn. */
  static boolean isOld(CurveState state) {
    var sketch = state.sketch();
    return sketch == null ? state.isRunning() : sketch.old();
  }
}
