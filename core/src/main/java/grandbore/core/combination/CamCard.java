package grandbore.core.combination;

import static grandbore.core.units.Quantity.ANGLE;
import static grandbore.core.units.Quantity.LENGTH;

/**
 * A cam card as its grinder printed it, whatever it states; it changes nothing until it is taken.
 * Events and durations in crank degrees, at tappet lift.
 */
public record CamCard(
    @Spec(
            label = "Intake duration, advertised",
            quantity = ANGLE,
            min = 2.6,
            max = 7.0,
            usual = 0,
            optional = true,
            why = "it counts from seat to seat, at 0.006 in")
        Given intakeSeat,
    @Spec(
            label = "Intake duration at 0.020",
            quantity = ANGLE,
            min = 2.4,
            max = 6.8,
            usual = 0,
            optional = true,
            why = "it counts from 0.020 in of tappet lift")
        Given intakeAt20,
    @Spec(
            label = "Intake duration at 1 mm",
            quantity = ANGLE,
            min = 2.3,
            max = 6.6,
            usual = 0,
            optional = true,
            why = "it counts from 1 mm of tappet lift")
        Given intakeMillimetre,
    @Spec(
            label = "Intake duration at 0.050",
            quantity = ANGLE,
            min = 2.2,
            max = 6.5,
            usual = 0,
            optional = true,
            why = "it counts from 0.050 in of tappet lift")
        Given intakeAt50,
    @Spec(
            label = "Intake duration at 0.200",
            quantity = ANGLE,
            min = 0.8,
            max = 5.0,
            usual = 0,
            optional = true,
            why = "it counts from 0.200 in of tappet lift")
        Given intakeAt200,
    @Spec(
            label = "Intake opens, at 0.050",
            quantity = ANGLE,
            min = -1.0,
            max = 1.9,
            usual = 0,
            optional = true,
            why = "before top centre")
        Given intakeOpens,
    @Spec(
            label = "Intake closes, at 0.050",
            quantity = ANGLE,
            min = -1.0,
            max = 1.9,
            usual = 0,
            optional = true,
            why = "after bottom centre")
        Given intakeCloses,
    @Spec(
            label = "Intake centreline",
            quantity = ANGLE,
            min = 1.3,
            max = 2.6,
            usual = 0,
            optional = true,
            why = "after top centre")
        Given intakeCentreline,
    @Spec(
            label = "Intake lobe lift",
            quantity = LENGTH,
            min = 0.003,
            max = 0.020,
            usual = 0,
            optional = true,
            why = "it is the lift of the lobe")
        Given intakeLobe,
    @Spec(
            label = "Intake valve lift",
            quantity = LENGTH,
            min = 0.003,
            max = 0.035,
            usual = 0,
            optional = true,
            why = "it is lobe lift times rocker ratio, without lash")
        Given intakeValve,
    @Spec(
            label = "Exhaust duration, advertised",
            quantity = ANGLE,
            min = 2.6,
            max = 7.0,
            usual = 0,
            optional = true,
            why = "it counts from seat to seat, at 0.006 in")
        Given exhaustSeat,
    @Spec(
            label = "Exhaust duration at 0.020",
            quantity = ANGLE,
            min = 2.4,
            max = 6.8,
            usual = 0,
            optional = true,
            why = "it counts from 0.020 in of tappet lift")
        Given exhaustAt20,
    @Spec(
            label = "Exhaust duration at 1 mm",
            quantity = ANGLE,
            min = 2.3,
            max = 6.6,
            usual = 0,
            optional = true,
            why = "it counts from 1 mm of tappet lift")
        Given exhaustMillimetre,
    @Spec(
            label = "Exhaust duration at 0.050",
            quantity = ANGLE,
            min = 2.2,
            max = 6.5,
            usual = 0,
            optional = true,
            why = "it counts from 0.050 in of tappet lift")
        Given exhaustAt50,
    @Spec(
            label = "Exhaust duration at 0.200",
            quantity = ANGLE,
            min = 0.8,
            max = 5.0,
            usual = 0,
            optional = true,
            why = "it counts from 0.200 in of tappet lift")
        Given exhaustAt200,
    @Spec(
            label = "Exhaust opens, at 0.050",
            quantity = ANGLE,
            min = -1.0,
            max = 1.9,
            usual = 0,
            optional = true,
            why = "before bottom centre")
        Given exhaustOpens,
    @Spec(
            label = "Exhaust closes, at 0.050",
            quantity = ANGLE,
            min = -1.0,
            max = 1.9,
            usual = 0,
            optional = true,
            why = "after top centre")
        Given exhaustCloses,
    @Spec(
            label = "Exhaust centreline",
            quantity = ANGLE,
            min = 1.3,
            max = 2.6,
            usual = 0,
            optional = true,
            why = "before top centre")
        Given exhaustCentreline,
    @Spec(
            label = "Exhaust lobe lift",
            quantity = LENGTH,
            min = 0.003,
            max = 0.020,
            usual = 0,
            optional = true,
            why = "it is the lift of the lobe")
        Given exhaustLobe,
    @Spec(
            label = "Exhaust valve lift",
            quantity = LENGTH,
            min = 0.003,
            max = 0.035,
            usual = 0,
            optional = true,
            why = "it is lobe lift times rocker ratio, without lash")
        Given exhaustValve,
    @Spec(
            label = "Separation on the card",
            quantity = ANGLE,
            min = 1.5,
            max = 2.3,
            usual = 0,
            optional = true,
            why = "it lies between the lobes, in cam degrees")
        Given separation,
    @Spec(
            label = "Advance ground in",
            quantity = ANGLE,
            min = -0.35,
            max = 0.35,
            usual = 0,
            optional = true,
            why = "it is separation less intake centreline")
        Given advance) {
  public CamCard {
    Specs.check(
        CamCard.class,
        "camCard",
        intakeSeat,
        intakeAt20,
        intakeMillimetre,
        intakeAt50,
        intakeAt200,
        intakeOpens,
        intakeCloses,
        intakeCentreline,
        intakeLobe,
        intakeValve,
        exhaustSeat,
        exhaustAt20,
        exhaustMillimetre,
        exhaustAt50,
        exhaustAt200,
        exhaustOpens,
        exhaustCloses,
        exhaustCentreline,
        exhaustLobe,
        exhaustValve,
        separation,
        advance);
  }
}
