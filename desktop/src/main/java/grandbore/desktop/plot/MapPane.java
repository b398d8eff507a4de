package grandbore.desktop.plot;

import grandbore.desktop.composition.Growing;
import grandbore.desktop.look.ChartDress;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Paint;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.fx.ChartViewer;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.PaintScale;
import org.jfree.chart.renderer.xy.XYBlockRenderer;
import org.jfree.chart.ui.RectangleEdge;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.data.xy.DefaultXYZDataset;

/** A map of values over two inputs: tints, contours with their heights, the best place marked. */
public final class MapPane extends VBox {
  private static final double HEIGHT = 330;
  private static final int LEVELS = 7;
  private static final int SIZE = 10;

  private final Look look;
  private String digits;
  private final XYPlot plot = new XYPlot();
  private final NumberAxis abscissa = new NumberAxis();
  private final NumberAxis ordinate = new NumberAxis();
  private final JFreeChart chart;
  private final ChartViewer viewer;
  private final Label reading = new Label();
  private double[] xs = {};
  private double[] ys = {};
  private double[][] values = {};
  private String unit = "";

  /**
   * @param digits how a value is shown, such as {@code %.1f}
   */
  public MapPane(Look look, String id, String title, String digits) {
    this.look = look;
    this.digits = digits;
    setId(id);
    getStyleClass().add("plot");
    var name = new Label(title);
    name.getStyleClass().add("input-label");
    name.setMinWidth(Region.USE_PREF_SIZE);
    var space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    reading.getStyleClass().add("unit");
    reading.setId(id + "-reading");
    reading.setMinHeight(16);
    plot.setDomainAxis(abscissa);
    plot.setRangeAxis(ordinate);
    plot.setAxisOffset(RectangleInsets.ZERO_INSETS);
    chart = new JFreeChart(null, null, plot, false);
    chart.setPadding(new RectangleInsets(2, 2, 2, 8));
    viewer = ChartDress.viewer(chart);
    Growing.from(HEIGHT, viewer);
    viewer
        .getCanvas()
        .setOnMouseMoved(
            e -> {
              var area = viewer.getCanvas().getRenderingInfo().getPlotInfo().getDataArea();
              if (area.contains(e.getX(), e.getY())) {
                point(
                    abscissa.java2DToValue(e.getX(), area, RectangleEdge.BOTTOM),
                    ordinate.java2DToValue(e.getY(), area, RectangleEdge.LEFT));
              }
            });
    var tools = new PlotTools(id, title, chart, abscissa::getLabel, this::lines, reading::setText);
    var head = new HBox(8, name, space, tools);
    head.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(head, viewer, reading);
    look.drawn(this::dress);
  }

  /** How its numbers are written from now on: {@code %.1f}. */
  public void digits(String format) {
    digits = format;
  }

  /**
   * Draws a map.
   *
   * @param x name of the abscissa with its unit, and its values, rising
   * @param found by row (ordinate) and column; what is not known is left blank
   */
  public void show(String x, double[] across, String y, double[] up, String of, double[][] found) {
    xs = across.clone();
    ys = up.clone();
    values = found.clone();
    unit = of;
    abscissa.setLabel(x);
    ordinate.setLabel(y);
    reading.setText("");
    dress();
  }

  private static int nearest(double[] of, double at) {
    int best = 0;
    for (int i = 1; i < of.length; i++) {
      best = Math.abs(of[i] - at) < Math.abs(of[best] - at) ? i : best;
    }
    return best;
  }

  private void point(double x, double y) {
    if (xs.length > 0) {
      int i = nearest(xs, x);
      int j = nearest(ys, y);
      reading.setText(
          String.format(
                  Locale.US,
                  "%s %.4g, %s %.4g:  ",
                  abscissa.getLabel(),
                  xs[i],
                  ordinate.getLabel(),
                  ys[j])
              + (Double.isNaN(values[j][i])
                  ? "none"
                  : String.format(Locale.US, digits, values[j][i]) + " " + unit));
    }
  }

  private double extreme(boolean most) {
    double is = Double.NaN;
    for (var row : values) {
      for (double v : row) {
        if (!Double.isNaN(v) && (Double.isNaN(is) || (most ? v > is : v < is))) {
          is = v;
        }
      }
    }
    return is;
  }

  private void dress() {
    var p = look.palette();
    chart.setNotify(false);
    ChartDress.ground(chart, plot, p);
    var font = ChartDress.words(look, SIZE);
    for (var axis : List.of(abscissa, ordinate)) {
      ChartDress.axis(axis, Palette.awt(p.soft()), font, font);
      axis.setTickLabelsVisible(xs.length > 0);
    }
    plot.clearAnnotations();
    double low = extreme(false);
    double high = extreme(true);
    if (xs.length > 1 && ys.length > 1 && high > low) {
      tint(low, high, Palette.awt(p.panel()), Palette.awt(p.dye()));
      contours(low, high, Palette.awt(p.ink()));
      best(high, Palette.awt(p.ink()));
    }
    chart.setNotify(true);
  }

  private void tint(double low, double high, Color from, Color to) {
    var data = new DefaultXYZDataset();
    int n = xs.length * ys.length;
    double[][] xyz = new double[3][n];
    for (int j = 0; j < ys.length; j++) {
      for (int i = 0; i < xs.length; i++) {
        int at = j * xs.length + i;
        xyz[0][at] = xs[i];
        xyz[1][at] = ys[j];
        xyz[2][at] = values[j][i];
      }
    }
    data.addSeries("map", xyz);
    var blocks = new XYBlockRenderer();
    double dx = xs[1] - xs[0];
    double dy = ys[1] - ys[0];
    blocks.setBlockWidth(dx);
    blocks.setBlockHeight(dy);
    blocks.setPaintScale(new Tint(low, high, from, to));
    plot.setDataset(data);
    plot.setRenderer(blocks);
    abscissa.setRange(xs[0] - dx / 2, xs[xs.length - 1] + dx / 2);
    ordinate.setRange(ys[0] - dy / 2, ys[ys.length - 1] + dy / 2);
  }

  private void contours(double low, double high, Color ink) {
    for (int k = 1; k <= LEVELS; k++) {
      double height = low + (high - low) * k / (LEVELS + 1);
      var pieces = Contours.at(values, height);
      for (var c : pieces) {
        plot.addAnnotation(
            new XYLineAnnotation(
                x(c.x1()), y(c.y1()), x(c.x2()), y(c.y2()), new BasicStroke(0.8f), ink));
      }
      if (!pieces.isEmpty()) {
        var middle = pieces.get(pieces.size() / 2);
        word(String.format(Locale.US, digits, height), x(middle.x1()), y(middle.y1()), ink);
      }
    }
  }

  private void best(double high, Color ink) {
    for (int j = 0; j < ys.length; j++) {
      for (int i = 0; i < xs.length; i++) {
        if (values[j][i] == high) {
          word("● " + String.format(Locale.US, digits, high), xs[i], ys[j], ink);
          return;
        }
      }
    }
  }

  private void word(String words, double x, double y, Color ink) {
    var a = new XYTextAnnotation(words, x, y);
    a.setFont(ChartDress.numbers(look, SIZE));
    a.setPaint(ink);
    a.setBackgroundPaint(Palette.awt(look.palette().panel().deriveColor(0, 1, 1, 0.7)));
    plot.addAnnotation(a);
  }

  private double x(double step) {
    return xs[0] + step * (xs[1] - xs[0]);
  }

  private double y(double step) {
    return ys[0] + step * (ys[1] - ys[0]);
  }

  /** A line a row, for a table. */
  private List<Line> lines() {
    var all = new ArrayList<Line>();
    for (int j = 0; j < ys.length; j++) {
      all.add(
          new Line(String.format(Locale.US, "%s %.4g", ordinate.getLabel(), ys[j]), xs, values[j]));
    }
    return all;
  }

  /** From the panel's colour to the dye's; what is not known is not painted. */
  private record Tint(double low, double high, Color from, Color to) implements PaintScale {
    @Override
    public double getLowerBound() {
      return low;
    }

    @Override
    public double getUpperBound() {
      return high;
    }

    @Override
    public Paint getPaint(double value) {
      if (Double.isNaN(value)) {
        return new Color(0, 0, 0, 0);
      }
      // Never as dark as the letters over it.
      double f = 0.75 * Math.clamp((value - low) / (high - low), 0, 1);
      return new Color(
          mix(from.getRed(), to.getRed(), f),
          mix(from.getGreen(), to.getGreen(), f),
          mix(from.getBlue(), to.getBlue(), f));
    }

    private static int mix(int a, int b, double f) {
      return (int) Math.rint(a + f * (b - a));
    }
  }
}
