package grandbore.desktop;

import grandbore.core.clearances.Ledger;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.prediction.Curve;
import grandbore.core.units.Quantity;
import grandbore.core.valvetrain.FlatTappet;
import grandbore.desktop.curve.Limits;
import grandbore.desktop.session.Session;
import grandbore.desktop.station.Station;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Something that bites.
 *
 * @param words with its shape before them
 * @param reading that shows it
 * @param station to go to where no reading does
 */
record Bite(String words, Optional<Measurement> reading, Optional<Station> station) {
  private static Bite at(Station s, String words) {
    return new Bite("▲ " + words, Optional.empty(), Optional.of(s));
  }

  /**
   * All of them, what is wrong with the record itself before what it says.
   *
   * @param curve {@code null} where there is none yet
   */
  static List<Bite> of(Session session, Curve curve) {
    var all = new ArrayList<Bite>();
    var bench = session.bench();
    for (var d : bench.damages()) {
      all.add(at(Station.CLEARANCES, "Damaged in the book: " + d.line()));
    }
    bench
        .contradiction()
        .ifPresent(
            why ->
                all.add(
                    at(
                        Station.CLEARANCES,
                        "Readings and specification contradict each other: " + why)));
    session.books().troubles().forEach(t -> all.add(at(Station.CLEARANCES, t)));
    outside(session, all);
    var build = session.build();
    FlatTappet.tooNarrow(build.combination())
        .ifPresent(
            wide ->
                all.add(
                    at(
                        Station.CAM,
                        "The lobe runs over the edge of a flat tappet narrower than "
                            + Quantity.LENGTH.show(wide, build.units()))));
    if (curve != null) {
      Limits.of(curve)
          .forEach(
              words -> all.add(new Bite(words, Optional.empty(), Optional.of(Station.PREDICTION))));
    }
    return all;
  }

  /** Readings outside their bands. */
  private static void outside(Session session, List<Bite> all) {
    var ledger = session.ledger();
    var units = session.build().units();
    for (var m : Measurement.values()) {
      for (var side : m.valueSides()) {
        var band = ledger.band(m, side);
        for (var placed : band.isPresent() ? ledger.over(m, side) : List.<Ledger.Placed>of()) {
          var verdict = band.get().judge(placed.value().si());
          if (verdict.isOutside()) {
            var at = m.at(placed.place(), m.isTwoSided() ? Reading.Side.NONE : side);
            all.add(
                new Bite(
                    "▲ %s, %s, %s: %s, band %s"
                        .formatted(
                            m.label(),
                            at,
                            verdict.word(),
                            m.quantity().show(placed.value().si(), units),
                            band.get().show(m.quantity(), units)),
                    Optional.of(m),
                    Optional.empty()));
          }
        }
      }
    }
  }
}
