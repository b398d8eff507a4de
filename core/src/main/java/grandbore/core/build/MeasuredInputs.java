package grandbore.core.build;

import grandbore.core.clearances.Ledger;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;

/** Puts what was read into the combination, with its provenance. */
final class MeasuredInputs {
  /** A ring runs about so much hotter than its bore, K; the gap closes by that. */
  private static final double RING_HOTTER = 60;

  private static final double IRON = 11.5e-6;
  private static final double LEAST_GAP = 0.02e-3;

  private final Ledger ledger;
  private Combination c;

  private MeasuredInputs(Ledger ledger) {
    this.ledger = ledger;
    c = ledger.combination();
  }

  static Combination put(Ledger ledger) {
    var m = new MeasuredInputs(ledger);
    m.mean("bottomEnd.bore", Measurement.BORE);
    m.mean("bottomEnd.mainJournal", Measurement.MAIN_JOURNAL);
    m.mean("bottomEnd.rodJournal", Measurement.ROD_JOURNAL);
    m.mean("squeeze.chamberVolume", Measurement.CHAMBER);
    double above = m.c.bottomEnd().blockDeck().si() - m.c.bottomEnd().deckClearance();
    m.mean("bottomEnd.blockDeck", d -> above + d, Measurement.DECK, Side.THRUST);
    m.mean("valveTrain.intakeLash", l -> l, Measurement.LASH, Side.INTAKE);
    m.mean("valveTrain.exhaustLash", l -> l, Measurement.LASH, Side.EXHAUST);
    m.mean("valveTrain.springSeat", f -> f, Measurement.SEAT_FORCE, Side.INTAKE, Side.EXHAUST);
    double closes = Math.PI * m.c.bottomEnd().bore().si() * IRON * RING_HOTTER;
    m.mean(
        "losses.topGap", g -> Math.max(LEAST_GAP, g - closes), Measurement.TOP_RING_GAP, Side.NONE);
    return m.c;
  }

  private void mean(String path, Measurement m) {
    mean(path, v -> v, m, Side.NONE);
  }

  /** The mean over all places that have a value, as weak as the weakest of them. */
  private void mean(String path, DoubleUnaryOperator becomes, Measurement m, Side... sides) {
    var values =
        Stream.of(sides)
            .flatMap(s -> ledger.over(m, s).stream())
            .map(Ledger.Placed::value)
            .toList();
    if (values.isEmpty()) {
      return;
    }
    double mean = values.stream().mapToDouble(Ledger.Value::si).average().orElseThrow();
    var weakest =
        values.stream().map(Ledger.Value::provenance).reduce(Provenance.REPEATED, Provenance::and);
    var field = Specs.field(path);
    c = field.with(c, field.get(c).with(becomes.applyAsDouble(mean), weakest));
  }
}
