package grandbore.core.prediction;

import grandbore.core.combustion.Turbulence;

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

  /** Whether its tumble has been told since it was closed in. */
  boolean turns;

  /** Mass since it was closed in over what came in: its own fuel in the place of the mean's. */
  double dosed = 1;

  /** Heat that the fuel which is a liquid yet will take, J. */
  double evaporation;

  /** Whether it was closed in before its top centre: else there is none to light. */
  boolean compressed;

  double sparkAdvance;

  /** What its jets have stirred. */
  Turbulence stir = new Turbulence();

  // At intake closing.
  double referencePressure;
  double referenceTemperature;
  double referenceVolume;

  @Override
  protected Charge clone() {
    try {
      var clone = (Charge) super.clone();
      clone.stir = new Turbulence();
      clone.stir.startFrom(stir);
      return clone;
    } catch (CloneNotSupportedException e) {
      throw new AssertionError(e);
    }
  }
}
