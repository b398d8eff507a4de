package grandbore.core.prediction;

/**
 * What an engine does over and over, and the rows that it is written down in.
 *
 * @param length crank angle of one, rad
 */
record Cycle(double length) {
  static final Cycle FOUR_STROKE = new Cycle(4 * Math.PI);

  static final int ROWS = 720;

  /** A phase told from the firing top centre that is nearer, negative before it, rad. */
  double fromTop(double phase) {
    return phase > 0.5 * length ? phase - length : phase;
  }

  /** Whether a phase lies in strokes that only change gas; an engine of two strokes has none. */
  boolean isGasExchange(double phase) {
    return phase > Math.PI && phase <= length - Math.PI;
  }

  /** An angle brought into the cycle, rad. */
  double phase(double angle) {
    double within = angle % length;
    return within < 0 ? within + length : within;
  }

  /** How far two angles lie apart, whichever way round, rad. */
  double apart(double one, double other) {
    return Math.abs(Math.IEEEremainder(one - other, length));
  }

  /** Rows to a radian. */
  double perRadian() {
    return ROWS / length;
  }

  /** The row of a phase, rad. */
  int row(double phase) {
    return (int) (phase * perRadian()) % ROWS;
  }

  /** The row that is an angle, rad, before another; at least the one before it. */
  int before(int now, double angle) {
    return Math.floorMod(now - Math.max(1, (int) (angle * perRadian() + 0.5)), ROWS);
  }
}
