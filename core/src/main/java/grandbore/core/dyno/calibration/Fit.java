package grandbore.core.dyno.calibration;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;

/** The linear algebra of a calibration: steps, errors and leaving out. */
final class Fit {
  /** Doubt of the meters' gains, one standard deviation: torque, then air (common practice). */
  private static final double[] GAINS = {0.005, 0.015};

  /** What they drift from one setting's pulls to another's: torque, then air. */
  private static final double[] DRIFTS = {0.002, 0.005};

  /** What one speed may lie off, one standard deviation: torque, then air. */
  private static final double[] OFF = {0.006, 0.012};

  /** Half of its variance is the same in every setting: what the model lacks at that speed. */
  private static final double COMMON = Math.sqrt(0.5);

  /** Smoothing and solver alone leave so much of it. */
  private static final double LEAST_SCALE = 0.6;

  /** So much surer than what was believed is what is held. */
  private static final double FAST = 1e5;

  private final List<Believed> believed;
  private final List<Gain> gains;

  /** Of what one speed may be off, the share that each row has for itself. */
  private final double alone;

  /**
   * A gain upon what a meter reads, one before.
   *
   * @param group whose pulls it is upon; below 0 for all
   * @param rpm at which it is; not a number for all
   * @param scales whether it goes with what is left over
   */
  private record Gain(int meter, int group, double rpm, double deviation, boolean scales) {
    boolean isOn(Row row) {
      return meter == row.meter
          && (group < 0 || group == row.group)
          && (Double.isNaN(rpm) || rpm == row.rpm);
    }
  }

  /** Which reading a row is. */
  record Row(int group, int meter, double rpm) {}

  /** The model about a point: shares off, and their slopes, a column for each coefficient. */
  static final class Slopes {
    private final double[] off;
    private final List<double[]> columns;
    private final List<Row> rows;

    Slopes(double[] off, List<double[]> columns, List<Row> rows) {
      this.off = off;
      this.columns = columns;
      this.rows = List.copyOf(rows);
    }

    List<Row> rows() {
      return rows;
    }
  }

  /** Coefficients, then gains, with their covariance and the scale upon what a speed may be off. */
  static final class Found {
    private final double[] x;
    private final RealMatrix covariance;
    private final int coefficients;
    private final double scale;

    Found(double[] x, RealMatrix covariance, int coefficients, double scale) {
      this.x = x;
      this.covariance = covariance;
      this.coefficients = coefficients;
      this.scale = scale;
    }

    double[] theta() {
      return java.util.Arrays.copyOf(x, coefficients);
    }

    double error(int k) {
      return Math.sqrt(covariance.getEntry(k, k));
    }

    List<List<Double>> correlations(int of) {
      var all = new ArrayList<List<Double>>();
      for (int i = 0; i < of; i++) {
        var row = new ArrayList<Double>();
        for (int j = 0; j < of; j++) {
          row.add(covariance.getEntry(i, j) / (error(i) * error(j)));
        }
        all.add(row);
      }
      return all;
    }

    /** Of the torque of a row, with what one speed may lie off alone, as a share. */
    double deviationOf(Slopes slopes, int row) {
      double v = 0;
      for (int i = 0; i < coefficients; i++) {
        for (int j = 0; j < coefficients; j++) {
          v += slopes.columns.get(i)[row] * covariance.getEntry(i, j) * slopes.columns.get(j)[row];
        }
      }
      double off = scale * OFF[0];
      return Math.sqrt(v + off * off);
    }
  }

  /**
   * @param rows that will be met
   */
  Fit(List<Believed> believed, List<Row> rows) {
    this.believed = List.copyOf(believed);
    var groups = rows.stream().map(Row::group).distinct().toList();
    boolean many = groups.size() > 1;
    alone = many ? COMMON : 1;
    var all = new ArrayList<Gain>();
    for (int m : rows.stream().map(Row::meter).distinct().toList()) {
      all.add(new Gain(m, -1, Double.NaN, GAINS[m], false));
      if (many) {
        groups.forEach(g -> all.add(new Gain(m, g, Double.NaN, DRIFTS[m], false)));
        rows.stream()
            .filter(r -> r.meter == m)
            .mapToDouble(Row::rpm)
            .distinct()
            .forEach(n -> all.add(new Gain(m, -1, n, COMMON * OFF[m], true)));
      }
    }
    gains = List.copyOf(all);
  }

  private int size() {
    return believed.size() + gains.size();
  }

  /** All gains upon a row, less one. */
  private double gain(Found found, Row row) {
    double sum = 0;
    for (int k = 0; k < gains.size(); k++) {
      sum += gains.get(k).isOn(row) ? found.x[believed.size() + k] - 1 : 0;
    }
    return sum;
  }

  double difference(int k) {
    return 0.5 * believed.get(k).deviation();
  }

  Found begin(double[] theta) {
    var x = java.util.Arrays.copyOf(theta, size());
    java.util.Arrays.fill(x, theta.length, size(), 1);
    return new Found(x, MatrixUtils.createRealIdentityMatrix(size()), theta.length, 1);
  }

  /** How far one step went, the furthest coefficient over what was believed of it. */
  double moved(Found from, Found to) {
    double most = 0;
    for (int k = 0; k < believed.size(); k++) {
      most = Math.max(most, Math.abs(to.x[k] - from.x[k]) / believed.get(k).deviation());
    }
    return most;
  }

  /**
   * With one coefficient held off its best by so many standard errors, the others where the
   * covariance has them then: x_j + C_jk / √C_kk for each.
   */
  Found held(Found best, int k, double errors) {
    var x = best.x.clone();
    for (int j = 0; j < x.length; j++) {
      x[j] += errors * best.covariance.getEntry(j, k) / best.error(k);
    }
    return new Found(x, best.covariance, best.coefficients, best.scale);
  }

  /**
   * Sum of the squares of all that is off, each over its standard deviation: rows, and what was
   * believed of coefficients and gains.
   *
   * @param off shares that the model is off with them
   */
  double misfit(Found at, double[] off, List<Row> rows) {
    double sum = 0;
    for (int i = 0; i < off.length; i++) {
      if (Double.isFinite(off[i])) {
        double r = (off[i] + gain(at, rows.get(i))) / (at.scale * alone * OFF[rows.get(i).meter]);
        sum += r * r;
      }
    }
    for (int k = 0; k < size(); k++) {
      double r = (mean(k) - at.x[k]) / deviation(k, at.scale);
      sum += r * r;
    }
    return sum;
  }

  private double mean(int k) {
    return k < believed.size() ? believed.get(k).mean() : 1;
  }

  private double deviation(int k, double scale) {
    if (k < believed.size()) {
      return believed.get(k).deviation();
    }
    var gain = gains.get(k - believed.size());
    return gain.scales ? scale * gain.deviation : gain.deviation;
  }

  /**
   * The others' best where one stays as it is held, from what the model is off there.
   *
   * @param k which stays; below 0 for none
   */
  Found refitted(Found held, int k, double[] off, Slopes s) {
    return solve(held, new Slopes(off, s.columns, s.rows), r -> false, k);
  }

  Found step(Found from, Slopes s) {
    return solve(from, s, r -> false);
  }

  /** With what one speed may lie off set so that it fits what is left over. */
  Found scaled(Found from, Slopes s) {
    var once = solve(from, s, r -> false);
    double sum = 0;
    int count = 0;
    var left = after(from, once, s);
    for (int i = 0; i < left.length; i++) {
      if (Double.isFinite(left[i])) {
        double r = (left[i] + gain(once, s.rows.get(i))) / (alone * OFF[s.rows.get(i).meter]);
        sum += r * r;
        count++;
      }
    }
    double free = gains.stream().filter(Gain::scales).count();
    double scale = Math.sqrt(sum / Math.max(1, count - believed.size() - free));
    var with = new Found(from.x, from.covariance, from.coefficients, Math.max(LEAST_SCALE, scale));
    return solve(with, s, r -> false);
  }

  /** Shares off as the rows that are not left out tell them. */
  double[] leavingOut(Found found, Slopes s, Predicate<Row> left) {
    return after(found, solve(found, s, left), s);
  }

  private double[] after(Found from, Found to, Slopes s) {
    var off = s.off.clone();
    for (int i = 0; i < off.length; i++) {
      for (int k = 0; k < believed.size(); k++) {
        off[i] += s.columns.get(k)[i] * (to.x[k] - from.x[k]);
      }
    }
    return off;
  }

  private Found solve(Found from, Slopes s, Predicate<Row> left) {
    return solve(from, s, left, -1);
  }

  /**
   * One step of Gauss and Newton, by orthogonal triangles.
   *
   * @param held coefficient that stays; below 0 for none
   */
  private Found solve(Found from, Slopes s, Predicate<Row> left, int held) {
    var a = new ArrayList<double[]>();
    var b = new ArrayList<Double>();
    for (int i = 0; i < s.off.length; i++) {
      var row = s.rows.get(i);
      if (left.test(row) || !Double.isFinite(s.off[i])) {
        continue;
      }
      double sigma = from.scale * alone * OFF[row.meter];
      var line = new double[size()];
      for (int k = 0; k < believed.size(); k++) {
        line[k] = s.columns.get(k)[i] / sigma;
      }
      // The share off of f g / y: the gain's own part is one for one.
      for (int k = 0; k < gains.size(); k++) {
        line[believed.size() + k] = gains.get(k).isOn(row) ? 1 / sigma : 0;
      }
      a.add(line);
      b.add(-(s.off[i] + gain(from, row)) / sigma);
    }
    for (int k = 0; k < size(); k++) {
      var line = new double[size()];
      line[k] = (k == held ? FAST : 1) / deviation(k, from.scale);
      a.add(line);
      b.add(k == held ? 0 : (mean(k) - from.x[k]) / deviation(k, from.scale));
    }
    var matrix = MatrixUtils.createRealMatrix(a.toArray(double[][]::new));
    var right = MatrixUtils.createRealVector(b.stream().mapToDouble(v -> v).toArray());
    var by = new QRDecomposition(matrix).getSolver().solve(right);
    var x = from.x.clone();
    for (int k = 0; k < x.length; k++) {
      x[k] += by.getEntry(k);
    }
    var covariance = MatrixUtils.inverse(matrix.transposeMultiply(matrix));
    return new Found(x, covariance, from.coefficients, from.scale);
  }
}
