package grandbore.core.prediction;

/** How much of the engine is solved. */
public enum Fidelity {
  /** One cylinder; the others are copies of it, shifted in phase, on the shared volumes. */
  LIVE(0.040, 0.070, 2),
  /** Every cylinder. */
  FULL(0.030, 0.055, 2);

  private final double intakeCell;
  private final double exhaustCell;
  private final double degrees;

  Fidelity(double intakeCell, double exhaustCell, double degrees) {
    this.intakeCell = intakeCell;
    this.exhaustCell = exhaustCell;
    this.degrees = degrees;
  }

  /** Cell lengths and step wanted. */
  Mesh mesh() {
    return new Mesh(intakeCell, exhaustCell, Math.toRadians(degrees));
  }
}
