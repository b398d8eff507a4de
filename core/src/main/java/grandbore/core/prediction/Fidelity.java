package grandbore.core.prediction;

import grandbore.core.combination.Combination;

/** How much of the engine is solved. */
public enum Fidelity {
  /** One cylinder; the others are copies of it, shifted in phase, on the shared volumes. */
  LIVE(0.040, 0.070, 3000),
  /**
   * On the same cells a cylinder for every place that sees the others differently: four of a
   * cross-plane V8.
   */
  PLACED(0.040, 0.070, 3000),
  /** Every cylinder, but for those that are others over again. */
  FULL(0.030, 0.055, Double.POSITIVE_INFINITY);

  /** Of the crank, rad. */
  private static final double STEP = Math.toRadians(2);

  private final double intakeCell;
  private final double exhaustCell;
  private final double from;

  /**
   * @param intakeCell wanted length, m
   * @param exhaustCell wanted length, m
   * @param from speed beyond which cells and steps are longer, rev/min
   */
  Fidelity(double intakeCell, double exhaustCell, double from) {
    this.intakeCell = intakeCell;
    this.exhaustCell = exhaustCell;
    this.from = from;
  }

  /** Which cylinders are solved. */
  RepresentativeCylinders roles(BuiltEngine engine) {
    return switch (this) {
      case LIVE -> RepresentativeCylinders.live(engine.combination());
      case PLACED -> RepresentativeCylinders.placed(engine.combination());
      case FULL -> RepresentativeCylinders.full(engine);
    };
  }

  /** Whether no cylinder is taken for another that hears its neighbours at other times. */
  public boolean isExact(Combination c) {
    return this != LIVE || solved(c) == PLACED.solved(c);
  }

  /** Cylinders that are solved. */
  public int solved(Combination c) {
    return roles(BuiltEngine.asSpecified(c)).each().size();
  }

  /** Cell lengths and step wanted. */
  Mesh mesh() {
    return new Mesh(intakeCell, exhaustCell, STEP, from);
  }
}
