package grandbore.core.changes;

import grandbore.core.combination.InvalidInput;

/**
 * What a change costs, in the shop's currency.
 *
 * @param price of the parts
 * @param labour paid to others
 * @param hours of the shop's own work
 */
public record Cost(double price, double labour, double hours) {
  public static final Cost NONE = new Cost(0, 0, 0);

  private static final double MOST = 10e6;
  private static final double MOST_HOURS = 10_000;

  public Cost {
    check("Price", price, MOST);
    check("Outside labour", labour, MOST);
    check("Hours", hours, MOST_HOURS);
  }

  private static void check(String field, double value, double most) {
    if (!(value >= 0 && value <= most)) {
      throw new InvalidInput(
          field, String.valueOf(value), "0 to %.0f".formatted(most), "it is what is paid");
    }
  }

  /** Both together. */
  public Cost plus(Cost o) {
    return new Cost(price + o.price, labour + o.labour, hours + o.hours);
  }

  /** Money that leaves the shop; its own hours are not in it. */
  public double money() {
    return price + labour;
  }
}
