package grandbore.desktop.plot;

import java.util.ArrayList;
import java.util.List;

/** Finds where the name of each line of a plot stands clear of the others. */
public final class LineNames {
  private static final int TRIES = 40;

  private static final double PIXELS_A_LETTER = 5.8;

  /** Shares of the height. */
  private static final double HIGH = 0.08;

  private static final double GAP = 0.015;

  /** Left free above and below the lines. */
  static final double MARGIN = 0.1;

  private static final double ENOUGH = 0.08;

  /** More lines than this can't all be named. */
  private static final int CROWD = 12;

  /**
   * @param x abscissa of the name's middle
   * @param y ordinate of the edge that faces the line
   * @param above whether the name stands over the line
   */
  public record Place(double x, double y, boolean above) {}

  private LineNames() {}

  /**
   * A place for each line, in their order; {@code null} for a line without values, and among many
   * lines for one whose name would stand on another's.
   *
   * @param pixels the plot is wide
   */
  public static List<Place> of(List<Line> lines, double pixels) {
    var places = new ArrayList<Place>();
    double left = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (var l : lines) {
      for (int i = 0; i < l.x().length; i++) {
        if (Double.isFinite(l.y()[i])) {
          left = Math.min(left, l.x()[i]);
          right = Math.max(right, l.x()[i]);
          low = Math.min(low, l.y()[i]);
          high = Math.max(high, l.y()[i]);
        }
      }
    }
    var taken = new ArrayList<Box>();
    double width = Math.max(1e-9, right - left);
    double height = Math.max(1e-9, high - low);
    low -= MARGIN * height;
    high += MARGIN * height;
    var columns = new LineColumns(lines, left, width);
    boolean crowded = lines.size() > CROWD;
    for (int l = 0; l < lines.size(); l++) {
      var line = lines.get(l);
      double wide = Math.min(0.9, PIXELS_A_LETTER * (line.name().length() + 1) / pixels) * width;
      Place best = null;
      // In a crowd a name that would stand on another is left out.
      double most = crowded ? -ENOUGH : Double.NEGATIVE_INFINITY;
      for (int t = 0; t <= TRIES; t++) {
        double x = left + wide / 2 + (width - wide) * t / TRIES;
        for (boolean above : new boolean[] {true, false}) {
          double y = columns.edge(l, x, wide, above);
          double near = y + (above ? 1 : -1) * GAP * height;
          double far = near + (above ? 1 : -1) * HIGH * height;
          if (!Double.isFinite(y) || far > high || far < low) {
            continue;
          }
          var box = new Box(x, wide, Math.min(near, far), Math.max(near, far));
          double least = apart(box, height, taken);
          if (least <= most || crowded && least < 0) {
            continue;
          }
          least = Math.min(least, columns.nearest(l, x, wide, box.low, box.high) / height);
          // Of places as clear as one another, the closest to its line's own ends is read first.
          double clear = least - 0.02 * Math.abs(line.at(x) - box.low) / height;
          if (clear > most) {
            most = clear;
            best = new Place(x, near, above);
          }
        }
      }
      places.add(best);
      if (best != null) {
        double far = best.y() + (best.above() ? 1 : -1) * HIGH * height;
        taken.add(new Box(best.x(), wide, Math.min(best.y(), far), Math.max(best.y(), far)));
      }
    }
    return places;
  }

  /** Where a name would stand: its middle, its foot and its head. */
  private record Box(double x, double wide, double low, double high) {}

  /** How far a name stays from those placed before; below zero on one of them. */
  private static double apart(Box box, double height, List<Box> taken) {
    double least = ENOUGH;
    for (var t : taken) {
      if (Math.abs(t.x - box.x) < 0.5 * (t.wide + box.wide)) {
        least = Math.min(least, Math.max(t.low - box.high, box.low - t.high) / height);
      }
    }
    return least;
  }
}
