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
    @Spec(
            label = "Throttle length",
            quantity = LENGTH,
            min = 0.02,
            max = 1.2,
            usual = 0.085,
            why = "it runs from the throttle's mouth to the manifold, an elbow counted in")
        Given throttleLength,
    @Spec(
            label = "Throttle section",
            quantity = AREA,
            min = 2e-4,
            max = 400e-4,
            usual = 0,
            optional = true,
            why = "it is the clear section of all bores of one carburettor or throttle")
        Given throttleSection,
    @Spec(
            label = "Plenum length",
            quantity = LENGTH,
            min = 0.05,
            max = 1.5,
            usual = 0,
            optional = true,
            why = "it is the inside length of a box that the runners stand along")
        Given boxLength,
    @Spec(
            label = "Air box volume",
            quantity = VOLUME,
            min = 300e-6,
            max = 60000e-6,
            usual = 0,
            optional = true,
            why = "it stands in front of the throttles")
        Given airBox,
    @Spec(
            label = "Inlet duct length",
            quantity = LENGTH,
            min = 0.03,
            max = 3,
            usual = 0.4,
            why = "it leads to the air box")
        Given ductLength,
    @Spec(
            label = "Inlet duct section",
            quantity = AREA,
            min = 5e-4,
            max = 400e-4,
            usual = 60e-4,
            why = "it is the clear section of all ducts to the air box")
        Given ductSection,
    List<Double> runnerChanges) {
  /** A box's section over a runner's, at least; what is narrower is no box but a log. */
  private static final double WIDER = 1.5;

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
        spacerOpening,
        throttleLength,
        throttleSection,
        boxLength,
        airBox,
        ductLength,
        ductSection);
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

  /**
   * Whether the runners stand along a box in which waves travel: one that is wider than they are.
   */
  public boolean isBox() {
    return manifold == Manifold.PLENUM
        && boxLength.isKnown()
        && plenumVolume.si() / boxLength.si() > WIDER * runnerEntry.si();
  }

  /** One cylinder's runner, m. */
  public double runnerLength(int cylinder) {
    return runnerLength.si() + (runnerChanges.isEmpty() ? 0 : runnerChanges.get(cylinder - 1));
  }
}
