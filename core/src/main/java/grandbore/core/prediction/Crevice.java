package grandbore.core.prediction;

import grandbore.core.gas.WorkingGas;
import grandbore.core.waves.Nozzle;

/**
 * The space above the top ring and what leaks past the ring's gap: gas at the cylinder's pressure
 * and the wall's temperature (Heywood 1988, section 8.6). It takes charge in while pressure rises
 * and gives it back, cooled, while it falls; some goes on through the gap into the crankcase.
 */
final class Crevice {
  private static final double WALL = 430;
  private static final double GAP_COEFFICIENT = 0.86;

  /** Pressure ratio below which the gap is choked. */
  private static final double CRITICAL = 0.53;

  /** Ratio of specific heats of what it takes from. */
  private static final double GAMMA = 1.3;

  /** Where a step's exchange turns what it was out by less than half of it, all of it is made. */
  private static final double HALF = 0.5;

  private final WorkingGas gas;
  private final double volume;
  private final double gapArea;
  private final double crankcase;
  private final double choked;
  private double mass;
  private double burned;
  private double lost;
  private double lostEnergy;
  private double heat;

  /**
   * @param volume m³
   * @param gapArea between the ends of the top ring, m²
   * @param crankcase pressure under the rings, Pa
   */
  Crevice(WorkingGas gas, double volume, double gapArea, double crankcase) {
    this.gas = gas;
    this.volume = volume;
    choked =
        GAP_COEFFICIENT
            * gapArea
            * Nozzle.massFlux(1, WALL, gas.gasConstant(0), gas.gamma(WALL, 0), 0);
    this.gapArea = gapArea;
    this.crankcase = crankcase;
  }

  void startFrom(Crevice o) {
    mass = o.mass;
    burned = o.burned;
  }

  Crevice twin() {
    var twin = new Crevice(gas, volume, gapArea, crankcase);
    twin.startFrom(this);
    return twin;
  }

  void fill(double pressure, double burnedShare) {
    burned = burnedShare;
    mass = pressure * volume / (gas.gasConstant(burned) * WALL);
  }

  /** As its gas stands, Pa. */
  private double pressure() {
    return mass * gas.gasConstant(burned) * WALL / volume;
  }

  /** Mass it holds at a pressure, kg. */
  double massAt(double pressure) {
    return pressure * volume / (gas.gasConstant(burned) * WALL);
  }

  /**
   * Follows the cylinder to a pressure; returns the mass taken from it, kg, negative where given
   * back. Its energy is {@link #energyOf}.
   *
   * @param enthalpy of the gas that goes in, J/kg
   * @param share burned share of it
   */
  double follow(double pressure, double enthalpy, double share, double dt) {
    double leak = leak(pressure) * dt;
    double before = mass;
    double burnedBefore = burned;
    double taken = massAt(pressure) - mass + leak;
    if (taken > 0) {
      burned = (mass * burned + taken * share) / (mass + taken);
    }
    mass = massAt(pressure);
    leak = before + taken - mass;
    double inEnergy = energyOf(taken, enthalpy);
    lost += leak;
    lostEnergy += leak * gas.enthalpy(WALL, burned);
    heat +=
        inEnergy
            - (mass * gas.energy(WALL, burned) - before * gas.energy(WALL, burnedBefore))
            - leak * gas.enthalpy(WALL, burned);
    return taken;
  }

  /**
   * Gives gas to the charge beside it and takes gas from it, as that one's pressure wants. What is
   * taken lowers that pressure by k of what it was out,
   *
   * <pre>
   * k = γ m_crevice(p) / m
   * </pre>
   *
   * so that a crevice that holds as much as the charge would take and give back more with every
   * step: there it goes only part of the way.
   *
   * @param enthalpy of the charge's gas, J/kg
   * @param share burned share of it
   */
  void exchange(Charge charge, double enthalpy, double share, double dt) {
    double p = charge.pressure;
    double way = Math.max(1, HALF + GAMMA * massAt(p) / charge.mass);
    double at = way > 1 ? pressure() + (p - pressure()) / way : p;
    double taken = follow(at, enthalpy, share, dt);
    charge.mass -= taken;
    charge.energy -= energyOf(taken, enthalpy);
    charge.burnedMass -= taken * (taken > 0 ? share : burned);
  }

  /**
   * Leak through the gap, kg/s: choked above the critical ratio, below it by the ellipse that
   * stands for the nozzle's curve.
   */
  private double leak(double pressure) {
    double ratio = crankcase / pressure;
    if (ratio >= 1) {
      return 0;
    }
    double below = Math.max(0, (ratio - CRITICAL) / (1 - CRITICAL));
    return choked * pressure * Math.sqrt(1 - below * below);
  }

  /** Energy that goes in with mass taken, J: of the cylinder's gas inward, of its own outward. */
  double energyOf(double taken, double enthalpy) {
    return taken * (taken > 0 ? enthalpy : gas.enthalpy(WALL, burned));
  }

  double burned() {
    return burned;
  }

  double mass() {
    return mass;
  }

  double energy() {
    return mass * gas.energy(WALL, burned);
  }

  double volume() {
    return volume;
  }

  /** Gone to the crankcase since the start, kg. */
  double lostMass() {
    return lost;
  }

  double lostEnergy() {
    return lostEnergy;
  }

  /** Heat given to its walls since the start, J. */
  double heat() {
    return heat;
  }
}
