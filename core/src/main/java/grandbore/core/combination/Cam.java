package grandbore.core.combination;

import static grandbore.core.units.Quantity.ANGLE;
import static grandbore.core.units.Quantity.LENGTH;

import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;

/**
 * Cam card: durations at 0.050 in (1.27 mm) of tappet lift and from seat to seat, in crank degrees.
 *
 * <p>Seat duration counts from 0.006 in (0.15 mm) of tappet lift.
 *
 * @param separation half the crank angle between the centrelines
 * @param intakeCentreline after top centre
 * @param intakeTable the lobe as it was measured, in the place of durations and lift; may be none
 * @param exhaustTable likewise
 */
public record Cam(
    @Spec(
            label = "Intake duration at 0.050",
            quantity = ANGLE,
            min = 2.6180,
            max = 5.7596,
            why = "cams of four-stroke engines lie inside that")
        Given intakeDuration,
    @Spec(
            label = "Exhaust duration at 0.050",
            quantity = ANGLE,
            min = 2.6180,
            max = 5.7596,
            why = "cams of four-stroke engines lie inside that")
        Given exhaustDuration,
    @Spec(
            label = "Intake seat duration",
            quantity = ANGLE,
            min = 2.9671,
            max = 6.9813,
            why = "cams of four-stroke engines lie inside that")
        Given intakeSeat,
    @Spec(
            label = "Exhaust seat duration",
            quantity = ANGLE,
            min = 2.9671,
            max = 6.9813,
            why = "cams of four-stroke engines lie inside that")
        Given exhaustSeat,
    @Spec(
            label = "Intake lobe lift",
            quantity = LENGTH,
            min = 0.003,
            max = 0.020,
            why = "it is the lift of the lobe, not of the valve")
        Given intakeLobeLift,
    @Spec(
            label = "Exhaust lobe lift",
            quantity = LENGTH,
            min = 0.003,
            max = 0.020,
            why = "it is the lift of the lobe, not of the valve")
        Given exhaustLobeLift,
    @Spec(
            label = "Lobe separation",
            quantity = ANGLE,
            min = 1.5708,
            max = 2.2689,
            why = "it is measured in cam degrees between the lobes")
        Given separation,
    @Spec(
            label = "Intake centreline",
            quantity = ANGLE,
            min = 1.3963,
            max = 2.3562,
            why = "it is measured after top centre")
        Given intakeCentreline,
    LiftTable intakeTable,
    LiftTable exhaustTable) {
  public Cam {
    Specs.check(
        Cam.class,
        "cam",
        intakeDuration,
        exhaustDuration,
        intakeSeat,
        exhaustSeat,
        intakeLobeLift,
        exhaustLobeLift,
        separation,
        intakeCentreline);
    if (intakeTable == null || exhaustTable == null) {
      throw new InvalidInput("Lift table (cam)", "missing", "a table or none", "it is needed");
    }
    order("Intake", "intakeSeat", intakeSeat, intakeDuration);
    order("Exhaust", "exhaustSeat", exhaustSeat, exhaustDuration);
    events(intakeSeat, exhaustSeat, intakeCentreline, separation);
  }

  private static final double LEAST_RAMP = Math.toRadians(12);

  private static void order(String side, String name, Given seat, Given duration) {
    if (seat.si() < duration.si() + LEAST_RAMP) {
      throw new InvalidInput(
          side + " seat duration (cam." + name + ")",
          Quantity.ANGLE.show(seat.si(), UnitSystem.METRIC),
          "at least " + Quantity.ANGLE.show(duration.si() + LEAST_RAMP, UnitSystem.METRIC),
          "it spans the duration at 0.050 in and both ramps");
    }
  }

  private static void events(Given intake, Given exhaust, Given centreline, Given separation) {
    double closes = centreline.si() + intake.si() / 2;
    if (closes > Math.toRadians(320)) {
      throw new InvalidInput(
          "Intake closing (cam.intakeSeat)",
          Quantity.ANGLE.show(closes - Math.PI, UnitSystem.METRIC) + " after bottom centre",
          "up to 140°",
          "the valve must close before the charge fires");
    }
    double opens = 2 * Math.PI - (2 * separation.si() - centreline.si()) - exhaust.si() / 2;
    if (opens < Math.toRadians(60)) {
      throw new InvalidInput(
          "Exhaust opening (cam.exhaustSeat)",
          Quantity.ANGLE.show(opens, UnitSystem.METRIC) + " after the firing top centre",
          "at least 60°",
          "the valve must stay shut while the charge burns");
    }
  }

  /** Exhaust centreline before top centre, rad. */
  public double exhaustCentreline() {
    return 2 * separation.si() - intakeCentreline.si();
  }

  /** Opening before top centre of a lobe of this duration, centred after it, rad. */
  public double intakeOpens(double duration) {
    return duration / 2 - intakeCentreline.si();
  }

  /** Closing after bottom centre, rad. */
  public double intakeCloses(double duration) {
    return intakeCentreline.si() + duration / 2 - Math.PI;
  }

  /** Opening before bottom centre, rad. */
  public double exhaustOpens(double duration) {
    return exhaustCentreline() + duration / 2 - Math.PI;
  }

  /** Closing after top centre, rad. */
  public double exhaustCloses(double duration) {
    return duration / 2 - exhaustCentreline();
  }
}
