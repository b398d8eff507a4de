package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;

/** A well-mixed volume of gas: mass, energy and composition. */
public final class Volume implements Reservoir {
  private static final double COURANT = 0.8;

  private final WorkingGas gas;
  private final double cubicMetres;
  private double mass;
  private double settledMass;
  private double energy;
  private double burnedMass;
  private double pressure;
  private double temperature;
  private double burned;

  /**
   * @param cubicMetres its volume, m³
   * @param pressure at the beginning, Pa
   * @param temperature at the beginning, K
   * @param burned burned share at the beginning, by mass
   */
  public Volume(
      WorkingGas gas, double cubicMetres, double pressure, double temperature, double burned) {
    this.gas = gas;
    this.cubicMetres = cubicMetres;
    this.temperature = temperature;
    this.burned = burned;
    mass = pressure * cubicMetres / (gas.gasConstant(burned) * temperature);
    energy = mass * gas.energy(temperature, burned);
    burnedMass = mass * burned;
    settle();
  }

  /** Takes over another volume's gas at its density and temperature. */
  public void startFrom(Volume o) {
    double scale = cubicMetres / o.cubicMetres;
    mass = scale * o.mass;
    energy = scale * (o.energy + o.mass * gas.energyOver(o.gas, o.temperature, o.burned));
    burnedMass = scale * o.burnedMass;
    temperature = o.temperature;
    settle();
  }

  @Override
  public void receive(double dm, double de, double db) {
    mass += dm;
    energy += de;
    burnedMass += db;
  }

  /** Finds pressure and temperature after all flows of a step are in. */
  public void settle() {
    burned = Math.clamp(burnedMass / mass, 0, 1);
    temperature = gas.temperature(energy / mass, burned, temperature);
    pressure = mass * gas.gasConstant(burned) * temperature / cubicMetres;
    settledMass = mass;
  }

  @Override
  public double pressure() {
    return pressure;
  }

  @Override
  public double temperature() {
    return temperature;
  }

  @Override
  public double burned() {
    return burned;
  }

  @Override
  public double pressureAhead() {
    return pressure + stiffness() * (mass - settledMass);
  }

  @Override
  public double stiffness() {
    return (1 + gas.gasConstant(burned) / gas.cv(temperature, burned)) * pressure / settledMass;
  }

  /** Enthalpy of the gas, J/kg. */
  public double enthalpy() {
    return gas.enthalpy(temperature, burned);
  }

  /** The longest step in which pipes of so much area, m², do not make it overshoot, s. */
  public double stableStep(double openArea) {
    double r = gas.gasConstant(burned);
    double sound = Math.sqrt((1 + r / gas.cv(temperature, burned)) * r * temperature);
    return COURANT * cubicMetres / (sound * openArea);
  }

  /** Gas in it, kg. */
  public double mass() {
    return mass;
  }

  /** Internal energy of the gas, J, from the datum of the gas's table. */
  public double energy() {
    return energy;
  }
}
