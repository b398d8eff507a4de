package grandbore.core.combination;

import static grandbore.core.units.Quantity.FACTOR;

/**
 * What pulls on a dyno have taught of this engine beside what its parts say: factors upon the
 * model's own numbers, all one before. They are only ever set by a calibration that the builder
 * takes, and everything that is run with them says so.
 *
 * @param intakeFlow upon the flow of the intake valves
 * @param exhaustFlow upon that of the exhaust valves
 * @param meterFlow upon that of carburettors or throttles
 * @param intakeLength upon the runners' acoustic length
 * @param exhaustLength upon that of the primaries
 * @param mixture lambda in the cylinders over lambda as set
 * @param wallHeat upon the heat to the cylinders' walls
 * @param burnSpeed upon the speed of the flame
 * @param friction upon the friction mean pressure
 * @param frictionGrowth upon the power of the speed by which friction grows: friction is multiplied
 *     by (n / 5,000 rpm)^(growth − 1)
 */
public record Learned(
    @Spec(
            label = "Learned: intake flow",
            quantity = FACTOR,
            min = 0.7,
            max = 1.4,
            usual = 1,
            why = WHY)
        Given intakeFlow,
    @Spec(
            label = "Learned: exhaust flow",
            quantity = FACTOR,
            min = 0.7,
            max = 1.4,
            usual = 1,
            why = WHY)
        Given exhaustFlow,
    @Spec(
            label = "Learned: meter's flow",
            quantity = FACTOR,
            min = 0.6,
            max = 1.6,
            usual = 1,
            why = WHY)
        Given meterFlow,
    @Spec(
            label = "Learned: intake length",
            quantity = FACTOR,
            min = 0.75,
            max = 1.3,
            usual = 1,
            why = WHY)
        Given intakeLength,
    @Spec(
            label = "Learned: exhaust length",
            quantity = FACTOR,
            min = 0.7,
            max = 1.4,
            usual = 1,
            why = WHY)
        Given exhaustLength,
    @Spec(
            label = "Learned: mixture",
            quantity = FACTOR,
            min = 0.8,
            max = 1.25,
            usual = 1,
            why = WHY)
        Given mixture,
    @Spec(
            label = "Learned: wall heat",
            quantity = FACTOR,
            min = 0.5,
            max = 1.8,
            usual = 1,
            why = WHY)
        Given wallHeat,
    @Spec(
            label = "Learned: burn speed",
            quantity = FACTOR,
            min = 0.6,
            max = 1.6,
            usual = 1,
            why = WHY)
        Given burnSpeed,
    @Spec(label = "Learned: friction", quantity = FACTOR, min = 0.5, max = 2, usual = 1, why = WHY)
        Given friction,
    @Spec(
            label = "Learned: friction's growth",
            quantity = FACTOR,
            min = 0.5,
            max = 1.5,
            usual = 1,
            why = WHY)
        Given frictionGrowth) {
  static final String WHY = "a model further off than that lacks something else";

  /** Speed at which growth changes nothing, rev/min. */
  private static final double PIVOT = 5000;

  public Learned {
    Specs.check(
        Learned.class,
        "learned",
        intakeFlow,
        exhaustFlow,
        meterFlow,
        intakeLength,
        exhaustLength,
        mixture,
        wallHeat,
        burnSpeed,
        friction,
        frictionGrowth);
  }

  /** Whether any pull has taught anything. */
  public boolean isAny() {
    return Specs.values(this).stream().anyMatch(v -> ((Given) v).si() != 1);
  }

  /**
   * Friction over that of the model.
   *
   * @param rpm rev/min
   */
  public double friction(double rpm) {
    return friction.si() * Math.pow(rpm / PIVOT, frictionGrowth.si() - 1);
  }
}
