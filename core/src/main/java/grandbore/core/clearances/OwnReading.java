package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;

/**
 * One reading of a kind that the shop has added.
 *
 * @param kind its key
 * @param place from 1
 * @param point of the kind's, from 0
 * @param value SI
 */
public record OwnReading(String kind, int place, int point, double value, Taken taken)
    implements Note {
  public OwnReading {
    if (kind == null || kind.isBlank() || taken == null) {
      throw new InvalidInput("Reading", "of no kind, or by nobody", "both", "it is looked up");
    }
    if (place < 1 || place > 64 || point < 0 || point > 23) {
      throw new InvalidInput(
          kind, "place %d, point %d".formatted(place, point), "1 to 64 and 0 to 23", "it is there");
    }
    if (!Double.isFinite(value)) {
      throw new InvalidInput(kind, "" + value, "a number", "it is read");
    }
  }
}
