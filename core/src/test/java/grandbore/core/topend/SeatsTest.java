package grandbore.core.topend;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.Said;
import grandbore.core.build.Build;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.CompressorMap;
import grandbore.core.combination.CompressorMap.Row;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Valve jobs, what sheets were flowed with, compressors, and the rocker test. */
class SeatsTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();

  private static Verdict seats(String path, double inches, String check) {
    var c = Said.with(EIGHT.combination(), path, inches, Measure.INCHES);
    return Said.check(ValveSeats.of(EIGHT.with(c)), check).verdict();
  }

  /** Common practice, no source. */
  @ParameterizedTest
  @CsvSource({
    "seats.intakeWidth, 0.045, intake_seat, GOOD",
    "seats.intakeWidth, 0.020, intake_seat, CLOSE",
    "seats.exhaustWidth, 0.065, exhaust_seat, GOOD",
    "seats.exhaustWidth, 0.120, exhaust_seat, CLOSE",
    "seats.intakeMargin, 0.050, intake_margin, GOOD",
    "seats.exhaustMargin, 0.035, exhaust_margin, CLOSE",
    "seats.exhaustMargin, 0.012, exhaust_margin, BAD",
    "seats.intakeThroat, 1.80, intake_throat, GOOD",
    "seats.intakeThroat, 1.60, intake_throat, CLOSE",
    "seats.intakeThroat, 2.05, intake_throat, BAD"
  })
  void valveJobsAreJudged(String path, double inches, String check, Verdict verdict) {
    assertThat(seats(path, inches, check)).isEqualTo(verdict);
    assertThat(Said.check(ValveSeats.of(EIGHT), check).verdict()).isEqualTo(Verdict.UNKNOWN);
  }

  @ParameterizedTest
  @CsvSource({
    "NOT_STATED, UNKNOWN",
    "PORT_ALONE, CLOSE",
    "RADIUS_OR_PIPE, GOOD",
    "MANIFOLD, CLOSE"
  })
  void aSheetSaysWhatItWasFlowedWith(FlowSheet.Fitting fitting, Verdict verdict) {
    var sheet = EIGHT.combination().heads().exhaustFlow();
    var c =
        EIGHT
            .combination()
            .with(
                "heads.exhaustFlow",
                new FlowSheet(sheet.depression(), sheet.provenance(), fitting, sheet.rows()));
    assertThat(Said.check(FlowVerdict.of(EIGHT.with(c)), "exhaust_fitting").verdict())
        .isEqualTo(verdict);
  }

  /** A seat that is known makes the coefficient that of the section really left open. */
  @Test
  void theDischargeCoefficientKnowsTheSeat() {
    var c = Said.with(EIGHT.combination(), "seats.intakeWidth", 0.045, Measure.INCHES);
    c = Said.with(c, "seats.intakeThroat", 1.78, Measure.INCHES);
    var before = Said.check(FlowVerdict.of(EIGHT), "intake_discharge");
    var after = Said.check(FlowVerdict.of(EIGHT.with(c)), "intake_discharge");
    assertThat(after.working()).contains("frustum");
    assertThat(before.working()).contains("curtain");
    assertThat(after.says()).isNotEqualTo(before.says());
  }

  private static CompressorMap map(double size) {
    return new CompressorMap(
        Provenance.CARD,
        List.of(
            new Row(6000, 0.10 * size, 1.35, 0.66),
            new Row(6000, 0.30 * size, 1.10, 0.60),
            new Row(11000, 0.20 * size, 2.6, 0.70),
            new Row(11000, 0.60 * size, 1.9, 0.62)));
  }

  private static List<grandbore.core.checks.Check> compressor(double size) {
    Combination c =
        EIGHT.combination().with("boost.kind", Boost.Kind.CENTRIFUGAL).with("boost.map", map(size));
    var build = EIGHT.with(c);
    var curve =
        new Predictor().predict(BuiltEngine.asSpecified(c), List.of(4000.0, 6000.0), Fidelity.LIVE);
    return CompressorVerdict.of(build, curve);
  }

  @Test
  void aCompressorTooLargeSurgesAndOneTooSmallChokes() {
    assertThat(Said.check(compressor(1), "surge").verdict()).isEqualTo(Verdict.GOOD);
    assertThat(Said.check(compressor(5), "surge").verdict()).isEqualTo(Verdict.BAD);
    assertThat(Said.check(compressor(0.3), "choke").verdict()).isEqualTo(Verdict.BAD);
    assertThat(CompressorVerdict.of(EIGHT, null)).isEmpty();
  }

  /** A worse compressor heats the charge more for the same pressure: less power. */
  @Test
  void theMapsEfficiencyCountsInTheModel() {
    double good = power(0.75);
    double poor = power(0.45);
    assertThat(poor).isLessThan(0.97 * good);
    assertThat(power(0.60)).isBetween(poor, good);
  }

  private static double power(double efficiency) {
    var rows =
        map(1).rows().stream()
            .map(r -> new Row(r.shaftSpeed(), r.flow(), r.ratio(), efficiency))
            .toList();
    var c =
        EIGHT
            .combination()
            .with("boost.kind", Boost.Kind.CENTRIFUGAL)
            .with("boost.map", new CompressorMap(Provenance.CARD, rows));
    return new Predictor()
        .predict(BuiltEngine.asSpecified(c), List.of(6000.0), Fidelity.LIVE)
        .points()
        .getFirst()
        .power();
  }

  /**
   * 20 to 25 hp where the separation is 2 to 3° too wide, little or nothing where it is right
   * (common practice, no source): the two pulls read backwards.
   */
  @Test
  void twoPullsTellTheSeparation() {
    double hp = Measure.HORSEPOWER.toSi(1);
    double[] degrees = {104, 106, 108, 110, 112};
    double[] gains = {-6 * hp, -2 * hp, 2 * hp, 14 * hp, 30 * hp};
    double power = 480 * hp;
    assertThat(RockerReading.says(degrees, gains, 108, power, 2.2 * hp, UnitSystem.US))
        .contains("is right");
    assertThat(RockerReading.says(degrees, gains, 108, power, 22 * hp, UnitSystem.US))
        .contains("111.0°")
        .contains("3.0° too wide");
    assertThat(RockerReading.says(degrees, gains, 108, power, -4 * hp, UnitSystem.US))
        .contains("too tight");
    assertThat(RockerReading.says(degrees, gains, 108, power, 60 * hp, UnitSystem.US))
        .contains("more than the model has");
  }

  /**
   * A line that falls gives one gain to no separation or to several: then practice is told, in
   * which a larger gain never says less wide than a smaller one.
   */
  @Test
  void aLineThatDoesNotRiseIsNotReadBackwards() {
    double hp = Measure.HORSEPOWER.toSi(1);
    double[] degrees = {104, 106, 108, 110, 112};
    for (double[] gains :
        new double[][] {
          {9 * hp, 7 * hp, 4 * hp, 3 * hp, 2 * hp}, {2 * hp, 5 * hp, 4 * hp, 6 * hp, 9 * hp}
        }) {
      for (double seen : new double[] {-2, 2.5, 3.9, 8, 22, 40}) {
        String says = RockerReading.says(degrees, gains, 108, 480 * hp, seen * hp, UnitSystem.US);
        assertThat(says)
            .doesNotContain("as if the lobes")
            .contains(
                seen >= 20 ? "says too wide" : seen <= 4 ? "right, or too tight" : "says neither");
      }
    }
  }
}
