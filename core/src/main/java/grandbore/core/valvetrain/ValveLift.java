package grandbore.core.valvetrain;

/** Lift of a valve over the cycle, tabulated; crank radians after the firing top centre. */
public final class ValveLift {
  private static final int ROWS = 2880;
  private static final double CYCLE = 4 * Math.PI;

  private final double[] lift = new double[ROWS + 1];
  private final double peak;

  /**
   * @param centreline of the lobe, rad after the firing top centre
   * @param lash at the valve, m
   */
  public ValveLift(Lobe lobe, double centreline, double rockerRatio, double lash) {
    double most = 0;
    for (int i = 0; i <= ROWS; i++) {
      double from = CYCLE * i / ROWS - centreline;
      from -= CYCLE * Math.rint(from / CYCLE);
      lift[i] = Math.max(0, lobe.lift(from) * rockerRatio - lash);
      most = Math.max(most, lift[i]);
    }
    peak = most;
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
}
