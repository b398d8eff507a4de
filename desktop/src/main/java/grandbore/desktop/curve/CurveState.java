package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import java.util.List;

/**
 * What the curve's pane shows.
 *
 * @param curve the newest whole curve, null before the first
 * @param ghost the curve that stood before, null where there is none
 * @param sketch of the curve that is being run, null where there is none
 * @param fidelity of the run that goes on, or went last
 * @param done points of the run that stand
 * @param wanted points of the run, 0 where none goes on
 * @param milliseconds the last whole run took
 * @param problem why there is no newer curve, empty where nothing is wrong
 */
public record CurveState(
    Curve curve,
    Curve ghost,
    Sketch sketch,
    Fidelity fidelity,
    int done,
    int wanted,
    long milliseconds,
    String problem) {
  static final CurveState EMPTY = new CurveState(null, null, null, Fidelity.LIVE, 0, 0, 0, "");

  /** The curve is withheld, and why: what stood before is of another engine. */
  static CurveState withheld(String why) {
    return new CurveState(null, null, null, Fidelity.LIVE, 0, 0, 0, why);
  }

  /**
   * A curve that one cylinder made where more have to be solved: it stands until theirs does.
   *
   * @param before the sketch before the last edit, null where there is none: like beside like
   * @param old whether an edit has overtaken it
   */
  public record Sketch(Curve curve, Curve before, boolean old) {
    Sketch overtaken() {
      return new Sketch(curve, before, true);
    }
  }

  /** The newest there is to see. */
  public Curve shown() {
    return sketch == null ? curve : sketch.curve();
  }

  /** What it is seen beside. */
  public Curve shownGhost() {
    return sketch == null ? ghost : sketch.before();
  }

  /** As many points of the run stand. */
  CurveState done(int points) {
    return new CurveState(curve, ghost, sketch, fidelity, points, wanted, milliseconds, problem);
  }

  /** Nothing runs. */
  CurveState stopped() {
    return new CurveState(curve, ghost, null, fidelity, 0, 0, milliseconds, problem);
  }

  /** The run broke off; what stood before stays, with the reason beside it. */
  CurveState failed(String why) {
    return new CurveState(curve, ghost, null, fidelity, 0, 0, milliseconds, why);
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
