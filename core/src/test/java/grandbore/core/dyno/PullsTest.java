package grandbore.core.dyno;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.effects.Effect;
import grandbore.core.dyno.effects.Jets;
import grandbore.core.dyno.effects.LambdaMap;
import grandbore.core.dyno.effects.Parabola;
import grandbore.core.dyno.effects.Repeats;
import grandbore.core.dyno.effects.SparkHill;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

/** Pulls as curves, repeats, effects and hills, on numbers whose answers are known. */
class PullsTest {
  private static final DayAir AIR = new DayAir(99e3, 298.15, 0);

  private static Pull pull(
      int number, double spark, String changed, DoubleUnaryOperator torque, Column... more) {
    return SweptPull.of(
        number,
        "a day",
        Instant.EPOCH.plusSeconds(600L * number),
        Optional.of(AIR),
        spark,
        changed,
        torque,
        List.of(more));
  }

  private static double hump(double rpm) {
    return 500 - 40 * Math.pow((rpm - 5000) / 1000, 2);
  }

  /** A parabola comes out as it went in, whatever the width; noise is made less. */
  @Test
  void smoothingCutsNoPeak() {
    var pull = pull(1, 30, "", PullsTest::hump);
    for (double width : new double[] {250, 400, 800}) {
      var curve = PullCurve.torque(pull, Standard.NONE, width);
      for (double n = 3000; n <= 7500; n += 50) {
        assertThat(curve.at(n)).isCloseTo(hump(n), within(1e-6));
      }
      assertThat(curve.top().orElseThrow().rpm()).isEqualTo(5000);
    }
    var random = new Random(7);
    var noisy = pull(1, 30, "", n -> hump(n) + 5 * random.nextGaussian());
    double narrow = roughness(PullCurve.torque(noisy, Standard.NONE, 60));
    double wide = roughness(PullCurve.torque(noisy, Standard.NONE, 400));
    assertThat(wide).isLessThan(0.5 * narrow);
  }

  private static double roughness(PullCurve curve) {
    return Math.sqrt(
        curve.points().stream()
            .mapToDouble(p -> Math.pow(p.value() - hump(p.rpm()), 2))
            .average()
            .orElseThrow());
  }

  /** A printed sheet of five rows gives its own numbers back. */
  @Test
  void sheetOfFewRowsIsReadBetweenThem() {
    var rpm = List.of(3000.0, 3500.0, 4000.0, 4500.0, 5000.0);
    var pull =
        new Recorded(
            List.of(),
            List.of(
                new Column(Channel.RPM, 0, rpm),
                new Column(Channel.TORQUE, 0, List.of(300.0, 320.0, 350.0, 340.0, 310.0))));
    var read =
        new Pull(
            1,
            "d",
            Instant.EPOCH,
            Pull.How.STEP,
            0,
            0,
            Optional.empty(),
            Standard.NONE,
            Double.NaN,
            "",
            Optional.empty(),
            "",
            "",
            pull);
    var curve = PullCurve.torque(read, Standard.NONE, PullCurve.USUAL_WIDTH);
    assertThat(curve.at(3000)).isCloseTo(300, within(0.01));
    assertThat(curve.at(3750)).isCloseTo(335, within(0.01));
    assertThat(curve.at(5000)).isCloseTo(310, within(0.01));
    assertThat(curve.at(5100)).isNaN();
  }

  /** J dω/dt = 0.4 kg m² × 300 rpm/s × π/30 = 12.57 N m go into turning faster. */
  @Test
  void sweepGivesBackWhatTurnsFaster() {
    var plain = pull(1, 30, "", PullsTest::hump);
    var with =
        new Pull(
            1,
            "a day",
            Instant.EPOCH,
            Pull.How.SWEEP,
            300,
            0.4,
            Optional.of(AIR),
            Standard.NONE,
            0.5,
            "",
            Optional.empty(),
            "",
            "",
            plain.rows());
    assertThat(PullCurve.torque(with, Standard.NONE, 250).at(5000) - hump(5000))
        .isCloseTo(12.566, within(1e-3));
  }

  @Test
  void rowsThatCannotBeAreRefused() {
    var rpm = new Column(Channel.RPM, 0, List.of(3000.0, 3100.0));
    var torque = new Column(Channel.TORQUE, 0, List.of(300.0, 301.0));
    assertThatThrownBy(() -> new Recorded(List.of(1.0, 0.5), List.of(rpm, torque)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("row 2")
        .hasMessageContaining("time does not go back");
    assertThatThrownBy(() -> new Recorded(List.of(), List.of(rpm))).hasMessageContaining("torque");
    assertThatThrownBy(() -> new Recorded(List.of(), List.of(torque)))
        .hasMessageContaining("speed");
    assertThatThrownBy(
            () ->
                new Recorded(
                    List.of(),
                    List.of(
                        rpm, torque, new Column(Channel.OIL_TEMPERATURE, 0, List.of(90.0, 91.0)))))
        .hasMessageContaining("Oil temperature, row 1");
    assertThatThrownBy(() -> new Column(Channel.TORQUE, 3, List.of()))
        .hasMessageContaining("there is one for the engine");
  }

  /**
   * The quadratic of load cells: NIST Statistical Reference Datasets, linear regression, Pontius
   * (data of P. Pontius, NIST), certified values entered from memory.
   */
  @Test
  void parabolaAgreesWithCertifiedValues() {
    double[] up = {
      .11019, .21956, .32949, .43899, .54803, .65694, .76562, .87487, .98292, 1.09146, 1.20001,
      1.30822, 1.41599, 1.52399, 1.63194, 1.73947, 1.84646, 1.95392, 2.06128, 2.16844
    };
    double[] down = {
      .11052, .22018, .32939, .43886, .54798, .65739, .76596, .87474, .98300, 1.09150, 1.20004,
      1.30818, 1.41613, 1.52408, 1.63159, 1.73965, 1.84696, 1.95445, 2.06177, 2.16829
    };
    var x = new double[40];
    var y = new double[40];
    for (int k = 0; k < 20; k++) {
      x[k] = 150_000.0 * (k + 1);
      x[k + 20] = x[k];
      y[k] = up[k];
      y[k + 20] = down[k];
    }
    var fit = Parabola.through(x, y);
    assertThat(fit.b0()).isCloseTo(0.673565789473684e-03, within(1e-12));
    assertThat(fit.b1()).isCloseTo(0.732059160401003e-06, within(1e-17));
    assertThat(fit.b2()).isCloseTo(-0.316081871345029e-14, within(1e-23));
    assertThat(fit.error().get(0)).isCloseTo(0.107938612033077e-03, within(1e-12));
    assertThat(fit.error().get(1)).isCloseTo(0.157817399981659e-09, within(1e-18));
    assertThat(fit.error().get(2)).isCloseTo(0.486652849992036e-16, within(1e-25));
    assertThat(fit.deviation()).isCloseTo(0.205177424076185e-03, within(1e-13));
  }

  /**
   * Extra hours of sleep under two drugs, ten patients each: t = −1.8608 with 18 degrees of
   * freedom, p = 0.07919, of the two-sample test with one variance (Student, Biometrika 6, 1908;
   * the values are those of every statistics text, from memory).
   */
  @Test
  void effectIsStudentsTest() {
    double[] one = {0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0.0, 2.0};
    double[] other = {1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4};
    // So high above zero that shares of the mean go as the hours do.
    double floor = 1e4;
    var pulls = new ArrayList<Pull>();
    for (double v : one) {
      pulls.add(pull(pulls.size() + 1, 30, pulls.isEmpty() ? "first drug" : "", n -> floor + v));
    }
    for (double v : other) {
      pulls.add(pull(pulls.size() + 1, 32, "other drug", n -> floor + v));
    }
    var repeats = Repeats.of(pulls, Standard.NONE, 3500, 7000);
    assertThat(repeats.freedom()).isEqualTo(18);
    var effect = Effect.of(pulls, Standard.NONE, 3500, 7000).getFirst();
    assertThat(floor * effect.share()).isCloseTo(1.58, within(1e-3));
    assertThat(effect.chance()).isCloseTo(0.07919, within(5e-5));
    assertThat(effect.share() / (repeats.deviation() * Math.sqrt(0.2)))
        .isCloseTo(1.8608, within(1e-3));
    assertThat(effect.told()).isEqualTo(Effect.Told.NOT_TOLD);
  }

  @Test
  void changeIsToldFromChanceOnlyByRepeats() {
    var random = new Random(3);
    var base = new ArrayList<Pull>();
    base.add(pull(1, 30, "", n -> hump(n)));
    base.add(pull(2, 32, "spark", n -> 1.03 * hump(n)));
    assertThat(Effect.of(base, Standard.NONE, 3500, 7000).getFirst().told())
        .isEqualTo(Effect.Told.REPEAT_FIRST);
    var all = new ArrayList<Pull>();
    for (int k = 0; k < 4; k++) {
      double drift = 1 + 0.002 * random.nextGaussian();
      all.add(pull(k + 1, 30, "", n -> drift * hump(n)));
    }
    all.add(pull(5, 32, "spark 32°", n -> 1.03 * hump(n)));
    all.add(pull(6, 34, "spark 34°", n -> 1.031 * hump(n)));
    var effects = Effect.of(all, Standard.NONE, 3500, 7000);
    assertThat(effects).hasSize(2);
    assertThat(effects.getFirst().told()).isEqualTo(Effect.Told.GAIN);
    assertThat(effects.getFirst().share()).isCloseTo(0.03, within(0.004));
    assertThat(effects.getFirst().byRpm().at(5000)).isCloseTo(15, within(2.0));
    assertThat(effects.get(1).told()).isEqualTo(Effect.Told.NOT_TOLD);
    assertThat(effects.get(1).counts()).isBetween(0.003, 0.02);
  }

  /** Torque falls by c (θ − 34°)²: its top, its half per cent and four degrees too much. */
  @Test
  void hillHasItsTopAndThePointerMovesIt() {
    double c = 0.4;
    var pulls = new ArrayList<Pull>();
    for (double spark : new double[] {26, 30, 34, 38}) {
      double off = spark - 34;
      pulls.add(pull(pulls.size() + 1, spark, "spark", n -> 500 - c * off * off));
    }
    var hills = SparkHill.of(pulls, Standard.NONE, 0);
    assertThat(hills).hasSizeGreaterThan(7);
    var hill = hills.get(3);
    assertThat(hill.hasTop()).isTrue();
    assertThat(hill.best()).isCloseTo(34, within(1e-6));
    assertThat(hill.tooMuch()).isCloseTo(16 * c, within(1e-6));
    assertThat(hill.smallest()).isCloseTo(34 - Math.sqrt(0.005 * 500 / c), within(1e-4));
    var proved = SparkHill.of(pulls, Standard.NONE, Math.toRadians(3)).get(3);
    assertThat(proved.best()).isCloseTo(31, within(1e-6));
  }

  /**
   * A probe in each of four cylinders: lambda by speed is their mean, by cylinder each one's share
   * of it; with one probe missing nothing is said of cylinders.
   */
  @Test
  void lambdaIsToldBySpeedAndByCylinder() {
    double[] share = {1.04, 0.97, 1.01, 0.98};
    var probes = new Column[share.length];
    for (int k = 0; k < share.length; k++) {
      double own = share[k];
      probes[k] =
          new Column(
              Channel.CYLINDER_LAMBDA,
              k + 1,
              SweptPull.RPM.stream().map(n -> own * (0.95 - (n - 3000) * 1e-5)).toList());
    }
    var map = LambdaMap.of(pull(1, 30, "", PullsTest::hump, probes));
    assertThat(map.byCylinder(4)).hasSize(4);
    for (int k = 0; k < share.length; k++) {
      assertThat(map.byCylinder(4).get(k)).isCloseTo(share[k], within(1e-6));
    }
    assertThat(map.table().meanLambda()).isBetween(0.90, 0.95);
    assertThat(map.byCylinder(6)).isEmpty();
    var three = pull(1, 30, "", PullsTest::hump, Arrays.copyOf(probes, 3));
    assertThat(LambdaMap.of(three).byCylinder(4)).isEmpty();
  }

  /** Fuel goes with area: four jets two per cent wider pass 4.04 % more; altitude makes it rich. */
  @Test
  void jetsGoWithArea() {
    var small = new Jets(List.of(1.8e-3, 1.8e-3, 1.8e-3, 1.8e-3));
    var large = new Jets(List.of(1.836e-3, 1.836e-3, 1.836e-3, 1.836e-3));
    assertThat(large.more(small)).isCloseTo(0.0404, within(1e-6));
    assertThat(large.lambda(0.92, small, AIR, AIR)).isCloseTo(0.92 / 1.0404, within(1e-6));
    var leaner = small.making(0.90, 0.93);
    assertThat(leaner.lambda(0.90, small, AIR, AIR)).isCloseTo(0.93, within(1e-9));
    assertThat(leaner.words()).isEqualTo("1.77 1.77 1.77 1.77");
    var mountain = new DayAir(79e3, 298.15, 0);
    assertThat(small.lambda(0.92, small, AIR, mountain))
        .isCloseTo(0.92 * Math.sqrt(79.0 / 99), within(1e-6));
  }
}
