package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;
import grandbore.core.units.UnitSystem;
import java.time.Instant;

/**
 * One reading as it was taken; never changed, only superseded by a later one.
 *
 * @param place cylinder or main bearing, from 1
 * @param value SI
 * @param by who read it, may be empty
 * @param instrument with what, may be empty
 * @param struck whether a later correction took its place
 */
public record Reading(
    long id,
    Measurement measurement,
    int place,
    Side side,
    double value,
    String by,
    String instrument,
    Instant at,
    boolean struck) {

  /** Side of the pin's axis. */
  public enum Side {
    NONE,
    THRUST,
    OPPOSITE
  }

  public Reading {
    if (place < 1 || place > 13) {
      throw new InvalidInput(
          measurement.label() + " place", String.valueOf(place), "1 to 13", "it is a number");
    }
    if (!(value >= measurement.least() && value <= measurement.most())) {
      var q = measurement.quantity();
      throw new InvalidInput(
          measurement.label() + " " + place,
          q.show(value, UnitSystem.METRIC) + " (" + q.show(value, UnitSystem.US) + ")",
          "%s to %s (%s to %s)"
              .formatted(
                  q.show(measurement.least(), UnitSystem.METRIC),
                  q.show(measurement.most(), UnitSystem.METRIC),
                  q.show(measurement.least(), UnitSystem.US),
                  q.show(measurement.most(), UnitSystem.US)),
          "a reading outside that was not taken on this");
    }
    if (measurement.isTwoSided() == (side == Side.NONE)) {
      throw new InvalidInput(
          measurement.label() + " " + place + " side",
          side.name(),
          measurement.isTwoSided() ? "THRUST or OPPOSITE" : "NONE",
          measurement.isTwoSided()
              ? "the piston rocks: both sides of the pin's axis are read"
              : "it has no sides");
    }
  }

  public Reading numbered(long newId) {
    return new Reading(newId, measurement, place, side, value, by, instrument, at, struck);
  }
}
