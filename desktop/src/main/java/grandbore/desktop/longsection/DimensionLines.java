package grandbore.desktop.longsection;

import grandbore.core.combination.Combination;
import grandbore.desktop.drawing.CylinderShape;
import grandbore.desktop.drawing.Pen;
import grandbore.desktop.longsection.Dimensions.Dimension;
import grandbore.desktop.longsection.Dimensions.Place;
import java.util.List;
import java.util.stream.IntStream;

/** Gives the inputs on the long section their places, and draws the lines from them. */
final class DimensionLines {
  private static final double GAP = 6;
  private static final double ROW = 44;

  /** From the path's axis to what hangs below it. */
  private static final double UNDER = 36;

  private final Dimensions dimensions;
  private final Combination c;
  private final double width;

  /** Height of an input with its name, px. */
  private final double row;

  private final int rows;

  /**
   * @param width that there is, pixels
   * @param letters over those of normal text
   */
  DimensionLines(Dimensions dimensions, Combination c, double width, double letters) {
    this.dimensions = dimensions;
    this.c = c;
    this.width = width;
    row = ROW * letters;
    rows = rows(dimensions.at(Place.OVER, c), width - 8);
  }

  /** The fewest rows that hold inputs beside one another in a room, pixels. */
  private static int rows(List<Dimension> all, double room) {
    int rows = 1;
    while (rows < all.size() && widest(all, rows) > room) {
      rows++;
    }
    return rows;
  }

  private static double widest(List<Dimension> all, int rows) {
    return IntStream.range(0, rows)
        .mapToDouble(k -> share(all, k, rows).stream().mapToDouble(DimensionLines::width).sum())
        .max()
        .orElse(0);
  }

  /** What stands in one of several rows: neighbours stand in different ones. */
  private static List<Dimension> share(List<Dimension> all, int row, int rows) {
    return IntStream.range(0, all.size()).filter(i -> i % rows == row).mapToObj(all::get).toList();
  }

  /** Room over the path for the inputs there: as many rows as they need. */
  double height() {
    return rows * row + 16;
  }

  /** From the path's axis to the end of what hangs below it on the exhaust side. */
  double belowExhaust(PathAxis axis) {
    return UNDER + row * underExhaust(axis);
  }

  private int underExhaust(PathAxis axis) {
    return rows(dimensions.at(Place.UNDER_EXHAUST, c), width - 4 - beside(axis));
  }

  /** From the path's axis to the end of all rows below it. */
  double below() {
    return UNDER + 3 * row + 4;
  }

  /** Pixel where the inputs beside the cylinder end. */
  double beside(PathAxis axis) {
    double widest =
        dimensions.at(Place.CYLINDER, c).stream()
            .mapToDouble(DimensionLines::width)
            .max()
            .orElse(0);
    return axis.exhaustValve() + 34 + widest;
  }

  /** Sets every input near to what it measures; none lies on another. */
  void place(Pen pen, PathAxis axis, double level, double crankY, CylinderShape shape) {
    var all = dimensions.at(Place.OVER, c);
    for (int r = 0; r < rows; r++) {
      over(pen, axis, level, share(all, r, rows), 3 + r * row);
    }
    intake(pen, axis, level, dimensions.at(Place.UNDER_INTAKE, c), 4);
    var exhaust = dimensions.at(Place.UNDER_EXHAUST, c);
    int under = underExhaust(axis);
    for (int r = 0; r < under; r++) {
      exhaust(pen, axis, level, share(exhaust, r, under), level + UNDER + r * row);
    }
    double[] at = {
      crankY - shape.crown(0) * axis.scale() + 12,
      crankY,
      crankY - shape.pin(Math.PI) * axis.scale()
    };
    cylinder(pen, axis, level, at);
  }

  private void over(Pen pen, PathAxis axis, double level, List<Dimension> here, double y) {
    double[] wanted = wanted(axis, here);
    double[] x = Spread.place(wanted, widths(here), 4, width - 4);
    for (int i = 0; i < x.length; i++) {
      put(here.get(i), x[i], y);
      var span = axis.find(here.get(i).part()).orElseThrow();
      double end = level - span.piece().entry() / 2 * axis.scale() - 2;
      pen.thin(wanted[i], Math.min(end, height() + 4), x[i] + 50, y + row - 2);
      pen.thin(wanted[i], Math.min(end, height() + 4), wanted[i], end);
    }
  }

  private void exhaust(Pen pen, PathAxis axis, double level, List<Dimension> here, double y) {
    double[] wanted = wanted(axis, here);
    double[] x = Spread.place(wanted, widths(here), beside(axis), width - 4);
    for (int i = 0; i < x.length; i++) {
      put(here.get(i), x[i], y);
      pen.thin(wanted[i], level + 24, x[i] + 60, y + 2);
    }
  }

  private void intake(Pen pen, PathAxis axis, double level, List<Dimension> stack, double x) {
    double y = level + UNDER;
    for (int i = 0; i < stack.size(); i++) {
      put(stack.get(i), x, y + row * i);
      var span = axis.find(stack.get(i).part()).orElseThrow();
      double at = i == 0 ? span.from() + 3 : span.to() - 3;
      double foot = y + row * (i + 0.68);
      pen.thin(at, level + 20, at, foot);
      pen.thin(at, foot, x + width(stack.get(i)) - GAP, foot);
    }
  }

  /**
   * @param at pixels that bore, stroke and rod are measured at, from the top down
   */
  private void cylinder(Pen pen, PathAxis axis, double level, double[] at) {
    var stack = dimensions.at(Place.CYLINDER, c);
    double x = axis.exhaustValve() + 24;
    double y = level + UNDER;
    for (int i = 0; i < stack.size(); i++) {
      put(stack.get(i), x, y + row * i);
      pen.thin(axis.exhaustValve() + 2, at[i], x, y + row * (i + 0.64));
    }
  }

  private static double[] wanted(PathAxis axis, List<Dimension> here) {
    return here.stream().mapToDouble(d -> axis.find(d.part()).orElseThrow().middle()).toArray();
  }

  private static double[] widths(List<Dimension> here) {
    return here.stream().mapToDouble(DimensionLines::width).toArray();
  }

  private static double width(Dimension d) {
    return d.box().prefWidth(-1) + GAP;
  }

  private static void put(Dimension d, double x, double y) {
    d.box().autosize();
    d.box().relocate(Math.rint(x), Math.rint(y));
  }
}
