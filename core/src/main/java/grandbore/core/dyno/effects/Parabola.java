package grandbore.core.dyno.effects;

import org.hipparchus.stat.regression.OLSMultipleLinearRegression;

/**
 * The parabola of least squares through points,
 *
 * <p>y = b₀ + b₁ x + b₂ x².
 *
 * @param b0 in the unit of y
 * @param b1 over that of x
 * @param b2 over its square
 * @param error standard errors of the three; not numbers where there are only three points
 * @param deviation of the points from it, in the unit of y
 */
public record Parabola(
    double b0, double b1, double b2, java.util.List<Double> error, double deviation) {
  private static final int FEWEST = 3;

  public Parabola {
    error = java.util.List.copyOf(error);
  }

  /**
   * @throws IllegalArgumentException for fewer than three different x
   */
  public static Parabola through(double[] x, double[] y) {
    long different = java.util.Arrays.stream(x).distinct().count();
    if (x.length != y.length || different < FEWEST) {
      throw new IllegalArgumentException("A parabola goes through three points or more");
    }
    double middle = java.util.Arrays.stream(x).average().orElseThrow();
    double wide = java.util.Arrays.stream(x).map(v -> Math.abs(v - middle)).max().orElseThrow();
    // About the middle and of size one, or large numbers eat the digits.
    var u = java.util.Arrays.stream(x).map(v -> (v - middle) / wide).toArray();
    if (x.length == FEWEST) {
      return exact(u, y, middle, wide);
    }
    var fit = new OLSMultipleLinearRegression();
    var rows = new double[x.length][];
    for (int k = 0; k < x.length; k++) {
      rows[k] = new double[] {u[k], u[k] * u[k]};
    }
    fit.newSampleData(y, rows);
    var c = fit.estimateRegressionParameters();
    var v = fit.estimateRegressionParametersVariance();
    return back(c, v, fit.estimateErrorVariance(), middle, wide);
  }

  /** Errors go the same way: each factor is a sum of those about the middle. */
  private static Parabola back(double[] c, double[][] v, double variance, double m, double w) {
    double[][] to = {
      {1, -m / w, m * m / (w * w)}, {0, 1 / w, -2 * m / (w * w)}, {0, 0, 1 / (w * w)}
    };
    var b = new double[3];
    var e = new java.util.ArrayList<Double>();
    for (int i = 0; i < 3; i++) {
      double s = 0;
      for (int j = 0; j < 3; j++) {
        b[i] += to[i][j] * c[j];
        for (int k = 0; k < 3; k++) {
          s += to[i][j] * v[j][k] * to[i][k];
        }
      }
      e.add(Math.sqrt(s * variance));
    }
    return new Parabola(b[0], b[1], b[2], e, Math.sqrt(variance));
  }

  private static Parabola exact(double[] u, double[] y, double m, double w) {
    double c2 = ((y[2] - y[0]) / (u[2] - u[0]) - (y[1] - y[0]) / (u[1] - u[0])) / (u[2] - u[1]);
    double c1 = (y[1] - y[0]) / (u[1] - u[0]) - c2 * (u[0] + u[1]);
    double c0 = y[0] - c1 * u[0] - c2 * u[0] * u[0];
    var none = Double.NaN;
    return new Parabola(
        c0 - c1 * m / w + c2 * m * m / (w * w),
        c1 / w - 2 * c2 * m / (w * w),
        c2 / (w * w),
        java.util.List.of(none, none, none),
        none);
  }

  /** Whether it has a top. */
  public boolean isHill() {
    return b2 < 0;
  }

  /** Where its top stands. */
  public double top() {
    return -b1 / (2 * b2);
  }

  public double at(double x) {
    return b0 + b1 * x + b2 * x * x;
  }
}
