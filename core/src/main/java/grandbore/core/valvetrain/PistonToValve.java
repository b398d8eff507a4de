package grandbore.core.valvetrain;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.geometry.SliderCrank;
import java.util.function.DoubleUnaryOperator;

/**
 * Clearance between piston and valve along the valve's stem, as a checking spring finds it, lash
 * taken up: the geometry of stem, deck, gasket, pocket and slider-crank, pocket taken as parallel
 * to the valve.
 */
public final class PistonToValve {
  private static final double STEP = Math.toRadians(0.5);
  private static final double REACH = Math.toRadians(75);

  private final ValveLift lift;
  private final double lash;
  private final double cosine;
  private final double stack;
  private final SliderCrank crank;

  /**
   * The closest that they come.
   *
   * @param clearance along the stem, m; negative where they meet
   * @param angle crank rad after the exchange's top centre
   */
  public record Closest(double clearance, double angle) {}

  private PistonToValve(
      Combination c, ValveMotion motion, Given angle, Given recess, Given pocket) {
    lift = motion.still();
    lash = motion.train().lash();
    cosine = Math.cos(angle.si());
    var b = c.bottomEnd();
    stack = recess.si() + c.compression().gasketThickness().si() + b.deckClearance() + pocket.si();
    crank = b.crank();
  }

  public static PistonToValve intake(Combination c) {
    var h = c.heads();
    return new PistonToValve(
        c,
        ValveMotion.intake(c),
        h.intakeAngle(),
        h.intakeRecess(),
        c.compression().intakePocket());
  }

  public static PistonToValve exhaust(Combination c) {
    var h = c.heads();
    return new PistonToValve(
        c,
        ValveMotion.exhaust(c),
        h.exhaustAngle(),
        h.exhaustRecess(),
        c.compression().exhaustPocket());
  }

  /** Clearance along the stem, m, at a crank angle after the exchange's top centre, rad. */
  public double at(double angle) {
    double open = lift.at(2 * Math.PI + angle);
    return at(angle, open > 0 ? open + lash : 0, 0);
  }

  private double at(double angle, double lifted, double nearer) {
    return (stack + crank.depth(angle) - nearer) / cosine - lifted;
  }

  /** The closest around the exchange's top centre. */
  public Closest closest() {
    return least(this::at);
  }

  /** The closest with the valve moving in another way and the piston nearer by some length, m. */
  public Closest closest(ValveLift moving, double nearer) {
    return least(a -> at(a, moving.at(2 * Math.PI + a), nearer));
  }

  private static Closest least(DoubleUnaryOperator clearance) {
    double least = Double.MAX_VALUE;
    double where = 0;
    for (double a = -REACH; a <= REACH; a += STEP) {
      double now = clearance.applyAsDouble(a);
      if (now < least) {
        least = now;
        where = a;
      }
    }
    return new Closest(least, where);
  }

  /**
   * How far the shut valve stands above the deck for the closest to be what was read, m: what the
   * reading teaches, whatever is changed afterwards.
   */
  public double recessFor(double recess, double read) {
    return recess + (read - closest().clearance()) * cosine;
  }
}
