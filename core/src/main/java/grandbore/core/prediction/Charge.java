package grandbore.core.prediction;

/** The state of a cylinder's gas, copied whole from one cylinder to another: SI, rad. */
final class Charge implements Cloneable {
  double phase;
  double mass;
  double energy;
  double burnedMass;
  double pressure;
  double temperature;
  double burned;
  boolean closed;

  /** Whether it was closed in before its top centre: else there is none to light. */
  boolean compressed;

  double sparkAdvance;

  // At intake closing.
  double referencePressure;
  double referenceTemperature;
  double referenceVolume;

  @Override
  protected Charge clone() {
    try {
      return (Charge) super.clone();
    } catch (CloneNotSupportedException e) {
      throw new AssertionError(e);
    }
  }
}
