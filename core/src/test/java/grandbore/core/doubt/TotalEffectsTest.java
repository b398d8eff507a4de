package grandbore.core.doubt;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.random.RandomDataGenerator;
import org.hipparchus.stat.correlation.PearsonsCorrelation;
import org.hipparchus.stat.descriptive.StreamingStatistics;
import org.junit.jupiter.api.Test;

/** The samples and the shares of variance, on functions whose answers are published. */
class TotalEffectsTest {
  private static final int POINTS = 1 << 14;

  /**
   * sin x₁ + 7 sin² x₂ + 0.1 x₃⁴ sin x₁ over −π to π. T. Ishigami, T. Homma (1990); total effects
   * 0.558, 0.442 and 0.244 as in A. Saltelli and others, Global Sensitivity Analysis: The Primer
   * (2008), from memory, and from the closed form.
   */
  @Test
  void ishigami() {
    double a = 7;
    double b = 0.1;
    var found =
        TotalEffects.of(
            x ->
                Math.sin(x[0])
                    + a * Math.pow(Math.sin(x[1]), 2)
                    + b * Math.pow(x[2], 4) * Math.sin(x[0]),
            u -> Math.PI * (2 * u - 1),
            3,
            POINTS);
    double v1 = 0.5 * Math.pow(1 + b * Math.pow(Math.PI, 4) / 5, 2);
    double v2 = a * a / 8;
    double v13 = b * b * Math.pow(Math.PI, 8) * (1.0 / 18 - 1.0 / 50);
    double all = v1 + v2 + v13;
    double[] closed = {(v1 + v13) / all, v2 / all, v13 / all};
    double[] published = {0.558, 0.442, 0.244};
    for (int i = 0; i < 3; i++) {
      assertThat(closed[i]).isCloseTo(published[i], within(1e-3));
      assertThat(found.get(i).share()).isCloseTo(closed[i], within(0.005));
      assertThat(found.get(i).error()).isBetween(1e-4, 0.02);
    }
  }

  /**
   * Π (|4xᵢ − 2| + aᵢ) / (1 + aᵢ) with a = 0, 1, 4.5, 9, 99, 99, 99, 99. I. M. Sobol; closed form
   * as in A. Saltelli and others, Computer Physics Communications 181 (2010), from memory.
   */
  @Test
  void sobolsFunction() {
    double[] a = {0, 1, 4.5, 9, 99, 99, 99, 99};
    var found =
        TotalEffects.of(
            x -> {
              double product = 1;
              for (int i = 0; i < a.length; i++) {
                product *= (Math.abs(4 * x[i] - 2) + a[i]) / (1 + a[i]);
              }
              return product;
            },
            DoubleUnaryOperator.identity(),
            a.length,
            POINTS);
    double[] parts = Arrays.stream(a).map(v -> 1 / (3 * (1 + v) * (1 + v))).toArray();
    double product = Arrays.stream(parts).map(v -> 1 + v).reduce(1, (x, y) -> x * y);
    for (int i = 0; i < a.length; i++) {
      double closed = parts[i] * product / (1 + parts[i]) / (product - 1);
      assertThat(found.get(i).share()).as("input %d", i).isCloseTo(closed, within(0.005));
    }
    assertThat(found.getFirst().share()).isCloseTo(0.787, within(0.005));
  }

  @Test
  void whatDoesNotChangeHasNoEffects() {
    assertThat(TotalEffects.of(x -> 5, DoubleUnaryOperator.identity(), 2, 64))
        .allSatisfy(e -> assertThat(e.share()).isZero());
  }

  /** Each coordinate has one point in each of its parts, whatever the others do. */
  @Test
  void aLatinHypercubeIsEvenInEveryCoordinate() {
    int n = 200;
    var points = LatinHypercube.points(n, 7, 42);
    for (int j = 0; j < 7; j++) {
      int coordinate = j;
      var parts = Arrays.stream(points).mapToInt(p -> (int) (n * p[coordinate])).sorted();
      assertThat(parts.toArray()).containsExactly(java.util.stream.IntStream.range(0, n).toArray());
      var seen = new StreamingStatistics();
      Arrays.stream(points).forEach(p -> seen.addValue(p[coordinate]));
      assertThat(seen.getMean()).isCloseTo(0.5, within(0.001));
      assertThat(seen.getVariance()).isCloseTo(1.0 / 12, within(0.001));
    }
    // Coordinates are drawn apart: three standard errors of no correlation.
    var r = new PearsonsCorrelation(points).getCorrelationMatrix();
    for (int j = 1; j < 7; j++) {
      assertThat(Math.abs(r.getEntry(0, j))).isLessThan(3 / Math.sqrt(n));
    }
    assertThat(LatinHypercube.points(n, 7, 42)).isDeepEqualTo(points);
    assertThat(LatinHypercube.points(n, 7, 43)[0]).isNotEqualTo(points[0]);
  }

  /** A polynomial comes back as it was; noise is told as what it can't explain. */
  @Test
  void aSurrogateFindsAPolynomialAmongIdleInputsAndKnowsItsOwnError() {
    var random = new RandomDataGenerator(7);
    int inputs = 60;
    var z = new double[200][inputs];
    var y = new double[z.length];
    var noisy = new double[z.length];
    for (int k = 0; k < z.length; k++) {
      for (int i = 0; i < inputs; i++) {
        z[k][i] = random.nextNormal(0, 1);
      }
      y[k] = 300 + 4 * z[k][3] - 2 * z[k][17] + z[k][17] * z[k][17] + 0.5 * z[k][3] * z[k][40];
      y[k] += z[k][40];
      noisy[k] = y[k] + random.nextNormal(0, 3);
    }
    var exact = Surrogate.of(z, y);
    assertThat(exact.unexplained()).isLessThan(1e-12);
    var at = new double[inputs];
    at[3] = 1.3;
    at[17] = -0.7;
    at[40] = 2;
    assertThat(exact.at(at))
        .isCloseTo(300 + 4 * 1.3 + 2 * 0.7 + 0.49 + 0.5 * 1.3 * 2 + 2, within(1e-8));
    // Of the variance 16 + 4 + 2 + 0.25 + 1 + 9, the noise has 9.
    assertThat(Surrogate.of(z, noisy).unexplained()).isCloseTo(9 / 32.25, within(0.12));
    assertThatThrownBy(() -> Surrogate.of(new double[5][2], new double[5]))
        .hasMessageContaining("ten samples");
  }
}
