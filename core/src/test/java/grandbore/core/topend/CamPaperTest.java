package grandbore.core.topend;

import static grandbore.core.Said.check;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.combination.CamCard;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Degreed;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.Measure;
import grandbore.core.valvetrain.PolydyneLobe;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Cam cards and degree wheels. */
class CamPaperTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();

  private static Combination said(Combination c, String group, Object... namesAndDegrees) {
    for (int i = 0; i < namesAndDegrees.length; i += 2) {
      var field = Specs.field(group + "." + namesAndDegrees[i]);
      double value = ((Number) namesAndDegrees[i + 1]).doubleValue();
      boolean angle = field.spec().quantity() == grandbore.core.units.Quantity.ANGLE;
      c =
          field.with(
              c,
              Given.of(
                  value,
                  angle ? Measure.DEGREES : Measure.INCHES,
                  field.spec().quantity(),
                  Provenance.CARD));
    }
    return c;
  }

  private static Build card(Object... namesAndDegrees) {
    var empty = EIGHT.combination().with(Specs.make(CamCard.class, Map.of()));
    return EIGHT.with(said(empty, "camCard", namesAndDegrees));
  }

  private static Build wheel(Object... namesAndDegrees) {
    var empty = EIGHT.combination().with(Specs.make(Degreed.class, Map.of()));
    return EIGHT.with(said(empty, "degreed", namesAndDegrees));
  }

  /**
   * Intake opens 5° before top, closes 41° after bottom: 226°, centreline 108°. Exhaust opens 35°
   * before bottom, closes 7° after top: 222°, 104°; separation 106° (common practice, no source).
   */
  @Test
  void eventsMakeDurationsCentrelinesAndSeparation() {
    var read =
        CardReading.of(
                card("intakeOpens", 5, "intakeCloses", 41, "exhaustOpens", 35, "exhaustCloses", 7))
            .orElseThrow();
    var cam = read.cam();
    assertThat(Math.toDegrees(cam.intakeDuration().si())).isCloseTo(226, within(1e-9));
    assertThat(Math.toDegrees(cam.exhaustDuration().si())).isCloseTo(222, within(1e-9));
    assertThat(Math.toDegrees(cam.intakeCentreline().si())).isCloseTo(108, within(1e-9));
    assertThat(Math.toDegrees(cam.exhaustCentreline())).isCloseTo(104, within(1e-9));
    assertThat(Math.toDegrees(cam.separation().si())).isCloseTo(106, within(1e-9));
    assertThat(cam.intakeLobeLift()).isEqualTo(EIGHT.combination().cam().intakeLobeLift());
  }

  /** A lobe's own durations at three lifts, put on a card, give the lobe back. */
  @Test
  void durationsAtOtherLiftsAreConverted() {
    var lobe = new PolydyneLobe(0.0095, Math.toRadians(236), Math.toRadians(281));
    double at20 = Math.toDegrees(lobe.duration(0.020 * 0.0254));
    double at200 = Math.toDegrees(lobe.duration(0.200 * 0.0254));
    var read =
        CardReading.of(
                card("intakeAt20", at20, "intakeAt200", at200, "intakeLobe", 0.0095 / 0.0254))
            .orElseThrow();
    assertThat(Math.toDegrees(read.cam().intakeDuration().si())).isCloseTo(236, within(0.3));
    assertThat(Math.toDegrees(read.cam().intakeSeat().si())).isCloseTo(281, within(1.0));
    double millimetre = Math.toDegrees(lobe.duration(1e-3));
    var both =
        CardReading.of(
                card(
                    "intakeSeat",
                    281,
                    "intakeMillimetre",
                    millimetre,
                    "intakeLobe",
                    0.0095 / 0.0254))
            .orElseThrow();
    assertThat(Math.toDegrees(both.cam().intakeDuration().si())).isCloseTo(236, within(0.5));
  }

  @Test
  void contradictionsAreNamed() {
    var wrong =
        CardReading.of(
                card(
                    "intakeOpens",
                    5,
                    "intakeCloses",
                    41,
                    "intakeAt50",
                    232,
                    "intakeCentreline",
                    104,
                    "intakeLobe",
                    0.350,
                    "intakeValve",
                    0.600,
                    "separation",
                    112,
                    "exhaustCentreline",
                    104))
            .orElseThrow();
    for (var name :
        List.of(
            "card_intake_events",
            "card_intake_centreline",
            "card_intake_lift",
            "card_separation")) {
      assertThat(check(wrong.checks(), name).verdict()).as(name).isEqualTo(Verdict.BAD);
      assertThat(check(wrong.checks(), name).says()).contains("contradicts itself");
    }
    var right =
        CardReading.of(card("intakeOpens", 5, "intakeCloses", 41, "intakeAt50", 226)).orElseThrow();
    assertThat(check(right.checks(), "card_intake_events").verdict()).isEqualTo(Verdict.GOOD);
    var shape =
        CardReading.of(card("intakeAt50", 226, "intakeSeat", 270, "intakeAt200", 180))
            .orElseThrow();
    assertThat(check(shape.checks(), "card_intake_4").verdict()).isEqualTo(Verdict.BAD);
    assertThat(CardReading.of(card())).isEmpty();
  }

  @Test
  void separationAndAdvanceMakeTheCentreline() {
    var cam = CardReading.of(card("separation", 110, "advance", 4)).orElseThrow().cam();
    assertThat(Math.toDegrees(cam.intakeCentreline().si())).isCloseTo(106, within(1e-9));
    assertThat(Math.toDegrees(cam.exhaustCentreline())).isCloseTo(114, within(1e-9));
  }

  /** The card says 105°; a cam three degrees late is advanced by three at the crank. */
  @Test
  void aLateCamIsFoundByBothWaysOfReadingAndMoved() {
    // 238° about 108°: opens 11° before top, closes 47° after bottom.
    var all =
        Degreeing.of(
            wheel(
                "intakeOpens",
                11,
                "intakeCloses",
                47,
                "intakeRise",
                72,
                "intakeFall",
                144,
                "intakeBack",
                12.5));
    assertThat(check(all, "degree_intake_duration").verdict()).isEqualTo(Verdict.GOOD);
    assertThat(check(all, "degree_intake_methods").verdict()).isEqualTo(Verdict.GOOD);
    assertThat(check(all, "degree_intake_centreline").says()).contains("108.0°", "3.0° late");
    assertThat(check(all, "degree_move").says()).contains("advance by 3.0°", "1.5 steps");
    assertThat(check(all, "degree_slack").says()).contains("1.5°", "two more turns");
    var target = Degreeing.of(wheel("intakeRise", 72, "intakeFall", 144, "wanted", 110));
    assertThat(check(target, "degree_move").says()).contains("retard by 2.0°", "1.0 steps");
  }

  /** A wheel not set at top centre moves events, not durations; a wrong lobe moves durations. */
  @Test
  void wrongReadingsAreToldApart() {
    var lobe = Degreeing.of(wheel("intakeOpens", 20, "intakeCloses", 50));
    assertThat(check(lobe, "degree_intake_duration").verdict()).isEqualTo(Verdict.BAD);
    var methods =
        Degreeing.of(
            wheel("intakeOpens", 14, "intakeCloses", 44, "intakeRise", 72, "intakeFall", 144));
    assertThat(check(methods, "degree_intake_methods").verdict()).isEqualTo(Verdict.BAD);
    var both =
        Degreeing.of(
            wheel("intakeOpens", 14, "intakeCloses", 44, "exhaustOpens", 49, "exhaustCloses", 15));
    assertThat(check(both, "degree_separation").verdict()).isEqualTo(Verdict.BAD);
    assertThat(check(both, "degree_exhaust_centreline").says()).contains("late");
  }
}
