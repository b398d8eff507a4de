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
 */
public record Step(String key, String does, Quantity reads, String instrument, boolean oneWay) {
  static Step act(String key, String does) {
    return new Step(key, does, null, "", false);
  }

  static Step read(String key, String does, Quantity reads, String instrument) {
    return new Step(key, does, reads, instrument, false);
  }

  /** Read only after turning the engine its own way. */
  static Step forward(String key, String does, Quantity reads, String instrument) {
    return new Step(key, does, reads, instrument, true);
  }

  public boolean isRead() {
    return reads != null;
  }
}
