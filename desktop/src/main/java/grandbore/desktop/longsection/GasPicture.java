package grandbore.desktop.longsection;

import grandbore.core.flow.GasPath.Part;
import grandbore.core.prediction.DuctTrace;
import grandbore.core.prediction.Trace;
import java.nio.IntBuffer;
import java.util.Arrays;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

/** Paints the gas along the path, or its whole cycle as a map, into the pixels of one image. */
final class GasPicture {
  private final int width;
  private final int height;
  private final int[] pixels;
  private final PixelBuffer<IntBuffer> buffer;
  private final WritableImage image;

  GasPicture(int width, int height) {
    this.width = width;
    this.height = height;
    pixels = new int[width * height];
    buffer =
        new PixelBuffer<>(
            width, height, IntBuffer.wrap(pixels), PixelFormat.getIntArgbPreInstance());
    image = new WritableImage(buffer);
  }

  WritableImage image() {
    return image;
  }

  int width() {
    return width;
  }

  int height() {
    return height;
  }

  private void show() {
    buffer.updateBuffer(b -> null);
  }

  void clear() {
    Arrays.fill(pixels, 0);
    show();
  }

  /** The row of a trace nearest to a crank angle, rad. */
  static int row(Trace t, double angle) {
    int at = Arrays.binarySearch(t.angles(), angle);
    int next = at >= 0 ? at : -at - 1;
    if (next == 0 || next >= t.angles().length) {
      return Math.min(next, t.angles().length - 1);
    }
    return angle - t.angles()[next - 1] < t.angles()[next] - angle ? next - 1 : next;
  }

  /** A value between the middles of cells, at a share of the pipe's length. */
  static double along(double[] cells, double share) {
    double at = share * cells.length - 0.5;
    int k = Math.clamp((int) Math.floor(at), 0, cells.length - 1);
    int n = Math.min(k + 1, cells.length - 1);
    double f = Math.clamp(at - k, 0, 1);
    return cells[k] + f * (cells[n] - cells[k]);
  }

  /**
   * The gas in all pipes as wide as they are, at one row of the trace.
   *
   * @param level pixel of the path's axis
   */
  void section(
      Trace t, int row, PathAxis axis, double level, GasView view, GasView.Range range, Tint tint) {
    Arrays.fill(pixels, 0);
    for (var span : axis.spans()) {
      if (span.piece().part() == Part.PLENUM) {
        int colour = tint.at(range.place(view.inPlenum(t, row)));
        for (int x = (int) span.from(); x < span.to(); x++) {
          column(x, level, span.piece().entry() / 2 * axis.scale(), colour);
        }
      }
    }
    for (var duct : t.ducts()) {
      var cells = duct.of(view.state())[row];
      columns(
          duct,
          axis,
          (x, share) ->
              axis.at(x)
                  .filter(s -> s.piece().part() != Part.PLENUM)
                  .ifPresent(
                      s ->
                          column(
                              (int) x,
                              level,
                              s.width(x) / 2 * axis.scale(),
                              tint.at(range.place(along(cells, share))))));
    }
    show();
  }

  /** The row of a trace for each line of pixels. */
  private int[] rows(Trace t) {
    var rows = new int[height];
    for (int y = 0; y < height; y++) {
      rows[y] = row(t, 4 * Math.PI * (y + 0.5) / height);
    }
    return rows;
  }

  /** Values between the middles of cells for a line of pixels. */
  private static void fill(double[] line, double[] cells, int from, double start, double length) {
    for (int k = 0; k < line.length; k++) {
      line[k] = along(cells, (from + k + 0.5 - start) / length);
    }
  }

  private interface Column {
    void paint(double x, double share);
  }

  private void columns(DuctTrace duct, PathAxis axis, Column each) {
    var ends = axis.duct(duct.duct(), duct.length());
    if (ends.isEmpty()) {
      return;
    }
    double from = ends.get()[0];
    double to = ends.get()[1];
    for (int x = Math.max(0, (int) Math.ceil(from)); x < Math.min(to, width); x++) {
      each.paint(x, (x + 0.5 - from) / (to - from));
    }
  }

  private void column(int x, double level, double half, int colour) {
    int top = Math.max(0, (int) Math.round(level - half));
    int bottom = Math.min(height, (int) Math.round(level + half));
    for (int y = top; y < bottom && x >= 0 && x < width; y++) {
      pixels[y * width + x] = colour;
    }
  }

  /**
   * The whole cycle: place along the path across, crank angle down.
   *
   * @param less taken off, place for place of each pipe; {@code null} for nothing
   */
  void map(Trace t, Trace less, PathAxis axis, GasView view, GasView.Range range, Tint tint) {
    Arrays.fill(pixels, 0);
    var rows = rows(t);
    var others = less == null ? null : rows(less);
    for (var duct : t.ducts()) {
      var ends = axis.duct(duct.duct(), duct.length());
      if (ends.isEmpty()) {
        continue;
      }
      int from = Math.max(0, (int) Math.ceil(ends.get()[0]));
      int to = (int) Math.min(Math.ceil(ends.get()[1]), width);
      double length = ends.get()[1] - ends.get()[0];
      var table = duct.of(view.state());
      var off =
          less == null ? null : less.along(duct.duct()).map(d -> d.of(view.state())).orElse(null);
      var line = new double[Math.max(0, to - from)];
      var lineOff = new double[line.length];
      for (int y = 0; y < height; y++) {
        fill(line, table[rows[y]], from, ends.get()[0], length);
        if (off != null) {
          fill(lineOff, off[others[y]], from, ends.get()[0], length);
        }
        int at = y * width + from;
        for (int k = 0; k < line.length; k++) {
          double v = off == null ? line[k] : line[k] - lineOff[k];
          pixels[at + k] = tint.at(range.place(v));
        }
      }
    }
    show();
  }
}
