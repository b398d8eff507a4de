package grandbore.core.prediction;

/**
 * Lengths of the cells wanted, m; pipes round to whole cells. And the step of the crank.
 *
 * @param intake colder gas, slower waves
 * @param exhaust hotter gas, faster waves
 * @param step rad, taken in parts where waves are too fast for it
 */
public record Mesh(double intake, double exhaust, double step) {
  private static final int FEWEST = 3;

  /** The parts of a log between two tees are short; together they are a long pipe. */
  private static final int FEWEST_OF_LOG = 2;

  /** The same cells at another step, rad. */
  Mesh withStep(double rad) {
    return new Mesh(intake, exhaust, rad);
  }

  static int cells(double length, double wanted) {
    return Math.max(FEWEST, (int) Math.round(length / wanted));
  }

  /** Cells of a part of a log. */
  int ofLog(double length) {
    return Math.max(FEWEST_OF_LOG, (int) Math.round(length / exhaust));
  }
}
