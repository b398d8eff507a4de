package grandbore.core.job.cuts;

import grandbore.core.combination.InvalidInput;
import java.util.stream.DoubleStream;

/**
 * The plane of a deck from how far it stands above the crank's axis at its four corners, and what
 * has to come off at each so that it is square at one height.
 *
 * <p>With x from −1 at the front to 1 at the rear, y from −1 at the valley to 1 at the outer side,
 * the plane h = a + b·x + c·y that is nearest to four corners has a = mean, b and c a quarter of
 * the differences across; what the corners keep beyond it is one number with alternating signs, the
 * twist t = (h₁ − h₂ − h₃ + h₄)/4.
 *
 * @param mean height in the middle, m
 * @param along how much the rear stands above the middle, m
 * @param across how much the outer side stands above it, m
 * @param twist by which the corners leave the plane, m
 */
public record DeckPlane(double mean, double along, double across, double twist) {
  /** The corners, in the order in which they are read. */
  public enum Corner {
    FRONT_VALLEY("front, valley", -1, -1),
    FRONT_OUTER("front, outer", -1, 1),
    REAR_VALLEY("rear, valley", 1, -1),
    REAR_OUTER("rear, outer", 1, 1);

    private final String title;
    private final int x;
    private final int y;

    Corner(String title, int x, int y) {
      this.title = title;
      this.x = x;
      this.y = y;
    }

    public String title() {
      return title;
    }
  }

  /**
   * From four readings.
   *
   * @param heights above the crank's axis at the corners, in their order, m
   */
  public static DeckPlane of(double... heights) {
    int n = Corner.values().length;
    if (heights.length != n) {
      throw new InvalidInput(
          "Corners of the deck", heights.length + " readings", "4 readings", "it has four");
    }
    double mean = 0;
    double along = 0;
    double across = 0;
    double twist = 0;
    for (var c : Corner.values()) {
      double h = heights[c.ordinal()];
      if (!(h > 0.05 && h < 0.6)) {
        throw new InvalidInput(
            "Deck, " + c.title,
            "%.2f mm".formatted(1e3 * h),
            "50 to 600 mm (1.97 to 23.6 in)",
            "it is measured from the crank's axis");
      }
      mean += h / n;
      along += c.x * h / n;
      across += c.y * h / n;
      twist += c.x * c.y * h / n;
    }
    return new DeckPlane(mean, along, across, twist);
  }

  /** Height at a corner as it was read, m. */
  public double height(Corner c) {
    return at(c.x, c.y) + c.x * c.y * twist;
  }

  /**
   * Height of the plane.
   *
   * @param x −1 at the front corners to 1 at the rear ones
   * @param y −1 at the valley to 1 at the outer side
   */
  public double at(double x, double y) {
    return mean + along * x + across * y;
  }

  /**
   * What comes off at a corner so that the deck stands at one height, m; below 0: it is too low.
   */
  public double cut(Corner c, double wanted) {
    return height(c) - wanted;
  }

  /** The greatest height at which a cut still cleans up everywhere, m. */
  public double cleanUp() {
    return DoubleStream.of(corners()).min().orElseThrow();
  }

  /** Most that comes off at a corner for a height, m. */
  public double deepest(double wanted) {
    return DoubleStream.of(corners()).max().orElseThrow() - wanted;
  }

  private double[] corners() {
    return java.util.Arrays.stream(Corner.values()).mapToDouble(this::height).toArray();
  }

  /**
   * What comes off over a cylinder, m.
   *
   * @param row of the cylinder in its bank, from 0 at the front
   * @param rows how many stand in the bank
   * @param wanted height, m
   * @param reach distance of the corners that were read over that of the outer cylinders' axes, 1
   *     or more
   */
  public double over(int row, int rows, double wanted, double reach) {
    double x = rows < 2 ? 0 : (2.0 * row / (rows - 1) - 1) / reach;
    return at(x, 0) - wanted;
  }
}
