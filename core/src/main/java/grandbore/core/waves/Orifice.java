package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;

/**
 * A throat between two reservoirs: a carburettor, a throttle, a ring gap. Flow in both directions.
 */
public final class Orifice {
  /** Pressures that differ by less than this share of themselves drive no flow. */
  private static final double STILL = 1e-9;

  private final WorkingGas gas;
  private final Reservoir from;
  private final Reservoir to;
  private double effectiveArea;
  private double mass;

  /**
   * @param effectiveArea m²
   */
  public Orifice(WorkingGas gas, Reservoir from, Reservoir to, double effectiveArea) {
    this.gas = gas;
    this.from = from;
    this.to = to;
    this.effectiveArea = effectiveArea;
  }

  /** Sets the effective area, m². */
  public void open(double effective) {
    effectiveArea = effective;
  }

  /** Effective area, m². */
  public double area() {
    return effectiveArea;
  }

  /**
   * Finds this step's flow and hands it to both sides. The other flows of the step are in already;
   * this one is taken as the pressures at the step's end would drive it, so that a wide throat
   * makes them alike and does not throw them over.
   */
  public void couple(double dt) {
    double here = from.pressureAhead();
    double there = to.pressureAhead();
    boolean forward = here >= there;
    var up = forward ? from : to;
    var down = forward ? to : from;
    double p0 = forward ? here : there;
    double p = forward ? there : here;
    double fall = dt * up.stiffness();
    double rise = dt * down.stiffness();
    double t = up.temperature();
    double y = up.burned();
    double r = gas.gasConstant(y);
    double gamma = 1 + r / gas.cv(t, y);
    double flow = 0;
    // The second time with the throat's coefficient as it is at the step's end.
    double high = p0;
    double low = p;
    for (int pass = 0; pass < 2 && high - low > STILL * p0; pass++) {
      double coefficient =
          effectiveArea * Nozzle.massFlux(high, t, r, gamma, low) / Math.sqrt(high - low);
      flow = answered(coefficient, p0 - p, fall + rise);
      high = p0 - flow * fall;
      low = p + flow * rise;
    }
    double dm = flow * dt;
    double de = dm * gas.enthalpy(t, y);
    up.receive(-dm, -de, -dm * y);
    down.receive(dm, de, dm * y);
    mass = forward ? flow : -flow;
  }

  /**
   * A flow that goes with the root of the difference that it takes away: the root of a quadratic.
   *
   * @param answer by which the pressures near each other for each kg/s, Pa s/kg
   */
  private static double answered(double coefficient, double difference, double answer) {
    double pull = coefficient * answer;
    return 2 * coefficient * difference / (pull + Math.sqrt(pull * pull + 4 * difference));
  }

  /** Mass flow from the first to the second reservoir, kg/s. */
  public double massFlow() {
    return mass;
  }
}
