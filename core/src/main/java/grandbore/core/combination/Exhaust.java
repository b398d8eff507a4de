package grandbore.core.combination;

import static grandbore.core.units.Quantity.AIRFLOW;
import static grandbore.core.units.Quantity.LENGTH;
import static grandbore.core.units.Quantity.VOLUME;

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
        Given systemFlow,
    @Spec(
            label = "Secondary length",
            quantity = LENGTH,
            min = 0.05,
            max = 2.0,
            usual = 0.40,
            why = "it is measured from merge to merge")
        Given secondaryLength,
    @Spec(
            label = "Secondary inside diameter",
            quantity = LENGTH,
            min = 0.020,
            max = 0.100,
            usual = 0.048,
            why = "it is the clear diameter")
        Given secondaryDiameter,
    @Spec(
            label = "Pipe behind the collector",
            quantity = LENGTH,
            min = 0.05,
            max = 6.0,
            usual = 1.2,
            why = "it is measured to the silencer or the open end")
        Given tailLength,
    @Spec(
            label = "Silencer volume",
            quantity = VOLUME,
            min = 300e-6,
            max = 60e-3,
            usual = 6e-3,
            why = "it is the volume of all chambers on one bank's pipe")
        Given silencerVolume,
    Balance balance,
    @Spec(
            label = "Balance pipe inside diameter",
            quantity = LENGTH,
            min = 0.015,
            max = 0.100,
            usual = 0.045,
            why = "it is the clear diameter")
        Given balanceDiameter) {
  public Exhaust {
    Specs.check(
        Exhaust.class,
        "exhaust",
        primaryLength,
        primaryDiameter,
        collectorLength,
        collectorDiameter,
        systemFlow,
        secondaryLength,
        secondaryDiameter,
        tailLength,
        silencerVolume,
        balanceDiameter);
    if (kind == null || outlet == null || balance == null) {
      throw new InvalidInput(
          "Exhaust (exhaust.kind, exhaust.outlet)", "missing", "both kinds", "they are needed");
    }
  }

  /** How the primaries meet. */
  public enum Kind {
    CAST_MANIFOLD,
    HEADERS,
    /** Primaries meet in twos or threes, the secondaries in one: 4-2-1 or 6-2-1. */
    STEPPED
  }

  /** Whether a pipe joins both banks behind their collectors. */
  public enum Balance {
    NONE,
    PIPE
  }

  /** What follows the collector. */
  public enum Outlet {
    OPEN,
    SYSTEM
  }
}
