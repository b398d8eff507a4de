package grandbore.core.combination;

import static grandbore.core.units.Quantity.AIRFLOW;
import static grandbore.core.units.Quantity.ANGLE;
import static grandbore.core.units.Quantity.AREA;
import static grandbore.core.units.Quantity.LENGTH;
import static grandbore.core.units.Quantity.PRESSURE;
import static grandbore.core.units.Quantity.VOLUME;

import java.util.List;

/**
 * From the atmosphere to the head.
 *
 * @param throttles carburettors or throttles on the manifold; a throttle a runner counts as one
 * @param throttleFlow what one of them passes at the rating depression, wide open
 * @param planeWindow opening between the two planes, such as an open spacer leaves
 * @param runnerChanges each cylinder's runner longer than the length given, m, cylinder 1 first;
 *     none where all are alike
 */
public record Intake(
    Manifold manifold,
    Fuelling fuelling,
    Heating heating,
    int throttles,
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
        Given throttleFlow,
    @Spec(
            label = "Rating depression",
            quantity = PRESSURE,
            min = 1000,
            max = 12000,
            why = "four-barrels are rated at 1.5 inHg, two-barrels at 3.0")
        Given ratingDepression,
    @Spec(
            label = "Window between planes",
            quantity = AREA,
            min = 0,
            max = 60e-4,
            usual = 0,
            why = "it is the clear section that joins both planes; none where the divider is whole")
        Given planeWindow,
    @Spec(
            label = "Spacer height",
            quantity = LENGTH,
            min = 0.003,
            max = 0.150,
            usual = 0,
            optional = true,
            why = "it stands between carburettor and manifold")
        Given spacerHeight,
    @Spec(
            label = "Spacer opening",
            quantity = AREA,
            min = 3e-4,
            max = 200e-4,
            usual = 100e-4,
            why = "it is the clear section of all its holes")
        Given spacerOpening,
    List<Double> runnerChanges) {
  public Intake {
    Specs.check(
        Intake.class,
        "intake",
        runnerLength,
        runnerTurn,
        runnerEntry,
        runnerExit,
        plenumVolume,
        throttleFlow,
        ratingDepression,
        planeWindow,
        spacerHeight,
        spacerOpening);
    if (throttles < 1 || throttles > 12) {
      throw new InvalidInput(
          "Carburettors or throttles (intake.throttles)",
          String.valueOf(throttles),
          "1 to 12",
          "no manifold carries more");
    }
    if (runnerChanges == null
        || runnerChanges.stream().anyMatch(r -> r == null || !(Math.abs(r) <= 0.3))) {
      throw new InvalidInput(
          "Runner length by cylinder (intake.runnerChanges)",
          String.valueOf(runnerChanges),
          "none, or one of -0.3 to 0.3 m for each cylinder",
          "it is a difference");
    }
    runnerChanges = List.copyOf(runnerChanges);
    for (double change : runnerChanges) {
      if (runnerLength.si() + change < 0.02) {
        throw new InvalidInput(
            "Runner length by cylinder (intake.runnerChanges)",
            String.valueOf(change),
            "so that at least 20 mm stay",
            "a runner has some length");
      }
    }
    if (manifold == null || fuelling == null || heating == null) {
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
    INDIVIDUAL,
    /**
     * Two plenums, each for every other cylinder in the firing order, each with half the barrels.
     */
    DUAL_PLANE
  }

  /** What warms the manifold's floor and walls. */
  public enum Heating {
    /** Nothing but the head it is bolted to. */
    HEAD_ONLY,
    /** Coolant runs through it. */
    COOLANT,
    /** Exhaust gas passes under the plenum. */
    EXHAUST,
    /** Kept off the head by a spacer or an air gap. */
    INSULATED
  }

  /** What all runners share, m³: the plenum, and the room in a spacer on it. */
  public double sharedVolume() {
    return plenumVolume.si() + spacerHeight.si() * spacerOpening.si();
  }

  /** One cylinder's runner, m. */
  public double runnerLength(int cylinder) {
    return runnerLength.si() + (runnerChanges.isEmpty() ? 0 : runnerChanges.get(cylinder - 1));
  }
}
