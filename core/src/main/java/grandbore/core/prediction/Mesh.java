package grandbore.core.prediction;

/**
 * Lengths of the cells wanted, m; pipes round to whole cells.
 *
 * @param intake colder gas, slower waves
 * @param exhaust hotter gas, faster waves
 */
public record Mesh(double intake, double exhaust) {
  static final int FEWEST = 3;

  static int cells(double length, double wanted) {
    return Math.max(FEWEST, (int) Math.round(length / wanted));
  }
}
