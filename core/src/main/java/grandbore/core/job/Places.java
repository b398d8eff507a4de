package grandbore.core.job;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.ItemMeasure;
import grandbore.core.job.parts.Matching;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** What is known of the places of an engine into which parts are matched. */
public final class Places {
  private Places() {}

  /**
   * Each cylinder's deck and chamber: as they were read where they were, else as specified.
   *
   * <p>A deck is read with a rod and a piston in place: it is the block's height less half the
   * stroke, less those two, so that they are added to it, as they were measured where they were.
   *
   * @param items parts that lie at those places
   */
  public static List<Matching.Place> of(Build build, List<Reading> all, List<Item> items) {
    var c = build.combination();
    var b = c.bottomEnd();
    var readings = new Readings(all);
    double gasket = c.clearanceVolume(0, 0) - c.compression().pistonVolume().si();
    return IntStream.rangeClosed(1, b.cylinders())
        .mapToObj(
            n ->
                new Matching.Place(
                    length(items, EnginePart.ROD, n, ItemMeasure.LENGTH, b.rodLength().si())
                        + length(
                            items, EnginePart.PISTON, n, ItemMeasure.PIN_HEIGHT, b.pinHeight().si())
                        + readings
                            .at(Measurement.DECK, n)
                            .map(Readings.Result::value)
                            .orElse(b.deckClearance()),
                    gasket
                        + readings
                            .at(Measurement.CHAMBER, n)
                            .map(Readings.Result::value)
                            .orElse(c.compression().chamberVolume().si())))
        .toList();
  }

  /** Each cylinder's deck clearance, as it was read where it was, else as specified, m. */
  public static List<Double> decks(Build build, List<Reading> all) {
    var b = build.combination().bottomEnd();
    var readings = new Readings(all);
    return IntStream.rangeClosed(1, b.cylinders())
        .mapToObj(
            n ->
                readings
                    .at(Measurement.DECK, n)
                    .map(Readings.Result::value)
                    .orElse(b.deckClearance()))
        .toList();
  }

  /** What evens an engine's parts best; nothing where they were not measured. */
  public static Optional<Matching.Matched> matched(
      Build build, List<Reading> all, List<Item> items, Matching.Goal goal) {
    var b = build.combination().bottomEnd();
    return goal == Matching.Goal.BANKS
        ? Matching.heads(items, b, decks(build, all))
        : Matching.of(items, b, of(build, all, items), goal);
  }

  private static double length(
      List<Item> items, EnginePart part, int place, ItemMeasure m, double otherwise) {
    return items.stream()
        .filter(i -> i.part() == part && i.place() == place)
        .flatMap(i -> i.measure(m).stream())
        .findFirst()
        .orElse(otherwise);
  }
}
