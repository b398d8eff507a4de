package grandbore.core.combination;

import static grandbore.core.units.Quantity.ANGLE;
import static grandbore.core.units.Quantity.RATIO;

import grandbore.core.gas.FuelKind;

/**
 * Fuel, mixture strength and spark.
 *
 * @param lambda air-fuel ratio over the stoichiometric one
 * @param advance before top centre; used where the spark is fixed
 * @param bySpeed how they run over the speeds; the figures before are its means
 */
public record Mixture(
    FuelKind fuel,
    @Spec(
            label = "Mixture strength, lambda",
            quantity = RATIO,
            min = Mixture.RICHEST,
            max = Mixture.LEANEST,
            why = "outside that a spark does not light the charge")
        Given lambda,
    Spark spark,
    @Spec(
            label = "Spark advance",
            quantity = ANGLE,
            min = Mixture.LATEST,
            max = Mixture.EARLIEST,
            why = "it is measured before top centre, less than nothing after it")
        Given advance,
    MixtureTable bySpeed) {
  static final double RICHEST = 0.65;
  static final double LEANEST = 1.25;
  static final double LATEST = -0.6982;
  static final double EARLIEST = 1.05;

  public Mixture {
    bySpeed = bySpeed == null ? MixtureTable.NONE : bySpeed;
    Specs.check(Mixture.class, "mixture", lambda, advance);
    if (fuel == null || spark == null) {
      throw new InvalidInput(
          "Mixture (mixture.fuel, mixture.spark)", "missing", "both kinds", "they are needed");
    }
  }

  /**
   * As it is at one speed: the single figures moved as the table has them there.
   *
   * @param speed of the crank, rad/s
   */
  public Mixture at(double speed) {
    if (!bySpeed.isGiven()) {
      return this;
    }
    double strength = bySpeed.lambda(speed) * lambda.si() / bySpeed.meanLambda();
    double spark =
        bySpeed.hasSpark()
            ? bySpeed.advance(speed) + advance.si() - bySpeed.meanAdvance()
            : advance.si();
    return new Mixture(
        fuel,
        moved(lambda, Math.clamp(strength, RICHEST, LEANEST)),
        this.spark,
        moved(advance, Math.clamp(spark, LATEST, EARLIEST)),
        MixtureTable.NONE);
  }

  /** Whether a spark lights a charge of that lambda. */
  public static boolean burns(double lambda) {
    return Bounds.hold(lambda, RICHEST, LEANEST);
  }

  private static Given moved(Given was, double si) {
    return new Given(si, was.quantity(), was.provenance(), was.spread());
  }

  /** How the spark is timed. */
  public enum Spark {
    /** Sought at every speed, whatever the fuel says of it. */
    BEST_TORQUE,
    /** As given, at every speed. */
    FIXED,
    /** Best torque, or as far as the fuel's octane lets it. */
    KNOCK_LIMITED
  }
}
