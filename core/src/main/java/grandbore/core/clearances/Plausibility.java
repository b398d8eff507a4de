package grandbore.core.clearances;

import grandbore.core.clearances.Doubt.Kind;
import grandbore.core.clearances.Ledger.Placed;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.combination.Provenance;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Looks through the book for what cannot be right. Outliers among brothers are found by F. E.
 * Grubbs' test (<i>Technometrics</i> 11, 1969) at a rate of false alarms of one in a thousand sets,
 * and only where the reading is further off than {@link #worthAsking} besides.
 */
public final class Plausibility {
  /** Share of clean sets in which one reading is called an outlier by the test alone. */
  public static final double FALSE_ALARMS = 0.001;

  private static final double PLUG_LEAST = 1.2e-6;
  private static final double PLUG_MOST = 7e-6;
  private static final double SUM_APART = 0.25e-3;
  private static final double TIGHTER = 0.010e-3;

  private final Ledger ledger;
  private final UnitSystem units;
  private final List<Doubt> found = new ArrayList<>();

  private Plausibility(Ledger ledger, UnitSystem units) {
    this.ledger = ledger;
    this.units = units;
  }

  /** Everything that is odd, in the book's order. */
  public static List<Doubt> of(Ledger ledger, UnitSystem units) {
    var d = new Plausibility(ledger, units);
    for (var m : Measurement.values()) {
      if (d.ledger.readings().all().stream().noneMatch(r -> r.measurement() == m)) {
        continue;
      }
      d.singles(m);
      for (var side : m.valueSides()) {
        d.brothers(m, side);
      }
    }
    d.tighter(Measurement.MAIN_BEARING);
    d.tighter(Measurement.ROD_BEARING);
    d.sum();
    return d.found;
  }

  /** Deviations below this, SI, are never worth a second reading. */
  public static double worthAsking(Measurement m, double typical) {
    return switch (m) {
      case MAIN_BORE, MAIN_JOURNAL, ROD_BORE, ROD_JOURNAL, SKIRT, BORE -> 0.010e-3;
      case MAIN_BEARING, ROD_BEARING, VALVE_GUIDE, RING_SIDE, PISTON_WALL -> 0.010e-3;
      case CHAMBER -> 0.8e-6;
      case DECK, QUENCH -> 0.05e-3;
      case COMPRESSION, COMPRESSION_OILED, LEAK_DOWN, PLUG_INDEX -> Double.POSITIVE_INFINITY;
      case SEAT_FORCE, OPEN_FORCE -> 0.08 * typical;
      default -> m.quantity() == Quantity.CLEARANCE ? 0.05e-3 : 0.05 * typical;
    };
  }

  private String show(Measurement m, double si) {
    return m.quantity().show(si, units);
  }

  private void singles(Measurement m) {
    for (var r : ledger.readings().all()) {
      if (r.struck() || r.measurement() != m) {
        continue;
      }
      double least = worthAsking(m, r.value());
      double drift = Math.abs(r.taken().drift());
      if (drift > 0.25 * least) {
        found.add(
            new Doubt(
                m,
                r.place(),
                r.side(),
                Kind.ZERO_DRIFT,
                "the instrument's zero moved by %s".formatted(show(m, drift)),
                "a loose base or stem, an anvil with dirt on it, an indicator not set again",
                "zero it, read %s again".formatted(r.where())));
      }
    }
    for (int p = 1; p <= ledger.places(m); p++) {
      for (var side : m.sides().all()) {
        int place = p;
        ledger
            .readings()
            .side(m, p, side)
            .filter(r -> r.count() > 1 && r.range() > worthAsking(m, r.value()))
            .ifPresent(
                r ->
                    found.add(
                        new Doubt(
                            m,
                            place,
                            side,
                            Kind.REPEATS_DIFFER,
                            "repeats differ by %s".formatted(show(m, r.range())),
                            "one of them was misread, or the part moved between",
                            "one more of %s; strike the odd one out"
                                .formatted(m.at(place, side)))));
      }
      if (ledger.readings().isHalfRead(m, p)) {
        found.add(
            new Doubt(
                m,
                p,
                Side.NONE,
                Kind.ONE_SIDE_ONLY,
                "read on one side of the pin's axis only",
                "the piston rocks: one side alone is off by as much as it does",
                "the other side of " + m.at(p, Side.NONE)));
      }
    }
  }

  /**
   * Grubbs' largest deviation over the spread: the value beyond which it is an outlier, at a rate
   * of false alarms.
   */
  static double critical(int n, double rate) {
    double t = new TDistribution(n - 2.0).inverseCumulativeProbability(1 - rate / (2.0 * n));
    return (n - 1) / Math.sqrt(n) * Math.sqrt(t * t / (n - 2 + t * t));
  }

  private void brothers(Measurement m, Side side) {
    var all = ledger.over(m, side);
    int n = all.size();
    if (n < 4) {
      return;
    }
    double mean = all.stream().mapToDouble(v -> v.value().si()).average().orElseThrow();
    double sum = all.stream().mapToDouble(v -> Math.pow(v.value().si() - mean, 2)).sum();
    double spread = Math.sqrt(sum / (n - 1));
    Placed worst = all.getFirst();
    for (var v : all) {
      worst = off(v, mean) > off(worst, mean) ? v : worst;
    }
    int place = worst.place();
    double others =
        all.stream()
            .filter(v -> v.place() != place)
            .mapToDouble(v -> v.value().si())
            .average()
            .orElseThrow();
    double by = worst.value().si() - others;
    if (Math.abs(by) < worthAsking(m, others)
        || off(worst, mean) < critical(n, FALSE_ALARMS) * spread * (1 - 1e-12)) {
      return;
    }
    boolean plug = m == Measurement.CHAMBER && by > PLUG_LEAST && by < PLUG_MOST;
    found.add(
        new Doubt(
            m,
            place,
            side,
            plug ? Kind.PLUG_LEFT_OUT : Kind.OUTLIER,
            "%s %s than its brothers"
                .formatted(
                    show(m, Math.abs(by)),
                    m == Measurement.CHAMBER
                        ? by > 0 ? "larger" : "smaller"
                        : by > 0 ? "more" : "less"),
            plug ? "about a plug's thread: was the plug left out?" : cause(m, by),
            "one more of " + m.at(place, m.isTwoSided() ? Side.NONE : side)));
  }

  private static double off(Placed v, double mean) {
    return Math.abs(v.value().si() - mean);
  }

  private static String cause(Measurement m, double by) {
    return switch (m) {
      case CHAMBER ->
          by > 0
              ? "a valve not seated, a plug not the same, a leak under the plate"
              : "air under the plate, a burette not read at the meniscus";
      case DECK, QUENCH -> "indicator not zeroed on the deck, piston not at top, dirt on the crown";
      case MAIN_BEARING, ROD_BEARING, MAIN_BORE, ROD_BORE ->
          "dirt behind a shell, a cap on the wrong place or turned, bolts not at their torque";
      case TOP_RING_GAP, SECOND_RING_GAP -> "the ring not square in the bore, or its burr left on";
      case SEAT_FORCE, OPEN_FORCE -> "another height on the tester, or a spring of another set";
      case INSTALLED_HEIGHT -> "a shim forgotten, keepers or retainer not the same";
      default -> "a misread scale, a number written to the wrong place";
    };
  }

  /** Measured apart and assembled: what is tighter by the strip than by the gauges. */
  private void tighter(Measurement m) {
    for (int p = 1; p <= ledger.places(m); p++) {
      var assembled = ledger.readings().side(m, p, Side.NONE);
      var apart = ledger.derived(m, p, units);
      if (assembled.isEmpty() || apart.isEmpty()) {
        continue;
      }
      double by = apart.get().si() - assembled.get().value();
      if (by > TIGHTER) {
        found.add(
            new Doubt(
                m,
                p,
                Side.NONE,
                Kind.TIGHTER_ASSEMBLED,
                "%s tighter assembled than by its parts".formatted(show(m, by)),
                "dirt behind a shell, a cap turned or of another place, a bent crank",
                "take the cap off, clean, and read %s again".formatted(m.at(p, Side.NONE))));
      }
    }
  }

  /** Deck as read against block, throw, rod and pin height where none of these is assumed. */
  private void sum() {
    var b = ledger.combination().bottomEnd();
    boolean known =
        Stream.of(b.blockDeck(), b.stroke(), b.rodLength(), b.pinHeight())
            .noneMatch(g -> g.provenance() == Provenance.ASSUMED);
    var decks = ledger.over(Measurement.DECK, Side.THRUST);
    if (!known || decks.isEmpty()) {
      return;
    }
    double mean = decks.stream().mapToDouble(d -> d.value().si()).average().orElseThrow();
    double by = mean - b.deckClearance();
    if (Math.abs(by) > SUM_APART) {
      found.add(
          new Doubt(
              Measurement.DECK,
              0,
              Side.NONE,
              Kind.AGAINST_THE_SUM,
              "pistons stand %s %s than block, throw, rod and compression height add up to"
                  .formatted(show(Measurement.DECK, Math.abs(by)), by > 0 ? "lower" : "higher"),
              "a part that is not what its box says, a block decked before, a wrong zero",
              "the block's deck height, or one piston's compression height"));
    }
  }
}
