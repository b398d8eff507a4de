package grandbore.core.mechanics;

import static grandbore.core.Said.check;
import static grandbore.core.Said.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.clearances.Band;
import grandbore.core.clearances.Bands;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Rule;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Losses;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.geometry.SliderCrank;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.RandomEngines;
import grandbore.core.prediction.Trace;
import grandbore.core.units.Measure;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class BottomEndTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();

  private static Build eight(String path, double value, Measure unit) {
    return EIGHT.with(with(EIGHT.combination(), path, value, unit));
  }

  /** Every solved term, put in, gives the clearance back: over random engines. */
  @Test
  void theStackSolvedForAnyTermGivesTheClearanceBack() {
    var engines = new RandomEngines(4);
    int tried = 0;
    for (int i = 0; i < 60; i++) {
      var c = engines.next();
      for (var term : StackUp.Term.values()) {
        var field = Specs.field(term.path());
        double wanted = 0.0003 + 0.0001 * (i % 7);
        double solved = term.forClearance(c.bottomEnd(), wanted);
        try {
          var changed = field.with(c, field.get(c).with(solved, Provenance.CARD));
          assertThat(changed.bottomEnd().deckClearance()).isCloseTo(wanted, within(1e-12));
          tried++;
        } catch (InvalidInput outside) {
          // Such a part can't be: nothing to put in.
        }
      }
    }
    assertThat(tried).isGreaterThan(60);
  }

  @Test
  void partsThatGoTogetherAreFoundAndThoseThatDoNotAreNamedWithTheRemedy() {
    var fits = PartsFit.of(EIGHT);
    assertThat(fits).allSatisfy(f -> assertThat(f.verdict()).isIn(Verdict.GOOD, Verdict.CLOSE));
    // 2.7123 − 2 × 0.0947 − 2.520 = 0.0029 in.
    assertThat(check(fits, "main_bearing_fit").says()).contains("0.0029 in");
    // 1.892 − 2 × 0.938 = 0.016 in.
    assertThat(check(fits, "rod_side_fit").says()).contains("0.0160 in");
    var ground =
        check(
            PartsFit.of(eight("bottomEnd.mainJournal", 2.530, Measure.INCHES)), "main_bearing_fit");
    assertThat(ground.verdict()).isEqualTo(Verdict.BAD);
    assertThat(ground.says()).contains("does not go in", "grind");
    var spacer =
        check(
            PartsFit.of(eight("partSizes.mainHousing", 2.750, Measure.INCHES)), "main_bearing_fit");
    assertThat(spacer.says()).contains("too wide", "spacer");
    assertThat(
            check(PartsFit.of(eight("partSizes.rodWidth", 0.950, Measure.INCHES)), "rod_side_fit")
                .says())
        .contains("do not go between the cheeks");
    assertThat(
            check(PartsFit.of(eight("partSizes.skirtBelowPin", 1.40, Measure.INCHES)), "skirt_fit"))
        .satisfies(s -> assertThat(s.verdict()).isEqualTo(Verdict.BAD))
        .satisfies(s -> assertThat(s.says()).contains("meet by 0.0550 in"));
    assertThat(
            check(PartsFit.of(eight("partSizes.pin", 0.940, Measure.INCHES)), "piston_pin_fit")
                .says())
        .contains("hone");
    assertThat(
            check(PartsFit.of(eight("partSizes.rodBore", 0.9262, Measure.INCHES)), "rod_pin_fit")
                .says())
        .contains("pressed by 0.0010 in");
    assertThat(
            check(PartsFit.of(eight("partSizes.pin", 0, Measure.INCHES)), "rod_pin_fit").verdict())
        .isEqualTo(Verdict.UNKNOWN);
  }

  /** A maker's band counts here as it does in the book: 0.0029 in is wide where he wants less. */
  @Test
  void aMakersBandIsHonoured() {
    var rule =
        new Rule(
            Measurement.MAIN_BEARING,
            Reading.Side.NONE,
            Band.Source.MAKER,
            Measure.INCHES.toSi(0.0015),
            Measure.INCHES.toSi(0.0022),
            "shells");
    var bands = new Bands(EIGHT.combination(), EIGHT.application(), List.of(rule));
    var fit = check(PartsFit.of(EIGHT, bands), "main_bearing_fit");
    assertThat(fit.verdict()).isEqualTo(Verdict.BAD);
    assertThat(fit.says()).contains("too wide");
    assertThat(fit.working()).contains("the part's maker");
  }

  /**
   * A quarter circle of fillet under a shell: the edge that touches is found by stepping along it.
   */
  @Test
  void aShellRidesAFilletWhereTheCircleRisesIntoItsOilClearance() {
    var c = EIGHT.combination();
    double radius = Measure.INCHES.toSi(0.125);
    double oil =
        0.5
            * (c.partSizes().rodHousing().si()
                - 2 * c.partSizes().rodShell().si()
                - c.bottomEnd().rodJournal().si());
    double touches = 0;
    for (double x = radius; x > 0; x -= 1e-7) {
      double rise = radius - Math.sqrt(radius * radius - (radius - x) * (radius - x));
      if (rise >= oil) {
        touches = x;
        break;
      }
    }
    double rod = c.partSizes().rodWidth().si();
    var wide =
        EIGHT.with(
            with(
                with(c, "partSizes.fillet", radius, Measure.METRES),
                "partSizes.shellWidth",
                rod - 2 * (touches - 5e-5),
                Measure.METRES));
    var narrow =
        EIGHT.with(
            with(
                with(c, "partSizes.fillet", radius, Measure.METRES),
                "partSizes.shellWidth",
                rod - 2 * (touches + 3e-4),
                Measure.METRES));
    assertThat(check(PartsFit.of(wide), "fillet_fit").verdict()).isEqualTo(Verdict.BAD);
    assertThat(check(PartsFit.of(narrow), "fillet_fit").verdict()).isEqualTo(Verdict.GOOD);
    // More oil clearance lets a larger fillet pass.
    var looser = with(wide.combination(), "partSizes.rodShell", 0.0600, Measure.INCHES);
    assertThat(check(PartsFit.of(EIGHT.with(looser)), "fillet_fit").verdict())
        .isNotEqualTo(Verdict.BAD);
  }

  /**
   * The limit goes with the root of the inverse of width and of throw; 80,000 ft/s² for 1/16 in.
   */
  @Test
  void ringsFlutterByTheCommonRule() {
    var crank = new SliderCrank(0.0442, 0.145, 0);
    double width = Measure.INCHES.toSi(1 / 16.0);
    double w = Overspeed.flutter(crank, width);
    double lambda = 0.0442 / 0.145;
    assertThat(0.0442 * w * w * (1 + lambda) / 0.3048).isCloseTo(80_000, within(50.0));
    assertThat(Overspeed.flutter(crank, width / 4)).isCloseTo(2 * w, within(1e-9));
    var thick = Overspeed.of(eight("partSizes.ringWidth", 5 / 64.0, Measure.INCHES));
    assertThat(check(thick, "ring_flutter").verdict()).isEqualTo(Verdict.BAD);
    assertThat(check(Overspeed.of(EIGHT), "ring_flutter").verdict()).isEqualTo(Verdict.GOOD);
  }

  @Test
  void valvesThatMeetPistonsWhenTheCamStopsAreFoundByTheirDrop() {
    var c = EIGHT.combination();
    double drop = c.intakeLift() * Math.cos(c.heads().intakeAngle().si());
    double others =
        c.compression().gasketThickness().si()
            + c.bottomEnd().deckClearance()
            + c.compression().intakePocket().si();
    for (double off : new double[] {-2e-4, 2e-4}) {
      var b = EIGHT.with(with(c, "heads.intakeRecess", drop - others + off, Measure.METRES));
      assertThat(check(Overspeed.of(b), "intake_interference").verdict())
          .isEqualTo(off < 0 ? Verdict.BAD : Verdict.GOOD);
    }
  }

  /** Gas, inertia and rod balance at the pin: with the rod upright all of it goes along the rod. */
  @Test
  void forcesOnTheRodAreThoseTheMarginsWereMadeOf() {
    try (var predictor = new Predictor(1)) {
      var engine = BuiltEngine.asSpecified(EIGHT.combination());
      var trace = predictor.trace(engine, 6000, () -> false);
      var p = trace.of(Trace.Kind.CYLINDER_PRESSURE);
      var f = RodForces.of(EIGHT.combination(), trace.angles(), p, 6000 * Math.PI / 30);
      double compression = Arrays.stream(f.rod()).max().orElseThrow();
      double tension = -Arrays.stream(f.rod()).min().orElseThrow();
      var efforts = trace.point().efforts();
      assertThat(compression).isCloseTo(efforts.rodCompression(), within(0.01 * compression));
      assertThat(tension).isCloseTo(efforts.rodTension(), within(0.01 * tension));
      for (int i = 0; i < f.rod().length; i++) {
        double down = f.gas()[i] + f.inertia()[i];
        assertThat(Math.hypot(down, f.side()[i])).isCloseTo(Math.abs(f.rod()[i]), within(1e-6));
      }
      ratings(predictor.predict(engine, List.of(5000.0, 7000.0), Fidelity.LIVE));
    }
  }

  private static void ratings(Curve curve) {
    double most =
        curve.points().stream().mapToDouble(p -> p.efforts().rodTension()).max().orElseThrow();
    for (double share : new double[] {0.5, 0.9, 1.1}) {
      var b =
          EIGHT.with(
              with(EIGHT.combination(), "ratings.rodTension", most / share, Measure.NEWTONS));
      assertThat(check(Strength.of(b, curve), "strength_rod_tension").verdict())
          .isEqualTo(share < 0.8 ? Verdict.GOOD : share < 1 ? Verdict.CLOSE : Verdict.BAD);
    }
    var none = EIGHT.with(with(EIGHT.combination(), "ratings.rodTension", 0, Measure.NEWTONS));
    assertThat(check(Strength.of(none, curve), "strength_rod_tension").verdict())
        .isEqualTo(Verdict.UNKNOWN);
  }

  /**
   * Counterweights shaped for windage: nothing below 4,000 rpm, a few horsepower at 7,500 on a 400
   * hp V8; 20 hp claimed from journals is 15 kW of heat, more than all crank bearings take (common
   * practice, no source).
   */
  @Test
  void windageAndPolishedJournalsAreOfTheSizeSeen() {
    var plain = EIGHT.combination().with("losses.windage", Losses.Windage.WET_SUMP);
    var shaped = plain.with("losses.counterweights", Losses.Counterweights.SHAPED);
    double hp = Measure.HORSEPOWER.toSi(1);
    double low = (WindagePower.at(plain, 4000) - WindagePower.at(shaped, 4000)) / hp;
    double high = (WindagePower.at(plain, 7500) - WindagePower.at(shaped, 7500)) / hp;
    assertThat(low).isBetween(0.0, 0.75);
    assertThat(high).isBetween(1.0, 7.0);
    assertThat(WindagePower.bearings(plain, 7500)).isLessThan(20 * hp);
  }
}
