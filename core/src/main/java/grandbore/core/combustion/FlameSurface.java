package grandbore.core.combustion;

import java.util.concurrent.ConcurrentHashMap;

/**
 * Area and radius of a sphere that grows from the plug and is cut by roof, crown and bore, over the
 * share of the chamber's volume inside it and the piston's depth. Once a build:
 *
 * <pre>
 * A(r) = r² ∫ inside(plug + r n) dn,   V(r) = ∫ A dr
 * </pre>
 *
 * <p>over directions n spread evenly (Fibonacci's lattice); a point counts by the part of a thin
 * cell about it that lies inside, so that the table moves evenly with every dimension. Two plugs:
 * what of one sphere lies in the other does not count. S. G. Poulos and J. B. Heywood (SAE 830334)
 * found such areas for the same purpose; from memory.
 */
public final class FlameSurface {
  private static final int DEPTHS = 10;
  private static final int RADII = 44;
  private static final int SHARES = 40;
  private static final int DIRECTIONS = 500;
  private static final double GOLDEN = Math.PI * (3 - Math.sqrt(5));

  /** Cell about a point over the bore. */
  private static final double CELL = 0.03;

  /** All of the volume but what rounding leaves. */
  private static final double LAST = 0.999;

  private static final int MOST = 64;
  private static final ConcurrentHashMap<Key, FlameSurface> KEPT = new ConcurrentHashMap<>();

  private record Key(ChamberShape shape, double stroke) {}

  /** By depth, then by share. */
  private final double[][] area = new double[DEPTHS + 1][SHARES + 1];

  private final double[][] radius = new double[DEPTHS + 1][SHARES + 1];
  private final double stroke;

  private FlameSurface(ChamberShape shape, double stroke) {
    this.stroke = stroke;
    var directions = directions(shape.plugOffset() == 0);
    var solid = shape.new Solid();
    for (int j = 0; j <= DEPTHS; j++) {
      fill(j, shape, solid, directions);
    }
  }

  /** That of a shape over a stroke, m; one that was made before is not made again. */
  public static FlameSurface of(ChamberShape shape, double stroke) {
    if (KEPT.size() > MOST) {
      KEPT.clear();
    }
    return KEPT.computeIfAbsent(new Key(shape, stroke), k -> new FlameSurface(k.shape, k.stroke));
  }

  private double depth(int j) {
    double t = (double) j / DEPTHS;
    return t * t * stroke;
  }

  /** Unit vectors over half of a sphere: the chamber is alike on both sides of the plug's plane. */
  private static double[][] directions(boolean central) {
    var all = new double[DIRECTIONS][];
    for (int k = 0; k < DIRECTIONS; k++) {
      double z = 1 - (2.0 * k + 1) / DIRECTIONS;
      double side = Math.sqrt(1 - z * z);
      double turn = k * GOLDEN;
      double y = side * Math.sin(turn);
      all[k] = new double[] {side * Math.cos(turn), central ? y : Math.abs(y), z};
    }
    return all;
  }

  private void fill(int j, ChamberShape shape, ChamberShape.Solid solid, double[][] directions) {
    double depth = depth(j);
    double floor = -shape.gap() - depth;
    double plug = solid.plugHeight();
    double across = 0.5 * shape.bore() + shape.plugOffset();
    double tall = plug + shape.gap() + depth + Math.max(0, -solid.crown(0, 0));
    double farthest = 1.02 * Math.hypot(across, Math.max(tall, plug + 0.5 * shape.bore()));
    double cell = CELL * shape.bore();
    var r = new double[RADII + 1];
    var a = new double[RADII + 1];
    var v = new double[RADII + 1];
    for (int i = 1; i <= RADII; i++) {
      r[i] = farthest * i / RADII;
      double sum = 0;
      for (var n : directions) {
        double x = shape.plugOffset() + r[i] * n[0];
        double y = r[i] * n[1];
        double z = plug + r[i] * n[2];
        if (shape.plugs() > 1
            && Math.hypot(Math.hypot(x + shape.plugOffset(), y), z - plug) < r[i]) {
          continue;
        }
        double out = Math.hypot(x, y) - 0.5 * shape.bore();
        double within = Math.clamp(0.5 - out / cell, 0, 1);
        if (within > 0) {
          double top = Math.min(solid.roof(x, y), z + 0.5 * cell);
          double bottom = Math.max(floor + solid.crown(x, y), z - 0.5 * cell);
          sum += within * Math.max(0, top - bottom) / cell;
        }
      }
      a[i] = shape.plugs() * 4 * Math.PI * r[i] * r[i] * sum / directions.length;
      v[i] = v[i - 1] + 0.5 * (a[i] + a[i - 1]) * (r[i] - r[i - 1]);
    }
    resample(j, r, a, v, shape.volume(depth) / Math.max(1e-12, v[RADII]));
  }

  /** Onto even steps of the cube root of the share. */
  private void resample(int j, double[] r, double[] a, double[] v, double scale) {
    int i = 1;
    for (int m = 1; m < SHARES; m++) {
      double t = (double) m / SHARES;
      double wanted = t * t * t * v[RADII];
      while (i < RADII && v[i] < wanted) {
        i++;
      }
      double from = Math.cbrt(v[i - 1]);
      double f = (Math.cbrt(wanted) - from) / Math.max(1e-12, Math.cbrt(v[i]) - from);
      area[j][m] = scale * (a[i - 1] + f * (a[i] - a[i - 1]));
      radius[j][m] = r[i - 1] + f * (r[i] - r[i - 1]);
    }
    while (i < RADII && v[i] < LAST * v[RADII]) {
      i++;
    }
    radius[j][SHARES] = r[i];
  }

  /**
   * Where a share of the chamber's volume stands in a row of the table.
   *
   * @param share of the volume that is inside the flame
   */
  static double column(double share) {
    return SHARES * Math.cbrt(Math.clamp(share, 0, 1));
  }

  /**
   * Where a piston stands among the rows of the table.
   *
   * @param depth of it, m
   */
  double row(double depth) {
    return DEPTHS * Math.sqrt(Math.clamp(depth / stroke, 0, 1));
  }

  /**
   * Area of the flame, m².
   *
   * @param share of the chamber's volume inside it
   * @param depth of the piston, m
   */
  public double area(double share, double depth) {
    return areaAt(column(share), row(depth));
  }

  /** Radius of the flame, m. */
  public double radius(double share, double depth) {
    return radiusAt(column(share), row(depth));
  }

  double areaAt(double column, double row) {
    return at(area, column, row);
  }

  double radiusAt(double column, double row) {
    return at(radius, column, row);
  }

  private static double at(double[][] table, double x, double y) {
    int m = Math.min((int) x, SHARES - 1);
    int j = Math.min((int) y, DEPTHS - 1);
    double fx = x - m;
    double fy = y - j;
    double near = table[j][m] + fx * (table[j][m + 1] - table[j][m]);
    double far = table[j + 1][m] + fx * (table[j + 1][m + 1] - table[j + 1][m]);
    return near + fy * (far - near);
  }
}
