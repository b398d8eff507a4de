package grandbore.core.studies;

import grandbore.core.combination.Combination;
import grandbore.core.prediction.BandScore;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.Peak;
import grandbore.core.prediction.WantedBand;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a curve comes to, for weighing it against others.
 *
 * @param power most power, between the solved points
 * @param torque most torque, likewise
 * @param band averages over the band wanted; empty where the curve does not span it
 * @param least torque within the band, and where; empty where the curve does not span it
 * @param powerPerVolume at the most power, W/m³ of displacement
 * @param powerPerAir at the solved point of most power, J a kg of air
 */
public record CurveFigures(
    Peak power,
    Peak torque,
    Optional<BandScore> band,
    Optional<Peak> least,
    double powerPerVolume,
    double powerPerAir) {
  /** Steps in which the band is searched for its least torque. */
  private static final int STEPS = 200;

  /**
   * Speeds between which a curve stays above something, rev/min.
   *
   * @param open whether the curve ended before it fell below, at either end
   */
  public record Range(double from, double to, boolean open) {
    public double width() {
      return to - from;
    }
  }

  /** Of a curve that settled somewhere; empty of one that did not. */
  public static Optional<CurveFigures> of(Curve curve, Combination c, WantedBand band) {
    var best = curve.bestPoint();
    if (best.isEmpty()) {
      return Optional.empty();
    }
    var power = curve.peakPower().orElseThrow();
    double volume = c.bottomEnd().cylinders() * c.bottomEnd().sweptVolume();
    return Optional.of(
        new CurveFigures(
            power,
            curve.peakTorque().orElseThrow(),
            band.score(curve),
            least(curve, band),
            power.power() / volume,
            best.get().power() / best.get().airFlow()));
  }

  private static Optional<Peak> least(Curve curve, WantedBand band) {
    var line = new CurveLine(curve);
    Peak least = null;
    for (int k = 0; k <= STEPS; k++) {
      double rpm = band.from() + (band.to() - band.from()) * k / STEPS;
      double torque = line.torque(rpm);
      if (Double.isNaN(torque)) {
        return Optional.empty();
      }
      least = least == null || torque < least.torque() ? new Peak(rpm, torque) : least;
    }
    return Optional.ofNullable(least);
  }

  /**
   * The speeds round the most power at which there is a share of it or more, power running straight
   * between the solved points.
   *
   * @param share of the most power, 0 to 1
   */
  public Optional<Range> above(Curve curve, double share) {
    var points = new ArrayList<double[]>();
    for (CurvePoint p : curve.settled()) {
      points.add(new double[] {p.rpm(), p.power()});
    }
    double wanted = share * power.power();
    int top = 0;
    for (int i = 1; i < points.size(); i++) {
      top = points.get(i)[1] > points.get(top)[1] ? i : top;
    }
    if (points.isEmpty() || points.get(top)[1] < wanted) {
      return Optional.empty();
    }
    double from = crossing(points, top, -1, wanted);
    double to = crossing(points, top, 1, wanted);
    double first = points.getFirst()[0];
    double last = points.getLast()[0];
    return Optional.of(
        new Range(
            Double.isNaN(from) ? first : from,
            Double.isNaN(to) ? last : to,
            Double.isNaN(from) || Double.isNaN(to)));
  }

  /** Where the line falls to a height on its way from a point; not a number where it does not. */
  private static double crossing(List<double[]> points, int from, int way, double height) {
    for (int i = from; i + way >= 0 && i + way < points.size(); i += way) {
      var a = points.get(i);
      var b = points.get(i + way);
      if (b[1] < height) {
        return a[0] + (a[1] - height) / (a[1] - b[1]) * (b[0] - a[0]);
      }
    }
    return Double.NaN;
  }
}
