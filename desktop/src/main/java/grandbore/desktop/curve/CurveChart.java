package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.WantedBand;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.look.ChartDress;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.geom.Ellipse2D;
import java.util.Locale;
import java.util.function.DoubleConsumer;
import java.util.function.ToDoubleFunction;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.StackPane;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
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
 * Torque and power over speed, with the curve before the last edit as a ghost. Axes grow when they
 * must and stay otherwise; points that did not become periodic are gaps.
 */
final class CurveChart extends StackPane {
  private static final double OVERTAKEN = 0.55;

  private WantedBand wants = new WantedBand(0, 1);
  private double watts;
  private static final int NOW = 0;
  private static final int GHOST = 1;
  private static final double HEADROOM = 1.12;
  private static final double ABOVE = 0.025;

  private final Look look;
  private final XYPlot plot = new XYPlot();
  private final NumberAxis speed = new NumberAxis();
  private final NumberAxis torque = new NumberAxis();
  private final NumberAxis power = new NumberAxis();
  private final JFreeChart chart;
  private final ChartViewer viewer;
  private final ValueMarker cursor = new ValueMarker(0);
  private UnitSystem units = UnitSystem.US;
  private double torqueTop;
  private double powerTop;
  private IntervalMarker band = new IntervalMarker(0, 1);
  private Seen seen = Seen.NOTHING;

  CurveChart(Look look, DoubleConsumer pointedAt) {
    this.look = look;
    plot.setDomainAxis(speed);
    plot.setRangeAxis(0, torque);
    plot.setRangeAxis(1, power);
    plot.setDataset(0, new XYSeriesCollection());
    plot.setDataset(1, new XYSeriesCollection());
    plot.mapDatasetToRangeAxis(1, 1);
    plot.setRenderer(0, new XYLineAndShapeRenderer(true, false));
    plot.setRenderer(1, new XYLineAndShapeRenderer(true, false));
    plot.setAxisOffset(RectangleInsets.ZERO_INSETS);
    plot.addDomainMarker(cursor);
    chart = new JFreeChart(null, null, plot, false);
    chart.setPadding(new RectangleInsets(6, 2, 2, 2));
    viewer = new ChartViewer(chart, false);
    viewer.setId("curve-chart");
    viewer.getCanvas().setTooltipEnabled(false);
    getChildren().add(viewer);
    setMinSize(200, 160);
    viewer
        .getCanvas()
        .setOnMouseMoved(
            e -> {
              var area = viewer.getCanvas().getRenderingInfo().getPlotInfo().getDataArea();
              if (area.contains(e.getX(), e.getY())) {
                pointedAt.accept(speed.java2DToValue(e.getX(), area, RectangleEdge.BOTTOM));
              }
            });
    viewer.addEventHandler(
        javafx.scene.input.MouseEvent.MOUSE_CLICKED,
        e -> {
          if (e.getButton() == MouseButton.PRIMARY && e.getClickCount() == 2) {
            fit(true);
          }
        });
    look.themeProperty().subscribe(t -> redraw());
  }

  /** Starts the axes anew, for another build or other units. */
  void forget() {
    torqueTop = 0;
    powerTop = 0;
  }

  /**
   * @param wanted the speeds that matter
   * @param powerWanted at least somewhere in them, W; nought where the brief says none
   */
  void show(
      Seen newest,
      UnitSystem system,
      double from,
      double to,
      WantedBand wanted,
      double powerWanted) {
    wants = wanted;
    watts = powerWanted;
    if (system != units) {
      forget();
      units = system;
    }
    seen = newest;
    // One drawing at the end, not one for each change.
    chart.setNotify(false);
    plot.clearDomainMarkers();
    plot.addDomainMarker(cursor);
    band = new IntervalMarker(wanted.from(), wanted.to());
    plot.addDomainMarker(band, Layer.BACKGROUND);
    speed.setRange(from, to + 0.06 * (to - from));
    redraw();
  }

  /** Dims what an edit has overtaken, without drawing it anew. */
  void dim(boolean old) {
    viewer.setOpacity(old ? OVERTAKEN : 1);
  }

  void pointAt(double rpm) {
    cursor.setValue(rpm);
  }

  private double torque(double newtonMetres) {
    return (units == UnitSystem.US ? 1 / Measure.POUND_FEET.toSi(1) : 1) * newtonMetres;
  }

  private double power(double watts) {
    return (units == UnitSystem.US ? Measure.HORSEPOWER : Measure.KILOWATTS).fromSi(watts);
  }

  private void redraw() {
    chart.setNotify(false);
    var torques = new XYSeriesCollection();
    var powers = new XYSeriesCollection();
    torques.addSeries(series("torque", seen.curve(), p -> torque(p.torque())));
    powers.addSeries(series("power", seen.curve(), p -> power(p.power())));
    torques.addSeries(series("torque before", seen.ghost(), p -> torque(p.torque())));
    powers.addSeries(series("power before", seen.ghost(), p -> power(p.power())));
    plot.setDataset(0, torques);
    plot.setDataset(1, powers);
    grow(torques, powers);
    fit(false);
    dress();
    plot.clearAnnotations();
    for (int i = 0; i < 2; i++) {
      ((XYLineAndShapeRenderer) plot.getRenderer(i)).removeAnnotations();
    }
    annotate();
    want();
    chart.setNotify(true);
  }

  private static XYSeries series(String key, Curve curve, ToDoubleFunction<CurvePoint> value) {
    var series = new XYSeries(key);
    if (curve != null) {
      for (var p : curve.points()) {
        series.add(p.rpm(), p.converged() ? (Number) value.applyAsDouble(p) : null);
      }
    }
    return series;
  }

  private void grow(XYSeriesCollection torques, XYSeriesCollection powers) {
    for (int s = 0; s < 2; s++) {
      double t = torques.getSeries(s).getMaxY();
      double p = powers.getSeries(s).getMaxY();
      if (t * 1.02 > torqueTop) {
        torqueTop = 50 * Math.ceil(HEADROOM * t / 50);
      }
      p = Math.max(p, 1.06 * power(watts));
      if (p * 1.02 > powerTop) {
        powerTop = 50 * Math.ceil(HEADROOM * p / 50);
      }
    }
  }

  private void fit(boolean redraw) {
    // In US units both share one scale, so that they cross at 5,252 rpm as the trade expects.
    if (units == UnitSystem.US) {
      torqueTop = Math.max(torqueTop, powerTop);
      powerTop = torqueTop;
    }
    torque.setRange(0, Math.max(50, torqueTop));
    power.setRange(0, Math.max(50, powerTop));
    torque.setTickUnit(new NumberTickUnit(torqueTop > 350 ? 100 : 50));
    power.setTickUnit(new NumberTickUnit(powerTop > 350 ? 100 : 50));
    speed.setTickUnit(new NumberTickUnit(1000));
    if (redraw) {
      speed.setAutoRange(true);
      redraw();
    }
  }

  private void dress() {
    var p = look.palette();
    ChartDress.ground(chart, plot, p);
    axis(speed, "rpm", p.soft());
    axis(torque, units == UnitSystem.US ? "torque, lb·ft" : "torque, N·m", p.dye());
    axis(power, units == UnitSystem.US ? "power, hp" : "power, kW", p.power());
    band.setPaint(Palette.awt(p.gas()));
    cursor.setPaint(Palette.awt(p.soft()));
    cursor.setStroke(new BasicStroke(1f));
    line(plot.getRenderer(0), Palette.awt(p.dye()), null);
    line(plot.getRenderer(1), Palette.awt(p.power()), new float[] {8, 4});
  }

  private static void axis(NumberAxis axis, String label, javafx.scene.paint.Color color) {
    axis.setLabel(label);
    ChartDress.axis(
        axis,
        Palette.awt(color),
        new Font("B612", Font.PLAIN, 11),
        new Font("Hack", Font.PLAIN, 11));
    axis.setNumberFormatOverride(java.text.NumberFormat.getIntegerInstance(Locale.US));
  }

  private void line(
      org.jfree.chart.renderer.xy.XYItemRenderer renderer, Color color, float[] dash) {
    renderer.setSeriesPaint(NOW, color);
    renderer.setSeriesPaint(GHOST, faded(color, 80));
    renderer.setSeriesStroke(NOW, ChartDress.line(2.4f, dash));
    renderer.setSeriesStroke(GHOST, new BasicStroke(1.2f));
  }

  private static Color faded(Color c, int alpha) {
    return new Color(c.getRed(), c.getGreen(), c.getBlue(), alpha);
  }

  private void annotate() {
    var curve = seen.curve();
    if (curve == null) {
      return;
    }
    var p = look.palette();
    curve
        .peakTorque()
        .ifPresent(
            at -> {
              // Under its curve where the power passes just above.
              double gap = power(at.power()) - torque(at.torque());
              boolean crossed = units == UnitSystem.US && gap > 0 && gap < 0.2 * torqueTop;
              peak(
                  0, at.rpm(), torque(at.torque()), crossed ? -0.085 : ABOVE, Palette.awt(p.dye()));
            });
    curve
        .peakPower()
        .ifPresent(at -> peak(1, at.rpm(), power(at.power()), ABOVE, Palette.awt(p.power())));
    for (var point : curve.points()) {
      if (!point.converged()) {
        var mark = text("✕ not converged", point.rpm(), 0.05 * torqueTop, Palette.awt(p.soft()));
        mark.setRotationAngle(-Math.PI / 2);
        plot.addAnnotation(mark);
      }
    }
    curve.settled().stream()
        .findFirst()
        .ifPresent(
            at -> {
              annotation(0, end("torque", at.rpm(), torque(at.torque()), Palette.awt(p.dye())));
              var below =
                  end(
                      "power",
                      at.rpm(),
                      power(at.power()) - 0.06 * powerTop,
                      Palette.awt(p.power()));
              below.setTextAnchor(TextAnchor.TOP_LEFT);
              annotation(1, below);
            });
  }

  /** The power that the brief wants, over its band, and by how much it is met or missed. */
  private void want() {
    if (watts <= 0 || seen.curve() == null) {
      return;
    }
    var ink = Palette.awt(look.palette().ink());
    double level = power(watts);
    var line =
        new XYLineAnnotation(
            wants.from(), level, wants.to(), level, ChartDress.line(1.4f, new float[] {2, 3}), ink);
    double best = seen.curve().peakPower().map(at -> power(at.power())).orElse(0.0);
    long off = Math.round(best - level);
    String words =
        off < 0
            ? "▼ %.0f wanted, %d short".formatted(level, -off)
            : "● %.0f wanted, %d over".formatted(level, off);
    // Over the name of the peak where both would lie on one another.
    boolean close = Math.abs(best - level) < 0.12 * powerTop;
    double at = close ? Math.max(best, level) + 0.1 * powerTop : level + 0.012 * powerTop;
    var name = text(words, wants.from(), at, ink);
    name.setTextAnchor(TextAnchor.BOTTOM_LEFT);
    name.setBackgroundPaint(Palette.awt(look.palette().panel()));
    var renderer = (XYLineAndShapeRenderer) plot.getRenderer(1);
    renderer.addAnnotation(line);
    renderer.addAnnotation(name);
  }

  private XYTextAnnotation end(String label, double rpm, double value, Color color) {
    var a = text(label, rpm + 0.01 * speed.getRange().getLength(), value + 0.03 * torqueTop, color);
    a.setTextAnchor(TextAnchor.BOTTOM_LEFT);
    return a;
  }

  /** Names a peak; the label stands off it by a share of the axis. */
  private void peak(int dataset, double rpm, double value, double off, Color color) {
    var a =
        text(
            String.format(Locale.US, "%.0f at %,.0f", value, 10 * Math.rint(rpm / 10)),
            rpm,
            value + off * (dataset == 0 ? torqueTop : powerTop),
            color);
    a.setFont(new Font("B612", Font.BOLD, 13));
    a.setBackgroundPaint(Palette.awt(look.palette().panel()));
    a.setTextAnchor(
        rpm > speed.getLowerBound() + 0.75 * speed.getRange().getLength()
            ? TextAnchor.BOTTOM_RIGHT
            : TextAnchor.BOTTOM_CENTER);
    annotation(dataset, a);
    var renderer = (XYLineAndShapeRenderer) plot.getRenderer(dataset);
    renderer.setSeriesShape(NOW, new Ellipse2D.Double(-3, -3, 6, 6));
  }

  private void annotation(int dataset, XYTextAnnotation a) {
    ((XYLineAndShapeRenderer) plot.getRenderer(dataset)).addAnnotation(a);
  }

  private static XYTextAnnotation text(String label, double x, double y, Color color) {
    var a = new XYTextAnnotation(label, x, y);
    a.setFont(new Font("B612", Font.PLAIN, 11));
    a.setPaint(color);
    return a;
  }
}
