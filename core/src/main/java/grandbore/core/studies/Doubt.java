package grandbore.core.studies;

import grandbore.core.doubt.Surrogate;
import grandbore.core.doubt.TotalEffects;
import grandbore.core.doubt.Uncertain;
import grandbore.core.prediction.Curve;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.stat.descriptive.rank.Percentile;

/**
 * How far a curve may lie off because its inputs do: samples over all their spreads, as far as they
 * were run.
 *
 * @param stands the curve of the engine as it stands, at the speeds of the samples
 * @param inputs over whose spreads was sampled
 * @param wanted samples
 * @param refused samples that no engine could be built of
 * @param seed of all random draws
 */
public record Doubt(
    Curve stands,
    List<Uncertain> inputs,
    List<Sample> samples,
    int wanted,
    int refused,
    long seed) {
  /** Four fifths of a normal spread lie within so many standard deviations of its middle. */
  public static final double FOUR_FIFTHS = 1.2816;

  /** Points at which the surrogate is asked for each input. */
  private static final int PICKED = 1024;

  /** Fewer samples say nothing of a spread. */
  private static final int FEWEST = 10;

  private static final NormalDistribution NORMAL = new NormalDistribution();

  /**
   * @param deviations of each input, standard deviations
   * @param torque at each speed, N m; not a number where it did not settle or was not run
   * @param score average power over the band, W
   */
  public record Sample(List<Double> deviations, List<Double> torque, double score) {
    public Sample {
      deviations = List.copyOf(deviations);
      torque = List.copyOf(torque);
    }
  }

  /**
   * Where most of the samples lie.
   *
   * @param low a tenth of them lie below
   * @param high a tenth lie above
   */
  public record Range(double low, double middle, double high) {
    Range times(double factor) {
      return new Range(factor * low, factor * middle, factor * high);
    }
  }

  /**
   * @param share of the variance of the band's average that would be left were all else known
   * @param error one standard error of it
   */
  public record Share(Uncertain input, double share, double error) {}

  /**
   * @param shares the largest first
   * @param unexplained share of the variance that the surrogate does not tell
   */
  public record Shares(List<Share> shares, double unexplained) {
    public Shares {
      shares = List.copyOf(shares);
    }
  }

  public Doubt {
    inputs = List.copyOf(inputs);
    samples = List.copyOf(samples);
  }

  /** The torque at one of the speeds, N m; not numbers before ten samples are there. */
  public Range torque(int speed) {
    return range(samples.stream().mapToDouble(s -> s.torque.get(speed)).toArray());
  }

  /** The average power over the band, W; not numbers before ten samples are there. */
  public Range score() {
    return range(samples.stream().mapToDouble(Sample::score).toArray());
  }

  /**
   * The torque at any speed as a share of the torque as it stands, between the speeds of the
   * samples running straight, beyond them as at the nearest.
   *
   * @param rpm rev/min
   */
  public Range share(double rpm) {
    var points = stands.points();
    int above = 0;
    while (above < points.size() - 1 && points.get(above).rpm() < rpm) {
      above++;
    }
    int below = points.get(above).rpm() <= rpm || above == 0 ? above : above - 1;
    double from = points.get(below).rpm();
    double to = points.get(above).rpm();
    double f = to > from ? (rpm - from) / (to - from) : 0;
    var a = torque(below).times(1 / points.get(below).torque());
    var b = torque(above).times(1 / points.get(above).torque());
    return new Range(
        a.low + f * (b.low - a.low),
        a.middle + f * (b.middle - a.middle),
        a.high + f * (b.high - a.high));
  }

  private static Range range(double[] all) {
    var known = Arrays.stream(all).filter(Double::isFinite).toArray();
    if (known.length < FEWEST) {
      return new Range(Double.NaN, Double.NaN, Double.NaN);
    }
    var percentile = new Percentile();
    percentile.setData(known);
    return new Range(percentile.evaluate(10), percentile.evaluate(50), percentile.evaluate(90));
  }

  /**
   * What each input carries of the doubt, by picking and freezing on a surrogate through the
   * samples.
   *
   * @throws IllegalStateException before ten samples are there
   */
  public Shares shares() {
    var known = samples.stream().filter(s -> Double.isFinite(s.score)).toList();
    if (known.size() < FEWEST) {
      throw new IllegalStateException("There are not yet ten samples");
    }
    var z =
        known.stream()
            .map(s -> s.deviations.stream().mapToDouble(Double::doubleValue).toArray())
            .toArray(double[][]::new);
    var surrogate = Surrogate.of(z, known.stream().mapToDouble(Sample::score).toArray());
    var effects = TotalEffects.of(surrogate::at, Doubt::deviation, inputs.size(), PICKED);
    var all = new ArrayList<Share>();
    for (int i = 0; i < inputs.size(); i++) {
      all.add(new Share(inputs.get(i), effects.get(i).share(), effects.get(i).error()));
    }
    all.sort(Comparator.comparingDouble(Share::share).reversed());
    return new Shares(all, surrogate.unexplained());
  }

  /** The standard deviations at which so large a share of all lies below. */
  static double deviation(double share) {
    return NORMAL.inverseCumulativeProbability(Math.max(1e-6, Math.min(1 - 1e-6, share)));
  }
}
