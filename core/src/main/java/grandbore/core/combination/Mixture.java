package grandbore.core.combination;

import static grandbore.core.units.Quantity.ANGLE;
import static grandbore.core.units.Quantity.RATIO;

import grandbore.core.gas.FuelKind;
import java.util.List;

/**
 * Fuel, mixture strength and spark.
 *
 * @param lambda air-fuel ratio over the stoichiometric one
 * @param advance before top centre; used where the spark is fixed
 * @param bySpeed how they run over the speeds; the figures before are its means
 * @param byCylinder each cylinder's lambda over the mean of all, cylinder 1 first; none where all
 *     are alike
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
    MixtureTable bySpeed,
    List<Double> byCylinder) {
  static final double RICHEST = 0.65;
  static final double LEANEST = 1.25;
  static final double LATEST = -0.6982;
  static final double EARLIEST = 1.05;

  public Mixture {
    bySpeed = bySpeed == null ? MixtureTable.NONE : bySpeed;
    byCylinder = shares(byCylinder);
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
        MixtureTable.NONE,
        byCylinder);
  }

  private static List<Double> shares(List<Double> each) {
    if (each == null || each.stream().anyMatch(s -> s == null || !Bounds.hold(s, 0.7, 1.4))) {
      throw new InvalidInput(
          "Lambda by cylinder (mixture.byCylinder)",
          String.valueOf(each),
          "none, or one of 0.70 to 1.40 for each cylinder",
          "it is a share of the engine's lambda");
    }
    return List.copyOf(each);
  }

  /** One cylinder's lambda, at most as rich or as lean as a spark lights it. */
  public double lambda(int cylinder) {
    double mean = byCylinder.stream().mapToDouble(s -> s).average().orElse(1);
    double share = byCylinder.isEmpty() ? 1 : byCylinder.get(cylinder - 1) / mean;
    return byCylinder.isEmpty() ? lambda.si() : Math.clamp(share * lambda.si(), RICHEST, LEANEST);
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
