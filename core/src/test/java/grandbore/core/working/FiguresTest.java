package grandbore.core.working;

import static grandbore.core.Said.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveTrain;
import grandbore.core.combination.Weights.BalanceShafts;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.RandomEngines;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Figures of the demo's V8 against sums done by hand in the trade's units. */
class FiguresTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();
  private static final Readings NONE = new Readings(List.of());
  private static final double IN = 0.0254;

  private static Map<String, Figure> figures(Build build) {
    return Figures.of(build, NONE).stream().collect(Collectors.toMap(Figure::name, f -> f));
  }

  private static double in(String name, Measure unit) {
    return unit.fromSi(figures(EIGHT).get(name).si());
  }

  /** Each by hand from 4.094 × 3.050 in, rods of 5.850 in, 7,500 rpm. */
  @Test
  void theBottomEndComesOutAsOnPaper() {
    assertThat(in("displacement", Measure.CUBIC_INCHES))
        .isCloseTo(8 * Math.PI / 4 * 4.094 * 4.094 * 3.050, within(1e-6));
    assertThat(figures(EIGHT).get("rod_ratio").si()).isCloseTo(5.850 / 3.050, within(1e-9));
    assertThat(in("mean_piston_speed", Measure.FEET_PER_MINUTE))
        .isCloseTo(2 * 3.050 / 12 * 7500, within(1e-6));
    assertThat(in("deck_clearance", Measure.INCHES)).isCloseTo(0.012, within(1e-9));
    double w = 7500 * Math.PI / 30;
    double throwRadius = 1.525 * IN;
    double lambda = 1.525 / 5.850;
    assertThat(figures(EIGHT).get("peak_acceleration").si())
        .isCloseTo(throwRadius * w * w * (1 + lambda), within(1.0));
    // The fastest is near where the rod stands square to the throw: throw × speed × √(1 + λ²).
    assertThat(figures(EIGHT).get("peak_piston_speed").si())
        .isCloseTo(throwRadius * w * Math.sqrt(1 + lambda * lambda), within(0.15));
    // Near the top the piston falls by throw/2 × (1 + λ) × angle².
    double dwell = 2 * Math.sqrt(0.020 * IN / (0.5 * throwRadius * (1 + lambda)));
    assertThat(figures(EIGHT).get("dwell").si()).isCloseTo(dwell, within(0.01 * dwell));
  }

  @Test
  void massesAndBobweightAddUp() {
    assertThat(in("reciprocating_mass", Measure.GRAMS))
        .isCloseTo(436 + 118 + 36 + 172, within(1e-6));
    assertThat(in("rotating_mass", Measure.GRAMS)).isCloseTo(418 + 44, within(1e-6));
    assertThat(in("bobweight", Measure.GRAMS))
        .isCloseTo(2 * (418 + 44) + 4 + 0.5 * 2 * 762, within(1e-6));
    assertThat(in("mass_at_valve", Measure.GRAMS))
        .isCloseTo(108 + 27 + 135 / 3.0 + 30 + (88 + 58) / (1.55 * 1.55), within(1e-6));
  }

  /** A flat-plane V8 shakes across by 4√2 m r ω² λ, twice a turn (textbooks, from memory). */
  @Test
  void theFlatPlaneEightShakesAcross() {
    double w = 7500 * Math.PI / 30;
    double expected = 4 * Math.sqrt(2) * 0.762 * 1.525 * IN * w * w * 1.525 / 5.850;
    assertThat(figures(EIGHT).get("secondary_force").si()).isCloseTo(expected, within(2.0));
    assertThat(figures(EIGHT).get("primary_force").si()).isCloseTo(0, within(1e-6 * expected));
    var four = Arrangement.INLINE_4.of(EIGHT.combination());
    var shafts = four.with("weights.shafts", BalanceShafts.SECONDARY_PAIR);
    var fitted = figures(EIGHT.with(shafts));
    assertThat(fitted.get("secondary_force").si()).isCloseTo(0, within(1e-6 * expected));
    assertThat(fitted.get("secondary_without_shafts").si())
        .isCloseTo(figures(EIGHT.with(four)).get("secondary_force").si(), within(1e-6));
    assertThat(figures(EIGHT.with(four))).doesNotContainKey("secondary_without_shafts");
  }

  /** Chamber 57, gasket 4.140 × 0.038, deck 0.012, dish 4 cc, land by 0.030 × 0.24 in. */
  @Test
  void theRatioIsThatOfItsVolumes() {
    double cubicInch = 16.387064;
    double swept = Math.PI / 4 * 4.094 * 4.094 * 3.050 * cubicInch;
    double volume =
        57
            + Math.PI / 4 * 4.140 * 4.140 * 0.038 * cubicInch
            + Math.PI / 4 * 4.094 * 4.094 * 0.012 * cubicInch
            + 4
            + Math.PI / 2 * 4.094 * 0.030 * 0.24 * cubicInch;
    assertThat(in("clearance_volume", Measure.CUBIC_CENTIMETRES)).isCloseTo(volume, within(1e-6));
    assertThat(figures(EIGHT).get("static_compression").si())
        .isCloseTo((swept + volume) / volume, within(1e-9));
    assertThat(in("quench", Measure.INCHES)).isCloseTo(0.050, within(1e-9));
    // A gasket whose hole is not round counts by its volume.
    var shaped =
        with(EIGHT.combination(), "compression.gasketVolume", 9.5, Measure.CUBIC_CENTIMETRES);
    double round = Math.PI / 4 * 4.140 * 4.140 * 0.038 * cubicInch;
    assertThat(figures(EIGHT.with(shaped)).get("clearance_volume").si() * 1e6)
        .isCloseTo(volume - round + 9.5, within(1e-6));
  }

  /** 238 and 244° on 109 and 105°: the card's arithmetic (common practice, no source). */
  @Test
  void eventsAreTheCards() {
    var expected =
        Map.of(
            "intake_opens", 14.0,
            "intake_closes", 44.0,
            "exhaust_opens", 55.0,
            "exhaust_closes", 9.0,
            "overlap", 23.0,
            "seat_overlap", 67.0);
    expected.forEach((n, v) -> assertThat(in(n, Measure.DEGREES)).as(n).isCloseTo(v, within(1e-9)));
    assertThat(in("intake_lift", Measure.INCHES)).isCloseTo(0.372 * 1.55 - 0.014, within(1e-9));
    assertThat(in("spring_open", Measure.POUNDS_FORCE))
        .isCloseTo(250 + 600 * (0.372 * 1.55 - 0.014), within(1e-3));
    double perInch = Math.PI / 4 * 4.094 * 4.094 * 3.050 / 2.02;
    assertThat(in("separation_rule", Measure.DEGREES))
        .isCloseTo(128 - 0.91 * perInch, within(1e-6));
  }

  /** 355 in³ with 2.02 in valves: 108; 383 in³: 106.4 (common practice, no source). */
  @ParameterizedTest
  @CsvSource({"355, 108", "383, 106.4"})
  void theSeparationRuleGivesTheTradesNumbers(double displacement, double degrees) {
    double stroke = displacement / 8 / (Math.PI / 4 * 4.094 * 4.094);
    var b = EIGHT.combination().bottomEnd();
    var bottom =
        Specs.changed(
            b,
            Map.of(
                "stroke", b.stroke().with(stroke * IN, Provenance.CARD),
                "blockDeck",
                    b.blockDeck()
                        .with(b.blockDeck().si() + (stroke - 3.05) / 2 * IN, Provenance.CARD)));
    var chamber = EIGHT.combination().compression().chamberVolume();
    var c =
        EIGHT.combination().with("compression.chamberVolume", chamber.with(66e-6, Provenance.CARD));
    var rule = figures(EIGHT.with(c.with(bottom))).get("separation_rule");
    assertThat(Math.toDegrees(rule.si())).isCloseTo(degrees, within(0.05));
  }

  /** 12.5 in: third harmonic 7,000–8,000, second about 9,350–11,400; 11 in: third 8,000–9,150. */
  @Test
  void harmonicBandsAreTheTradesRule() {
    var c = EIGHT.combination();
    var longer = with(c, "intake.runnerLength", 12.5 - 5.1, Measure.INCHES);
    var f = figures(EIGHT.with(longer));
    assertThat(Measure.RPM.fromSi(f.get("third_harmonic_from").si())).isCloseTo(7000, within(50.0));
    assertThat(Measure.RPM.fromSi(f.get("third_harmonic_to").si())).isCloseTo(8000, within(50.0));
    assertThat(Measure.RPM.fromSi(f.get("second_harmonic_from").si()))
        .isCloseTo(9350, within(50.0));
    assertThat(Measure.RPM.fromSi(f.get("second_harmonic_to").si()))
        .isCloseTo(11_400, within(50.0));
    var shorter = with(c, "intake.runnerLength", 11 - 5.1, Measure.INCHES);
    var g = figures(EIGHT.with(shorter));
    assertThat(Measure.RPM.fromSi(g.get("third_harmonic_from").si())).isCloseTo(8000, within(50.0));
    assertThat(Measure.RPM.fromSi(g.get("third_harmonic_to").si())).isCloseTo(9150, within(50.0));
    // The path for a band's middle puts the third harmonic's middle there.
    double path = Measure.INCHES.fromSi(f.get("path_wanted").si());
    assertThat(0.5 * (87_750 + 100_300) / path).isCloseTo(0.5 * (4500 + 7200), within(1e-6));
  }

  /** The worksheet's questions, each put back into the sum that it solves. */
  @Test
  void theWorksheetSolvesForOneUnknown() {
    var f = figures(EIGHT);
    assertThat(Measure.INCHES.fromSi(f.get("stack_rod").si())).isCloseTo(5.862, within(1e-9));
    assertThat(Measure.INCHES.fromSi(f.get("stack_stroke").si())).isCloseTo(3.074, within(1e-9));
    assertThat(Measure.INCHES.fromSi(f.get("stack_pin_height").si()))
        .isCloseTo(1.322, within(1e-9));
    assertThat(Measure.INCHES.fromSi(f.get("stack_block_deck").si()))
        .isCloseTo(8.685, within(1e-9));
    assertThat(Measure.INCHES.fromSi(f.get("other_rod_pin").si())).isCloseTo(1.060, within(1e-9));
    assertThat(f.get("other_rod_ratio").si()).isCloseTo(2.0, within(1e-9));
    assertThat(f.get("other_dwell").si()).isGreaterThan(f.get("dwell").si());
    assertThat(f.get("other_peak_acceleration").si()).isLessThan(f.get("peak_acceleration").si());
    var c = EIGHT.combination();
    double dish = f.get("ratio_by_dish").si();
    var domed =
        c.with(
            "compression.pistonVolume", c.compression().pistonVolume().with(dish, Provenance.CARD));
    assertThat(domed.staticRatio()).isCloseTo(11.5, within(1e-9));
    assertThat(f).doesNotContainKeys("piston_by_fill", "plan_by_fills", "mill_depth");
    var milled = with(c, "worksheet.chamberWanted", 54, Measure.CUBIC_CENTIMETRES);
    double cut = figures(EIGHT.with(milled)).get("mill_depth").si();
    assertThat(cut * 7.1 * IN * IN).isCloseTo(3e-6, within(1e-12));
    assertThat(f.get("octane_to_add").si() / Measure.US_GALLONS.toSi(1))
        .isCloseTo(5.0 * (95 - 91) / (104 - 95), within(1e-6));
  }

  /** Whatever the engine: every figure is a number with its formula, its values and its source. */
  @Test
  void everyFigureOfAnyEngineOpensItsWorking() {
    var engines = new RandomEngines(21);
    for (int i = 0; i < 40; i++) {
      var build = EIGHT.with(engines.next());
      var names = new HashSet<String>();
      for (var f : Figures.of(build, NONE)) {
        assertThat(names.add(f.name())).as(f.name()).isTrue();
        assertThat(f.si()).as(f.name()).isNotNaN();
        assertThat(f.label()).as(f.name()).isNotBlank();
        assertThat(f.formula()).as(f.name()).isNotBlank();
        assertThat(f.putIn()).as(f.name()).isNotBlank().doesNotContain("NaN", "null");
        assertThat(f.source()).as(f.name()).isNotBlank();
        assertThat(f.quantity().show(f.si(), UnitSystem.US)).isNotBlank();
      }
    }
  }

  /** A figure is no better known than the worst of what went into it. */
  @ParameterizedTest
  @EnumSource(Provenance.class)
  void aFigureIsAsWellKnownAsItsWorstInput(Provenance from) {
    var c = EIGHT.combination();
    for (var path : List.of("bottomEnd.bore", "bottomEnd.stroke")) {
      var field = Specs.field(path);
      c = field.with(c, field.get(c).with(field.get(c).si(), Provenance.REPEATED));
    }
    var bore = c.bottomEnd().bore();
    c = c.with("bottomEnd.bore", bore.with(bore.si(), from));
    assertThat(figures(EIGHT.with(c)).get("displacement").provenance()).isEqualTo(from);
  }

  /** A flat tappet is asked for its width, a roller is not. */
  @Test
  void tappetsAreAskedForTheirWidthWhereTheyAreFlat() {
    assertThat(figures(EIGHT)).doesNotContainKey("intake_tappet_wanted");
    var flat = EIGHT.combination().with("valveTrain.follower", ValveTrain.Follower.FLAT_PUSHROD);
    assertThat(figures(EIGHT.with(flat)))
        .containsKeys("intake_tappet_wanted", "exhaust_tappet_wanted");
  }
}
