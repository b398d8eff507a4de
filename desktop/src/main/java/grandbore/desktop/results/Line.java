package grandbore.desktop.results;

/** One line of a plot: its name is said at the line and heads its column. */
final class Line {
  private final String name;
  private final double[] x;
  private final double[] y;

  /**
   * @param y not a number where there is a gap
   */
  Line(String name, double[] x, double[] y) {
    this.name = name;
    this.x = x;
    this.y = y;
  }

  String name() {
    return name;
  }

  double[] x() {
    return x;
  }

  double[] y() {
    return y;
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
