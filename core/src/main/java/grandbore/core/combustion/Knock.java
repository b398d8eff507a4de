package grandbore.core.combustion;

/**
 * Knock by the autoignition integral: the end gas fires when the sum of time over its ignition
 * delay reaches one. Delay of A. M. Douaud and P. Eyzat (SAE 780080) as given by Heywood (1988),
 * equation 9.29: 17.68 ms (ON / 100)^3.402 p^−1.7 exp(3800 / T), pressure in atmospheres; from
 * memory. ON is taken as the research octane number: the delay was found with reference fuels, and
 * engines since rank fuels by it rather than by the motor number (G. T. Kalghatgi, SAE
 * 2001-01-3584, from memory).
 */
public final class Knock {
  private static final double SCALE = 17.68e-3;
  private static final double OCTANE_POWER = 3.402;
  private static final double PRESSURE_POWER = 1.7;
  private static final double ACTIVATION = 3800;
  private static final double ATMOSPHERE = 101_325;

  private Knock() {}

  /** Delay to autoignition at a constant state, s. */
  public static double delay(double octane, double pressure, double temperature) {
    return 1 / rate(scale(octane), pressure, temperature);
  }

  /** What a fuel's octane number makes of the delay, s. */
  public static double scale(double octane) {
    return SCALE * Math.pow(octane / 100, OCTANE_POWER);
  }

  /**
   * One over the delay at a state, 1/s.
   *
   * @param scale of the fuel
   */
  public static double rate(double scale, double pressure, double temperature) {
    double exponent = PRESSURE_POWER * Math.log(pressure / ATMOSPHERE) - ACTIVATION / temperature;
    return Math.exp(exponent) / scale;
  }

  /** Whether a state is so cool and slack that the sum need not be told of it. */
  public static boolean isIdle(double pressure, double temperature) {
    return temperature < 500 || pressure < 4 * ATMOSPHERE;
  }

  /** The octane number that would just stand what gave this sum with a fuel of another. */
  public static double octaneWanted(double octane, double sum) {
    return octane * Math.pow(Math.max(sum, 1e-9), 1 / OCTANE_POWER);
  }
}
