package grandbore.core.studies;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import java.util.List;

/** A curve between its settled points: the torque runs straight from each to the next. */
final class CurveLine {
  private final List<CurvePoint> points;

  CurveLine(Curve curve) {
    points = curve.settled();
  }

  /** Torque at a speed, N m; not a number outside the settled points. */
  double torque(double rpm) {
    for (int i = 1; i < points.size(); i++) {
      var a = points.get(i - 1);
      var b = points.get(i);
      if (rpm >= a.rpm() && rpm <= b.rpm()) {
        return a.torque() + (rpm - a.rpm()) / (b.rpm() - a.rpm()) * (b.torque() - a.torque());
      }
    }
    return points.size() == 1 && points.getFirst().rpm() == rpm
        ? points.getFirst().torque()
        : Double.NaN;
  }

  /** Power at a speed, W; not a number outside the settled points. */
  double power(double rpm) {
    return torque(rpm) * rpm * Math.PI / 30;
  }

  List<CurvePoint> points() {
    return points;
  }
}
