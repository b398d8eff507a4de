package grandbore.core.combustion;

import grandbore.core.gas.FuelKind;

/**
 * Laminar flame speed of a charge. With φ the fuel over what the air burns:
 *
 * <pre>
 * S = W φ^η exp(−ξ (φ − 1.075)²) (T_u / 298 K)^α (p / 1 atm)^β (1 − 2.06 x^0.77)
 * </pre>
 *
 * <p>Ö. L. Gülder, SAE 841000: W, η, ξ, α, β are 0.4658, −0.326, 4.48, 1.56, −0.22 for isooctane,
 * 0.492, 0.25, 5.11, 1.75, −0.2 for methanol and 0.465, 0.25, 6.34, 1.75, −0.17 for ethanol; the
 * share x of burned gas after D. B. Rhodes and J. C. Keck (SAE 850047). All from memory. Gasoline
 * is taken as isooctane, a blend lies between by its share of spirit.
 */
public final class FlameSpeed {
  /**
   * From this burned share on some cycles do not fire, and an idle is rough (Heywood, chapter 9.4,
   * from memory).
   */
  public static final double PARTIAL = 0.33;

  private static final double ROOM = 298;
  private static final double ATMOSPHERE = 101_325;
  private static final double RICHEST = 1.075;

  /** One fuel's constants. */
  private record Constants(double w, double eta, double xi, double alpha, double beta) {
    static final Constants ISOOCTANE = new Constants(0.4658, -0.326, 4.48, 1.56, -0.22);
    static final Constants METHANOL = new Constants(0.492, 0.25, 5.11, 1.75, -0.2);
    static final Constants ETHANOL = new Constants(0.465, 0.25, 6.34, 1.75, -0.17);

    static Constants of(FuelKind fuel) {
      return switch (fuel) {
        case METHANOL -> METHANOL;
        case ETHANOL -> ETHANOL;
        default -> ISOOCTANE.toward(ETHANOL, fuel.alcoholShare());
      };
    }

    private Constants toward(Constants o, double share) {
      return new Constants(
          w + share * (o.w - w),
          eta + share * (o.eta - eta),
          xi + share * (o.xi - xi),
          alpha + share * (o.alpha - alpha),
          beta + share * (o.beta - beta));
    }

    double logarithmAtRoom(double phi) {
      return Math.log(w) + eta * Math.log(phi) - xi * (phi - RICHEST) * (phi - RICHEST);
    }
  }

  private final double base;
  private final double alpha;
  private final double beta;
  private final double complete;

  /**
   * @param lambda air-fuel ratio over the stoichiometric one
   */
  public FlameSpeed(FuelKind fuel, double lambda) {
    var k = Constants.of(fuel);
    base = k.logarithmAtRoom(1 / lambda);
    alpha = k.alpha;
    beta = k.beta;
    complete = Completeness.at(lambda);
  }

  /** Share of what could burn of the mixture that burns in the end. */
  public double complete() {
    return complete;
  }

  private static double dilution(double residual) {
    return 1 - 2.06 * Math.pow(residual, 0.77);
  }

  /**
   * What burned gas in the charge leaves of its speed: no less than at the share from which on only
   * some cycles fire.
   */
  public static double left(double residual) {
    return dilution(Math.min(residual, PARTIAL));
  }

  /**
   * Share of the charge that fires, taken over many cycles: all of it up to where partial burning
   * begins, none from where the flame's speed goes to nothing, 39 % of burned gas.
   */
  public static double firingShare(double residual) {
    return residual <= PARTIAL ? 1 : Math.max(0, dilution(residual) / dilution(PARTIAL));
  }

  /** Of a charge without burned gas, m/s. */
  public double clean(double temperature, double pressure) {
    return Math.exp(
        base + alpha * Math.log(temperature / ROOM) + beta * Math.log(pressure / ATMOSPHERE));
  }

  /**
   * @param residual share of burned gas in the charge
   * @return m/s
   */
  public double at(double temperature, double pressure, double residual) {
    return clean(temperature, pressure) * left(residual);
  }
}
