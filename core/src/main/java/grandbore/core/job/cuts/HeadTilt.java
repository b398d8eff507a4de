package grandbore.core.job.cuts;

import grandbore.core.combination.InvalidInput;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How a head stands against its chambers, from fills of the first and the last of them, and what
 * levels it.
 *
 * <p>A chamber loses its plan area times the depth that is milled over it:
 *
 * <pre>
 *   cut over a chamber     z_i = (V_i − V_wanted) / A
 *   tilt                   s = (z_n − z_1) / L
 *   at a distance x from chamber 1   z(x) = z_1 + s·x
 *   shim under the end that is cut less, at its bolts   |z(x_rear) − z(x_front)|
 * </pre>
 *
 * @param first cut over the first chamber, m; below 0 where it is too small already
 * @param last cut over the last
 * @param slope by which the cut grows from one to the other, m per m
 */
public record HeadTilt(double first, double last, double slope) {
  /**
   * From two fills.
   *
   * @param front volume of the first chamber, m³
   * @param rear volume of the last
   * @param wanted of all
   * @param planArea of a chamber, m²
   * @param length from the first chamber's middle to the last's, m
   */
  public static HeadTilt of(
      double front, double rear, double wanted, double planArea, double length) {
    check("First chamber", front, 5e-6, 300e-6, "m³");
    check("Last chamber", rear, 5e-6, 300e-6, "m³");
    check("Chamber wanted", wanted, 5e-6, 300e-6, "m³");
    check("Chamber's plan area", planArea, 1e-3, 0.03, "m²");
    check("From the first chamber to the last", length, 0.05, 1.5, "m");
    double a = (front - wanted) / planArea;
    double b = (rear - wanted) / planArea;
    return new HeadTilt(a, b, (b - a) / length);
  }

  private static void check(String field, double value, double least, double most, String unit) {
    if (!(value >= least && value <= most)) {
      throw new InvalidInput(
          field,
          "%.4g %s".formatted(value, unit),
          "%.3g to %.3g %s".formatted(least, most, unit),
          "no head is outside of that");
    }
  }

  /** Cut at a distance behind the first chamber, m; the head's front end is before 0. */
  public double at(double x) {
    return first + slope * x;
  }

  /**
   * Shim for the mill's table so that the head is cut level, m.
   *
   * @param apart distance from one support of the head to the other, m
   */
  public double shim(double apart) {
    return Math.abs(slope) * apart;
  }

  /** Whether the shim goes under the last chamber's end: what is raised is cut more. */
  public boolean isShimAtRear() {
    return slope > 0;
  }

  /** Volumes of all chambers between after the cut, were they alike in a line before, m³. */
  public static List<Double> between(double front, double rear, int chambers) {
    return IntStream.range(0, chambers)
        .mapToObj(i -> chambers < 2 ? front : front + (rear - front) * i / (chambers - 1))
        .toList();
  }
}
