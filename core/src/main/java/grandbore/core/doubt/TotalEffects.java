package grandbore.core.doubt;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import org.hipparchus.random.SobolSequenceGenerator;

/**
 * How much of an answer's variance would be left if all inputs but one were known: the one's own
 * part and all that it makes together with others. By picking and freezing: of two independent
 * points A and B, Aᵢ is A with its coordinate i from B, and
 *
 * <p>Tᵢ = Σ (f(A) − f(Aᵢ))² / (2 N V), V the variance of f.
 *
 * <p>M. J. W. Jansen, Computer Physics Communications 117 (1999); A. Saltelli and others, Computer
 * Physics Communications 181 (2010). The points are a Sobol sequence, without its first.
 */
public final class TotalEffects {
  private TotalEffects() {}

  /**
   * @param share of the variance, from 0 to 1
   * @param error one standard error of it, as if the points were drawn at random: a Sobol sequence
   *     does better
   */
  public record Effect(double share, double error) {}

  /**
   * @param f of a point
   * @param scale of each coordinate, from the unit interval to what f is asked of: the inverse of
   *     its distribution
   * @param inputs its coordinates
   * @param points how many A and B; f is asked (inputs + 1) times as often, and once more for V
   * @return one for each input; all zero where f does not change
   */
  public static List<Effect> of(
      ToDoubleFunction<double[]> f, DoubleUnaryOperator scale, int inputs, int points) {
    var sequence = new SobolSequenceGenerator(2 * inputs);
    sequence.skipTo(1);
    var squares = new double[inputs];
    var fourths = new double[inputs];
    double sum = 0;
    double sumSquares = 0;
    double from = Double.NaN;
    for (int k = 0; k < points; k++) {
      var both = Arrays.stream(sequence.nextVector()).map(scale).toArray();
      var a = Arrays.copyOf(both, inputs);
      double at = f.applyAsDouble(a);
      // Told from its first value, so that a large mean costs no digits.
      from = k == 0 ? at : from;
      sum += at - from;
      sumSquares += (at - from) * (at - from);
      for (int i = 0; i < inputs; i++) {
        double kept = a[i];
        a[i] = both[inputs + i];
        double d = at - f.applyAsDouble(a);
        a[i] = kept;
        squares[i] += d * d;
        fourths[i] += d * d * d * d;
      }
    }
    double mean = sum / points;
    double variance = sumSquares / points - mean * mean;
    var all = new ArrayList<Effect>();
    for (int i = 0; i < inputs; i++) {
      if (!(variance > 0)) {
        all.add(new Effect(0, 0));
        continue;
      }
      double square = squares[i] / points;
      double deviation = Math.sqrt(Math.max(0, fourths[i] / points - square * square));
      all.add(new Effect(square / (2 * variance), deviation / Math.sqrt(points) / (2 * variance)));
    }
    return all;
  }
}
