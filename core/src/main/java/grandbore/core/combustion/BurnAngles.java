package grandbore.core.combustion;

import grandbore.core.gas.FuelKind;

/**
 * Development and rapid burning angle by the correlation of S. D. Hires, R. J. Tabaczynski and J.
 * M. Novak (SAE 780232), as given by Heywood (1988), equations 9.39 and 9.40: development goes with
 * (piston speed × viscosity)^(1/3) (height / flame speed)^(2/3), rapid burning with the same and
 * with bore over height.
 *
 * <p>The two constants are anchored once for all engines: 28.5° and 29.5° for a two-valve chamber
 * of 100 mm bore and stroke at 16.7 m/s, in the range of Heywood's chapter 9 for wide-open engines
 * (from memory). With them wedge-chambered eights of four-inch bores make most torque with 34° to
 * 38° of spark where their power peaks, as they do on dynos (common practice, no source). A central
 * plug between four or five valves shortens the path of the flame by the geometry of the bore.
 *
 * @param flamePath flame travel over that of a two-valve chamber of the same bore
 * @param speed of the flame over what the correlation gives, as far as pulls have taught it
 */
public record BurnAngles(
    double bore, double flamePath, FuelKind fuel, double lambda, double speed) {
  private static final double ANCHOR_DEVELOPMENT = Math.toRadians(28.5);
  private static final double ANCHOR_RAPID = Math.toRadians(29.5);
  private static final double ANCHOR_SPEED = 16.7;
  private static final double ANCHOR_HEIGHT = 0.0105;
  private static final double ANCHOR_BORE = 0.100;
  private static final double ANCHOR_KELVIN = 680;
  private static final double ANCHOR_PASCAL = 1.3e6;
  private static final double ANCHOR_RESIDUAL = 0.06;
  private static final double ANCHOR_LAMBDA = 0.88;

  /** Plug off the bore's middle, as a share of the bore, in a usual two-valve chamber. */
  private static final double USUAL_PLUG = 0.25;

  /** As the correlation has it. */
  public BurnAngles(double bore, double flamePath, FuelKind fuel, double lambda) {
    this(bore, flamePath, fuel, lambda, 1);
  }

  /** The path for a head of so many valves in each cylinder, its plug where it usually is. */
  public static double flamePathFor(int valves) {
    return valves >= 4 ? flamePathFrom(0, 1) : 1;
  }

  /** The path from a plug that stands so far off the middle, or, at zero, where it usually is. */
  public static double flamePath(int valves, double offset, double bore) {
    return offset > 0 ? flamePathFrom(offset, bore) : flamePathFor(valves);
  }

  /** The path from a plug so far off the bore's middle to the farthest wall (geometry). */
  public static double flamePathFrom(double offset, double bore) {
    return (0.5 + offset / bore) / (0.5 + USUAL_PLUG);
  }

  /**
   * @param meanPistonSpeed m/s
   * @param height mean height of the chamber at top centre, m
   * @param temperature of the unburned charge near the spark
   * @param residual burned share of the charge
   */
  public Burn at(
      double meanPistonSpeed, double height, double temperature, double pressure, double residual) {
    double viscosity = viscosity(temperature, pressure) / viscosity(ANCHOR_KELVIN, ANCHOR_PASCAL);
    double flame =
        FlameSpeed.at(fuel, lambda, temperature, pressure, residual)
            / FlameSpeed.at(
                FuelKind.PUMP_93, ANCHOR_LAMBDA, ANCHOR_KELVIN, ANCHOR_PASCAL, ANCHOR_RESIDUAL);
    double h = height / ANCHOR_HEIGHT;
    double common =
        Math.cbrt(meanPistonSpeed / ANCHOR_SPEED * viscosity)
            * Math.pow(h / flame, 2.0 / 3)
            / speed;
    double path = flamePath * bore / ANCHOR_BORE / h;
    return new Burn(
        ANCHOR_DEVELOPMENT * common * Math.sqrt(flamePath), ANCHOR_RAPID * common * path);
  }

  /** Kinematic viscosity up to a constant. */
  private static double viscosity(double temperature, double pressure) {
    return Math.pow(temperature, 1.7) / pressure;
  }
}
