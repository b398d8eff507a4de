package grandbore.core.combustion;

import grandbore.core.gas.FuelKind;

/**
 * Laminar flame speed of a charge: J. B. Heywood, <i>Internal Combustion Engine Fundamentals</i>
 * (1988), equations 9.33 to 9.36 and table 9.3, after M. Metghalchi and J. C. Keck and D. B. Rhodes
 * and J. C. Keck (SAE 850047); coefficients from memory. Ethanol is given methanol's, blends what
 * lies between.
 */
public final class FlameSpeed {
  private FlameSpeed() {}

  private static double mix(double gasoline, double alcohol, double share) {
    return gasoline + share * (alcohol - gasoline);
  }

  /**
   * @param lambda air-fuel ratio over the stoichiometric one
   * @param residual share of burned gas in the charge
   * @return m/s
   */
  public static double at(
      FuelKind fuel, double lambda, double kelvin, double pascal, double residual) {
    double phi = 1 / lambda;
    double t = kelvin / 298;
    double p = pascal / 101_325;
    double spirit = fuel.alcoholShare();
    double base =
        mix(
            0.305 - 0.549 * (phi - 1.21) * (phi - 1.21),
            0.369 - 1.405 * (phi - 1.11) * (phi - 1.11),
            spirit);
    double alpha = mix(2.4 - 0.271 * Math.pow(phi, 3.51), 2.18 - 0.8 * (phi - 1), spirit);
    double beta = mix(-0.357 + 0.14 * Math.pow(phi, 2.77), -0.16 + 0.22 * (phi - 1), spirit);
    double dilution = Math.max(0.15, 1 - 2.06 * Math.pow(Math.min(residual, 0.4), 0.77));
    return Math.max(0.02, base) * Math.pow(t, alpha) * Math.pow(p, beta) * dilution;
  }
}
