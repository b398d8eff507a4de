package grandbore.core.dyno;

import grandbore.core.combination.InvalidInput;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;

/**
 * What one channel of a pull read, over speed. At every speed of an even grid it is the value of a
 * parabola through the rows near it, weighted
 *
 * <p>w = (1 − |n − n₀| / h)
 *
 * <p>(local regression with a triangular kernel; W. S. Cleveland, Journal of the American
 * Statistical Association 74, 1979, with another kernel). A parabola comes out as it went in,
 * whatever the width h, so that a peak is not cut; through fewer than six rows it is a straight
 * line. The rows are left as they are: another width is another curve.
 *
 * @param points by rising speed, only where there are rows on both sides or at the speed
 */
public record PullCurve(List<Point> points) {
  /** Width that takes out the ripple of a recorder and leaves that of a manifold, rev/min. */
  public static final double USUAL_WIDTH = 250;

  /** Distance of two points, rev/min. */
  public static final double GRID = 50;

  /** Rows that tell a bend from noise. */
  private static final int BENT = 6;

  private static final double NARROWEST = 1;
  private static final double WIDEST = 1000;

  /**
   * @param rpm rev/min
   * @param value in the unit of the channel
   */
  public record Point(double rpm, double value) {}

  public PullCurve {
    points = List.copyOf(points);
  }

  /** Torque under a standard, that of turning engine and brake faster given back, N m. */
  public static PullCurve torque(Pull pull, Standard standard, double width) {
    double factor = pull.factor(standard);
    return of(pull.rows(), row -> factor * whole(pull, row), width);
  }

  /** The torque of a row as recorded with what went into turning everything faster, N m. */
  private static double whole(Pull pull, int row) {
    double read = pull.rows().torque(row);
    if (pull.inertia() == 0 || pull.how() == Pull.How.STEP || pull.rows().seconds().isEmpty()) {
      return read;
    }
    int from = Math.max(0, row - 2);
    int to = Math.min(pull.rows().rows() - 1, row + 2);
    double dt = pull.rows().seconds().get(to) - pull.rows().seconds().get(from);
    double faster = pull.rows().rpm(to) - pull.rows().rpm(from);
    return dt > 0 && Double.isFinite(faster)
        ? read + pull.inertia() * faster * Math.PI / 30 / dt
        : read;
  }

  /** Another channel; empty where it was not recorded. */
  public static Optional<PullCurve> of(Pull pull, Channel channel, int place, double width) {
    return pull.rows()
        .column(channel, place)
        .map(c -> of(pull.rows(), c.values()::get, width))
        .filter(c -> !c.points.isEmpty());
  }

  private static PullCurve of(Recorded rows, IntToDoubleFunction value, double width) {
    if (!(width >= NARROWEST && width <= WIDEST)) {
      throw new InvalidInput(
          "Smoothing", String.valueOf(width), "1 to 1,000 rpm", "wider hides what is looked for");
    }
    var known =
        IntStream.range(0, rows.rows())
            .filter(k -> Double.isFinite(rows.rpm(k)) && Double.isFinite(value.applyAsDouble(k)))
            .mapToObj(k -> new Point(rows.rpm(k), value.applyAsDouble(k)))
            .sorted(java.util.Comparator.comparingDouble(Point::rpm))
            .toList();
    var points = new ArrayList<Point>();
    if (known.isEmpty()) {
      return new PullCurve(points);
    }
    double from = Math.ceil(known.getFirst().rpm / GRID - 1e-9) * GRID;
    int first = 0;
    for (double n = from; n <= known.getLast().rpm + 1e-9; n += GRID) {
      // A sheet has rows further apart than the width: there its two neighbours make the line.
      double h = Math.max(width, 1.01 * gap(known, n));
      while (first < known.size() && known.get(first).rpm < n - h) {
        first++;
      }
      points.add(new Point(n, at(known, Math.max(0, first - 1), n, h)));
    }
    return new PullCurve(points);
  }

  /** Distance of a speed to the further one of its two neighbours. */
  private static double gap(List<Point> known, double n) {
    int low = 0;
    int high = known.size() - 1;
    while (high - low > 1) {
      int mid = (low + high) / 2;
      if (known.get(mid).rpm <= n) {
        low = mid;
      } else {
        high = mid;
      }
    }
    return Math.max(Math.abs(n - known.get(low).rpm), Math.abs(known.get(high).rpm - n));
  }

  private static double at(List<Point> known, int from, double n, double h) {
    var s = new double[5];
    var y = new double[3];
    int rows = 0;
    for (int k = from; k < known.size() && known.get(k).rpm <= n + h; k++) {
      double d = (known.get(k).rpm - n) / h;
      double w = 1 - Math.abs(d);
      if (w > 0) {
        rows++;
        double power = w;
        for (int i = 0; i < s.length; i++) {
          s[i] += power;
          if (i < y.length) {
            y[i] += power * known.get(k).value;
          }
          power *= d;
        }
      }
    }
    return rows < BENT ? straight(s, y) : bent(s, y);
  }

  /** Height at the middle of the line of least squares. */
  private static double straight(double[] s, double[] y) {
    double det = s[0] * s[2] - s[1] * s[1];
    return det > 1e-9 * s[0] * s[0] ? (s[2] * y[0] - s[1] * y[1]) / det : y[0] / s[0];
  }

  /** Height at the middle of the parabola of least squares, by Cramer's rule. */
  private static double bent(double[] s, double[] y) {
    double a = s[2] * s[4] - s[3] * s[3];
    double b = s[1] * s[4] - s[2] * s[3];
    double c = s[1] * s[3] - s[2] * s[2];
    double det = s[0] * a - s[1] * b + s[2] * c;
    return det > 1e-9 * s[0] * s[0] * s[0]
        ? (y[0] * a - y[1] * b + y[2] * c) / det
        : straight(s, y);
  }

  /** First speed, rev/min; not a number where there is none. */
  public double from() {
    return points.isEmpty() ? Double.NaN : points.getFirst().rpm;
  }

  /** Last speed, rev/min. */
  public double to() {
    return points.isEmpty() ? Double.NaN : points.getLast().rpm;
  }

  /**
   * Its value between two points; not a number outside of it.
   *
   * @param rpm rev/min
   */
  public double at(double rpm) {
    if (points.isEmpty() || !(rpm >= from() - 1e-6 && rpm <= to() + 1e-6)) {
      return Double.NaN;
    }
    double steps = Math.max(0, Math.min(points.size() - 1.0, (rpm - from()) / GRID));
    int k = Math.min((int) steps, points.size() - 2);
    if (k < 0) {
      return points.getFirst().value;
    }
    double f = steps - k;
    return (1 - f) * points.get(k).value + f * points.get(k + 1).value;
  }

  /** Mean over a band; not a number where it does not span the band. */
  public double mean(double from, double to) {
    if (!(from >= from() - GRID && to <= to() + GRID)) {
      return Double.NaN;
    }
    return points.stream()
        .filter(p -> p.rpm >= from - 1e-6 && p.rpm <= to + 1e-6)
        .mapToDouble(Point::value)
        .average()
        .orElse(Double.NaN);
  }

  /** Where it is highest; empty for none. */
  public Optional<Point> top() {
    return points.stream().max(java.util.Comparator.comparingDouble(Point::value));
  }
}
