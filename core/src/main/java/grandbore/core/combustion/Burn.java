package grandbore.core.combustion;

/**
 * The burned share of the charge against crank angle: Wiebe's function with a = 5, m = 2 (Heywood
 * 1988, equation 9.27), laid through the development angle (spark to 10 %) and the rapid burning
 * angle (10 to 90 %).
 *
 * @param development rad
 * @param rapid rad
 */
public record Burn(double development, double rapid) {
  private static final double A = 5;
  private static final double AT_10 = Math.cbrt(Math.log(1 / 0.9) / A);
  private static final double AT_90 = Math.cbrt(Math.log(1 / 0.1) / A);

  /** Crank angle from the spark to where Wiebe's function starts, rad. */
  public double delay() {
    return development - AT_10 * total();
  }

  private double total() {
    return rapid / (AT_90 - AT_10);
  }

  /** Share burned at an angle after the spark, rad. */
  public double at(double afterSpark) {
    double x = (afterSpark - delay()) / total();
    return x <= 0 ? 0 : 1 - Math.exp(-A * x * x * x);
  }
}
