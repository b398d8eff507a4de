package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;
import grandbore.core.units.UnitSystem;

/**
 * A band that somebody states: the maker for a part of this build, or the shop for all of its own.
 *
 * @param least SI
 * @param most SI; 0 where there is only a least
 * @param said by whom and where, as it is to be shown
 */
public record Rule(
    Measurement measurement,
    Reading.Side side,
    Band.Source source,
    double least,
    double most,
    String said)
    implements Note {
  public Rule {
    if (measurement == null || side == null || source == null || said == null) {
      throw new InvalidInput("Band", "missing parts", "all of them", "they are needed");
    }
    if (source == Band.Source.PRACTICE) {
      throw new InvalidInput(
          "Band of " + measurement.label(), "PRACTICE", "MAKER or HOUSE", "practice is built in");
    }
    if (!(least >= measurement.least() && least <= measurement.most())
        || most != 0 && !(most >= least && most <= measurement.most())) {
      throw new InvalidInput(
          "Band of " + measurement.label(),
          measurement.quantity().show(least, UnitSystem.US)
              + " to "
              + measurement.quantity().show(most, UnitSystem.US),
          "from a least to a most within "
              + measurement.quantity().show(measurement.least(), UnitSystem.US)
              + " and "
              + measurement.quantity().show(measurement.most(), UnitSystem.US),
          "the first is the smaller");
    }
  }

  /** The band that it states. */
  public Band band() {
    return new Band(least, most == 0 ? Double.POSITIVE_INFINITY : most, said, source);
  }
}
