package grandbore.core.job.orders;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.InvalidInput;
import grandbore.core.job.facts.Operation;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.units.UnitSystem;

/**
 * One thing that is to be done.
 *
 * @param words what exactly: “by corner, see the plan”
 * @param reading what is read before and after it, {@code null} where nothing is
 * @param place of the reading, from 1; 0 where nothing is read
 * @param from as it was measured before the order, SI; not a number where it was not
 * @param to wanted, SI; not a number where nothing is read
 * @param tolerance either side of that, SI
 * @param why it is done
 * @param price quoted, in the shop's currency
 */
public record OrderLine(
    EnginePart part,
    Operation operation,
    String words,
    Measurement reading,
    int place,
    Reading.Side side,
    double from,
    double to,
    double tolerance,
    String why,
    double price) {
  private static final int LONGEST = 600;

  public OrderLine {
    if (part == null || operation == null || side == null) {
      throw new InvalidInput("Line of an order", "no part, work or side", "all", "it is done so");
    }
    if (words == null || words.length() > LONGEST || why == null || why.length() > LONGEST) {
      throw new InvalidInput(
          operation.title() + ", words",
          "none or too long",
          "up to 600 characters",
          "they are read");
    }
    if (!(price >= 0 && price <= 10e6)) {
      throw new InvalidInput(
          operation.title() + ", price", "" + price, "0 to 10,000,000", "it is what is paid");
    }
    if (reading != null) {
      if (place < 1 || place > 24) {
        throw new InvalidInput(
            operation.title() + ", place", "" + place, "1 to 24", "it is read there");
      }
      if (!(to >= reading.least() && to <= reading.most()) || !(tolerance > 0)) {
        throw new InvalidInput(
            "%s, %s".formatted(operation.title(), reading.label()),
            "wanted %.6g ± %.3g (SI)".formatted(to, tolerance),
            "%.4g to %.4g with a tolerance above 0".formatted(reading.least(), reading.most()),
            "it is judged when it comes back");
      }
    }
  }

  /** Something that nothing is read of. */
  public OrderLine(EnginePart part, Operation operation, String words, String why, double price) {
    this(
        part,
        operation,
        words,
        null,
        0,
        Reading.Side.NONE,
        Double.NaN,
        Double.NaN,
        Double.NaN,
        why,
        price);
  }

  /** Whether something is read before and after. */
  public boolean isRead() {
    return reading != null;
  }

  /** One of its numbers in words; empty where nothing is read by it, or the number is not said. */
  public String shown(double si, UnitSystem units) {
    return isRead() && !Double.isNaN(si) ? reading.quantity().show(si, units) : "";
  }

  /** Its tolerance in words; empty where nothing is read by it. */
  public String toleranceShown(UnitSystem units) {
    return isRead() ? reading.quantity().showTolerance(tolerance, units) : "";
  }
}
