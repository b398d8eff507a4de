package grandbore.core.flow;

import grandbore.core.combination.Combination;

/**
 * The least section between a valve and its seat, m², by lift: the frustum of the seat first, then
 * the slit above it, then the throat less the stem (J. B. Heywood, <i>Internal Combustion Engine
 * Fundamentals</i>, 1988, equations 6.7 to 6.9, from memory). Where the seat's width is not known,
 * the curtain; where the throat is not, the valve's head.
 *
 * @param head diameter, m
 * @param width of the seat, m; 0 where not known
 * @param angle of the seat from the plane of the head, rad
 * @param throat diameter, m; 0 where not known
 * @param stem diameter, m
 */
public record ValvePassage(double head, double width, double angle, double throat, double stem) {
  public static ValvePassage intake(Combination c) {
    var s = c.seats();
    return new ValvePassage(
        c.heads().intakeValve().si(),
        s.intakeWidth().si(),
        s.intakeAngle().si(),
        s.intakeThroat().si(),
        c.valveHardware().stem().si());
  }

  public static ValvePassage exhaust(Combination c) {
    var s = c.seats();
    return new ValvePassage(
        c.heads().exhaustValve().si(),
        s.exhaustWidth().si(),
        s.exhaustAngle().si(),
        s.exhaustThroat().si(),
        c.valveHardware().stem().si());
  }

  /** The least section at a lift, m. */
  public double area(double lift) {
    return Math.min(slit(lift), bore());
  }

  /** What the throat lets pass, or the head's own area, m². */
  public double bore() {
    return throat > 0 ? Math.PI / 4 * (throat * throat - stem * stem) : Math.PI / 4 * head * head;
  }

  private double slit(double lift) {
    if (width == 0) {
      return Math.PI * head * lift;
    }
    double low = width / (Math.sin(angle) * Math.cos(angle));
    return lift < low
        ? Math.PI * lift * Math.cos(angle) * (head - 2 * width + 0.5 * lift * Math.sin(2 * angle))
        : Math.PI * (head - width) * Math.hypot(lift - width * Math.tan(angle), width);
  }

  /** Lift from which the throat and no longer the slit is the narrowest, m. */
  public double throatRules() {
    double low = 0;
    double high = head;
    while (high - low > 1e-7) {
      double mid = 0.5 * (low + high);
      if (slit(mid) < bore()) {
        low = mid;
      } else {
        high = mid;
      }
    }
    return high;
  }
}
