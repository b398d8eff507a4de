package grandbore.core.topend;

import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.Locale;

/**
 * What two dyno pulls say of the separation, the second with 0.1 more rocker ratio. Practice: a
 * large gain says that the separation is too wide, little or none that it is right or too tight
 * (common practice, no source). Where the model's own gain rises with separation throughout, it
 * turns the gain seen into degrees; where it does not, one gain belongs to several separations and
 * nothing is read backwards.
 */
public final class RockerReading {
  /** Practice: 20 to 25 hp of some 500 where it is 2 to 3° too wide. */
  private static final double LARGE = 0.03;

  private static final double LITTLE = 0.01;

  private RockerReading() {}

  /**
   * @param degrees separations tried, rising
   * @param gains what the ratio gained at each, W
   * @param best separation that the band wants, degrees
   * @param power average over the band as it is, W
   * @param seen gain of the two pulls, W
   */
  public static String says(
      double[] degrees, double[] gains, double best, double power, double seen, UnitSystem units) {
    return rises(gains)
        ? backwards(degrees, gains, best, seen, units)
        : practice(degrees, gains, power, seen, units);
  }

  private static boolean rises(double... gains) {
    for (int i = 1; i < gains.length; i++) {
      if (gains[i] <= gains[i - 1]) {
        return false;
      }
    }
    return true;
  }

  private static String backwards(
      double[] degrees, double[] gains, double best, double seen, UnitSystem units) {
    String gain = Quantity.POWER.show(seen, units);
    for (int i = 1; i < degrees.length; i++) {
      double a = gains[i - 1];
      double b = gains[i];
      if (seen >= a && seen <= b) {
        double at = degrees[i - 1] + (degrees[i] - degrees[i - 1]) * (seen - a) / (b - a);
        double off = at - best;
        return String.format(
            Locale.US,
            "A gain of %s is what the model has at %.1f°: %s.",
            gain,
            at,
            Math.abs(off) < 0.75
                ? "the separation is right, within what two pulls can tell"
                : String.format(
                    Locale.US,
                    "as if the lobes stood %.1f° too %s",
                    Math.abs(off),
                    off > 0 ? "wide" : "tight"));
      }
    }
    return "A gain of %s is %s than the model has at any of these separations: look for another cause."
        .formatted(gain, seen > gains[gains.length - 1] ? "more" : "less");
  }

  private static String practice(
      double[] degrees, double[] gains, double power, double seen, UnitSystem units) {
    int last = degrees.length - 1;
    double share = seen / power;
    String says =
        share >= LARGE
            ? "a gain that large says too wide"
            : share <= LITTLE
                ? "so little says right, or too tight"
                : "so much lies between right and too wide, and says neither";
    return String.format(
        Locale.US,
        "The model's gain does not rise with separation throughout here (%s at %.1f°, %s at %.1f°),"
            + " so that a gain of %s is not read backwards into degrees. By practice %s.",
        Quantity.POWER.show(gains[0], units),
        degrees[0],
        Quantity.POWER.show(gains[last], units),
        degrees[last],
        Quantity.POWER.show(seen, units),
        says);
  }
}
