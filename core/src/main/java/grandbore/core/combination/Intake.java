package grandbore.core.combination;

import static grandbore.core.units.Quantity.AIRFLOW;
import static grandbore.core.units.Quantity.ANGLE;
import static grandbore.core.units.Quantity.AREA;
import static grandbore.core.units.Quantity.LENGTH;
import static grandbore.core.units.Quantity.PRESSURE;
import static grandbore.core.units.Quantity.VOLUME;

/**
 * From the atmosphere to the head.
 *
 * @param meterFlow what all barrels of one plenum, or the barrel of one runner, pass at the rating
 *     depression, wide open
 */
public record Intake(
    Manifold manifold,
    Fuelling fuelling,
    @Spec(
            label = "Runner length",
            quantity = LENGTH,
            min = 0.03,
            max = 1.2,
            why = "it is measured from the plenum to the head's face")
        Given runnerLength,
    @Spec(
            label = "Runner turn",
            quantity = ANGLE,
            min = 0,
            max = 6.29,
            why = "it is the sum of the runner's bends")
        Given runnerTurn,
    @Spec(
            label = "Runner entry section",
            quantity = AREA,
            min = 2e-4,
            max = 80e-4,
            why = "it is the clear section at the plenum")
        Given runnerEntry,
    @Spec(
            label = "Runner exit section",
            quantity = AREA,
            min = 2e-4,
            max = 80e-4,
            why = "it is the clear section at the head's face")
        Given runnerExit,
    @Spec(
            label = "Plenum volume",
            quantity = VOLUME,
            min = 100e-6,
            max = 20000e-6,
            why = "it is the volume that all runners share")
        Given plenumVolume,
    @Spec(
            label = "Carburettor or throttle flow",
            quantity = AIRFLOW,
            min = 0.01,
            max = 2.0,
            why = "it is the rated flow at the rating depression")
        Given meterFlow,
    @Spec(
            label = "Rating depression",
            quantity = PRESSURE,
            min = 1000,
            max = 12000,
            why = "four-barrels are rated at 1.5 inHg, two-barrels at 3.0")
        Given ratingDepression) {
  public Intake {
    Specs.check(
        Intake.class,
        "intake",
        runnerLength,
        runnerTurn,
        runnerEntry,
        runnerExit,
        plenumVolume,
        meterFlow,
        ratingDepression);
    if (manifold == null || fuelling == null) {
      throw new InvalidInput(
          "Intake (intake.manifold, intake.fuelling)", "missing", "both kinds", "they are needed");
    }
  }

  /** Where the fuel goes in. */
  public enum Fuelling {
    /** Ahead of the runners: most of it evaporates from the air's own heat. */
    CARBURETTOR,
    /** At the valve: most of it evaporates from the heat of valve and port. */
    PORT_INJECTION
  }

  /** How the runners begin. */
  public enum Manifold {
    /** All runners open into one plenum. */
    PLENUM,
    /** Each runner has its own throttle, open to the atmosphere. */
    INDIVIDUAL
  }
}
