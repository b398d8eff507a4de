package grandbore.core.dyno;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.InvalidInput;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.dyno.calibration.CasesStudy;
import grandbore.core.dyno.calibration.PooledCases;
import grandbore.core.dyno.calibration.PooledCases.Ran;
import grandbore.core.dyno.calibration.PooledCases.Row;
import grandbore.core.dyno.calibration.PooledCases.Setting;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.ModelSpread;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Engines of several shops together say how far the model may be off. */
class PooledCasesTest {
  /** Peak torque at the first speed and peak power at the last, off by these shares. */
  private static Setting setting(double torque, double power) {
    return new Setting(
        "as it came",
        List.of(new Row(3000, 400 * (1 + torque), 400), new Row(6000, 300 * (1 + power), 300)));
  }

  private static Ran ran(Setting... settings) {
    return new Ran("engine", List.of(settings));
  }

  /** The mean and the root of the mean square, of numbers that are worked by hand. */
  @Test
  void errorsAreThoseOfTheirPeaks() {
    var pooled =
        new PooledCases(
            List.of(
                ran(setting(0.03, -0.01)), ran(setting(0.01, 0.05)), ran(setting(-0.05, 0.02))));
    assertThat(pooled.torque().mean()).isCloseTo(-0.01 / 3, within(1e-12));
    assertThat(pooled.torque().rootMeanSquare())
        .isCloseTo(Math.sqrt((9e-4 + 1e-4 + 25e-4) / 3), within(1e-12));
    assertThat(pooled.power().mean()).isCloseTo(0.02, within(1e-12));
    assertThat(pooled.byRpm().count()).isEqualTo(6);
    var spread = pooled.spread().orElseThrow();
    double squares = 9e-4 + 1e-4 + 1e-4 + 25e-4 + 25e-4 + 4e-4;
    assertThat(spread.share()).isCloseTo(Math.sqrt(squares / 6), within(1e-12));
    assertThat(spread.engines()).isEqualTo(3);
    assertThat(spread.says()).contains("3 pooled cases");
  }

  /** An engine pulled ten times over counts no more than one pulled once; two tell nothing. */
  @Test
  void anEngineCountsOnce() {
    var often = Stream.generate(() -> setting(0.09, 0.09)).limit(10).toArray(Setting[]::new);
    var pooled = new PooledCases(List.of(ran(often), ran(setting(0, 0)), ran(setting(0, 0))));
    assertThat(pooled.spread().orElseThrow().share())
        .isCloseTo(Math.sqrt(81e-4 / 3), within(1e-12));
    assertThat(new PooledCases(pooled.cases().subList(0, 2)).spread()).isEmpty();
    var none = Stream.generate(() -> ran(setting(0, 0))).limit(3).toList();
    assertThat(new PooledCases(none).spread().orElseThrow().share())
        .as("no brake is that good")
        .isEqualTo(ModelSpread.LEAST);
  }

  /** What is better known draws a narrower band, and the inputs' own doubt stays in it. */
  @Test
  void bandFollowsWhatTheShopKnows() {
    var inputs = new Doubt.Range(98, 100, 102);
    var wide = ModelSpread.OWN.with(inputs, 100);
    var narrow = new ModelSpread(0.01, 12, "a shop").with(inputs, 100);
    assertThat(narrow.high()).isLessThan(wide.high()).isGreaterThan(102);
    assertThat(100 - narrow.low()).isCloseTo(Math.hypot(2, 1.2816), within(1e-9));
    assertThatThrownBy(() -> new ModelSpread(0.6, 3, "a shop"))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("0.1 to 50 %");
  }

  /** A build pulled exactly as predicted is off by nothing, one pulled lower by that much. */
  @Test
  void casesArePredictedInTheirOwnAir() {
    var engine = BuiltEngine.asSpecified(DemoBuilds.paddockFour().combination());
    try (var queue = new RunQueue()) {
      var once = new CasesStudy(List.of(pulled(engine, 200, 190)), Fidelity.LIVE);
      var first = queue.submit(once, Urgency.STUDY).await().cases().getFirst();
      var rows = first.settings().getFirst().rows();
      assertThat(rows).hasSize(2);
      double at = rows.getFirst().predicted();
      double then = rows.getLast().predicted();
      var again =
          new CasesStudy(
              List.of(pulled(engine, at, then), pulled(engine, at / 1.1, then / 1.1)),
              Fidelity.LIVE);
      var both = queue.submit(again, Urgency.STUDY).await();
      assertThat(both.cases().getFirst().settings().getFirst().power().error())
          .isCloseTo(0, within(1e-9));
      assertThat(both.torque().mean()).isCloseTo(0.05, within(1e-9));
    }
  }

  private static PooledCases.Case pulled(BuiltEngine engine, double first, double second) {
    var rows =
        new Recorded(
            List.of(),
            List.of(
                new Column(Channel.RPM, 0, List.of(5000.0, 5500.0)),
                new Column(Channel.TORQUE, 0, List.of(first, second))));
    var pull =
        new Pull(
            1,
            "a day",
            Instant.parse("2026-10-03T09:00:00Z"),
            Pull.How.STEP,
            0,
            0,
            Optional.of(new DayAir(98e3, 300, 0.4)),
            Standard.NONE,
            Double.NaN,
            "",
            Optional.empty(),
            "typed",
            "",
            rows);
    return new PooledCases.Case("four", engine, List.of(pull), 0);
  }
}
