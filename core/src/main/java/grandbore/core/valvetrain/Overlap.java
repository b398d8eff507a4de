package grandbore.core.valvetrain;

import grandbore.core.combination.Combination;

/** How far and how long both valves stand open together around the exchange's top centre. */
public final class Overlap {
  private static final double STEP = Math.toRadians(0.25);
  private static final double REACH = Math.toRadians(140);

  private Overlap() {}

  /**
   * Area under both lifts together, m rad: the lesser of the two, summed over the crank's angle.
   */
  public static double area(Combination c) {
    var in = ValveMotion.intake(c).still();
    var out = ValveMotion.exhaust(c).still();
    double sum = 0;
    for (double a = 2 * Math.PI - REACH; a < 2 * Math.PI + REACH; a += STEP) {
      sum += Math.min(in.at(a), out.at(a)) * STEP;
    }
    return sum;
  }
}
