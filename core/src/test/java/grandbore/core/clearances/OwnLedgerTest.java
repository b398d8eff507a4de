package grandbore.core.clearances;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Readings of the shop's own kinds are meaned, judged and taken back like the built-in ones. */
class OwnLedgerTest {
  private static final Combination EIGHT = DemoBuilds.hillClimbEight().combination();
  private static final Instant NOW = Instant.parse("2026-11-30T08:00:00Z");

  private static OwnKind wall(double from, double to, boolean perBore) {
    return new OwnKind(
        "Wall thickness",
        Quantity.CLEARANCE,
        Measurement.Place.CYLINDER,
        List.of("front", "rear"),
        0,
        0.02,
        from,
        to,
        perBore,
        "own",
        false);
  }

  private static Kept kept(Note note) {
    return new Kept(0, note, "", NOW, false);
  }

  private static Kept read(OwnKind k, int place, int point, double mm) {
    return kept(new OwnReading(k.key(), place, point, mm / 1e3, Taken.by("", "", NOW)));
  }

  @Test
  void repeatsAreMeanedAndOutliersOfTheBandAreTold() {
    var wall = wall(4e-3, 0, false);
    var notes =
        new ArrayList<>(
            List.of(
                kept(wall),
                read(wall, 1, 0, 5.0),
                read(wall, 1, 0, 5.2),
                read(wall, 3, 1, 3.6),
                read(wall, 4, 1, 2.0).struck(true)));
    var ledger = new OwnLedger(EIGHT, notes);
    assertThat(ledger.places(wall) * wall.times()).isEqualTo(16);
    var one = ledger.at(wall, 1, 0).orElseThrow();
    assertThat(one.value()).isCloseTo(5.1e-3, within(1e-9));
    assertThat(one.count()).isEqualTo(2);
    assertThat(one.range()).isCloseTo(0.2e-3, within(1e-9));
    assertThat(ledger.verdict(one)).contains(Band.Verdict.INSIDE);
    assertThat(ledger.over(wall)).hasSize(2);
    assertThat(ledger.tasks(UnitSystem.METRIC))
        .singleElement()
        .asString()
        .startsWith("Wall thickness, cylinder 3, rear: 3.600 mm, too tight");
    // Another band for the same kind stands from now on; taken no more, its readings stay.
    notes.add(kept(wall(3e-3, 0, false)));
    assertThat(new OwnLedger(EIGHT, notes).tasks(UnitSystem.METRIC)).isEmpty();
  }

  /** A band by the bore grows with it, of own kinds and of makers' rules alike. */
  @Test
  void aBandByTheBoreGrowsWithTheBore() {
    double bore = EIGHT.bottomEnd().bore().si();
    assertThat(wall(0.04, 0.06, true).band(bore).orElseThrow().least())
        .isCloseTo(0.04 * bore, within(1e-12));
    var rule =
        new Rule(
            Measurement.TOP_RING_GAP,
            Reading.Side.NONE,
            Band.Source.MAKER,
            0.0045,
            0.0055,
            "ring sheet",
            true);
    for (double by : new double[] {1, 1.01}) {
      var is = (Given) EIGHT.at("bottomEnd.bore");
      var engine =
          Specs.field("bottomEnd.bore").with(EIGHT, is.with(by * bore, Provenance.MEASURED));
      var bands = new Bands(engine, Application.STREET, List.of(rule));
      var band = bands.of(Measurement.TOP_RING_GAP, Reading.Side.NONE).orElseThrow();
      assertThat(band.least()).isCloseTo(0.0045 * by * bore, within(1e-9));
      assertThat(band.most()).isCloseTo(0.0055 * by * bore, within(1e-9));
    }
    assertThatThrownBy(
            () ->
                new Rule(
                    Measurement.SEAT_FORCE,
                    Reading.Side.INTAKE,
                    Band.Source.MAKER,
                    0.004,
                    0,
                    "",
                    true))
        .hasMessageContaining("by the bore");
  }

  @Test
  void whatNoInstrumentShowsIsRefused() {
    var wall = wall(4e-3, 0, false);
    assertThatThrownBy(() -> wall.check(0.03)).hasMessageContaining("Wall thickness is 30.000 mm");
    assertThatThrownBy(() -> wall(5e-3, 4e-3, false)).hasMessageContaining("band");
  }
}
