package grandbore.core.combination;

import static grandbore.core.units.Quantity.ANGLE;
import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.LENGTH;
import static grandbore.core.units.Quantity.MASS;

/**
 * Springs, rockers and pockets as they are measured at the head.
 *
 * @param installedHeight of the spring, valve shut
 * @param coilBind height at which its coils touch
 * @param retainerRoom from retainer to guide or seal, valve shut
 * @param baseCircle diameter
 * @param roller diameter of a follower's roller
 * @param rockerArm from the rocker's pivot to its tip
 * @param tipRise of the rocker's tip above its pivot, valve shut, across the stem
 * @param intakePocketWidth diameter of the intake valve's pocket
 * @param pocketOff middle of valve and of pocket apart
 * @param gearStep crank degrees that one step of the gear or bush moves the cam
 */
public record ValveHardware(
    @Spec(
            label = "Spring, installed height",
            quantity = LENGTH,
            min = 0.015,
            max = 0.080,
            usual = 0,
            optional = true,
            why = "it is measured with the valve shut")
        Given installedHeight,
    @Spec(
            label = "Spring, coil bind",
            quantity = LENGTH,
            min = 0.010,
            max = 0.070,
            usual = 0,
            optional = true,
            why = "it is where the coils touch")
        Given coilBind,
    @Spec(
            label = "Retainer to seal",
            quantity = LENGTH,
            min = 0.003,
            max = 0.040,
            usual = 0,
            optional = true,
            why = "it is measured with the valve shut")
        Given retainerRoom,
    @Spec(
            label = "Base circle",
            quantity = LENGTH,
            min = 0.010,
            max = 0.070,
            usual = 0.030,
            why = "it is a diameter")
        Given baseCircle,
    @Spec(
            label = "Roller",
            quantity = LENGTH,
            min = 0.008,
            max = 0.040,
            usual = 0.0191,
            why = "it is a diameter")
        Given roller,
    @Spec(
            label = "Rocker arm, pivot to tip",
            quantity = LENGTH,
            min = 0.010,
            max = 0.090,
            usual = 0,
            optional = true,
            why = "it is measured in a straight line")
        Given rockerArm,
    @Spec(
            label = "Tip above pivot",
            quantity = LENGTH,
            min = -0.030,
            max = 0.030,
            usual = 0,
            optional = true,
            why = "it is measured square to the stem, valve shut")
        Given tipRise,
    @Spec(
            label = "Stem diameter",
            quantity = LENGTH,
            min = 0.003,
            max = 0.014,
            usual = 0.0087,
            why = "it is measured below the lock groove")
        Given stem,
    @Spec(
            label = "Intake pocket width",
            quantity = LENGTH,
            min = 0.015,
            max = 0.090,
            usual = 0,
            optional = true,
            why = "it is a diameter")
        Given intakePocketWidth,
    @Spec(
            label = "Exhaust pocket width",
            quantity = LENGTH,
            min = 0.012,
            max = 0.080,
            usual = 0,
            optional = true,
            why = "it is a diameter")
        Given exhaustPocketWidth,
    @Spec(
            label = "Valve off its pocket",
            quantity = CLEARANCE,
            min = 0,
            max = 0.008,
            usual = 0,
            why = "it is measured sideways")
        Given pocketOff,
    @Spec(
            label = "Adjuster step",
            quantity = ANGLE,
            min = 0.008,
            max = 0.36,
            usual = 0.03490658503988659,
            why = "it is what one step moves, in crank degrees")
        Given gearStep,
    @Spec(
            label = "Valve",
            quantity = MASS,
            min = 0.005,
            max = 0.4,
            usual = 0,
            optional = true,
            why = "one valve on scales")
        Given valveMass,
    @Spec(
            label = "Retainer and locks",
            quantity = MASS,
            min = 0.002,
            max = 0.1,
            usual = 0,
            optional = true,
            why = "on scales")
        Given retainerMass,
    @Spec(
            label = "Spring, all coils",
            quantity = MASS,
            min = 0.005,
            max = 0.4,
            usual = 0,
            optional = true,
            why = "on scales")
        Given springMass,
    @Spec(
            label = "Tappet",
            quantity = MASS,
            min = 0.002,
            max = 0.4,
            usual = 0,
            optional = true,
            why = "on scales")
        Given tappetMass,
    @Spec(
            label = "Pushrod",
            quantity = MASS,
            min = 0.005,
            max = 0.3,
            usual = 0,
            optional = true,
            why = "on scales")
        Given pushrodMass,
    @Spec(
            label = "Rocker, at the valve",
            quantity = MASS,
            min = 0.002,
            max = 0.3,
            usual = 0,
            optional = true,
            why = "its inertia over the square of its arm, about a third of what it weighs")
        Given rockerMass) {
  public ValveHardware {
    Specs.check(
        ValveHardware.class,
        "valveHardware",
        installedHeight,
        coilBind,
        retainerRoom,
        baseCircle,
        roller,
        rockerArm,
        tipRise,
        stem,
        intakePocketWidth,
        exhaustPocketWidth,
        pocketOff,
        gearStep,
        valveMass,
        retainerMass,
        springMass,
        tappetMass,
        pushrodMass,
        rockerMass);
  }

  /** Whether the masses of a train's parts are said, those that every train has. */
  public boolean knowsMasses() {
    return valveMass.isKnown() && retainerMass.isKnown() && springMass.isKnown();
  }

  /**
   * Mass brought to the valve, kg: valve, retainer, a third of the spring, the rocker's share, and
   * tappet and pushrod over the square of the rocker's ratio.
   */
  public double atValve(double ratio) {
    return valveMass.si()
        + retainerMass.si()
        + springMass.si() / 3
        + rockerMass.si()
        + (tappetMass.si() + pushrodMass.si()) / (ratio * ratio);
  }
}
