package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Mixture;
import grandbore.core.units.Measure;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

/** Each cylinder's own compression, port and runner. */
class CylindersApartTest extends EngineTest {
  private static final int N = 4;

  private static List<Double> all(double usual, int cylinder, double other) {
    var values = new ArrayList<>(Collections.nCopies(N, usual));
    values.set(cylinder - 1, other);
    return List.copyOf(values);
  }

  private static CylinderPoint cylinder(CurvePoint p, int number) {
    return p.cylinders().stream().filter(c -> c.number() == number).findFirst().orElseThrow();
  }

  private static int least(CurvePoint p, Comparator<CylinderPoint> by) {
    return p.cylinders().stream().min(by).orElseThrow().number();
  }

  /** A port that flows less starves its own cylinder and no other. */
  @Test
  void aPoorPortStarvesItsOwnCylinder() {
    for (int poor = 1; poor <= N; poor++) {
      var c = FOUR.with("heads.intakeShares", all(1.0, poor, 0.85));
      var p = point(c, 7500, Fidelity.FULL);
      assertThat(least(p, Comparator.comparingDouble(CylinderPoint::fresh))).isEqualTo(poor);
      var even = point(FOUR, 7500, Fidelity.FULL);
      for (int n = 1; n <= N; n++) {
        double ratio = cylinder(p, n).fresh() / cylinder(even, n).fresh();
        assertThat(ratio).isBetween(n == poor ? 0.85 : 0.99, n == poor ? 0.99 : 1.01);
      }
    }
  }

  /** A poor exhaust port keeps burned gas in. */
  @Test
  void aPoorExhaustPortKeepsBurnedGas() {
    var c = FOUR.with("heads.exhaustShares", all(1.0, 3, 0.8));
    var p = point(c, 8000, Fidelity.FULL);
    assertThat(least(p, Comparator.comparingDouble(q -> -q.residual()))).isEqualTo(3);
  }

  /** A longer runner is tuned lower: ahead below, behind above. */
  @Test
  void aLongerRunnerIsTunedLower() {
    var c = FOUR.with("intake.runnerChanges", all(0.0, 2, 0.08));
    double low = ahead(c, 5500);
    double high = ahead(c, 8500);
    assertThat(low).isGreaterThan(high);
    assertThat(Math.abs(low - 1) + Math.abs(high - 1)).isGreaterThan(0.02);
  }

  private static double ahead(Combination c, double rpm) {
    var p = point(c, rpm, Fidelity.FULL);
    return cylinder(p, 2).fresh() / cylinder(p, 1).fresh();
  }

  /** The tightest chamber is nearest to knock and has the highest peak. */
  @Test
  void theTightestChamberIsNearestToKnock() {
    double v = FOUR.clearanceVolume();
    var clearances = List.of(v, v, 0.92 * v, 1.04 * v);
    var engine = new BuiltEngine(FOUR, clearances);
    var p = PREDICTOR.predict(engine, List.of(6000.0), Fidelity.FULL).points().getFirst();
    assertThat(p.converged()).isTrue();
    assertThat(least(p, Comparator.comparingDouble(q -> -q.octaneWanted()))).isEqualTo(3);
    assertThat(least(p, Comparator.comparingDouble(q -> -q.peakPressure()))).isEqualTo(3);
    assertThat(least(p, Comparator.comparingDouble(CylinderPoint::peakPressure))).isEqualTo(4);
    // More expansion makes more of the same charge, and a cooler exhaust.
    assertThat(cylinder(p, 3).imep()).isGreaterThan(cylinder(p, 4).imep());
    assertThat(cylinder(p, 3).exhaustTemperature()).isLessThan(cylinder(p, 4).exhaustTemperature());
    // The whole point stands for the worst of them.
    assertThat(p.margins().octaneWanted()).isCloseTo(cylinder(p, 3).octaneWanted(), within(1e-9));
    assertThat(p.peakPressure()).isCloseTo(cylinder(p, 3).peakPressure(), within(1e-6));
  }

  /** What the cylinders make adds up to what the engine makes. */
  @Test
  void theCylindersAddUpToTheEngine() {
    var c =
        Arrangement.VEE_8_CROSS
            .of(EIGHT)
            .with("heads.intakeShares", List.of(1.0, 0.9, 1.05, 1.0, 0.95, 1.0, 1.1, 0.97));
    var p = point(c, 5500, Fidelity.FULL);
    double imep = p.cylinders().stream().mapToDouble(CylinderPoint::imep).average().orElseThrow();
    assertThat(imep).isCloseTo(p.imep() - p.pmep(), Percentage.withPercentage(1e-6));
    double trapped =
        p.cylinders().stream().mapToDouble(CylinderPoint::trapped).average().orElseThrow();
    assertThat(trapped).isCloseTo(p.trappedMass(), Percentage.withPercentage(1e-6));
    double fresh = p.cylinders().stream().mapToDouble(CylinderPoint::fresh).sum();
    double mixture = fresh * 5500 / 120;
    assertThat(p.airFlow() / mixture).isBetween(0.90, 0.94);
  }

  /** Live, one cylinder stands for all: for the mean of ports and runners that differ. */
  @Test
  void liveStandsForTheMeanOfCylindersThatDiffer() {
    var c =
        FOUR.with("heads.intakeShares", List.of(1.0, 0.92, 1.04, 0.96))
            .with("intake.runnerChanges", List.of(0.0, 0.010, -0.010, 0.020));
    for (double rpm : new double[] {5000, 7000}) {
      var live = point(c, rpm, Fidelity.LIVE);
      var full = point(c, rpm, Fidelity.FULL);
      assertThat(live.cylinders()).hasSize(1);
      assertThat(live.torque()).isCloseTo(full.torque(), Percentage.withPercentage(2));
    }
  }

  /**
   * A cylinder that runs leaner than the others makes what it makes where all run as lean; the
   * others make what they made. Its spark is the engine's.
   */
  @Test
  void aLeanCylinderBurnsItsOwnMixture() {
    var base = fixed(0.85);
    var even = point(base, 6000, Fidelity.FULL);
    for (double lambda : new double[] {0.75, 1.0, 1.12}) {
      double others = (N * 0.85 - lambda) / (N - 1);
      var shares = all(others / 0.85, 2, lambda / 0.85);
      var p = point(base.with("mixture.byCylinder", shares), 6000, Fidelity.FULL);
      var alone = point(fixed(lambda), 6000, Fidelity.FULL);
      double own = cylinder(p, 2).imep() / cylinder(even, 2).imep();
      double all = cylinder(alone, 2).imep() / cylinder(even, 2).imep();
      assertThat(own).as("lambda %.2f", lambda).isCloseTo(all, within(0.02));
      for (int n : new int[] {1, 3, 4}) {
        assertThat(cylinder(p, n).fresh())
            .isCloseTo(cylinder(even, n).fresh(), Percentage.withPercentage(0.6));
      }
      // Fuel and air that came in are those of the mean: the pipes' gas is one.
      assertThat(p.airFlow()).isCloseTo(even.airFlow(), Percentage.withPercentage(0.6));
      if (lambda > 1) {
        assertThat(least(p, Comparator.comparingDouble(CylinderPoint::imep))).isEqualTo(2);
      }
    }
  }

  private static Combination fixed(double lambda) {
    var c = FOUR.with("mixture.spark", Mixture.Spark.FIXED);
    c = with(c, "mixture.advance", 32, Measure.DEGREES);
    return with(c, "mixture.lambda", lambda, Measure.NONE);
  }

  /** By cylinder means one for each, near the mean; what no spark lights is not asked for. */
  @Test
  void whatIsWrongByCylinderIsNamed() {
    assertThatThrownBy(() -> FOUR.with("mixture.byCylinder", List.of(1.0, 1.1)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("mixture.byCylinder")
        .hasMessageContaining("one for each of 4");
    assertThatThrownBy(() -> FOUR.with("mixture.byCylinder", all(1.0, 3, 1.6)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("0.70 to 1.40");
    var lean = FOUR.with("mixture.byCylinder", all(0.9, 1, 1.4)).mixture();
    assertThat(lean.lambda(1)).isEqualTo(Math.min(1.25, 1.4 / 1.025 * lean.lambda().si()));
    assertThat(lean.lambda(2)).isCloseTo(0.9 / 1.025 * lean.lambda().si(), within(1e-12));
  }

  /** The same number for every cylinder is the engine as specified. */
  @Test
  void equalSharesAreNoShares() {
    var even = FOUR.with("heads.intakeShares", Collections.nCopies(N, 1.0));
    even = even.with("intake.runnerChanges", Collections.nCopies(N, 0.0));
    even = even.with("mixture.byCylinder", Collections.nCopies(N, 1.02));
    assertThat(point(even, 6000, Fidelity.FULL).torque())
        .isEqualTo(point(FOUR, 6000, Fidelity.FULL).torque());
  }
}
