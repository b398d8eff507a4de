package grandbore.core.build;

import grandbore.core.clearances.Application;
import grandbore.core.clearances.Ledger;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Combination;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;

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
   * The engine with every measured value that the model can use in the place of the assumed one:
   * chambers and decks by cylinder, their means in the combination, and the means of bores,
   * journals, lash, seat forces and top ring gaps.
   */
  public BuiltEngine asMeasured(Readings readings) {
    int n = combination.bottomEnd().cylinders();
    var c = MeasuredInputs.put(new Ledger(combination, application, readings, List.of()));
    var volumes = new ArrayList<Double>();
    for (int cylinder = 1; cylinder <= n; cylinder++) {
      volumes.add(
          c.clearanceVolume(
              value(readings, Measurement.CHAMBER, cylinder, c.compression().chamberVolume().si()),
              value(readings, Measurement.DECK, cylinder, c.bottomEnd().deckClearance())));
    }
    return new BuiltEngine(c, volumes);
  }

  private static double value(Readings readings, Measurement m, int place, double otherwise) {
    return readings.at(m, place).map(Readings.Result::value).orElse(otherwise);
  }
}
