package grandbore.core.build;

import grandbore.core.clearances.Application;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** One engine on the bench: what it is specified to be, what it is for, how it is shown. */
public record Build(
    UnitSystem units, Application application, SpeedRange speeds, Combination combination) {

  public String name() {
    return combination.name();
  }

  public Build with(Combination c) {
    return new Build(units, application, speeds, c);
  }

  public Build with(UnitSystem system) {
    return new Build(system, application, speeds, combination);
  }

  public Build with(SpeedRange range) {
    return new Build(units, application, range, combination);
  }

  public Build with(Application use) {
    return new Build(units, use, speeds, combination);
  }

  /**
   * The engine with every measured value in the place of the assumed one: chambers and decks by
   * cylinder, their means in the combination.
   */
  public BuiltEngine asMeasured(Readings readings) {
    int n = combination.bottomEnd().cylinders();
    var chamber = mean(readings, Measurement.CHAMBER, n);
    var deck = mean(readings, Measurement.DECK, n);
    var c = combination;
    if (chamber.isPresent()) {
      c = put(c, "squeeze.chamberVolume", chamber.getAsDouble(), readings, Measurement.CHAMBER);
    }
    if (deck.isPresent()) {
      double stack = c.bottomEnd().blockDeck().si() - c.bottomEnd().deckClearance();
      c = put(c, "bottomEnd.blockDeck", stack + deck.getAsDouble(), readings, Measurement.DECK);
    }
    var volumes = new ArrayList<Double>();
    for (int cylinder = 1; cylinder <= n; cylinder++) {
      volumes.add(
          c.clearanceVolume(
              value(readings, Measurement.CHAMBER, cylinder, c.squeeze().chamberVolume().si()),
              value(readings, Measurement.DECK, cylinder, c.bottomEnd().deckClearance())));
    }
    return new BuiltEngine(c, volumes);
  }

  private static double value(Readings readings, Measurement m, int place, double otherwise) {
    return readings.at(m, place).map(Readings.Result::value).orElse(otherwise);
  }

  private static OptionalDouble mean(Readings readings, Measurement m, int places) {
    return readings.over(m, places).stream().mapToDouble(Readings.Result::value).average();
  }

  private static Combination put(
      Combination c, String path, double si, Readings readings, Measurement m) {
    List<Readings.Result> results = readings.over(m, c.bottomEnd().cylinders());
    var weakest =
        results.stream()
            .map(Readings.Result::provenance)
            .reduce(Provenance.REPEATED, Provenance::and);
    var field = Specs.field(path);
    Given old = field.get(c);
    return field.with(c, old.with(si, weakest));
  }
}
