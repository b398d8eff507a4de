package grandbore.core.dyno.calibration;

import grandbore.core.combination.InvalidInput;
import java.util.Collection;
import java.util.EnumMap;
import java.util.Map;
import org.hipparchus.stat.descriptive.StreamingStatistics;

/**
 * What is believed of a coefficient before these pulls.
 *
 * @param mean factor
 * @param deviation one standard deviation
 */
public record Believed(double mean, double deviation) {
  /** So many engines count as much as what every shop believes. */
  private static final double ORDINARY_WEIGHT = 3;

  public Believed {
    if (!(deviation > 0 && mean > 0)) {
      throw new InvalidInput(
          "Prior", mean + " ± " + deviation, "both above 0", "without doubt nothing is learned");
    }
  }

  /** What every shop believes. */
  public static Map<Coefficient, Believed> ordinary() {
    var all = new EnumMap<Coefficient, Believed>(Coefficient.class);
    for (var c : Coefficient.values()) {
      all.put(c, new Believed(1, c.prior()));
    }
    return all;
  }

  /**
   * What a shop believes after calibrations of its own engines: with m of them of mean x̄ and
   * variance s² about it, and ordinary belief of variance v weighing as w engines,
   *
   * <p>mean (w + m x̄) / (w + m), variance (w v + (m − 1) s² + m w (x̄ − 1)² / (w + m)) / (w + m −
   * 1)
   *
   * <p>(the normal-inverse-chi-squared prior; A. Gelman and others, Bayesian Data Analysis, from
   * memory).
   */
  public static Map<Coefficient, Believed> ofShop(Collection<Calibration> own) {
    var all = ordinary();
    for (var c : Coefficient.values()) {
      var stats = new StreamingStatistics();
      own.stream()
          .flatMap(k -> k.learnt().stream())
          .filter(l -> l.coefficient() == c && l.told() != Learnt.Told.NOT)
          .forEach(l -> stats.addValue(l.value()));
      double m = (double) stats.getN();
      if (m > 0) {
        double w = ORDINARY_WEIGHT;
        double mean = (w + m * stats.getMean()) / (w + m);
        double apart = stats.getMean() - 1;
        double s2 = m > 1 ? stats.getVariance() : 0;
        double sum = w * c.prior() * c.prior() + (m - 1) * s2 + m * w * apart * apart / (w + m);
        all.put(c, new Believed(mean, Math.sqrt(sum / (w + m - 1))));
      }
    }
    return all;
  }
}
