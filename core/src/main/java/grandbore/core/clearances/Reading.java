package grandbore.core.clearances;

import grandbore.core.combination.Bounds;
import grandbore.core.combination.InvalidInput;
import grandbore.core.units.UnitSystem;
import java.time.Instant;

/**
 * One reading as it was taken; never changed, only superseded by a later one.
 *
 * @param place cylinder, main bearing or throw, from 1; 1 where there is but one
 * @param side none as well where both sides of the pin are read at once, by a bridge along it
 * @param value SI
 * @param struck whether a later correction took its place
 */
public record Reading(
    long id,
    Measurement measurement,
    int place,
    Side side,
    double value,
    Taken taken,
    boolean struck) {

  /** Side of the pin's axis, or which valve. */
  public enum Side {
    NONE(""),
    THRUST("thrust side"),
    OPPOSITE("anti-thrust side"),
    INTAKE("intake"),
    EXHAUST("exhaust");

    private final String word;

    Side(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  public Reading(
      long id,
      Measurement measurement,
      int place,
      Side side,
      double value,
      String by,
      String instrument,
      Instant at,
      boolean struck) {
    this(id, measurement, place, side, value, Taken.by(by, instrument, at), struck);
  }

  public Reading {
    if (place < 1 || place > 13) {
      throw new InvalidInput(
          measurement.label() + " place", String.valueOf(place), "1 to 13", "it is a number");
    }
    if (!Bounds.hold(value, measurement.least(), measurement.most())) {
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
    boolean bridged = measurement.isTwoSided() && side == Side.NONE;
    if (!bridged && !measurement.sides().all().contains(side)) {
      throw new InvalidInput(
          measurement.label() + " " + place + " side",
          side.name(),
          String.join(" or ", measurement.sides().all().stream().map(Enum::name).toList()),
          measurement.isTwoSided()
              ? "the piston rocks: both sides of the pin's axis are read"
              : "that is where it is read");
    }
  }

  public Reading numbered(long newId) {
    return new Reading(newId, measurement, place, side, value, taken, struck);
  }

  /** The same reading struck out, or not. */
  public Reading struck(boolean is) {
    return new Reading(id, measurement, place, side, value, taken, is);
  }

  /** Where it was read, in words. */
  public String where() {
    return measurement.at(place, side);
  }
}
