package grandbore.core.combination;

import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;

/**
 * One input: never a bare number of unknown origin.
 *
 * @param si value in SI units
 * @param spread one standard deviation, SI
 * @param typed as the builder wrote it, empty where it was not typed
 */
public record Given(
    double si, Quantity quantity, Provenance provenance, double spread, String typed) {
  /** More than anybody writes for a number. */
  private static final int LONGEST = 60;

  public Given {
    typed = typed == null || typed.length() > LONGEST ? "" : typed;
  }

  /** An input that was not typed. */
  public Given(double si, Quantity quantity, Provenance provenance, double spread) {
    this(si, quantity, provenance, spread, "");
  }

  /** An input whose spread is the usual one of its provenance. */
  public static Given of(double value, Measure unit, Quantity quantity, Provenance provenance) {
    double si = unit.toSi(value);
    return new Given(si, quantity, provenance, usualSpread(si, quantity, provenance));
  }

  /** The usual spread: a share of the value, for angles and temperatures a fixed amount. */
  public static double usualSpread(double si, Quantity quantity, Provenance provenance) {
    double share = provenance.relativeSpread();
    return switch (quantity) {
      case ANGLE -> share * Math.toRadians(75);
      case TEMPERATURE -> share * 100;
      default -> share * Math.abs(si);
    };
  }

  /** Whether an optional input was said. */
  public boolean isKnown() {
    return si != 0;
  }

  public Given with(double newSi, Provenance from) {
    return new Given(newSi, quantity, from, usualSpread(newSi, quantity, from));
  }

  /** The same number with the words it was written in. */
  public Given as(String written) {
    return new Given(si, quantity, provenance, spread, written.strip());
  }
}
