package grandbore.core.combination;

import static grandbore.core.units.Quantity.ANGLE;
import static grandbore.core.units.Quantity.RATIO;

import grandbore.core.gas.FuelKind;

/**
 * Fuel, mixture strength and spark.
 *
 * @param lambda air-fuel ratio over the stoichiometric one
 * @param advance before top centre; used where the spark is fixed
 */
public record Mixture(
    FuelKind fuel,
    @Spec(
            label = "Mixture strength, lambda",
            quantity = RATIO,
            min = 0.65,
            max = 1.25,
            why = "outside that a spark does not light the charge")
        Given lambda,
    Spark spark,
    @Spec(
            label = "Spark advance",
            quantity = ANGLE,
            min = -0.6982,
            max = 1.05,
            why = "it is measured before top centre, less than nothing after it")
        Given advance) {
  public Mixture {
    Specs.check(Mixture.class, "mixture", lambda, advance);
    if (fuel == null || spark == null) {
      throw new InvalidInput(
          "Mixture (mixture.fuel, mixture.spark)", "missing", "both kinds", "they are needed");
    }
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
