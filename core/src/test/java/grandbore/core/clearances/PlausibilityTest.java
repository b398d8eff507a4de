package grandbore.core.clearances;

import static grandbore.core.clearances.LedgerTest.INCH;
import static grandbore.core.clearances.LedgerTest.inches;
import static grandbore.core.clearances.LedgerTest.ledger;
import static grandbore.core.clearances.LedgerTest.reading;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.clearances.Doubt.Kind;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.units.UnitSystem;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.hipparchus.stat.descriptive.StreamingStatistics;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What cannot be right is found, and what is clean is left alone. */
class PlausibilityTest {
  private static List<Doubt> doubts(Reading... readings) {
    return Plausibility.of(ledger(readings), UnitSystem.US);
  }

  private static Reading[] set(Measurement m, double... values) {
    return IntStream.range(0, values.length)
        .mapToObj(i -> reading(m, i + 1, Side.NONE, values[i]))
        .toArray(Reading[]::new);
  }

  /**
   * Two-sided critical values at 5 %: F. E. Grubbs and G. Beck, Technometrics 14 (1972), from
   * memory.
   */
  @ParameterizedTest
  @CsvSource({"3, 1.1543", "4, 1.4812", "5, 1.7150", "6, 1.8871", "8, 2.1266", "10, 2.2900"})
  void criticalValuesAreThePublishedOnes(int n, double published) {
    assertThat(Plausibility.critical(n, 0.05)).isCloseTo(published, within(1e-4));
  }

  /** The largest deviation of clean normal sets passes it as often as the rate says. */
  @Test
  void theTestKeepsItsRate() {
    var random = new Random(8);
    int over = 0;
    int sets = 20_000;
    for (int i = 0; i < sets; i++) {
      var s = new StreamingStatistics();
      var values = random.doubles(8).map(u -> random.nextGaussian()).toArray();
      for (double v : values) {
        s.addValue(v);
      }
      double worst = 0;
      for (double v : values) {
        worst = Math.max(worst, Math.abs(v - s.getMean()) / s.getStandardDeviation());
      }
      over += worst > Plausibility.critical(8, 0.05) ? 1 : 0;
    }
    assertThat(over / (double) sets).isCloseTo(0.05, within(0.006));
  }

  @Test
  void aPlugLeftOutIsFoundByItsVolume() {
    var found =
        doubts(
            set(
                Measurement.CHAMBER,
                64.1e-6,
                64.0e-6,
                63.9e-6,
                64.2e-6,
                66.4e-6,
                64.0e-6,
                64.1e-6,
                63.9e-6));
    assertThat(found)
        .singleElement()
        .satisfies(
            d -> {
              assertThat(d.kind()).isEqualTo(Kind.PLUG_LEFT_OUT);
              assertThat(d.place()).isEqualTo(5);
              assertThat(d.cause()).contains("plug");
              assertThat(d.ask()).contains("cylinder 5");
            });
  }

  @Test
  void anOutlierASingleSideADriftAndRepeatsThatDifferAreFound() {
    var deck = new ArrayList<Reading>();
    for (int i = 1; i <= 8; i++) {
      double down = (i == 6 ? 0.031 : 0.012 + 0.0002 * (i % 3)) * INCH;
      deck.add(reading(Measurement.DECK, i, Side.THRUST, down + 0.002 * INCH));
      deck.add(reading(Measurement.DECK, i, Side.OPPOSITE, down - 0.002 * INCH));
    }
    deck.add(reading(Measurement.DECK, 2, Side.THRUST, 0.022 * INCH));
    var found = doubts(deck.toArray(Reading[]::new));
    assertThat(found).extracting(Doubt::kind).contains(Kind.OUTLIER, Kind.REPEATS_DIFFER);
    assertThat(found).filteredOn(d -> d.kind() == Kind.OUTLIER).allMatch(d -> d.place() == 6);
    assertThat(doubts(reading(Measurement.DECK, 4, Side.THRUST, 0.3e-3)))
        .extracting(Doubt::kind)
        .containsExactly(Kind.ONE_SIDE_ONLY);
    var drifted =
        new Reading(
            0,
            Measurement.ROD_JOURNAL,
            1,
            Side.NONE,
            2 * INCH,
            new Taken("A", "micrometer", "2.000", 0, 0.0002 * INCH, 0, "", Instant.EPOCH),
            false);
    assertThat(doubts(drifted)).extracting(Doubt::kind).containsExactly(Kind.ZERO_DRIFT);
  }

  @Test
  void aBearingTighterAssembledAndADeckAgainstTheSumAreFound() {
    var found =
        doubts(
            inches(Measurement.ROD_BORE, 3, 2.0024),
            inches(Measurement.ROD_JOURNAL, 3, 2.0000),
            inches(Measurement.ROD_BEARING, 3, 0.0014));
    assertThat(found).extracting(Doubt::kind).containsExactly(Kind.TIGHTER_ASSEMBLED);
    assertThat(found.getFirst().place()).isEqualTo(3);
    // 0.8 mm lower than block, throw, rod and pin height add up to.
    double deck = LedgerTest.ENGINE.bottomEnd().deckClearance() + 0.8e-3;
    assertThat(
            doubts(
                reading(Measurement.DECK, 1, Side.THRUST, deck),
                reading(Measurement.DECK, 1, Side.OPPOSITE, deck)))
        .extracting(Doubt::kind)
        .containsExactly(Kind.AGAINST_THE_SUM);
  }

  /** A thousand clean sets as a careful shop reads them: no alarm beyond the stated rate. */
  @Test
  void cleanSetsRaiseNoAlarm() {
    var random = new Random(1969);
    int alarms = 0;
    int sets = 1000;
    for (int i = 0; i < sets; i++) {
      var all = new ArrayList<Reading>();
      for (int n = 1; n <= 8; n++) {
        double deck = LedgerTest.ENGINE.bottomEnd().deckClearance() + 0.02e-3 * normal(random);
        double rock = 0.05e-3 * normal(random);
        all.add(reading(Measurement.DECK, n, Side.THRUST, deck + rock));
        all.add(reading(Measurement.DECK, n, Side.OPPOSITE, deck - rock));
        all.add(reading(Measurement.CHAMBER, n, Side.NONE, 64e-6 + 0.2e-6 * normal(random)));
        all.add(reading(Measurement.ROD_BEARING, n, Side.NONE, 58e-6 + 3e-6 * normal(random)));
        all.add(reading(Measurement.TOP_RING_GAP, n, Side.NONE, 0.5e-3 + 10e-6 * normal(random)));
        all.add(reading(Measurement.SEAT_FORCE, n, Side.INTAKE, 600 * (1 + 0.01 * normal(random))));
      }
      alarms += doubts(all.toArray(Reading[]::new)).isEmpty() ? 0 : 1;
    }
    assertThat(alarms / (double) sets).isLessThanOrEqualTo(5 * Plausibility.FALSE_ALARMS);
  }

  private static double normal(Random random) {
    return random.nextGaussian();
  }

  @Test
  void tasksSayHowMuch() {
    var found =
        ToDo.of(
            ledger(
                inches(Measurement.TOP_RING_GAP, 2, 0.0165),
                inches(Measurement.MAIN_BEARING, 4, 0.0017),
                inches(Measurement.CRANK_END_PLAY, 1, 0.003),
                reading(Measurement.PLUG_INDEX, 3, Side.NONE, Math.PI),
                reading(Measurement.CHAMBER, 1, Side.NONE, 62.0e-6),
                reading(Measurement.CHAMBER, 2, Side.NONE, 63.2e-6),
                reading(
                    Measurement.INSTALLED_HEIGHT,
                    1,
                    Side.EXHAUST,
                    LedgerTest.ENGINE.valveHardware().installedHeight().si() + 0.030 * INCH)),
            UnitSystem.US);
    assertThat(words(found, Measurement.TOP_RING_GAP)).contains("file 0.0035 in");
    assertThat(words(found, Measurement.MAIN_BEARING)).contains("0.0005 in thinner");
    assertThat(words(found, Measurement.CRANK_END_PLAY)).contains("dress").contains("0.0030 in");
    // Half a turn of M14 × 1.25 is 0.625 mm.
    assertThat(words(found, Measurement.PLUG_INDEX)).contains("0.0246 in");
    assertThat(words(found, Measurement.CHAMBER)).contains("1.2 cc");
    assertThat(words(found, Measurement.INSTALLED_HEIGHT)).contains("shim 0.0300 in");
    assertThat(ToDo.of(ledger(), UnitSystem.US)).isEmpty();
  }

  private static String words(List<ToDo.Task> tasks, Measurement m) {
    return tasks.stream().filter(t -> t.measurement() == m).findFirst().orElseThrow().words();
  }

  /** What was outside its band when it was built is named first. */
  @Test
  void causesPointAtTheBuildsOwnBook() {
    var tight = ledger(inches(Measurement.TOP_RING_GAP, 5, 0.012));
    var ring = new Finding(Finding.Part.RING, 5, Finding.Kind.BUTTED, "shiny ends");
    assertThat(Cause.of(ring, tight, UnitSystem.US).getFirst().words())
        .startsWith("the book: top ring end gap at cylinder 5 was 0.0120 in, too tight");
    assertThat(Cause.of(ring, ledger(), UnitSystem.US).getFirst().words()).contains("was not read");
    for (var part : Finding.Part.values()) {
      for (var kind : Finding.Kind.values()) {
        var causes = Cause.of(new Finding(part, 1, kind, ""), tight, UnitSystem.US);
        // What is sound has no cause.
        assertThat(causes.isEmpty()).isEqualTo(kind == Finding.Kind.SOUND);
        assertThat(causes).allMatch(w -> !w.words().isBlank());
      }
    }
  }
}
