package grandbore.core.prediction;

/**
 * Lengths of the cells wanted, m; pipes round to whole cells. And the step of the crank.
 *
 * @param intake colder gas, slower waves
 * @param exhaust hotter gas, faster waves
 * @param step rad, taken in parts where waves are too fast for it
 */
public record Mesh(double intake, double exhaust, double step) {
  static final int FEWEST = 3;

  /** The same cells at another step, rad. */
  Mesh withStep(double rad) {
    return new Mesh(intake, exhaust, rad);
  }

  static int cells(double length, double wanted) {
    return Math.max(FEWEST, (int) Math.round(length / wanted));
  }
}
