package grandbore.core.compression;

import grandbore.core.combination.Brief.Part;
import grandbore.core.combination.Combination;

/** Reaches a compression ratio, or a chamber, by changing one thing. */
public final class RatioSolver {
  /** What can be changed to reach a ratio. */
  public enum Lever {
    DISH("compression.pistonVolume", Part.PISTONS),
    CHAMBER("compression.chamberVolume", Part.HEADS),
    GASKET("compression.gasketThickness", null),
    DECK("bottomEnd.blockDeck", Part.BLOCK);

    private final String path;
    private final Part part;

    Lever(String path, Part part) {
      this.path = path;
      this.part = part;
    }

    /** The input it is. */
    public String path() {
      return path;
    }

    /** Whether the brief leaves it free. */
    public boolean isFree(Combination c) {
      return part == null || !c.brief().kept().contains(part);
    }

    /** What it has to be for a ratio, the others as they are, SI. */
    public double forRatio(Combination c, double ratio) {
      double missing = c.bottomEnd().sweptVolume() / (ratio - 1) - c.clearanceVolume();
      var s = c.compression();
      return switch (this) {
        case DISH -> s.pistonVolume().si() + missing;
        case CHAMBER -> s.chamberVolume().si() + missing;
        case GASKET -> {
          double d = s.gasketBore().si();
          yield s.gasketThickness().si()
              + missing
                  / (s.gasketVolume().isKnown()
                      ? s.gasketVolume().si() / s.gasketThickness().si()
                      : Math.PI / 4 * d * d);
        }
        case DECK -> c.bottomEnd().blockDeck().si() + missing / c.bottomEnd().boreArea();
      };
    }
  }

  private RatioSolver() {}

  /**
   * Piston's volume from a fill down the bore to a crown so far below the deck, m³; dish positive.
   */
  public static double pistonVolume(Combination c, double depth, double fill) {
    return fill - c.bottomEnd().boreArea() * depth;
  }

  /** Plan area of a chamber from two fills a depth apart, m². */
  public static double planArea(double first, double second, double step) {
    return Math.abs(first - second) / step;
  }

  /** What to mill off a head so that its chambers come down to a volume, m. */
  public static double millDepth(double now, double wanted, double planArea) {
    return (now - wanted) / planArea;
  }
}
