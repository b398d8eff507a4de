package grandbore.core.valvetrain;

/** Velocity, acceleration and jerk of a lobe over the cam's own angle, and its nose. */
public final class LobeShape {
  private static final double STEP = Math.toRadians(0.5);

  private final Lobe lobe;

  public LobeShape(Lobe lobe) {
    this.lobe = lobe;
  }

  /** Lift at a cam angle from the nose, m. */
  public double lift(double cam) {
    return lobe.lift(2 * cam);
  }

  /** m/rad of the cam. */
  public double velocity(double cam) {
    return (lift(cam + STEP) - lift(cam - STEP)) / (2 * STEP);
  }

  /** m/rad². */
  public double acceleration(double cam) {
    return (lift(cam + STEP) - 2 * lift(cam) + lift(cam - STEP)) / (STEP * STEP);
  }

  /** m/rad³. */
  public double jerk(double cam) {
    return (acceleration(cam + STEP) - acceleration(cam - STEP)) / (2 * STEP);
  }

  /** Cam angle from the nose at which the lobe begins, rad. */
  public double span() {
    return 0.5 * lobe.opening();
  }

  /**
   * Least radius of the lobe about its nose, m: for a flat follower base circle + lift +
   * acceleration; for a roller the pitch curve's radius less the roller's (R. L. Norton, Cam Design
   * and Manufacturing Handbook, from memory).
   *
   * @param base radius of the base circle, m
   * @param roller radius, m; none for a flat follower
   */
  public double noseRadius(double base, double roller) {
    double least = Double.MAX_VALUE;
    for (double a = -0.6 * span(); a <= 0.6 * span(); a += STEP) {
      double s = base + roller + lift(a);
      double v = velocity(a);
      double w = acceleration(a);
      if (w > 0) {
        continue;
      }
      double r =
          roller > 0 ? Math.pow(s * s + v * v, 1.5) / (s * s + 2 * v * v - s * w) - roller : s + w;
      least = Math.min(least, r);
    }
    return least;
  }
}
