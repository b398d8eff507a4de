package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;

/**
 * A band that somebody states: the maker for a part of this build, or the shop for all of its own.
 *
 * @param least SI
 * @param most SI; 0 where there is only a least
 * @param said by whom and where, as it is to be shown
 * @param perBore whether least and most are for each unit of bore
 */
public record Rule(
    Measurement measurement,
    Reading.Side side,
    Band.Source source,
    double least,
    double most,
    String said,
    boolean perBore)
    implements Note {
  /** A share of the bore that nothing is wider than. */
  private static final double WIDEST = 0.1;

  /** A band in lengths, or in whatever is measured. */
  public Rule(
      Measurement measurement,
      Reading.Side side,
      Band.Source source,
      double least,
      double most,
      String said) {
    this(measurement, side, source, least, most, said, false);
  }

  public Rule {
    if (measurement == null || side == null || source == null || said == null) {
      throw new InvalidInput("Band", "missing parts", "all of them", "they are needed");
    }
    if (source == Band.Source.PRACTICE) {
      throw new InvalidInput(
          "Band of " + measurement.label(), "PRACTICE", "MAKER or HOUSE", "practice is built in");
    }
    if (perBore) {
      checkShares(measurement, least, most);
    } else if (!(least >= measurement.least() && least <= measurement.most())
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

  private static void checkShares(Measurement m, double least, double most) {
    if (m.quantity() != Quantity.CLEARANCE
        || !(least >= 0 && least <= WIDEST)
        || most != 0 && !(most >= least && most <= WIDEST)) {
      throw new InvalidInput(
          "Band of %s by the bore".formatted(m.label()),
          "%.5f to %.5f".formatted(least, most),
          "a clearance, 0 to 0.1 for each unit of bore, the least first",
          "it grows with the bore");
    }
  }

  /**
   * The band that it states on an engine of a bore.
   *
   * @param bore m
   */
  public Band band(double bore) {
    double by = perBore ? bore : 1;
    return new Band(by * least, most == 0 ? Double.POSITIVE_INFINITY : by * most, said, source);
  }
}
