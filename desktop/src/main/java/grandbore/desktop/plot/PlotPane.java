package grandbore.desktop.plot;

import grandbore.desktop.composition.Growing;
import grandbore.desktop.look.ChartDress;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import java.awt.Color;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleConsumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.fx.ChartViewer;
import org.jfree.chart.plot.IntervalMarker;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.RectangleEdge;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;
import org.jfree.data.xy.XYSeriesCollection;

/**
 * A plot with its title, a crosshair that reads all lines, zoom by drag or by Ctrl and the wheel
 * and back by double-click, and export as SVG, PNG or CSV.
 */
public final class PlotPane extends VBox {
  /** Share that a name hides of what is behind it. */
  private static final double VEIL = 0.67;

  private static final float[][] DASHES = {null, {8, 4}, {3, 3}, {10, 3, 2, 3}, {1.5f, 2.5f}};
  private static final double HEIGHT = 215;
  private static final int SIZE = 10;

  /** More lines than this are not read out one by one. */
  private static final int READ = 12;

  private final Look look;
  private String digits;
  private final XYPlot plot = new XYPlot();
  private final NumberAxis abscissa = new NumberAxis();
  private final NumberAxis ordinate = new NumberAxis();
  private final JFreeChart chart;
  private final ChartViewer viewer;
  private final ValueMarker crosshair = new ValueMarker(0);
  private final PlotTools tools;
  private final Label reading = new Label();
  private List<Line> lines = List.of();
  private double[] shaded = {};
  private int picked = -1;
  private DoubleConsumer pointed = at -> {};

  /**
   * @param digits how the reading shows a value, such as {@code %.1f}
   */
  public PlotPane(Look look, String id, String title, String digits) {
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
    reading.setWrapText(true);
    reading.setMinHeight(16);
    plot.setDomainAxis(abscissa);
    plot.setRangeAxis(ordinate);
    var renderer = new XYLineAndShapeRenderer(true, false);
    // A stroke for each line, not one from place to place: dashes run through, and many lines cost
    // little.
    renderer.setDrawSeriesLineAsPath(true);
    plot.setRenderer(renderer);
    plot.setAxisOffset(RectangleInsets.ZERO_INSETS);
    plot.addDomainMarker(crosshair);
    numbered(false);
    chart = new JFreeChart(null, null, plot, false);
    chart.setPadding(new RectangleInsets(2, 2, 2, 8));
    viewer = ChartDress.viewer(chart);
    // Every drawing starts with this font, and those here know no other.
    look.textProperty()
        .subscribe(
            t ->
                viewer
                    .getCanvas()
                    .getGraphicsContext2D()
                    .setFont(javafx.scene.text.Font.font("B612", look.letters(SIZE))));
    Growing.from(HEIGHT, viewer);
    viewer
        .getCanvas()
        .setOnMouseMoved(
            e -> {
              var area = viewer.getCanvas().getRenderingInfo().getPlotInfo().getDataArea();
              if (area.contains(e.getX(), e.getY())) {
                double at = abscissa.java2DToValue(e.getX(), area, RectangleEdge.BOTTOM);
                point(at);
                pointed.accept(at);
              }
            });
    viewer.addEventHandler(
        MouseEvent.MOUSE_CLICKED,
        e -> {
          if (e.getButton() == MouseButton.PRIMARY && e.getClickCount() == 2) {
            abscissa.setAutoRange(true);
            ordinate.setAutoRange(true);
          }
        });
    tools = new PlotTools(id, title, chart, abscissa::getLabel, () -> lines, reading::setText);
    var head = new HBox(8, name, space, tools);
    head.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(head, viewer, reading);
    look.drawn(this::dress);
  }

  /** Two plots side by side, as wide as each other. */
  public static HBox pair(PlotPane a, PlotPane b) {
    HBox.setHgrow(a, Priority.ALWAYS);
    HBox.setHgrow(b, Priority.ALWAYS);
    a.setPrefWidth(300);
    b.setPrefWidth(300);
    return new HBox(10, a, b);
  }

  /** How its numbers are written from now on: {@code %.1f}. */
  public void digits(String format) {
    digits = format;
  }

  /** Told the abscissa that the mouse points at. */
  public void onPoint(DoubleConsumer told) {
    pointed = told;
  }

  /** Draws one line stronger than the others, and names it alone; −1 for all alike. */
  public void pick(int line) {
    if (picked != line) {
      picked = line;
      dress();
    }
  }

  /** Draws lines; the abscissa's spans given in pairs are shaded. */
  public void show(String x, String y, List<Line> drawn, double... spans) {
    lines = List.copyOf(drawn);
    shaded = spans.clone();
    var data = new XYSeriesCollection();
    for (var l : lines) {
      var series = new XYSeries(l.name(), false, true);
      for (int i = 0; i < l.x().length; i++) {
        series.add(l.x()[i], Double.isFinite(l.y()[i]) ? (Number) l.y()[i] : null, false);
      }
      data.addSeries(series);
    }
    chart.setNotify(false);
    numbered(true);
    abscissa.setAutoRangeIncludesZero(false);
    ordinate.setAutoRangeIncludesZero(false);
    ordinate.setAutoRangeStickyZero(false);
    ordinate.setLowerMargin(LineNames.MARGIN);
    ordinate.setUpperMargin(LineNames.MARGIN);
    abscissa.setLowerMargin(0);
    abscissa.setUpperMargin(0.02);
    abscissa.setLabel(x);
    ordinate.setLabel(y);
    plot.setDataset(data);
    dress();
    chart.setNotify(true);
    reading.setText("");
  }

  /** Whether the axes have numbers: before there is anything to show they would be invented. */
  private void numbered(boolean are) {
    abscissa.setTickLabelsVisible(are);
    ordinate.setTickLabelsVisible(are);
    crosshair.setAlpha(are ? 1 : 0);
  }

  /** Puts the crosshair at an abscissa and reads all lines there. */
  public void point(double at) {
    crosshair.setValue(at);
    reading.setText(
        String.format(Locale.US, "%s %.0f:  ", abscissa.getLabel(), at)
            + (lines.size() <= READ ? each(lines, at) : ends(at)));
  }

  private String each(List<Line> read, double at) {
    return read.stream()
        .map(l -> l.name() + " " + String.format(Locale.US, digits, l.near(at)))
        .collect(Collectors.joining("   "));
  }

  /** Of many lines the one picked, the highest and the lowest. */
  private String ends(double at) {
    var read =
        lines.stream()
            .filter(l -> Double.isFinite(l.near(at)))
            .sorted(Comparator.comparingDouble(l -> -l.near(at)))
            .toList();
    if (read.isEmpty()) {
      return "";
    }
    return (isPicked() ? each(List.of(lines.get(picked)), at) + ";   " : "")
        + "highest "
        + each(List.of(read.getFirst()), at)
        + "   lowest "
        + each(List.of(read.getLast()), at);
  }

  private void dress() {
    var p = look.palette();
    ChartDress.ground(chart, plot, p);
    crosshair.setPaint(Palette.awt(p.soft()));
    Color[] colors = {
      Palette.awt(p.dye()),
      Palette.awt(p.power()),
      Palette.awt(p.ink()),
      Palette.awt(p.straw()),
      Palette.awt(p.soft())
    };
    var font = ChartDress.words(look, SIZE);
    for (var axis : List.of(abscissa, ordinate)) {
      ChartDress.axis(axis, Palette.awt(p.soft()), font, font);
    }
    plot.clearDomainMarkers();
    plot.addDomainMarker(crosshair);
    for (int i = 0; i + 1 < shaded.length; i += 2) {
      var span = new IntervalMarker(shaded[i], shaded[i + 1]);
      span.setPaint(Palette.awt(p.gas()));
      plot.addDomainMarker(span, Layer.BACKGROUND);
    }
    var renderer = plot.getRenderer();
    plot.clearAnnotations();
    var places = LineNames.of(lines, Math.max(180, viewer.getWidth() - 70) / look.text());
    for (int k = 0; k < lines.size(); k++) {
      var color = colors[k % colors.length];
      renderer.setSeriesPaint(k, color);
      renderer.setSeriesStroke(
          k, ChartDress.line(width(k), DASHES[(k + k / colors.length) % DASHES.length]));
      if (places.get(k) != null && lines.size() > 1 && (!isPicked() || k == picked)) {
        name(lines.get(k).name(), places.get(k), color);
      }
    }
  }

  private boolean isPicked() {
    return picked >= 0 && picked < lines.size();
  }

  private float width(int line) {
    return !isPicked() ? 1.8f : line == picked ? 3.4f : 0.8f;
  }

  private void name(String name, LineNames.Place at, Color color) {
    var a = new XYTextAnnotation(name, at.x(), at.y());
    a.setFont(ChartDress.words(look, SIZE));
    a.setPaint(color);
    // Where lines crowd, a name is read before what shines through behind it.
    a.setBackgroundPaint(Palette.awt(look.palette().panel().deriveColor(0, 1, 1, VEIL)));
    a.setTextAnchor(at.above() ? TextAnchor.BOTTOM_CENTER : TextAnchor.TOP_CENTER);
    plot.addAnnotation(a);
  }

  /** Writes the plot as the file's ending asks. */
  public void save(Path file) {
    tools.save(file);
  }
}
