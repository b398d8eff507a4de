package grandbore.core.doubt;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.RandomEngines;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;

/** What is not known for sure of an engine, on engines of every kind. */
class UncertainTest {
  private static final NormalDistribution NORMAL = new NormalDistribution();

  private static List<BuiltEngine> engines() {
    var all = new ArrayList<BuiltEngine>();
    var random = new RandomEngines(20261129);
    for (int k = 0; k < 25; k++) {
      all.add(BuiltEngine.asSpecified(random.next()));
    }
    all.add(BuiltEngine.asSpecified(DemoBuilds.hillClimbEight().combination()));
    return all;
  }

  private static double value(Combination c, String path) {
    return c.at(path) instanceof FlowSheet f
        ? f.rows().getFirst().flow()
        : ((Given) c.at(path)).si();
  }

  /** Each is an input that the prediction reads, of a part that is there, known and in doubt. */
  @Test
  void eachMovesWhatThePredictionReads() {
    for (var engine : engines()) {
      var c = engine.combination();
      var inputs = Uncertain.of(engine);
      assertThat(inputs).hasSizeBetween(30, 140);
      assertThat(inputs).extracting(Uncertain::path).doesNotHaveDuplicates();
      for (var u : inputs) {
        String group = u.path().substring(0, u.path().indexOf('.'));
        assertThat(c.has(group)).as(u.path()).isTrue();
        assertThat(u.spread()).as(u.path()).isPositive();
        assertThat(u.label()).isNotBlank();
        assertThat(u.on(engine, 0).key()).as(u.path()).isEqualTo(engine.key());
      }
    }
  }

  /** One moved up lies above by as many deviations, within its bounds; all else stays. */
  @Test
  void movedItLiesWhereItsDeviationsSay() {
    int moved = 0;
    for (var engine : engines()) {
      var c = engine.combination();
      for (var u : Uncertain.of(engine)) {
        for (double z : new double[] {-2, -0.5, 1, 3, 9}) {
          BuiltEngine to;
          try {
            to = u.on(engine, z);
          } catch (IllegalArgumentException e) {
            // Some engines can't be built so: told by the study.
            continue;
          }
          moved++;
          double was = value(c, u.path());
          double is = value(to.combination(), u.path());
          double wanted =
              c.at(u.path()) instanceof FlowSheet
                  ? was * (1 + Math.min(z, 3) * u.spread())
                  : clamped(u, was + Math.min(z, 3) * u.spread());
          assertThat(is).as("%s by %s", u.path(), z).isCloseTo(wanted, within(1e-12));
          var back = to.combination().with(u.path(), c.at(u.path()));
          assertThat(back).as(u.path()).isEqualTo(c);
        }
      }
    }
    assertThat(moved).isGreaterThan(5000);
  }

  private static double clamped(Uncertain u, double si) {
    var spec = Specs.field(u.path()).spec();
    return Math.max(spec.min(), Math.min(spec.max(), si));
  }

  /** The better an input is known the less it may lie off. */
  @Test
  void whatIsBetterKnownIsLessInDoubt() {
    var c = DemoBuilds.hillClimbEight().combination();
    for (var u : Uncertain.of(BuiltEngine.asSpecified(c))) {
      if (c.at(u.path()) instanceof Given given) {
        double before = Double.POSITIVE_INFINITY;
        for (var from : Provenance.values()) {
          var so = BuiltEngine.asSpecified(c.with(u.path(), given.with(given.si(), from)));
          double now =
              Uncertain.of(so).stream()
                  .filter(o -> o.path().equals(u.path()))
                  .findFirst()
                  .orElseThrow()
                  .spread();
          assertThat(now).as("%s %s", u.path(), from).isLessThan(before);
          before = now;
        }
      }
    }
  }

  /** Of a straight sum of normal inputs each carries its square: Tᵢ = aᵢ² / Σ a². */
  @Test
  void aStraightSumIsSharedOutBySquares() {
    double[] a = {3, 1, 0, -2, 0.1};
    DoubleUnaryOperator normal =
        u -> NORMAL.inverseCumulativeProbability(Math.max(1e-6, Math.min(1 - 1e-6, u)));
    double all = 0;
    for (double f : a) {
      all += f * f;
    }
    double coarse = 0;
    double fine = 0;
    for (int points : new int[] {256, 16384}) {
      var found =
          TotalEffects.of(
              z -> {
                double sum = 1000;
                for (int i = 0; i < a.length; i++) {
                  sum += a[i] * z[i];
                }
                return sum;
              },
              normal,
              a.length,
              points);
      for (int i = 0; i < a.length; i++) {
        assertThat(found.get(i).share())
            .isCloseTo(a[i] * a[i] / all, within(points == 256 ? 0.05 : 0.01));
      }
      assertThat(found.get(2).share()).isZero();
      coarse = points == 256 ? found.getFirst().error() : coarse;
      fine = found.getFirst().error();
    }
    // Sixty-four times as many points: an eighth of the error.
    assertThat(fine).isCloseTo(coarse / 8, within(0.3 * coarse / 8));
  }
}
