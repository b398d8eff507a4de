package grandbore.core.doubt;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * A polynomial through samples, which stands in for what is slow to run:
 *
 * <p>y ≈ b₀ + Σ bᵢ zᵢ + Σ cᵢⱼ zᵢ zⱼ.
 *
 * <p>Terms are taken in one by one, always that which goes best with what is not yet explained
 * (orthogonal matching pursuit; S. G. Mallat and Z. Zhang, IEEE Transactions on Signal Processing
 * 41, 1993), squares and products only of inputs that are in; it ends where leaving samples out
 * says that a term explains nothing. Its own error is that of samples left out one at a time,
 *
 * <p>PRESS = Σ (eₖ / (1 − hₖ))², e the residuals, h the diagonal of the hat matrix (D. M. Allen,
 * Technometrics 16, 1974).
 */
public final class Surrogate {
  /** Samples for each term, at least. */
  private static final double SAMPLES_A_TERM = 2.5;

  /** Terms that are tried though the last did not help. */
  private static final int PATIENCE = 4;

  /** Products are only made among so many inputs. */
  private static final int CROSSED = 12;

  /** One term: z of one input, or of two multiplied; −1 for none. */
  private record Term(int one, int other) {
    double of(double[] z) {
      return z[one] * (other < 0 ? 1 : z[other]);
    }
  }

  private final List<Term> terms;
  private final double[] factors;
  private final double leftOut;

  private Surrogate(List<Term> terms, double[] factors, double leftOut) {
    this.terms = List.copyOf(terms);
    this.factors = factors;
    this.leftOut = leftOut;
  }

  /**
   * @param z a row for each sample, each input about 0 and of about 1
   * @param y of each sample, finite
   * @throws IllegalArgumentException for fewer than ten samples
   */
  public static Surrogate of(double[][] z, double[] y) {
    if (z.length < 10 || z.length != y.length) {
      throw new IllegalArgumentException("A surrogate wants ten samples; there are " + z.length);
    }
    var taken = new ArrayList<Term>();
    var best = fit(taken, z, y);
    var last = best;
    int since = 0;
    while (since < PATIENCE && taken.size() + 2 < z.length / SAMPLES_A_TERM) {
      var next = next(taken, z, last.residuals);
      if (next == null) {
        break;
      }
      taken.add(next);
      last = fit(taken, z, y);
      since++;
      // One in a thousand less, or it is chance.
      if (last.press < 0.999 * best.press) {
        best = last;
        since = 0;
      }
    }
    double mean = java.util.Arrays.stream(y).average().orElseThrow();
    double all = java.util.Arrays.stream(y).map(v -> (v - mean) * (v - mean)).sum();
    return new Surrogate(best.terms, best.factors, all > 0 ? best.press / all : 0);
  }

  private static final class Fit {
    final List<Term> terms;
    final double[] factors;
    final double[] residuals;
    final double press;

    Fit(List<Term> terms, double[] factors, double[] residuals, double press) {
      this.terms = List.copyOf(terms);
      this.factors = factors;
      this.residuals = residuals;
      this.press = press;
    }
  }

  private static Fit fit(List<Term> terms, double[][] z, double[] y) {
    int columns = terms.size() + 1;
    RealMatrix x = MatrixUtils.createRealMatrix(z.length, columns);
    for (int k = 0; k < z.length; k++) {
      x.setEntry(k, 0, 1);
      for (int t = 1; t < columns; t++) {
        x.setEntry(k, t, terms.get(t - 1).of(z[k]));
      }
    }
    var qr = new QRDecomposition(x);
    var factors = qr.getSolver().solve(MatrixUtils.createRealVector(y)).toArray();
    var q = qr.getQ();
    var fitted = x.operate(factors);
    var residuals = new double[y.length];
    double press = 0;
    for (int k = 0; k < y.length; k++) {
      residuals[k] = y[k] - fitted[k];
      double hat = 0;
      for (int t = 0; t < columns; t++) {
        hat += q.getEntry(k, t) * q.getEntry(k, t);
      }
      double out = residuals[k] / Math.max(1e-9, 1 - hat);
      press += out * out;
    }
    return new Fit(terms, factors, residuals, press);
  }

  /** The term that goes best with what is left; {@code null} where there is none. */
  private static Term next(List<Term> taken, double[][] z, double[] left) {
    var candidates = new LinkedHashSet<Term>();
    for (int i = 0; i < z[0].length; i++) {
      candidates.add(new Term(i, -1));
    }
    Set<Integer> in = new LinkedHashSet<>();
    taken.stream().filter(t -> t.other < 0).limit(CROSSED).forEach(t -> in.add(t.one));
    for (int i : in) {
      for (int j : in) {
        if (j <= i) {
          candidates.add(new Term(j, i));
        }
      }
    }
    taken.forEach(candidates::remove);
    Term best = null;
    double most = 0;
    for (var c : candidates) {
      double with = Math.abs(correlation(c, z, left));
      if (with > most) {
        most = with;
        best = c;
      }
    }
    return best;
  }

  private static double correlation(Term term, double[][] z, double[] left) {
    double mean = 0;
    for (var row : z) {
      mean += term.of(row) / z.length;
    }
    double product = 0;
    double square = 0;
    for (int k = 0; k < z.length; k++) {
      double v = term.of(z[k]) - mean;
      product += v * left[k];
      square += v * v;
    }
    return square > 1e-20 ? product / Math.sqrt(square) : 0;
  }

  /** What it says of a point. */
  public double at(double[] z) {
    double y = factors[0];
    for (int t = 0; t < terms.size(); t++) {
      y += factors[t + 1] * terms.get(t).of(z);
    }
    return y;
  }

  /**
   * Its own error: the share of the samples' variance that it does not tell of a sample which was
   * left out when it was fitted; 0 is exact, 1 no better than the mean.
   */
  public double unexplained() {
    return leftOut;
  }
}
