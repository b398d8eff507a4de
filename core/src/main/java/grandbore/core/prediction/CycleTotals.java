package grandbore.core.prediction;

/** What one cylinder did in one cycle, from firing top centre to firing top centre. SI. */
final class CycleTotals {
  /** Work to the piston in compression and expansion, J. */
  double grossWork;

  /** Work to the piston in exhaust and intake stroke, J; negative where it costs. */
  double pumpWork;

  double trapped;
  double residual;
  double peakPressure;
  double peakAngle;
  double spark;

  /** Whether a charge was lit in it. */
  boolean lit;

  // Where shares of what burns were burned, rad after top centre.
  double burned10;
  double burned50;
  double burned90;

  /** Turbulent speed at the spark, m/s. */
  double turbulence;

  /** Heat to the walls, J. */
  double heat;

  /** Time over delay of the end gas, summed. */
  double knock;

  void add(double work, boolean gasExchange, double pressure, double phase) {
    if (gasExchange) {
      pumpWork += work;
    } else {
      grossWork += work;
    }
    if (pressure > peakPressure) {
      peakPressure = pressure;
      peakAngle = phase > 2 * Math.PI ? phase - Cylinder.CYCLE : phase;
    }
  }

  double netWork() {
    return grossWork + pumpWork;
  }

  /** The cycle starts at top centre, in the middle of the burn that the last one lit. */
  void carryBurn(CycleTotals before) {
    spark = before.spark;
    turbulence = before.turbulence;
  }
}
