package grandbore.core.prediction;

/**
 * Lengths of the cells wanted, m; pipes round to whole cells. And the step of the crank.
 *
 * <p>A second-order scheme shifts a wave by an error that goes with the square of the cells and
 * with the way the wave goes. In a cycle that way is as much shorter as the engine turns faster, so
 * that cells of
 *
 * <pre>
 * Δx = Δx₀ √(N / N₀),   N ≥ N₀
 * </pre>
 *
 * <p>leave the same error in a cycle at every speed N. The steps grow with them, as far as waves
 * and the longest part of a step allow.
 *
 * @param intake colder gas, slower waves
 * @param exhaust hotter gas, faster waves
 * @param step rad, taken in parts where waves are too fast for it
 * @param from the speed N₀ beyond which cells and steps are longer, rev/min
 */
public record Mesh(double intake, double exhaust, double step, double from) {
  /** Long enough to be taken in parts that come near to what waves allow, rad. */
  private static final double LONG_STEP = Math.toRadians(9);

  private static final int FEWEST = 3;

  /** The parts of a log between two tees are short; together they are a long pipe. */
  private static final int FEWEST_OF_LOG = 2;

  /** Cells that are as long at every speed. */
  public Mesh(double intake, double exhaust, double step) {
    this(intake, exhaust, step, Double.POSITIVE_INFINITY);
  }

  /** These cells at every speed, at another step, rad. */
  Mesh withStep(double rad) {
    return new Mesh(intake, exhaust, rad);
  }

  /** The cells at one speed, rev/min. */
  Mesh at(double rpm) {
    if (rpm <= from) {
      return new Mesh(intake, exhaust, step);
    }
    double longer = Math.sqrt(rpm / from);
    return new Mesh(longer * intake, longer * exhaust, LONG_STEP);
  }

  static int cells(double length, double wanted) {
    return Math.max(FEWEST, (int) Math.round(length / wanted));
  }

  /** Cells of a part of a log. */
  int ofLog(double length) {
    return Math.max(FEWEST_OF_LOG, (int) Math.round(length / exhaust));
  }
}
