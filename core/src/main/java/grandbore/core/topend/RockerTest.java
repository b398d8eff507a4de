package grandbore.core.topend;

import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.Locale;

/**
 * What two dyno pulls say of the separation, the second with 0.1 more rocker ratio: the wider the
 * separation is than the engine wants, the more the ratio gains (common practice, no source). The
 * model's own gains by separation turn the gain seen into degrees.
 */
public final class RockerTest {
  private RockerTest() {}

  /**
   * @param degrees separations tried, rising
   * @param gains what the ratio gained at each, W
   * @param best separation that the band wants, degrees
   * @param seen gain of the two pulls, W
   */
  public static String says(
      double[] degrees, double[] gains, double best, double seen, UnitSystem units) {
    String gain = Quantity.POWER.show(seen, units);
    for (int i = 1; i < degrees.length; i++) {
      double a = gains[i - 1];
      double b = gains[i];
      if (a != b && (seen - a) * (seen - b) <= 0) {
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
    double most = Double.NEGATIVE_INFINITY;
    for (double g : gains) {
      most = Math.max(most, g);
    }
    return "A gain of %s is %s than the model has at any of these separations: look for another cause."
        .formatted(gain, seen > most ? "more" : "less");
  }
}
