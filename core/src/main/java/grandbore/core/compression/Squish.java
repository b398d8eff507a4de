package grandbore.core.compression;

import grandbore.core.combination.Combination;

/**
 * Speed of the gas that the closing quench gap pushes into the chamber: J. B. Heywood, Internal
 * Combustion Engine Fundamentals, 1988, equation 8.36, from memory. The chamber is taken as a disc
 * of its plan area in the middle of the bore.
 */
public final class Squish {
  private Squish() {}

  /**
   * The most before top centre, m/s; not a number where the chamber's plan area is not known or
   * leaves no quench.
   *
   * @param speed of the crank, rad/s
   */
  public static double most(Combination c, double speed) {
    var b = c.bottomEnd();
    double area = b.boreArea();
    double plan = c.compression().planArea().si();
    if (plan <= 0 || plan >= area) {
      return Double.NaN;
    }
    var crank = b.crank();
    double gap = b.deckClearance() + c.compression().gasketThickness().si();
    double bowl = c.clearanceVolume() - area * gap;
    double across = Math.sqrt(4 * plan / Math.PI);
    double most = 0;
    for (double before = 0.25; before <= 60; before += 0.25) {
      double angle = -Math.toRadians(before);
      double z = gap + crank.depth(angle);
      double piston = -crank.slope(angle) * speed;
      double v = piston * across / (4 * z) * (area / plan - 1) * bowl / (area * z + bowl);
      most = Math.max(most, v);
    }
    return most;
  }
}
