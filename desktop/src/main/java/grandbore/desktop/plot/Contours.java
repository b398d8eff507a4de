package grandbore.desktop.plot;

import java.util.ArrayList;
import java.util.List;

/**
 * Lines of one height over a grid of values: each cell is crossed by what runs straight between its
 * corners (marching squares; a cell whose corners alternate is told by its middle). A cell with a
 * corner that is not known has none.
 */
public final class Contours {
  private Contours() {}

  /** A piece of a line, in steps of the grid from its first row and column. */
  public record Piece(double x1, double y1, double x2, double y2) {}

  /**
   * @param values by row and column
   */
  public static List<Piece> at(double[][] values, double height) {
    var all = new ArrayList<Piece>();
    for (int j = 0; j + 1 < values.length; j++) {
      for (int i = 0; i + 1 < values[j].length; i++) {
        cell(values, i, j, height, all);
      }
    }
    return all;
  }

  private static void cell(double[][] v, int i, int j, double height, List<Piece> all) {
    // Round the cell from its first corner: along, up, back, down.
    double[] corner = {v[j][i], v[j][i + 1], v[j + 1][i + 1], v[j + 1][i]};
    double[] x = {i, i + 1, i + 1, i};
    double[] y = {j, j, j + 1, j + 1};
    var crossings = new ArrayList<double[]>();
    for (int k = 0; k < 4; k++) {
      int next = (k + 1) % 4;
      if (Double.isNaN(corner[k])) {
        return;
      }
      if (corner[k] > height != corner[next] > height) {
        double f = (height - corner[k]) / (corner[next] - corner[k]);
        crossings.add(new double[] {x[k] + f * (x[next] - x[k]), y[k] + f * (y[next] - y[k])});
      }
    }
    if (crossings.size() == 2) {
      add(crossings.get(0), crossings.get(1), all);
    } else if (crossings.size() == 4) {
      double middle = (corner[0] + corner[1] + corner[2] + corner[3]) / 4;
      int first = middle > height == corner[0] > height ? 0 : 3;
      add(crossings.get(first), crossings.get((first + 1) % 4), all);
      add(crossings.get((first + 2) % 4), crossings.get((first + 3) % 4), all);
    }
  }

  private static void add(double[] a, double[] b, List<Piece> all) {
    all.add(new Piece(a[0], a[1], b[0], b[1]));
  }
}
