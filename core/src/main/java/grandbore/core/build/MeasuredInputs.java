package grandbore.core.build;

import grandbore.core.clearances.Ledger;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import java.util.function.DoubleUnaryOperator;

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
    m.mean("bottomEnd.bore");
    m.mean("bottomEnd.mainJournal");
    m.mean("bottomEnd.rodJournal");
    m.mean("compression.chamberVolume");
    double above = m.c.bottomEnd().blockDeck().si() - m.c.bottomEnd().deckClearance();
    m.mean("bottomEnd.blockDeck", d -> above + d);
    m.mean("valveTrain.intakeLash");
    m.mean("valveTrain.exhaustLash");
    m.mean("valveTrain.springSeat");
    double closes = Math.PI * m.c.bottomEnd().bore().si() * IRON * RING_HOTTER;
    m.mean("losses.topGap", g -> Math.max(LEAST_GAP, g - closes));
    return m.c;
  }

  private void mean(String path) {
    mean(path, v -> v);
  }

  /** The mean over all places that have a value, as weak as the weakest of them. */
  private void mean(String path, DoubleUnaryOperator becomes) {
    var by = MeasuredBy.of(path).orElseThrow();
    var values =
        by.sides().stream()
            .flatMap(s -> ledger.over(by.measurement(), s).stream())
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
