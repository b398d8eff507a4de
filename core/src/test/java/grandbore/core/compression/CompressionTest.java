package grandbore.core.compression;

import static grandbore.core.Said.check;
import static grandbore.core.Said.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.RandomEngines;
import grandbore.core.units.Measure;
import grandbore.core.working.Figure;
import grandbore.core.working.Figures;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class CompressionTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();
  private static final Readings NONE = new Readings(List.of());

  private static Figure figure(Build build, String name) {
    return Figures.of(build, NONE).stream()
        .filter(f -> f.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  /** Solve for each lever, put it in, and the ratio is there: over random engines. */
  @Test
  void everyLeverPutInGivesTheRatio() {
    var engines = new RandomEngines(11);
    int tried = 0;
    for (int i = 0; i < 60; i++) {
      var c = engines.next();
      for (var lever : RatioSolver.Lever.values()) {
        double wanted = 8 + 0.1 * (i % 40);
        var field = Specs.field(lever.path());
        double solved = lever.forRatio(c, wanted);
        try {
          var changed = field.with(c, field.get(c).with(solved, Provenance.CARD));
          if (lever == RatioSolver.Lever.GASKET && c.compression().gasketVolume().isKnown()) {
            continue;
          }
          assertThat(changed.staticRatio()).isCloseTo(wanted, within(1e-9 * wanted));
          tried++;
        } catch (InvalidInput outside) {
          // Such a part can't be: nothing to put in.
        }
      }
    }
    assertThat(tried).isGreaterThan(60);
  }

  /** Volumes known beforehand: a dome found by fill, a cut that takes so many cc off a chamber. */
  @Test
  void fillsAndCutsAreWhatTheBuretteSays() {
    var c = EIGHT.combination();
    double area = c.bottomEnd().boreArea();
    double dome = -6.4e-6;
    double depth = Measure.INCHES.toSi(0.5);
    assertThat(RatioSolver.pistonVolume(c, depth, area * depth + dome))
        .isCloseTo(dome, within(1e-15));
    double plan = RatioSolver.planArea(64e-6, 61.7e-6, Measure.INCHES.toSi(0.020));
    assertThat(plan).isCloseTo(2.3e-6 / 0.000508, within(1e-12));
    double cut = RatioSolver.millDepth(64e-6, 58e-6, plan);
    assertThat(64e-6 - cut * plan).isCloseTo(58e-6, within(1e-15));
    var b =
        EIGHT.with(
            with(
                with(
                    with(c, "worksheet.firstFill", 64, Measure.CUBIC_CENTIMETRES),
                    "worksheet.secondFill",
                    61.7,
                    Measure.CUBIC_CENTIMETRES),
                "worksheet.fillStep",
                0.020,
                Measure.INCHES));
    assertThat(figure(b, "plan_by_fills").si()).isCloseTo(plan, within(1e-12));
  }

  @Test
  void banksAreEvenedToTheTighterOneAndBarrelsToTheLargest() {
    var c = EIGHT.combination();
    var volumes = new ArrayList<>(Collections.nCopies(8, 72e-6));
    for (int n = 2; n <= 8; n += 2) {
      volumes.set(n - 1, 72.5e-6);
    }
    volumes.set(4, 71.6e-6);
    var even = Evening.of(new BuiltEngine(c, volumes));
    var wide = even.banks().get(c.bottomEnd().bank(2));
    double tight = (3 * 72e-6 + 71.6e-6) / 4;
    assertThat(wide.mill() * c.compression().planArea().si())
        .isCloseTo(72.5e-6 - tight, within(1e-15));
    assertThat(wide.deck() * c.bottomEnd().boreArea()).isCloseTo(72.5e-6 - tight, within(1e-15));
    assertThat(even.banks().get(c.bottomEnd().bank(1)).deck()).isZero();
    for (int i = 0; i < 8; i++) {
      assertThat(volumes.get(i) + even.shims().get(i) * c.bottomEnd().boreArea())
          .isCloseTo(72.5e-6, within(1e-15));
    }
  }

  /** Common practice, no source: 3.5 oz a gallon in five gallons; shares by volume. */
  @Test
  void fuelIsMixedAsTheTradeMixesIt() {
    assertThat(figure(EIGHT, "concentrate").si() / Measure.US_FLUID_OUNCES.toSi(1))
        .isCloseTo(17.5, within(1e-9));
    double add = OctaneBlend.toAdd(5, 91, 110, 98);
    assertThat((5 * 91 + add * 110) / (5 + add)).isCloseTo(98, within(1e-12));
    assertThat(OctaneBlend.toAdd(5, 91, 95, 98)).isNaN();
    assertThat(OctaneBlend.toAdd(5, 91, 95, 90)).isZero();
  }

  /** 20 hp is 15 kW; a tenth of rod ratio from 1.8 is 5 to 6 % of side force (common practice). */
  @Test
  void claimsAreMetByArithmetic() {
    var b = EIGHT.with(with(EIGHT.combination(), "worksheet.claim", 20, Measure.HORSEPOWER));
    assertThat(figure(b, "claim_heat").quantity().show(figure(b, "claim_heat").si(), b.units()))
        .isEqualTo("14.9 kW");
    var c = EIGHT.combination();
    double stroke = c.bottomEnd().stroke().si();
    var rod = c.bottomEnd().rodLength();
    double pin = c.bottomEnd().pinHeight().si() + rod.si() - 1.8 * stroke;
    var bottom =
        Specs.changed(
            c.bottomEnd(),
            Map.of(
                "rodLength", rod.with(1.8 * stroke, Provenance.CARD),
                "pinHeight", c.bottomEnd().pinHeight().with(pin, Provenance.CARD)));
    var rods = EIGHT.with(with(c.with(bottom), "worksheet.otherRod", 1.9 * stroke, Measure.METRES));
    assertThat(figure(rods, "other_rod_side").si()).isBetween(-0.06, -0.05);
  }

  /** A disc of half the bore's area with a thin gap: by hand from the same equation. */
  @Test
  void squishIsFastestWhenTheGapIsTight() {
    var c = EIGHT.combination();
    double w = 6500 * Math.PI / 30;
    double tight =
        Squish.most(
            with(c, "bottomEnd.blockDeck", c.bottomEnd().blockDeck().si() - 2e-4, Measure.METRES),
            w);
    double open = Squish.most(c, w);
    assertThat(open).isBetween(10.0, 60.0);
    assertThat(tight).isGreaterThan(open);
    assertThat(Squish.most(c, 2 * w)).isCloseTo(2 * open, within(1e-9));
    assertThat(Squish.most(with(c, "compression.planArea", 0, Measure.SQUARE_METRES), w)).isNaN();
  }

  @Test
  void aClaimIsHeldAgainstWhatWasMeasured() {
    var c = EIGHT.combination();
    var sold = DonorCheck.of(EIGHT, NONE);
    // 8 × π/4 × 4.094² × 3.050 = 321 in³; with 4.060 it was 316.
    assertThat(check(sold, "donor_bore").says()).contains("0.0340 in over");
    assertThat(check(sold, "donor_ratio").verdict()).isEqualTo(Verdict.BAD);
    var other = EIGHT.with(with(c, "brief.soldAs", 350, Measure.CUBIC_INCHES));
    var wrong = check(DonorCheck.of(other, NONE), "donor_displacement");
    assertThat(wrong.verdict()).isEqualTo(Verdict.BAD);
    double stroke = 350.0 / 8 / (Math.PI / 4 * 4.094 * 4.094);
    assertThat(wrong.says()).contains("not", "%.3f in".formatted(stroke));
    double before = 8 * Math.PI / 4 * 4.06 * 4.06 * 3.05;
    var bare = EIGHT.with(with(c, "brief.soldAs", before, Measure.CUBIC_INCHES));
    assertThat(check(DonorCheck.of(bare, NONE), "donor_displacement").says())
        .contains("before the overbore");
    var small = EIGHT.with(with(c, "brief.soldBore", 4.125, Measure.INCHES));
    assertThat(check(DonorCheck.of(small, NONE), "donor_bore").verdict()).isEqualTo(Verdict.BAD);
    assertThat(DonorCheck.of(DemoBuilds.paddockFour(), NONE)).isEmpty();
  }

  private static Readings tested(double[] gauge, double[] oiled, double[] leak) {
    var all = new ArrayList<Reading>();
    for (int i = 0; i < gauge.length; i++) {
      add(all, Measurement.COMPRESSION, i + 1, Measure.PSI.toSi(gauge[i]));
      if (oiled[i] > 0) {
        add(all, Measurement.COMPRESSION_OILED, i + 1, Measure.PSI.toSi(oiled[i]));
      }
      if (leak[i] > 0) {
        add(all, Measurement.LEAK_DOWN, i + 1, leak[i]);
      }
    }
    return new Readings(all);
  }

  private static void add(List<Reading> all, Measurement m, int place, double value) {
    all.add(
        new Reading(
            all.size() + 1, m, place, Reading.Side.NONE, value, "", "", Instant.EPOCH, false));
  }

  /** Patterns that the trade reads (common practice, no source). */
  @Test
  void aCompressionTestIsReadByItsPattern() {
    double[] gauge = {180, 178, 120, 181, 179, 140, 180, 142};
    double[] oiled = {0, 0, 165, 0, 0, 0, 0, 0};
    double[] leak = {0.06, 0, 0.28, 0, 0.15, 0, 0, 0};
    var found =
        CrankingVerdict.of(
            EIGHT, tested(gauge, oiled, leak), Collections.nCopies(8, Measure.PSI.toSi(185)));
    assertThat(check(found, "test_cylinder_1").verdict()).isEqualTo(Verdict.GOOD);
    assertThat(check(found, "test_cylinder_3"))
        .satisfies(c -> assertThat(c.verdict()).isEqualTo(Verdict.BAD))
        .satisfies(c -> assertThat(c.says()).contains("rings"));
    assertThat(check(found, "test_cylinder_5").verdict()).isEqualTo(Verdict.CLOSE);
    // 6 and 8 stand next to each other on the same bank.
    assertThat(check(found, "test_cylinder_6").says()).contains("gasket", "8");
    oiled[2] = 122;
    assertThat(
            check(
                    CrankingVerdict.of(EIGHT, tested(gauge, oiled, leak), List.of()),
                    "test_cylinder_3")
                .says())
        .contains("valves");
    double[] low = {120, 121, 119, 120, 122, 120, 121, 120};
    double[] none = new double[8];
    assertThat(
            check(
                    CrankingVerdict.of(
                        EIGHT,
                        tested(low, none, none),
                        Collections.nCopies(8, Measure.PSI.toSi(185))),
                    "test_engine")
                .says())
        .contains("all low", "cam timing");
  }
}
