package grandbore.core.valvetrain;

/** Lift of a valve over the cycle, tabulated; crank radians after the firing top centre. */
public final class ValveLift {
  static final int ROWS = 2880;
  static final double CYCLE = 4 * Math.PI;

  private final double[] lift;
  private final double peak;
  private final boolean closes;

  /**
   * @param lift m, a row every quarter of a crank degree, the first again at the end
   */
  ValveLift(double[] lift) {
    this.lift = lift;
    double most = 0;
    double least = lift[0];
    for (double l : lift) {
      most = Math.max(most, l);
      least = Math.min(least, l);
    }
    peak = most;
    closes = least <= 0;
  }

  /** Lift, m. */
  public double at(double angle) {
    double at = angle * (ROWS / CYCLE);
    int i = Math.floorMod((int) Math.floor(at), ROWS);
    double f = at - Math.floor(at);
    return lift[i] + f * (lift[i + 1] - lift[i]);
  }

  public double peak() {
    return peak;
  }

  /** Whether the valve meets its seat at all. */
  public boolean closes() {
    return closes;
  }
}
