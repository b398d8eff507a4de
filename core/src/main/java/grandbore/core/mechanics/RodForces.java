package grandbore.core.mechanics;

import grandbore.core.combination.Combination;

/**
 * Forces on piston, rod and wall through one cycle, N: down on the piston, along the rod
 * (compression positive) and against the cylinder's wall.
 */
public final class RodForces {
  private final double[] gas;
  private final double[] inertia;
  private final double[] rod;
  private final double[] side;

  private RodForces(int n) {
    gas = new double[n];
    inertia = new double[n];
    rod = new double[n];
    side = new double[n];
  }

  /** Of the pressure less the crankcase's, on the piston. */
  public double[] gas() {
    return gas;
  }

  /** Of the reciprocating masses. */
  public double[] inertia() {
    return inertia;
  }

  /** Along the rod. */
  public double[] rod() {
    return rod;
  }

  /** Against the wall, positive toward the thrust side. */
  public double[] side() {
    return side;
  }

  /**
   * @param angles crank rad after the firing top centre
   * @param pressure in the cylinder at each angle, Pa
   * @param speed of the crank, rad/s
   */
  public static RodForces of(Combination c, double[] angles, double[] pressure, double speed) {
    var b = c.bottomEnd();
    var crank = b.crank();
    double crankcase = c.weather().pressure().si() - c.losses().vacuum().si();
    double mass = c.weights().reciprocating();
    int n = angles.length;
    var f = new RodForces(n);
    for (int i = 0; i < n; i++) {
      double tilt = crank.tilt(angles[i]);
      f.gas[i] = (pressure[i] - crankcase) * b.boreArea();
      f.inertia[i] = -mass * crank.curvature(angles[i]) * speed * speed;
      double down = f.gas[i] + f.inertia[i];
      f.rod[i] = down / Math.cos(tilt);
      f.side[i] = down * Math.tan(tilt);
    }
    return f;
  }
}
