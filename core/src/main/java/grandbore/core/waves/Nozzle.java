package grandbore.core.waves;

/**
 * Steady isentropic flow through a throat of given effective area, choked or not. NACA Report 1135
 * (1953), equations 43 to 58; J. B. Heywood, <i>Internal Combustion Engine Fundamentals</i> (1988),
 * appendix C.
 */
public final class Nozzle {
  private Nozzle() {}

  /** Downstream over upstream pressure at which the throat reaches the speed of sound. */
  public static double criticalRatio(double gamma) {
    return Math.pow(2 / (gamma + 1), gamma / (gamma - 1));
  }

  /**
   * Mass flow through one square metre of throat, kg/(s m²).
   *
   * @param p0 upstream stagnation pressure, Pa
   * @param t0 upstream stagnation temperature, K
   * @param p pressure at the throat where not choked, Pa
   */
  public static double massFlux(double p0, double t0, double gasConstant, double gamma, double p) {
    double ratio = p / p0;
    if (ratio >= 1) {
      return 0;
    }
    double power = Math.pow(ratio, (gamma - 1) / gamma);
    double critical = 2 / (gamma + 1);
    if (power < critical) {
      power = critical;
      ratio = Math.pow(critical, gamma / (gamma - 1));
    }
    double velocity =
        Math.sqrt(2 * gamma / (gamma - 1) * gasConstant * t0 * Math.max(0, 1 - power));
    return p0 * ratio / (gasConstant * t0 * power) * velocity;
  }

  /** Effective area, m², that passes a mass flow between two pressures at rest upstream. */
  public static double effectiveArea(
      double massFlow, double p0, double t0, double gasConstant, double gamma, double p) {
    return massFlow / massFlux(p0, t0, gasConstant, gamma, p);
  }
}
