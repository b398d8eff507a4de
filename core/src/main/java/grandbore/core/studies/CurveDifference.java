package grandbore.core.studies;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * One curve less another, over the speeds that both reached.
 *
 * @param points in rising speed
 * @param crossings speeds at which one overtakes the other in torque and power, rev/min: where the
 *     difference, running straight between its points, is none
 */
public record CurveDifference(List<Point> points, List<Double> crossings) {
  /**
   * @param rpm rev/min
   * @param torque gained, N m
   * @param power gained, W
   */
  public record Point(double rpm, double torque, double power) {}

  public CurveDifference {
    points = List.copyOf(points);
    crossings = List.copyOf(crossings);
  }

  /** What a curve has more than a base; at every speed at which either was solved. */
  public static CurveDifference of(Curve base, Curve other) {
    var from = new CurveLine(base);
    var to = new CurveLine(other);
    var speeds = new TreeSet<Double>();
    from.points().stream().map(CurvePoint::rpm).forEach(speeds::add);
    to.points().stream().map(CurvePoint::rpm).forEach(speeds::add);
    var points = new ArrayList<Point>();
    for (double rpm : speeds) {
      double torque = to.torque(rpm) - from.torque(rpm);
      if (!Double.isNaN(torque)) {
        points.add(new Point(rpm, torque, torque * rpm * Math.PI / 30));
      }
    }
    return new CurveDifference(points, crossings(points));
  }

  private static List<Double> crossings(List<Point> points) {
    var all = new ArrayList<Double>();
    for (int i = 1; i < points.size(); i++) {
      var a = points.get(i - 1);
      var b = points.get(i);
      if (a.torque * b.torque < 0) {
        all.add(a.rpm + a.torque / (a.torque - b.torque) * (b.rpm - a.rpm));
      } else if (b.torque == 0
          && i + 1 < points.size()
          && a.torque * points.get(i + 1).torque < 0) {
        all.add(b.rpm);
      }
    }
    return all;
  }
}
