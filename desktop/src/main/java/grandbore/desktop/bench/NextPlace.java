package grandbore.desktop.bench;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading.Side;

/**
 * A place to measure.
 *
 * @param place from 1
 */
record NextPlace(Measurement measurement, int place, Side side) {
  static NextPlace first(Measurement m) {
    return new NextPlace(m, 1, m.sides().all().getFirst());
  }

  /**
   * The one after it, round and round: the other side, then the next place.
   *
   * @param places that there are
   */
  NextPlace next(int places) {
    var sides = measurement.sides().all();
    int at = sides.indexOf(side);
    return at + 1 < sides.size()
        ? new NextPlace(measurement, place, sides.get(at + 1))
        : new NextPlace(measurement, place % places + 1, sides.getFirst());
  }

  /** In words. */
  String words() {
    return measurement.at(place, side);
  }
}
