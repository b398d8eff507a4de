package grandbore.core.waves;

/**
 * What passes at the end of a pipe that meets others. Filled anew at every step, so that stepping
 * makes no objects; whoever keeps it copies it.
 */
public final class BranchFlow {
  /** Mass flow out of the pipe, kg/s. */
  public double massFlow;

  /** Speed of it, m/s. */
  public double speed;

  /** Stagnation enthalpy of the gas just inside the pipe, J/kg. */
  public double enthalpy;

  /** Burned share of that gas, by mass. */
  public double burned;

  /** Pressure that the flow met, Pa. */
  public double pressure;

  /** Takes over all of another. */
  public void set(BranchFlow o) {
    massFlow = o.massFlow;
    speed = o.speed;
    enthalpy = o.enthalpy;
    burned = o.burned;
    pressure = o.pressure;
  }

  /** What flows at a pipe's end into a volume at rest; the pressure met is said apart. */
  public void flowAt(PipeEnd end) {
    massFlow = end.massFlow();
    speed = 0;
    enthalpy = end.pipeEnthalpy();
    burned = end.pipeBurned();
  }

  /** Energy that flows with it, W: its own gas's going out, the other's coming in. */
  public double energyFlow(double enthalpyMet) {
    return massFlow * (massFlow > 0 ? enthalpy : enthalpyMet);
  }

  /** Burned mass that flows with it, kg/s. */
  public double burnedFlow(double burnedMet) {
    return massFlow * (massFlow > 0 ? burned : burnedMet);
  }
}
