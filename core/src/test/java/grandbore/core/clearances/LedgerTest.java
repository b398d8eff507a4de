package grandbore.core.clearances;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.Said;
import grandbore.core.clearances.Band.Source;
import grandbore.core.clearances.Band.Verdict;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.PartSizes.PistonMaterial;
import grandbore.core.combination.PartSizes.RodMaterial;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.Entry;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.stat.descriptive.StreamingStatistics;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Bands, and what the readings come to. */
class LedgerTest {
  static final double INCH = 0.0254;

  /** An engine of 4 in bore and 2 in journals, so that factors read off. */
  static final Combination ENGINE = engine();

  private static Combination engine() {
    var c = DemoBuilds.hillClimbEight().combination();
    c = Said.with(c, "compression.gasketBore", 4.1, Measure.INCHES);
    c = Said.with(c, "bottomEnd.bore", 4, Measure.INCHES);
    c = Said.with(c, "bottomEnd.mainJournal", 2, Measure.INCHES);
    return Said.with(c, "bottomEnd.rodJournal", 2, Measure.INCHES);
  }

  static Reading reading(Measurement m, int place, Side side, double si) {
    return new Reading(0, m, place, side, si, "", "", Instant.EPOCH, false);
  }

  static Reading inches(Measurement m, int place, double value) {
    return reading(m, place, Side.NONE, value * INCH);
  }

  static Reading warm(Measurement m, double value, double temperature) {
    var taken = new Taken("", "", "", 0, 0, temperature, "", Instant.EPOCH);
    return new Reading(0, m, 1, Side.NONE, value * INCH, taken, false);
  }

  static Ledger ledger(Reading... readings) {
    return new Ledger(ENGINE, Application.ROAD_COURSE, new Readings(List.of(readings)), List.of());
  }

  /** The trade's table of bands; common practice, no source. Inches. */
  @ParameterizedTest
  @CsvSource({
    "MAIN_BEARING, NONE, STREET, 0.0016, 0.0020",
    "MAIN_BEARING, NONE, DRAG, 0.0020, 0.0026",
    "ROD_BEARING, NONE, STREET, 0.0016, 0.0020",
    "CRANK_END_PLAY, NONE, STREET, 0.004, 0.008",
    "CRANK_END_PLAY, NONE, ROAD_COURSE, 0.004, 0.008",
    "ROD_SIDE, NONE, STREET, 0.010, 0.020",
    "ROD_SIDE, NONE, ENDURANCE, 0.014, 0.022",
    "PISTON_WALL, NONE, STREET, 0.0025, 0.0035",
    "PISTON_WALL, NONE, HILL_CLIMB, 0.003, 0.004",
    "TOP_RING_GAP, NONE, STREET, 0.0180, 0",
    "TOP_RING_GAP, NONE, DRAG, 0.0200, 0",
    "TOP_RING_GAP, NONE, BOOST, 0.0252, 0",
    "SECOND_RING_GAP, NONE, STREET, 0.0200, 0",
    "SECOND_RING_GAP, NONE, BOOST, 0.0272, 0",
    "QUENCH, NONE, STREET, 0.035, 0.045",
    "QUENCH, NONE, DRAG, 0.030, 0.045",
    "VALVE_TO_PISTON, INTAKE, STREET, 0.100, -1",
    "VALVE_TO_PISTON, INTAKE, DRAG, 0.080, -1",
    "VALVE_TO_PISTON, EXHAUST, STREET, 0.120, -1",
    "VALVE_TO_PISTON, EXHAUST, DRAG, 0.100, -1",
    "VALVE_POCKET, INTAKE, STREET, 0.050, -1",
    "VALVE_POCKET, EXHAUST, DRAG, 0.040, -1",
    "COIL_BIND, INTAKE, STREET, 0.060, -1",
    "COIL_BIND, EXHAUST, DRAG, 0.050, -1",
    "RETAINER, INTAKE, STREET, 0.050, -1"
  })
  void bandsAreTheTrades(Measurement m, Side side, Application use, double least, double most) {
    var band = new Bands(ENGINE, use, List.of()).of(m, side).orElseThrow();
    assertThat(band.least() / INCH).isCloseTo(least, within(1e-9));
    if (most > 0) {
      assertThat(band.most() / INCH).isCloseTo(most, within(1e-9));
    } else if (most < 0) {
      assertThat(band.most()).isInfinite();
    }
    assertThat(band.source()).isEqualTo(Source.PRACTICE);
    assertThat(band.judge(band.aim())).isIn(Verdict.INSIDE, Verdict.NEAR_EDGE);
    assertThat(band.judge(0.99 * band.least())).isEqualTo(Verdict.TIGHT);
  }

  @Test
  void materialsMoveTheBands() {
    var tough = ENGINE.with("partSizes.pistonMaterial", PistonMaterial.FORGED_HIGH_TOUGHNESS);
    var cast = ENGINE.with("partSizes.pistonMaterial", PistonMaterial.HYPEREUTECTIC);
    assertThat(street(tough, Measurement.PISTON_WALL).least() / INCH)
        .isCloseTo(0.0035, within(1e-9));
    assertThat(street(cast, Measurement.PISTON_WALL).least() / INCH)
        .isCloseTo(0.0015, within(1e-9));
    var larger = Said.with(cast, "bottomEnd.bore", 4.1, Measure.INCHES);
    assertThat(street(larger, Measurement.PISTON_WALL).least())
        .isCloseTo(street(cast, Measurement.PISTON_WALL).least() * 4.1 / 4, within(1e-12));
    var aluminium = ENGINE.with("partSizes.rodMaterial", RodMaterial.ALUMINIUM);
    assertThat(street(aluminium, Measurement.QUENCH).least())
        .isGreaterThan(street(ENGINE, Measurement.QUENCH).least());
  }

  private static Band street(Combination c, Measurement m) {
    return new Bands(c, Application.STREET, List.of()).of(m, Side.NONE).orElseThrow();
  }

  /** Maker before practice, practice before the house; both schools of the second ring stand. */
  @Test
  void theMakersFigureGoesBeforePracticeAndTheHousesAfter() {
    var maker = rule(Measurement.SECOND_RING_GAP, Source.MAKER, 0.016, 0.019);
    var later = rule(Measurement.SECOND_RING_GAP, Source.MAKER, 0.017, 0);
    var house = rule(Measurement.LASH, Source.HOUSE, 0.010, 0.012);
    var guide = rule(Measurement.ROD_FILLET, Source.HOUSE, 0.020, 0.040);
    var bands = new Bands(ENGINE, Application.STREET, List.of(maker, later, house, guide));
    var second = bands.all(Measurement.SECOND_RING_GAP, Side.NONE);
    assertThat(second).hasSize(3);
    assertThat(second.getFirst().source()).isEqualTo(Source.MAKER);
    assertThat(second.getFirst().least() / INCH).isCloseTo(0.017, within(1e-9));
    assertThat(second.getFirst().most()).isInfinite();
    double top = bands.of(Measurement.TOP_RING_GAP, Side.NONE).orElseThrow().least();
    assertThat(second.get(1).least()).isGreaterThan(top);
    assertThat(second.get(2).least()).isLessThan(top);
    assertThat(bands.of(Measurement.ROD_FILLET, Side.NONE).orElseThrow().source())
        .isEqualTo(Source.PRACTICE);
    assertThat(bands.of(Measurement.PUSHROD, Side.INTAKE)).isEmpty();
    assertThatThrownBy(() -> rule(Measurement.QUENCH, Source.PRACTICE, 0.03, 0.04))
        .isInstanceOf(InvalidInput.class);
    assertThatThrownBy(() -> rule(Measurement.QUENCH, Source.MAKER, 0.05, 0.04))
        .hasMessageContaining("Quench");
  }

  private static Rule rule(Measurement m, Source source, double least, double most) {
    return new Rule(m, Side.NONE, source, least * INCH, most * INCH, "sheet 4");
  }

  @Test
  void clearancesFollowFromPartsMeasuredApart() {
    var l =
        ledger(
            inches(Measurement.MAIN_BORE, 1, 2.0024),
            inches(Measurement.MAIN_JOURNAL, 1, 2.0001),
            inches(Measurement.MAIN_JOURNAL, 1, 1.9999),
            inches(Measurement.MAIN_BORE, 2, 2.0040),
            inches(Measurement.MAIN_BEARING, 2, 0.0022),
            inches(Measurement.MAIN_JOURNAL, 2, 2.0000));
    var first = l.value(Measurement.MAIN_BEARING, 1, Side.NONE, UnitSystem.US).orElseThrow();
    assertThat(first.si() / INCH).isCloseTo(0.0024, within(1e-9));
    assertThat(first.derived()).isTrue();
    assertThat(first.working()).contains("2.0024").contains("2.0000");
    // What was read there goes before what follows.
    var second = l.value(Measurement.MAIN_BEARING, 2, Side.NONE, UnitSystem.US).orElseThrow();
    assertThat(second.derived()).isFalse();
    assertThat(l.verdict(Measurement.MAIN_BEARING, 2, Side.NONE)).contains(Verdict.INSIDE);
    assertThat(l.filled(Measurement.MAIN_BEARING)).isEqualTo(2);
    assertThat(l.wanted(Measurement.MAIN_BEARING)).isEqualTo(5);
    assertThat(l.wanted(Measurement.LASH)).isEqualTo(16);
    assertThat(l.wanted(Measurement.ROD_SIDE)).isEqualTo(4);
  }

  /** A bore and a piston measured 20 K apart: 4 in × (20 − 11.5) millionths × 20 K = 0.0007 in. */
  @Test
  void temperaturesAreBroughtTogether() {
    var cold = ledger(warm(Measurement.BORE, 4.0030, 293.15), warm(Measurement.SKIRT, 4, 293.15));
    var both = ledger(warm(Measurement.BORE, 4.0030, 313.15), warm(Measurement.SKIRT, 4, 313.15));
    double change =
        both.value(Measurement.PISTON_WALL, 1, Side.NONE, UnitSystem.US).orElseThrow().si()
            - cold.value(Measurement.PISTON_WALL, 1, Side.NONE, UnitSystem.US).orElseThrow().si();
    assertThat(change / INCH).isCloseTo(4 * 8.5e-6 * 20, within(2e-6));
  }

  /** A bore read without its shells: two of them are taken off. */
  @Test
  void aBareHousingLosesItsShells() {
    var c = Said.with(ENGINE, "partSizes.mainShell", 0.0940, Measure.INCHES);
    var readings =
        new Readings(
            List.of(
                inches(Measurement.MAIN_BORE, 1, 2.1905),
                inches(Measurement.MAIN_JOURNAL, 1, 2.0000)));
    var l = new Ledger(c, Application.DRAG, readings, List.of());
    var v = l.value(Measurement.MAIN_BEARING, 1, Side.NONE, UnitSystem.US).orElseThrow();
    assertThat(v.si() / INCH).isCloseTo(0.0025, within(1e-9));
    assertThat(v.working()).contains("two shells");
  }

  /** 1 mm higher than the sheet's height: the rate × 1 mm less on the seat. */
  @Test
  void aSeatForceIsBroughtToTheHeightItIsInstalledAt() {
    double sheet = ENGINE.valveHardware().installedHeight().si();
    double rate = ENGINE.valveTrain().springRate().si();
    var all =
        new ArrayList<>(
            List.of(
                reading(Measurement.SEAT_FORCE, 1, Side.EXHAUST, 620),
                reading(Measurement.INSTALLED_HEIGHT, 1, Side.EXHAUST, sheet + 1e-3)));
    var l = ledger(all.toArray(Reading[]::new));
    assertThat(l.value(Measurement.SEAT_FORCE, 1, Side.EXHAUST, UnitSystem.US).orElseThrow().si())
        .isCloseTo(620 - 1e-3 * rate, within(1e-6));
    var measured = DemoBuilds.hillClimbEight().with(ENGINE).asMeasured(new Readings(all));
    assertThat(measured.combination().valveTrain().springSeat().si())
        .isCloseTo(620 - 1e-3 * rate, within(1e-6));
  }

  /** A feeler stack under a bridge along the pin is one reading, and stands beside both sides'. */
  @Test
  void aBridgeAlongThePinIsOneReading() {
    double stack = Entry.sum(".050+.010", Quantity.CLEARANCE, UnitSystem.US);
    assertThat(stack / INCH).isCloseTo(0.060, within(1e-9));
    assertThat(Entry.sum(".500 - .438", Quantity.CLEARANCE, UnitSystem.US) / INCH)
        .isCloseTo(0.062, within(1e-9));
    var bridged = reading(Measurement.DECK, 3, Side.NONE, stack);
    var one = ledger(bridged);
    assertThat(one.value(Measurement.DECK, 3, Side.THRUST, UnitSystem.US).orElseThrow().si())
        .isCloseTo(stack, within(1e-12));
    assertThat(one.readings().isHalfRead(Measurement.DECK, 3)).isFalse();
    var all =
        ledger(
            bridged,
            reading(Measurement.DECK, 3, Side.THRUST, 0.068 * INCH),
            reading(Measurement.DECK, 3, Side.OPPOSITE, 0.056 * INCH));
    assertThat(all.value(Measurement.DECK, 3, Side.THRUST, UnitSystem.US).orElseThrow().si() / INCH)
        .isCloseTo(0.061, within(1e-9));
  }

  /** Repeats average and show their spread as a general library's statistics do. */
  @Test
  void repeatsAverage() {
    var random = new java.util.Random(3);
    for (int set = 0; set < 50; set++) {
      var s = new StreamingStatistics();
      var all = new ArrayList<Reading>();
      for (int i = 0; i < 2 + set % 7; i++) {
        double v = 64e-6 + 1e-6 * random.nextGaussian();
        s.addValue(v);
        all.add(reading(Measurement.CHAMBER, 4, Side.NONE, v));
      }
      var r = new Readings(all).at(Measurement.CHAMBER, 4).orElseThrow();
      assertThat(r.value()).isCloseTo(s.getMean(), within(1e-15));
      assertThat(r.range()).isCloseTo(s.getMax() - s.getMin(), within(1e-15));
      assertThat(r.count()).isEqualTo((int) s.getN());
    }
  }

  @Test
  void quenchFollowsFromDeckAndGasket() {
    var l =
        ledger(
            reading(Measurement.DECK, 3, Side.THRUST, 0.021 * INCH),
            reading(Measurement.DECK, 3, Side.OPPOSITE, 0.011 * INCH));
    // Rock taken out by the mean: 0.021 and 0.011 give 0.016 in (common practice, no source).
    assertThat(l.value(Measurement.DECK, 3, Side.THRUST, UnitSystem.US).orElseThrow().si() / INCH)
        .isCloseTo(0.016, within(1e-9));
    assertThat(l.value(Measurement.QUENCH, 3, Side.NONE, UnitSystem.US).orElseThrow().si())
        .isCloseTo(0.016 * INCH + ENGINE.compression().gasketThickness().si(), within(1e-9));
  }

  /** What the model can use replaces what was assumed, with its provenance. */
  @Test
  void measuredPartsGoIntoTheEngine() {
    var build = DemoBuilds.hillClimbEight();
    var all = new ArrayList<Reading>();
    for (int i = 1; i <= 8; i++) {
      all.add(inches(Measurement.BORE, i, 4.0965));
      all.add(reading(Measurement.LASH, i, Side.INTAKE, 0.016 * INCH));
      all.add(reading(Measurement.SEAT_FORCE, i, Side.INTAKE, 600));
      all.add(reading(Measurement.SEAT_FORCE, i, Side.EXHAUST, 640));
      all.add(inches(Measurement.TOP_RING_GAP, i, 0.022));
    }
    var c = build.asMeasured(new Readings(all)).combination();
    assertThat(c.bottomEnd().bore().si() / INCH).isCloseTo(4.0965, within(1e-9));
    assertThat(c.valveTrain().intakeLash().si() / INCH).isCloseTo(0.016, within(1e-9));
    assertThat(c.valveTrain().exhaustLash())
        .isEqualTo(build.combination().valveTrain().exhaustLash());
    assertThat(c.valveTrain().springSeat().si()).isCloseTo(620, within(1e-9));
    // A ring 60 K hotter than its bore closes by π × bore × 11.5 millionths × 60.
    assertThat(c.losses().topGap().si())
        .isCloseTo(0.022 * INCH - Math.PI * 4.0965 * INCH * 11.5e-6 * 60, within(1e-9));
    assertThat(c.bottomEnd().bore().provenance())
        .isEqualTo(grandbore.core.combination.Provenance.MEASURED);
  }
}
