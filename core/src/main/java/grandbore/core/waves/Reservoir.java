package grandbore.core.waves;

/** Gas at rest that a pipe or an orifice opens into: a cylinder, a plenum, the atmosphere. */
public interface Reservoir {
  /** Pa. */
  double pressure();

  /** Pressure in the middle of the step that comes, as far as it can be told, Pa. */
  default double pressureMidway() {
    return pressure();
  }

  /** K. */
  double temperature();

  /** Burned share of the mass. */
  double burned();

  /** Takes in mass (kg), energy (J) and burned mass (kg); negative where gas leaves. */
  void receive(double mass, double energy, double burnedMass);

  /** Pressure with what has come and gone since it last settled, about, Pa. */
  default double pressureAhead() {
    return pressure();
  }

  /** By how much its pressure rises with each kilogram it takes, Pa/kg; endless ones do not. */
  default double stiffness() {
    return 0;
  }
}
