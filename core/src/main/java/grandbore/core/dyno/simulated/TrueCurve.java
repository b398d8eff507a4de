package grandbore.core.dyno.simulated;

import grandbore.core.prediction.CurvePoint;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.interpolation.AkimaSplineInterpolator;

/**
 * What an engine does at any speed between those that were solved: Akima's curves through them (H.
 * Akima, Journal of the ACM 17, 1970), which do not swing beside a corner.
 */
final class TrueCurve {
  private static final int FEWEST = 5;

  private final List<CurvePoint> points;
  private final UnivariateFunction torque;
  private final UnivariateFunction air;
  private final UnivariateFunction fuel;
  private final UnivariateFunction exhaust;
  private final UnivariateFunction plenum;
  private final UnivariateFunction friction;
  private final UnivariateFunction peak;
  private final UnivariateFunction octane;
  private final UnivariateFunction blowBy;

  /**
   * @param points by rising speed, five or more that settled
   */
  TrueCurve(List<CurvePoint> points) {
    if (points.size() < FEWEST) {
      throw new IllegalArgumentException("A curve of five speeds or more is wanted");
    }
    this.points = List.copyOf(points);
    torque = through(CurvePoint::torque);
    air = through(CurvePoint::airFlow);
    fuel = through(p -> p.fuelPerJoule() * p.power());
    exhaust = through(CurvePoint::exhaustTemperature);
    plenum = through(CurvePoint::plenumPressure);
    friction = through(p -> p.fmep() + p.pmep() + p.drive());
    peak = through(CurvePoint::peakPressure);
    octane = through(p -> p.margins().octane());
    blowBy = through(p -> p.blowBy() * p.airFlow());
  }

  private UnivariateFunction through(ToDoubleFunction<CurvePoint> value) {
    return new AkimaSplineInterpolator()
        .interpolate(
            points.stream().mapToDouble(CurvePoint::rpm).toArray(),
            points.stream().mapToDouble(value).toArray());
  }

  private double at(UnivariateFunction f, double rpm) {
    double low = points.getFirst().rpm();
    double high = points.getLast().rpm();
    return f.value(Math.max(low, Math.min(high, rpm)));
  }

  double torque(double rpm) {
    return at(torque, rpm);
  }

  double airFlow(double rpm) {
    return at(air, rpm);
  }

  double fuelFlow(double rpm) {
    return at(fuel, rpm);
  }

  double exhaustTemperature(double rpm) {
    return at(exhaust, rpm);
  }

  double plenumPressure(double rpm) {
    return at(plenum, rpm);
  }

  /** Mean pressure of all that is not indicated work of compression and expansion, Pa. */
  double lost(double rpm) {
    return at(friction, rpm);
  }

  double peakPressure(double rpm) {
    return at(peak, rpm);
  }

  /** Octane of the fuel over what is wanted. */
  double octane(double rpm) {
    return at(octane, rpm);
  }

  /** Past the rings, kg/s. */
  double blowBy(double rpm) {
    return at(blowBy, rpm);
  }
}
