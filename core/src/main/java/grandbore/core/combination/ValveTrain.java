package grandbore.core.combination;

import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.RATIO;

/** What stands between lobe and valve. */
public record ValveTrain(
    Follower follower,
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
        Given exhaustLash) {
  public ValveTrain {
    Specs.check(
        ValveTrain.class, "valveTrain", intakeRocker, exhaustRocker, intakeLash, exhaustLash);
    if (follower == null) {
      throw new InvalidInput(
          "Follower (valveTrain.follower)", "missing", "a kind of follower", "friction needs it");
    }
  }

  /** How the lobe is followed. */
  public enum Follower {
    FLAT_PUSHROD,
    ROLLER_PUSHROD,
    FINGER_OVERHEAD,
    BUCKET_OVERHEAD
  }
}
