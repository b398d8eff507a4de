package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;

/**
 * A throat between two reservoirs: a carburettor, a throttle, a ring gap. Flow in both directions.
 */
public final class Orifice {
  private final WorkingGas gas;
  private final Reservoir from;
  private final Reservoir to;
  private double effectiveArea;
  private double mass;

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

  public double area() {
    return effectiveArea;
  }

  /** Finds this step's flow and hands it to both sides. */
  public void couple(double dt) {
    boolean forward = from.pressure() >= to.pressure();
    var up = forward ? from : to;
    var down = forward ? to : from;
    double t = up.temperature();
    double y = up.burned();
    double r = gas.gasConstant(y);
    double flow =
        effectiveArea * Nozzle.massFlux(up.pressure(), t, r, 1 + r / gas.cv(t, y), down.pressure());
    double dm = flow * dt;
    double de = dm * gas.enthalpy(t, y);
    up.receive(-dm, -de, -dm * y);
    down.receive(dm, de, dm * y);
    mass = forward ? flow : -flow;
  }

  /** Mass flow from the first to the second reservoir, kg/s. */
  public double massFlow() {
    return mass;
  }
}
