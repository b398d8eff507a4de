package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import java.util.List;

/**
 * What the curve's pane shows.
 *
 * @param curve the newest whole curve, null before the first
 * @param ghost the curve before the last edit, null where there is none
 * @param fidelity of the run that goes on, or went last
 * @param done points of the run that stand
 * @param wanted points of the run, 0 where none goes on
 * @param milliseconds the last whole run took
 */
public record CurveState(
    Curve curve, Curve ghost, Fidelity fidelity, int done, int wanted, long milliseconds) {
  static final CurveState EMPTY = new CurveState(null, null, Fidelity.LIVE, 0, 0, 0);

  /** The same with another curve as its ghost. */
  CurveState over(Curve other) {
    return new CurveState(curve, other, fidelity, done, wanted, milliseconds);
  }

  public boolean isRunning() {
    return wanted > 0;
  }

  /** Speeds that did not become periodic, each with its reason. */
  public List<String> failures() {
    return curve == null
        ? List.of()
        : curve.points().stream()
            .filter(p -> !p.converged())
            .map(p -> "%.0f rpm: %s".formatted(p.rpm(), p.note()))
            .toList();
  }
}
