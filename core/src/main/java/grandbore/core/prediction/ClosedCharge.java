package grandbore.core.prediction;

import grandbore.core.friction.Friction;

/**
 * A charge as it was when its last valve shut, on which sparks can be tried: each trial runs the
 * closed part of the cycle on its own.
 */
final class ClosedCharge {
  /** The charge burns in steps no longer than this, rad. */
  static final double STEP = Math.toRadians(1);

  private final Cylinder cylinder;

  /**
   * What the closed part of a cycle does with a spark.
   *
   * @param work less what its highest pressure rubs away, J
   * @param knock time over delay of the end gas, summed
   */
  record Trial(double work, double knock) {}

  /**
   * @param cylinder a twin of the one that holds it, for this alone
   */
  ClosedCharge(Cylinder cylinder) {
    this.cylinder = cylinder;
  }

  /** Keeps another charge in the place of this. */
  void keep(Cylinder o) {
    cylinder.takeCharge(o);
  }

  void keep(ClosedCharge o) {
    keep(o.cylinder);
  }

  /** Whether it was closed in to be compressed. */
  boolean isCompressed() {
    return cylinder.phase() > Math.PI;
  }

  /** How long before top centre it was closed in, rad. */
  double closedBefore() {
    return cylinder.geometry().cycle().length() - cylinder.phase();
  }

  /** Runs it with this spark, rad before top centre, until the exhaust opens. */
  Trial with(double advance, double speed, double meanPistonSpeed) {
    return run(advance, speed, meanPistonSpeed, false);
  }

  /** Knock sum with this spark: run until no end gas is left. */
  double knockWith(double advance, double speed, double meanPistonSpeed) {
    return run(advance, speed, meanPistonSpeed, true).knock();
  }

  private Trial run(double advance, double speed, double meanPistonSpeed, boolean toEndGas) {
    var twin = cylinder.twin();
    twin.setSpark(advance);
    // At the latest to bottom centre: some cams open only after it.
    double end = Math.min(cylinder.geometry().exhaustOpens(), Math.PI) - STEP;
    double peak = 0;
    while ((twin.phase() > Math.PI || twin.phase() < end) && !(toEndGas && twin.isEndGasGone())) {
      twin.advance(STEP / speed, STEP, meanPistonSpeed);
      peak = Math.max(peak, twin.pressure());
    }
    double rubbed = Friction.FIRED_SHARE * peak * cylinder.geometry().sweptVolume();
    return new Trial(twin.work() - rubbed, twin.knock());
  }
}
