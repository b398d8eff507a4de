package grandbore.core.guided;

import grandbore.core.units.Quantity;

/**
 * One thing to do, and what to read once it is done.
 *
 * @param key of what is read
 * @param does what to do, in the imperative
 * @param reads what kind of number is read; none where there is only something to do
 * @param instrument the word of the instrument that reads it, empty where any does
 * @param oneWay whether the crank must have come to it turning forward
 * @param count from where it is counted
 */
public record Step(
    String key, String does, Quantity reads, String instrument, boolean oneWay, Count count) {
  /** From where an angle is counted. */
  public enum Count {
    AS_READ,
    BEFORE_TOP,
    AFTER_TOP,
    BEFORE_BOTTOM,
    AFTER_BOTTOM
  }

  static Step act(String key, String does) {
    return new Step(key, does, null, "", false, Count.AS_READ);
  }

  static Step read(String key, String does, Quantity reads, String instrument) {
    return new Step(key, does, reads, instrument, false, Count.AS_READ);
  }

  /** Read only after turning the engine its own way. */
  static Step forward(String key, String does, Quantity reads, String instrument) {
    return new Step(key, does, reads, instrument, true, Count.AS_READ);
  }

  Step counted(Count from) {
    return new Step(key, does, reads, instrument, oneWay, from);
  }

  /** What an instrument sent, counted as the step asks for; an encoder counts from top, forward. */
  public double counted(double sent) {
    double angle =
        switch (count) {
          case AS_READ, AFTER_TOP -> sent;
          case BEFORE_TOP -> -sent;
          case BEFORE_BOTTOM -> Math.PI - sent;
          case AFTER_BOTTOM -> sent + Math.PI;
        };
    return count == Count.AS_READ ? angle : angle - 2 * Math.PI * Math.rint(angle / (2 * Math.PI));
  }

  public boolean isRead() {
    return reads != null;
  }
}
