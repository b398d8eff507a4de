package grandbore.desktop.results;

import java.util.ArrayList;
import java.util.List;

/** Finds where the name of each line of a plot stands clear of the others. */
final class LineNames {
  private static final int TRIES = 40;

  /** A name takes about a quarter of the width and a twelfth of the height. */
  private static final double WIDE = 0.28;

  private static final double HIGH = 0.08;
  private static final double GAP = 0.015;
  private static final double ENOUGH = 0.08;

  /**
   * @param x abscissa of the name's middle
   * @param y ordinate of the edge that faces the line
   * @param above whether the name stands over the line
   */
  record Place(double x, double y, boolean above) {}

  private LineNames() {}

  /** A place for each line, in their order; {@code null} for a line without values. */
  static List<Place> of(List<Line> lines) {
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
    for (var line : lines) {
      Place best = null;
      double most = Double.NEGATIVE_INFINITY;
      for (int t = 0; t <= TRIES; t++) {
        double x = left + width * (WIDE / 2 + (1 - WIDE) * t / TRIES);
        for (boolean above : new boolean[] {true, false}) {
          double y = edge(line, x, width, above);
          double near = y + (above ? 1 : -1) * GAP * height;
          double far = near + (above ? 1 : -1) * HIGH * height;
          if (!Double.isFinite(y) || far > high || far < low) {
            continue;
          }
          var box = new Box(x, Math.min(near, far), Math.max(near, far));
          double clear = clearance(line, lines, box, width, height, taken);
          if (clear > most) {
            most = clear;
            best = new Place(x, near, above);
          }
        }
      }
      places.add(best);
      if (best != null) {
        double far = best.y() + (best.above() ? 1 : -1) * HIGH * height;
        taken.add(new Box(best.x(), Math.min(best.y(), far), Math.max(best.y(), far)));
      }
    }
    return places;
  }

  /** Where a name would stand: its middle, its foot and its head. */
  private record Box(double x, double low, double high) {
    double distance(double y) {
      return Math.max(0, Math.max(low - y, y - high));
    }
  }

  /** The line's own highest or lowest value under a name. */
  private static double edge(Line line, double x, double width, boolean above) {
    double edge = Double.NaN;
    for (int k = -4; k <= 4; k++) {
      double y = line.at(x + k / 8.0 * WIDE * width);
      if (Double.isNaN(y)) {
        return Double.NaN;
      }
      edge = k == -4 ? y : above ? Math.max(edge, y) : Math.min(edge, y);
    }
    return edge;
  }

  /** How far a name stays from the other lines and from the names placed before. */
  private static double clearance(
      Line own, List<Line> lines, Box box, double width, double height, List<Box> taken) {
    double least = ENOUGH;
    for (var other : lines) {
      for (int k = -4; k <= 4 && other != own; k++) {
        double y = other.at(box.x + k / 8.0 * WIDE * width);
        if (Double.isFinite(y)) {
          least = Math.min(least, box.distance(y) / height);
        }
      }
    }
    for (var t : taken) {
      if (Math.abs(t.x - box.x) < WIDE * width) {
        double apart = Math.max(t.low - box.high, box.low - t.high) / height;
        least = Math.min(least, apart);
      }
    }
    // Of places as clear as one another, the one closest to its line's own ends is read first.
    return least - 0.02 * Math.abs(own.at(box.x) - box.low) / height;
  }
}
