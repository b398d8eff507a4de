package grandbore.desktop.plot;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jfree.chart.JFreeChart;
import org.jfree.svg.SVGGraphics2D;

/** Writes a plot as a drawing, a picture or a table, by the ending of the file. */
final class PlotExport {
  private static final int WIDTH = 900;
  private static final int HEIGHT = 560;

  private PlotExport() {}

  static void write(JFreeChart chart, String abscissa, List<Line> lines, Path file)
      throws IOException {
    String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
    if (name.endsWith(".svg")) {
      var svg = new SVGGraphics2D(WIDTH, HEIGHT);
      chart.draw(svg, new java.awt.geom.Rectangle2D.Double(0, 0, WIDTH, HEIGHT));
      Files.writeString(file, svg.getSVGDocument());
    } else if (name.endsWith(".png")) {
      try (OutputStream out = Files.newOutputStream(file)) {
        ImageIO.write(picture(chart), "png", out);
      }
    } else {
      Files.writeString(file, table(abscissa, lines));
    }
  }

  static BufferedImage picture(JFreeChart chart) {
    return chart.createBufferedImage(2 * WIDTH, 2 * HEIGHT);
  }

  static String table(String abscissa, List<Line> lines) throws IOException {
    var out = new StringBuilder();
    try (var printer =
        new CSVPrinter(out, CSVFormat.RFC4180.builder().setRecordSeparator("\n").get())) {
      var heading = new ArrayList<String>();
      heading.add(abscissa);
      lines.forEach(l -> heading.add(l.name()));
      printer.printRecord(heading);
      double[] x = lines.isEmpty() ? new double[0] : lines.getFirst().x();
      for (int i = 0; i < x.length; i++) {
        var row = new ArrayList<String>();
        row.add(number(x[i]));
        for (var l : lines) {
          // A line with places of its own is read between them.
          row.add(number(Arrays.equals(l.x(), x) ? l.y()[i] : l.at(x[i])));
        }
        printer.printRecord(row);
      }
    }
    return out.toString();
  }

  private static String number(double v) {
    return Double.isFinite(v) ? String.format(Locale.ROOT, "%.6g", v) : "";
  }
}
