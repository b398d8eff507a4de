package grandbore.core.waves;

/** Gas without end at a given state; counts what it takes in. */
public final class Atmosphere implements Reservoir {
  private double pressure;
  private double temperature;
  private final double burned;
  private double mass;
  private double energy;

  public Atmosphere(double pascal, double kelvin, double burnedShare) {
    this.pressure = pascal;
    this.temperature = kelvin;
    this.burned = burnedShare;
  }

  /** Gives it another state. */
  public void set(double pascal, double kelvin) {
    pressure = pascal;
    temperature = kelvin;
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
