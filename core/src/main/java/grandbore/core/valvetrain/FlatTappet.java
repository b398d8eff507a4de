package grandbore.core.valvetrain;

import grandbore.core.combination.Combination;
import java.util.Optional;

/**
 * How wide a flat tappet has to be for its lobe: the point of contact stands off the tappet's axis
 * by the lift's slope over the cam's own angle, so that twice the steepest slope must find room on
 * it (kinematics of a flat-faced follower; H. A. Rothbart, <i>Cams</i>, from memory). Crown, edge
 * and the lobe's width ask for more.
 */
public final class FlatTappet {
  private static final double STEP = Math.toRadians(0.25);

  private FlatTappet() {}

  /** The least width for a lobe, m. */
  public static double width(Lobe lobe) {
    double steepest = 0;
    double reach = lobe.opening() + 0.5;
    for (double angle = -reach; angle < reach; angle += STEP) {
      steepest = Math.max(steepest, Math.abs(lobe.lift(angle + STEP) - lobe.lift(angle)) / STEP);
    }
    // The cam turns at half the crank's speed: twice the slope, on both sides of the axis.
    return 2 * 2 * steepest;
  }

  /** Whether the followers of a combination are flat. */
  public static boolean concerns(Combination c) {
    return c.valveTrain().follower().isFlat();
  }

  /** The least width for the intake's lobe, m. */
  public static double intake(Combination c) {
    return width(Lobe.intake(c));
  }

  /** The least width for the exhaust's lobe, m. */
  public static double exhaust(Combination c) {
    return width(Lobe.exhaust(c));
  }

  /** The width that is wanted where the tappets are flat and narrower than it, m. */
  public static Optional<Double> tooNarrow(Combination c) {
    if (!concerns(c)) {
      return Optional.empty();
    }
    double wanted = Math.max(intake(c), exhaust(c));
    return wanted > c.valveTrain().tappetDiameter().si() ? Optional.of(wanted) : Optional.empty();
  }
}
