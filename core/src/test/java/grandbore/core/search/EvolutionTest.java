package grandbore.core.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The search on published test functions. */
class EvolutionTest {
  private static double scaled(double u, double from, double to) {
    return from + (to - from) * u;
  }

  /**
   * Rosenbrock's valley, 100 (x₂ − x₁²)² + (1 − x₁)², least at (1, 1). H. H. Rosenbrock, The
   * Computer Journal 3 (1960).
   */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void rosenbrocksValley(long seed) {
    var best =
        new Evolution(2, 1500, seed)
            .search(
                new double[] {0.2, 0.8},
                u -> new Judged(-rosenbrock(scaled(u[0], -2, 2), scaled(u[1], -2, 2)), 0));
    assertThat(scaled(best[0], -2, 2)).isCloseTo(1, within(0.01));
    assertThat(scaled(best[1], -2, 2)).isCloseTo(1, within(0.02));
  }

  private static double rosenbrock(double x, double y) {
    return 100 * (y - x * x) * (y - x * x) + (1 - x) * (1 - x);
  }

  /**
   * (x₁ − 10)³ + (x₂ − 20)³ between two circles, a sliver of 0.007 % of the range: −6961.81388 at
   * (14.095, 0.84296). Problem G6 of Z. Michalewicz, M. Schoenauer, Evolutionary Computation 4
   * (1996), from memory.
   */
  @Test
  void betweenTwoCircles() {
    Function<double[], Judged> judge =
        u -> {
          double x = scaled(u[0], 13, 100);
          double y = scaled(u[1], 0, 100);
          double g1 = 100 - (x - 5) * (x - 5) - (y - 5) * (y - 5);
          double g2 = (x - 6) * (x - 6) + (y - 5) * (y - 5) - 82.81;
          double out = Math.max(0, g1) + Math.max(0, g2);
          return new Judged(-Math.pow(x - 10, 3) - Math.pow(y - 20, 3), out);
        };
    var best = new Evolution(2, 4000, 5).search(new double[] {0.5, 0.5}, judge);
    var judged = judge.apply(best);
    assertThat(judged.isFeasible()).isTrue();
    assertThat(judged.score()).isCloseTo(6961.81388, within(7.0));
  }

  /** Asked with the same answers it goes the same way, so that a stopped search can go on. */
  @Test
  void itGoesTheSameWayAgain() {
    var first = path(9, 200);
    assertThat(path(9, 200)).isEqualTo(first);
    assertThat(first).hasSizeBetween(199, 200);
    assertThat(path(9, 120)).isEqualTo(first.subList(0, 120));
    assertThat(path(8, 200)).isNotEqualTo(first);
    assertThat(first).allSatisfy(p -> assertThat(p).allMatch(v -> v >= 0 && v <= 1));
  }

  private static List<List<Double>> path(long seed, int points) {
    var all = new ArrayList<List<Double>>();
    new Evolution(3, points, seed)
        .search(
            new double[] {0.5, 0.5, 0.5},
            u -> {
              all.add(Arrays.stream(u).boxed().toList());
              return new Judged(-Arrays.stream(u).map(v -> (v - 0.3) * (v - 0.3)).sum(), 0);
            });
    return all;
  }

  /** Bowls anywhere in two to six inputs, long in one direction, are found from anywhere. */
  @ParameterizedTest
  @ValueSource(ints = {2, 3, 4, 6})
  void bowlsAreFoundWhereverTheyLie(int inputs) {
    var random = new java.util.Random(inputs);
    for (int k = 0; k < 5; k++) {
      double[] bottom = random.doubles(inputs, 0.1, 0.9).toArray();
      double[] start = random.doubles(inputs).toArray();
      double[] stiff = random.doubles(inputs, 1, 30).toArray();
      var best =
          new Evolution(inputs, 400 * inputs, k + 1)
              .search(
                  start,
                  u -> {
                    double sum = 0;
                    for (int i = 0; i < inputs; i++) {
                      sum += stiff[i] * (u[i] - bottom[i]) * (u[i] - bottom[i]);
                    }
                    return new Judged(-sum, 0);
                  });
      for (int i = 0; i < inputs; i++) {
        assertThat(best[i]).as("input %d of %d", i, inputs).isCloseTo(bottom[i], within(2e-3));
      }
    }
  }

  /** The order of the costs is the order of what is preferred, whatever the scores. */
  @Test
  void costsStandInTheOrderOfWhatIsPreferred() {
    var random = new java.util.Random(4);
    for (int k = 0; k < 2000; k++) {
      double scale = Math.pow(10, random.nextInt(12) - 3);
      var a = new Judged(scale * random.nextGaussian(), random.nextBoolean() ? 0 : 1);
      var b = new Judged(a.score() + scale * (1e-6 + random.nextDouble()), a.violation());
      assertThat(b.isBetterThan(a)).isEqualTo(a.violation() == 0);
      assertThat(a.isBetterThan(b)).isFalse();
    }
  }

  @Test
  void whatHoldsComesBeforeWhatDoesNot() {
    var good = new Judged(-1e9, 0);
    var better = new Judged(3, 0);
    var near = new Judged(1e9, 0.01);
    var far = new Judged(1e9, 5);
    var none = new Judged(Double.NaN, 0);
    assertThat(better.isBetterThan(good)).isTrue();
    assertThat(good.isBetterThan(near)).isTrue();
    assertThat(near.isBetterThan(far)).isTrue();
    assertThat(good.isBetterThan(none)).isTrue();
    assertThat(none.isFeasible()).isFalse();
  }
}
