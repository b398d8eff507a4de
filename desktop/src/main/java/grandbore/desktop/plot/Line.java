package grandbore.desktop.plot;

/** One line of a plot: its name is said at the line and heads its column. */
public final class Line {
  private final String name;
  private final double[] x;
  private final double[] y;

  /**
   * @param y not a number where there is a gap
   */
  public Line(String name, double[] x, double[] y) {
    this.name = name;
    this.x = x;
    this.y = y;
  }

  public String name() {
    return name;
  }

  public double[] x() {
    return x;
  }

  public double[] y() {
    return y;
  }

  /** The value between the places around an abscissa; not a number outside or in a gap. */
  public double at(double abscissa) {
    for (int i = 1; i < x.length; i++) {
      if ((x[i - 1] - abscissa) * (x[i] - abscissa) <= 0) {
        double f = x[i] == x[i - 1] ? 0 : (abscissa - x[i - 1]) / (x[i] - x[i - 1]);
        return y[i - 1] + f * (y[i] - y[i - 1]);
      }
    }
    return Double.NaN;
  }

  /** The value at the place nearest an abscissa. */
  double near(double at) {
    int best = 0;
    for (int i = 1; i < x.length; i++) {
      best = Math.abs(x[i] - at) < Math.abs(x[best] - at) ? i : best;
    }
    return x.length == 0 ? Double.NaN : y[best];
  }
}
