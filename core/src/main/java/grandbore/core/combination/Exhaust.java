package grandbore.core.combination;

import static grandbore.core.units.Quantity.AIRFLOW;
import static grandbore.core.units.Quantity.LENGTH;

/**
 * From the head to the tail.
 *
 * @param systemFlow what pipes and silencers behind the collector pass at the bench depression of
 *     28 inH2O, where there are any
 */
public record Exhaust(
    Kind kind,
    @Spec(
            label = "Primary length",
            quantity = LENGTH,
            min = 0.03,
            max = 2.0,
            why = "it is measured from the head's face")
        Given primaryLength,
    @Spec(
            label = "Primary inside diameter",
            quantity = LENGTH,
            min = 0.020,
            max = 0.080,
            why = "it is the clear diameter")
        Given primaryDiameter,
    @Spec(
            label = "Collector length",
            quantity = LENGTH,
            min = 0.05,
            max = 2.5,
            why = "it is measured from the merge to its open end")
        Given collectorLength,
    @Spec(
            label = "Collector inside diameter",
            quantity = LENGTH,
            min = 0.025,
            max = 0.150,
            why = "it is the clear diameter")
        Given collectorDiameter,
    Outlet outlet,
    @Spec(
            label = "Exhaust system flow",
            quantity = AIRFLOW,
            min = 0.02,
            max = 3.0,
            why = "each bank sees its own system")
        Given systemFlow) {
  public Exhaust {
    Specs.check(
        Exhaust.class,
        "exhaust",
        primaryLength,
        primaryDiameter,
        collectorLength,
        collectorDiameter,
        systemFlow);
    if (kind == null || outlet == null) {
      throw new InvalidInput(
          "Exhaust (exhaust.kind, exhaust.outlet)", "missing", "both kinds", "they are needed");
    }
  }

  /** How the primaries meet. */
  public enum Kind {
    CAST_MANIFOLD,
    HEADERS
  }

  /** What follows the collector. */
  public enum Outlet {
    OPEN,
    SYSTEM
  }
}
