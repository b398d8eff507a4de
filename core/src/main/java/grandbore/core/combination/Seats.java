package grandbore.core.combination;

import static grandbore.core.units.Quantity.ANGLE;
import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.LENGTH;

/**
 * Valve seats, throats and margins, as the valve job leaves them. None but the angles need be
 * known.
 *
 * @param intakeAngle of the seat, from the plane of the valve's head
 * @param intakeWidth of the seat's face
 * @param intakeMargin thickness of the valve's head outside its seat
 * @param intakeThroat narrowest diameter of the port below the seat
 */
public record Seats(
    @Spec(
            label = "Intake seat angle",
            quantity = ANGLE,
            min = 0.34,
            max = 1.05,
            usual = 0.7853981633974483,
            why = "seats are cut at 20 to 60 degrees")
        Given intakeAngle,
    @Spec(
            label = "Exhaust seat angle",
            quantity = ANGLE,
            min = 0.34,
            max = 1.05,
            usual = 0.7853981633974483,
            why = "seats are cut at 20 to 60 degrees")
        Given exhaustAngle,
    @Spec(
            label = "Intake seat width",
            quantity = CLEARANCE,
            min = 0.0003,
            max = 0.006,
            usual = 0,
            optional = true,
            why = "it is the face that the valve touches")
        Given intakeWidth,
    @Spec(
            label = "Exhaust seat width",
            quantity = CLEARANCE,
            min = 0.0003,
            max = 0.006,
            usual = 0,
            optional = true,
            why = "it is the face that the valve touches")
        Given exhaustWidth,
    @Spec(
            label = "Intake valve margin",
            quantity = CLEARANCE,
            min = 0.0001,
            max = 0.006,
            usual = 0,
            optional = true,
            why = "it is the head's edge outside the seat")
        Given intakeMargin,
    @Spec(
            label = "Exhaust valve margin",
            quantity = CLEARANCE,
            min = 0.0001,
            max = 0.006,
            usual = 0,
            optional = true,
            why = "it is the head's edge outside the seat")
        Given exhaustMargin,
    @Spec(
            label = "Intake throat",
            quantity = LENGTH,
            min = 0.010,
            max = 0.075,
            usual = 0,
            optional = true,
            why = "it is the narrowest diameter below the seat")
        Given intakeThroat,
    @Spec(
            label = "Exhaust throat",
            quantity = LENGTH,
            min = 0.008,
            max = 0.065,
            usual = 0,
            optional = true,
            why = "it is the narrowest diameter below the seat")
        Given exhaustThroat) {
  public Seats {
    Specs.check(
        Seats.class,
        "seats",
        intakeAngle,
        exhaustAngle,
        intakeWidth,
        exhaustWidth,
        intakeMargin,
        exhaustMargin,
        intakeThroat,
        exhaustThroat);
  }
}
