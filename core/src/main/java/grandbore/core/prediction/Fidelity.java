package grandbore.core.prediction;

/** How much of the engine is solved. */
public enum Fidelity {
  /** One cylinder; the others are copies of it, shifted in phase, on the shared volumes. */
  LIVE(0.040, 0.070),
  /** Every cylinder. */
  FULL(0.030, 0.055);

  /** Of the crank, rad. */
  private static final double STEP = Math.toRadians(2);

  private final double intakeCell;
  private final double exhaustCell;

  Fidelity(double intakeCell, double exhaustCell) {
    this.intakeCell = intakeCell;
    this.exhaustCell = exhaustCell;
  }

  /** Cell lengths and step wanted. */
  Mesh mesh() {
    return new Mesh(intakeCell, exhaustCell, STEP);
  }
}
