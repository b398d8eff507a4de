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

  void add(double work, boolean gasExchange, double pressure, double fromTop) {
    if (gasExchange) {
      pumpWork += work;
    } else {
      grossWork += work;
    }
    if (pressure > peakPressure) {
      peakPressure = pressure;
      peakAngle = fromTop;
    }
  }

  double netWork() {
    return grossWork + pumpWork;
  }

  /** Where shares were burned in a step that begins at a phase from the firing top centre. */
  void burn(Burning burning, double fromTop, double angle) {
    burned10 = crossed(burning, 0.1, fromTop, angle, burned10);
    burned50 = crossed(burning, 0.5, fromTop, angle, burned50);
    burned90 = crossed(burning, 0.9, fromTop, angle, burned90);
  }

  private static double crossed(
      Burning burning, double share, double fromTop, double angle, double before) {
    double at = fromTop + angle * burning.crossed(share);
    return Double.isNaN(at) ? before : at;
  }

  /**
   * The cycle starts at top centre, in the middle of the burn that the last one lit: what that has
   * not burned by then burns no earlier than it does, at the latest where the exhaust opens.
   */
  void carryBurn(CycleTotals before, Burning burning, double exhaustOpens) {
    spark = before.spark;
    burned10 = burning.isReached(0.1) ? before.burned10 : exhaustOpens;
    burned50 = burning.isReached(0.5) ? before.burned50 : exhaustOpens;
    burned90 = burning.isReached(0.9) ? before.burned90 : exhaustOpens;
    turbulence = before.turbulence;
  }
}
