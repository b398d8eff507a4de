package grandbore.desktop.plot;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The lines of a plot read at even abscissas, and at each of them ordered by height, so that what
 * is nearest to a place is found without asking every line.
 */
final class LineColumns {
  private static final int COLUMNS = 256;

  private final double left;
  private final double step;

  /** Ordinates by line and column. */
  private final double[][] y;

  /** Ordinates by column, rising, and whose they are; lines that are not there are left out. */
  private final double[][] rising = new double[COLUMNS + 1][];

  private final int[][] whose = new int[COLUMNS + 1][];

  /**
   * @param left the least abscissa
   * @param width from there to the greatest
   */
  LineColumns(List<Line> lines, double left, double width) {
    this.left = left;
    step = width / COLUMNS;
    y = new double[lines.size()][COLUMNS + 1];
    for (int l = 0; l < y.length; l++) {
      var line = lines.get(l);
      // The last column's abscissa may be rounded to just beyond the line's end.
      Arrays.setAll(y[l], c -> line.at(c == COLUMNS ? left + width : left + c * step));
    }
    for (int c = 0; c <= COLUMNS; c++) {
      int at = c;
      var there =
          IntStream.range(0, y.length)
              .filter(l -> Double.isFinite(y[l][at]))
              .boxed()
              .sorted(Comparator.comparingDouble(l -> y[l][at]))
              .mapToInt(l -> l)
              .toArray();
      whose[c] = there;
      rising[c] = Arrays.stream(there).mapToDouble(l -> y[l][at]).toArray();
    }
  }

  private int first(double x, double wide) {
    return Math.clamp((long) Math.floor((x - wide / 2 - left) / step), 0, COLUMNS);
  }

  private int last(double x, double wide) {
    return Math.clamp((long) Math.ceil((x + wide / 2 - left) / step), 0, COLUMNS);
  }

  /** A line's highest or lowest value under a name; not a number where it has a gap there. */
  double edge(int line, double x, double wide, boolean above) {
    double edge = above ? Double.NEGATIVE_INFINITY : Double.POSITIVE_INFINITY;
    for (int c = first(x, wide); c <= last(x, wide); c++) {
      edge = above ? Math.max(edge, y[line][c]) : Math.min(edge, y[line][c]);
    }
    return edge;
  }

  /** The least distance of the other lines from a box; infinite where there is none. */
  double nearest(int own, double x, double wide, double low, double high) {
    double least = Double.POSITIVE_INFINITY;
    for (int c = first(x, wide); c <= last(x, wide) && least > 0; c++) {
      var at = rising[c];
      int k = Arrays.binarySearch(at, low);
      int up = k < 0 ? -k - 1 : k;
      for (int i = up; i < at.length && Math.max(0, at[i] - high) < least; i++) {
        if (whose[c][i] != own) {
          least = Math.max(0, at[i] - high);
        }
      }
      for (int i = up - 1; i >= 0 && low - at[i] < least; i--) {
        if (whose[c][i] != own) {
          least = low - at[i];
        }
      }
    }
    return least;
  }
}
