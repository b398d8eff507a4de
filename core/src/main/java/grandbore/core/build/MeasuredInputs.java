package grandbore.core.build;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.clearances.Readings;
import grandbore.core.clearances.SpringForce;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Puts what was read into the combination, with its provenance. */
final class MeasuredInputs {
  /** A ring runs about so much hotter than its bore, K; the gap closes by that. */
  private static final double RING_HOTTER = 60;

  private static final double IRON = 11.5e-6;
  private static final double LEAST_GAP = 0.02e-3;

  private final Readings readings;
  private Combination c;

  private MeasuredInputs(Combination c, Readings readings) {
    this.c = c;
    this.readings = readings;
  }

  static Combination put(Combination combination, Readings readings) {
    var m = new MeasuredInputs(combination, readings);
    m.mean("bottomEnd.bore", Measurement.BORE);
    m.mean("bottomEnd.mainJournal", Measurement.MAIN_JOURNAL);
    m.mean("bottomEnd.rodJournal", Measurement.ROD_JOURNAL);
    m.mean("squeeze.chamberVolume", Measurement.CHAMBER);
    double above = m.c.bottomEnd().blockDeck().si() - m.c.bottomEnd().deckClearance();
    m.mean("bottomEnd.blockDeck", d -> above + d, Measurement.DECK, Side.THRUST);
    m.mean("valveTrain.intakeLash", l -> l, Measurement.LASH, Side.INTAKE);
    m.mean("valveTrain.exhaustLash", l -> l, Measurement.LASH, Side.EXHAUST);
    double change = m.springChange();
    m.mean(
        "valveTrain.springSeat",
        f -> f + change,
        Measurement.SEAT_FORCE,
        Side.INTAKE,
        Side.EXHAUST);
    double closes = Math.PI * m.c.bottomEnd().bore().si() * IRON * RING_HOTTER;
    m.mean(
        "losses.topGap", g -> Math.max(LEAST_GAP, g - closes), Measurement.TOP_RING_GAP, Side.NONE);
    return m.c;
  }

  /** Mean change of the seat forces by the heights at which the springs are installed, N. */
  private double springChange() {
    int places = Measurement.SEAT_FORCE.places(c.bottomEnd());
    return Stream.of(Side.INTAKE, Side.EXHAUST)
        .flatMap(
            s ->
                IntStream.rangeClosed(1, places)
                    .filter(p -> readings.at(Measurement.SEAT_FORCE, p, s).isPresent())
                    .mapToObj(p -> SpringForce.change(c, readings, p, s).orElse(0.0)))
        .mapToDouble(d -> d)
        .average()
        .orElse(0);
  }

  private void mean(String path, Measurement m) {
    mean(path, v -> v, m, Side.NONE);
  }

  /** The mean over all places that have a value, as weak as the weakest of them. */
  private void mean(String path, DoubleUnaryOperator becomes, Measurement m, Side... sides) {
    int places = m.places(c.bottomEnd());
    List<Readings.Result> results =
        Stream.of(sides).flatMap(s -> readings.over(m, places, s).stream()).toList();
    if (results.isEmpty()) {
      return;
    }
    double mean = results.stream().mapToDouble(Readings.Result::value).average().orElseThrow();
    var weakest =
        results.stream()
            .map(Readings.Result::provenance)
            .reduce(Provenance.REPEATED, Provenance::and);
    var field = Specs.field(path);
    c = field.with(c, field.get(c).with(becomes.applyAsDouble(mean), weakest));
  }
}
