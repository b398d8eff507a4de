package grandbore.core.dyno.effects;

import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.Standard;
import java.util.List;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.descriptive.StreamingStatistics;

/**
 * How well pulls repeat: the pooled standard deviation of averages over the band,
 *
 * <p>s² = Σᵢ Σⱼ (xᵢⱼ − x̄ᵢ)² / Σᵢ (mᵢ − 1),
 *
 * <p>over settings i with mᵢ pulls each.
 *
 * @param deviation one standard deviation, as a share; what is usual where nothing was repeated
 * @param freedom degrees of it; 0 where nothing was repeated
 */
public record Repeats(double deviation, int freedom) {
  /** Of a brake in good order with a warm engine (common practice, no source). */
  public static final double USUAL = 0.004;

  /** Two sides together, of all differences that are chance. */
  private static final double CHANCE = 0.05;

  /**
   * @param from of the band, rev/min
   * @param to its end
   */
  public static Repeats of(List<Pull> good, Standard standard, double from, double to) {
    double squares = 0;
    int freedom = 0;
    for (var group : Setting.together(good)) {
      var stats = new StreamingStatistics();
      for (var pull : group.pulls()) {
        double mean = mean(pull, standard, from, to);
        if (Double.isFinite(mean)) {
          stats.addValue(mean);
        }
      }
      if (stats.getN() > 1) {
        double m = stats.getMean();
        int more = (int) stats.getN() - 1;
        squares += more * stats.getVariance() / (m * m);
        freedom += more;
      }
    }
    return freedom == 0
        ? new Repeats(USUAL, 0)
        : new Repeats(Math.sqrt(squares / freedom), freedom);
  }

  /** Average torque of a pull over a band, N m; not a number where it does not span it. */
  static double mean(Pull pull, Standard standard, double from, double to) {
    return PullCurve.torque(pull, standard, PullCurve.USUAL_WIDTH).mean(from, to);
  }

  /** Pooled with that of other pulls, each within its own. */
  Repeats with(Repeats o) {
    int both = freedom + o.freedom;
    return both == 0
        ? this
        : new Repeats(
            Math.sqrt(
                (freedom * deviation * deviation + o.freedom * o.deviation * o.deviation) / both),
            both);
  }

  /** Whether anything was repeated. */
  public boolean isKnown() {
    return freedom > 0;
  }

  /** The least difference of two averages that is no chance, as a share. */
  public double counts(int before, int after) {
    return Math.abs(quantile(1 - CHANCE / 2)) * error(before, after);
  }

  /** One standard error of the difference of two averages of so many pulls, as a share. */
  double error(int before, int after) {
    return deviation * Math.sqrt(1.0 / before + 1.0 / after);
  }

  /** How likely chance alone makes a difference that large or larger, either way. */
  double chance(double difference, int before, int after) {
    if (deviation == 0) {
      return difference == 0 ? 1 : 0;
    }
    double t = Math.abs(difference) / error(before, after);
    return 2 * (1 - distribution().cumulativeProbability(t));
  }

  private double quantile(double p) {
    return distribution().inverseCumulativeProbability(p);
  }

  private TDistribution distribution() {
    // What is usual is taken as if from so many repeats that it is as good as known.
    return new TDistribution(freedom == 0 ? 60 : freedom);
  }
}
