package grandbore.core.combination;

/**
 * Whether a number lies between its limits. A limit typed in one unit and kept in another comes
 * back a rounding beside itself, so that a limit is as wide as a billionth of the larger one; a
 * limit of zero is zero in any unit and has no width.
 */
public final class Bounds {
  private static final double ROUNDING = 1e-9;

  private Bounds() {}

  /** Whether the value is from least to most, both included; never where it is no number. */
  public static boolean hold(double value, double least, double most) {
    double slack = ROUNDING * Math.max(Math.abs(least), Math.abs(most));
    return value >= (least == 0 ? 0 : least - slack) && value <= (most == 0 ? 0 : most + slack);
  }
}
