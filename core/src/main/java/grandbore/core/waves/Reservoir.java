package grandbore.core.waves;

/** Gas at rest that a pipe or an orifice opens into: a cylinder, a plenum, the atmosphere. */
public interface Reservoir {
  /** Pa. */
  double pressure();

  /** K. */
  double temperature();

  /** Burned share of the mass. */
  double burned();

  /** Takes in mass (kg), energy (J) and burned mass (kg); negative where gas leaves. */
  void receive(double mass, double energy, double burnedMass);
}
