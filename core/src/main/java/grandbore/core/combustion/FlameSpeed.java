package grandbore.core.combustion;

import grandbore.core.gas.FuelKind;

/**
 * Laminar flame speed of a charge: J. B. Heywood, <i>Internal Combustion Engine Fundamentals</i>
 * (1988), equations 9.33 to 9.36 and table 9.3, after M. Metghalchi and J. C. Keck and D. B. Rhodes
 * and J. C. Keck (SAE 850047); coefficients from memory. Ethanol is given methanol's, blends what
 * lies between.
 */
public final class FlameSpeed {
  /** From this burned share on some cycles do not fire (Heywood, chapter 9.4, from memory). */
  private static final double PARTIAL = 0.33;

  private FlameSpeed() {}

  private static double dilution(double residual) {
    return 1 - 2.06 * Math.pow(residual, 0.77);
  }

  /**
   * Share of the charge that fires, taken over many cycles: all of it up to where partial burning
   * begins, none from where the flame's speed goes to nothing, 39 % of burned gas.
   */
  public static double firingShare(double residual) {
    return residual <= PARTIAL ? 1 : Math.max(0, dilution(residual) / dilution(PARTIAL));
  }

  private static double mix(double gasoline, double alcohol, double share) {
    return gasoline + share * (alcohol - gasoline);
  }

  /**
   * @param lambda air-fuel ratio over the stoichiometric one
   * @param residual share of burned gas in the charge
   * @return m/s
   */
  public static double at(
      FuelKind fuel, double lambda, double temperature, double pressure, double residual) {
    double phi = 1 / lambda;
    double t = temperature / 298;
    double p = pressure / 101_325;
    double spirit = fuel.alcoholShare();
    double base =
        mix(
            0.305 - 0.549 * (phi - 1.21) * (phi - 1.21),
            0.369 - 1.405 * (phi - 1.11) * (phi - 1.11),
            spirit);
    double alpha = mix(2.4 - 0.271 * Math.pow(phi, 3.51), 2.18 - 0.8 * (phi - 1), spirit);
    double beta = mix(-0.357 + 0.14 * Math.pow(phi, 2.77), -0.16 + 0.22 * (phi - 1), spirit);
    double dilution = dilution(Math.min(residual, PARTIAL));
    return Math.max(0.02, base) * Math.pow(t, alpha) * Math.pow(p, beta) * dilution;
  }
}
