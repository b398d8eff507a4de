package grandbore.core.studies;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.Efforts;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Margins;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** Curves written down by a formula, so that what is made of them is known. */
final class ClosedCurves {
  private ClosedCurves() {}

  /**
   * @param torque over rev/min, N m
   */
  static Curve of(List<Double> speeds, DoubleUnaryOperator torque) {
    return new Curve(
        Fidelity.LIVE, speeds.stream().map(s -> point(s, torque.applyAsDouble(s))).toList());
  }

  private static CurvePoint point(double rpm, double torque) {
    double power = torque * rpm * Math.PI / 30;
    return new CurvePoint(
        rpm,
        torque,
        power,
        7e-8,
        new CurvePoint.Charge(1, power / 1e6, 5e-4, 0.02, 1e5, 0.01, 1100),
        new CurvePoint.MeanPressures(1e6, 0, 0, 0),
        new CurvePoint.Flame(
            0.5, new CurvePoint.Burned(-0.1, 0.1, 0.4), 10, 7e6, 0.2, 0.2, -0.03, -0.01),
        new Margins(90, 100, 0.5),
        new Efforts(15, 25, 2e4, 1e4, 2e4, 3e3, 0.4, 0, 0, true),
        List.of(),
        new CurvePoint.Convergence(10, 1000, 1e-4, true, ""));
  }
}
