package grandbore.core.waves;

/** Gas without end at a given state; counts what it takes in. */
public final class Atmosphere implements Reservoir {
  private double pressure;
  private double temperature;
  private final double burned;
  private double mass;
  private double energy;

  /**
   * @param pressure Pa
   * @param temperature K
   * @param burnedShare by mass
   */
  public Atmosphere(double pressure, double temperature, double burnedShare) {
    this.pressure = pressure;
    this.temperature = temperature;
    this.burned = burnedShare;
  }

  /**
   * Gives it another state.
   *
   * @param newPressure Pa
   * @param newTemperature K
   */
  public void set(double newPressure, double newTemperature) {
    pressure = newPressure;
    temperature = newTemperature;
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
  public void receive(double dm, double de, double burnedMass) {
    mass += dm;
    energy += de;
  }

  /** Mass taken in since the start, kg. */
  public double received() {
    return mass;
  }

  /** Energy taken in since the start, J. */
  public double receivedEnergy() {
    return energy;
  }
}
