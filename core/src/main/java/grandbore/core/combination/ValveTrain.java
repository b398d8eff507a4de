package grandbore.core.combination;

import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.FORCE;
import static grandbore.core.units.Quantity.LENGTH;
import static grandbore.core.units.Quantity.MASS;
import static grandbore.core.units.Quantity.RATIO;
import static grandbore.core.units.Quantity.SHARE;
import static grandbore.core.units.Quantity.STIFFNESS;

import grandbore.core.units.Quantity;
import java.util.Map;

/** What stands between lobe and valve. */
public record ValveTrain(
    Follower follower,
    Shafts shafts,
    @Spec(
            label = "Intake rocker ratio",
            quantity = RATIO,
            min = 0.9,
            max = 2.2,
            why = "a tappet straight on the valve has 1")
        Given intakeRocker,
    @Spec(
            label = "Exhaust rocker ratio",
            quantity = RATIO,
            min = 0.9,
            max = 2.2,
            why = "a tappet straight on the valve has 1")
        Given exhaustRocker,
    @Spec(
            label = "Intake lash",
            quantity = CLEARANCE,
            min = 0,
            max = 0.001,
            why = "it is measured at the valve; hydraulic tappets have none")
        Given intakeLash,
    @Spec(
            label = "Exhaust lash",
            quantity = CLEARANCE,
            min = 0,
            max = 0.001,
            why = "it is measured at the valve; hydraulic tappets have none")
        Given exhaustLash,
    @Spec(
            label = "Rocker ratio off the seat",
            quantity = SHARE,
            min = 0.85,
            max = 1.10,
            usual = 1,
            why = "it is a share of the ratio over the nose")
        Given rockerOffSeat,
    @Spec(
            label = "Spring force on the seat",
            quantity = FORCE,
            min = 60,
            max = 2500,
            usual = 650,
            why = "valve springs lie inside that")
        Given springSeat,
    @Spec(
            label = "Spring rate",
            quantity = STIFFNESS,
            min = 8e3,
            max = 250e3,
            usual = 65e3,
            why = "valve springs lie inside that")
        Given springRate,
    @Spec(
            label = "Intake moving mass",
            quantity = MASS,
            min = 0.02,
            max = 0.8,
            usual = 0.300,
            why =
                "it is valve, retainer, a third of the spring and the train, brought to the valve")
        Given intakeMass,
    @Spec(
            label = "Exhaust moving mass",
            quantity = MASS,
            min = 0.02,
            max = 0.8,
            usual = 0.285,
            why =
                "it is valve, retainer, a third of the spring and the train, brought to the valve")
        Given exhaustMass,
    @Spec(
            label = "Stiffness at the valve",
            quantity = STIFFNESS,
            min = 5e5,
            max = 1e8,
            usual = 3.6e6,
            why = "valve trains lie inside that")
        Given stiffness,
    @Spec(
            label = "Tappet diameter",
            quantity = LENGTH,
            min = 0.010,
            max = 0.050,
            usual = 0.0214,
            why = "it is what the lobe runs on")
        Given tappetDiameter) {
  public ValveTrain {
    Specs.check(
        ValveTrain.class,
        "valveTrain",
        intakeRocker,
        exhaustRocker,
        intakeLash,
        exhaustLash,
        rockerOffSeat,
        springSeat,
        springRate,
        intakeMass,
        exhaustMass,
        stiffness,
        tappetDiameter);
    if (shafts == null) {
      throw new InvalidInput(
          "Camshafts (valveTrain.shafts)", "missing", "one or two", "degreeing moves them");
    }
    if (follower == null) {
      throw new InvalidInput(
          "Follower (valveTrain.follower)", "missing", "a kind of follower", "friction needs it");
    }
  }

  /**
   * A train with springs, masses and stiffness usual for its kind (common practice, no source; the
   * stiffness so that the train's own frequency is 550 Hz with pushrods, 950 Hz with fingers, 1,400
   * Hz with buckets, after Y. Wang, Introduction to Engine Valvetrains, 2007, from memory).
   */
  public static ValveTrain usual(
      Follower follower,
      Given intakeRocker,
      Given exhaustRocker,
      Given intakeLash,
      Given exhaustLash) {
    boolean flat = follower.isFlat();
    return switch (follower) {
      case FLAT_PUSHROD, ROLLER_PUSHROD ->
          of(
              follower,
              intakeRocker,
              exhaustRocker,
              intakeLash,
              exhaustLash,
              flat ? 500 : 650,
              flat ? 60e3 : 65e3,
              0.300,
              0.285,
              3.6e6,
              0.0214);
      case FINGER_OVERHEAD ->
          of(
              follower,
              intakeRocker,
              exhaustRocker,
              intakeLash,
              exhaustLash,
              330,
              42e3,
              0.110,
              0.105,
              3.9e6,
              0.0214);
      case BUCKET_OVERHEAD ->
          of(
              follower,
              intakeRocker,
              exhaustRocker,
              intakeLash,
              exhaustLash,
              270,
              34e3,
              0.120,
              0.115,
              9.3e6,
              0.032);
    };
  }

  private static ValveTrain of(
      Follower follower,
      Given intakeRocker,
      Given exhaustRocker,
      Given intakeLash,
      Given exhaustLash,
      double seat,
      double rate,
      double intakeMass,
      double exhaustMass,
      double stiffness,
      double tappet) {
    return Specs.make(
        ValveTrain.class,
        Map.ofEntries(
            Map.entry("follower", follower),
            Map.entry("shafts", follower.isOverhead() ? Shafts.TWO : Shafts.ONE),
            Map.entry("intakeRocker", intakeRocker),
            Map.entry("exhaustRocker", exhaustRocker),
            Map.entry("intakeLash", intakeLash),
            Map.entry("exhaustLash", exhaustLash),
            Map.entry("springSeat", assumed(seat, FORCE)),
            Map.entry("springRate", assumed(rate, STIFFNESS)),
            Map.entry("intakeMass", assumed(intakeMass, MASS)),
            Map.entry("exhaustMass", assumed(exhaustMass, MASS)),
            Map.entry("stiffness", assumed(stiffness, STIFFNESS)),
            Map.entry("tappetDiameter", assumed(tappet, LENGTH))));
  }

  private static Given assumed(double si, Quantity q) {
    return new Given(si, q, Provenance.ASSUMED, Given.usualSpread(si, q, Provenance.ASSUMED));
  }

  /** Force of a valve's springs at a lift, m; N. */
  public double springForce(double lift) {
    return springSeat.si() + springRate.si() * lift;
  }

  /** How the lobe is followed. */
  public enum Follower {
    FLAT_PUSHROD,
    ROLLER_PUSHROD,
    FINGER_OVERHEAD,
    BUCKET_OVERHEAD;

    /** Whether the lobe slides on it. */
    public boolean isFlat() {
      return this == FLAT_PUSHROD || this == BUCKET_OVERHEAD;
    }

    /** Whether the cam lies over the valves. */
    public boolean isOverhead() {
      return this == FINGER_OVERHEAD || this == BUCKET_OVERHEAD;
    }
  }

  /** Whether both lobes are ground on one shaft, or each valve's has its own. */
  public enum Shafts {
    ONE,
    TWO;

    /** What is usual (common practice, no source): buckets and four valves want a shaft each. */
    public static Shafts usual(Follower follower, int intakeValves) {
      boolean two =
          follower == Follower.BUCKET_OVERHEAD || follower.isOverhead() && intakeValves > 1;
      return two ? TWO : ONE;
    }
  }
}
