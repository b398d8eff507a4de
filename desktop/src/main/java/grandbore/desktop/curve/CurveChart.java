package grandbore.desktop.curve;

import grandbore.core.dyno.calibration.Calibration;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.WantedBand;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.ModelSpread;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.look.ChartDress;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotTools;
import java.awt.BasicStroke;
import java.awt.Color;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.ToDoubleFunction;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.StackPane;
import org.jfree.chart.JFreeChart;
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
  private static final int PINNED = 2;
  private static final float[][] DASHES = {{2, 2}, {6, 2}, {10, 3, 2, 3}, {1, 3}};
  private static final double HEADROOM = 1.12;

  private final Look look;
  private final XYPlot plot = new XYPlot();
  private final NumberAxis speed = new NumberAxis();
  private final NumberAxis torque = new NumberAxis();
  private final NumberAxis power = new NumberAxis();
  private final CurveMarks marks;
  private final JFreeChart chart;
  private final ChartViewer viewer;
  private final ValueMarker cursor = new ValueMarker(0);
  private UnitSystem units = UnitSystem.US;
  private double torqueTop;
  private double powerTop;
  private IntervalMarker band = new IntervalMarker(0, 1);
  private Seen seen = Seen.NOTHING;
  private final CurveBands bands;
  private Optional<Doubt> doubt = Optional.empty();
  private ModelSpread model = ModelSpread.OWN;
  private Optional<Calibration> taught = Optional.empty();

  CurveChart(Look look, DoubleConsumer pointedAt) {
    this.look = look;
    marks = new CurveMarks(plot, look);
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
    bands = new CurveBands(plot);
    chart = new JFreeChart(null, null, plot, false);
    chart.setPadding(new RectangleInsets(6, 2, 2, 2));
    viewer = ChartDress.viewer(chart);
    viewer.setId("curve-chart");
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
    look.drawn(this::redraw);
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

  /**
   * Draws the band of doubt, or none.
   *
   * @param spread the model's own doubt
   * @param pulls what an engine that runs with what pulls taught has it from
   */
  void band(Optional<Doubt> known, ModelSpread spread, Optional<Calibration> pulls) {
    if (!known.equals(doubt) || !spread.equals(model) || !pulls.equals(taught)) {
      doubt = known;
      model = spread;
      taught = pulls;
      redraw();
    }
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
    for (var pin : seen.pinned()) {
      torques.addSeries(series("torque " + pin.letter(), pin.curve(), p -> torque(p.torque())));
      powers.addSeries(series("power " + pin.letter(), pin.curve(), p -> power(p.power())));
    }
    plot.setDataset(0, torques);
    plot.setDataset(1, powers);
    bands.write(
        doubt,
        model,
        rpm -> taught.map(c -> c.deviation(rpm)).orElse(Double.NaN),
        seen.curve(),
        this::torque,
        this::power);
    grow(torques, powers);
    fit(false);
    dress();
    marks.write(
        seen,
        new CurveMarks.Scale(
            this::torque,
            this::power,
            torque.getUpperBound(),
            power.getUpperBound(),
            speed.getLowerBound(),
            speed.getUpperBound(),
            Math.max(180, viewer.getWidth() - 90)),
        wants,
        watts);
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
    for (int s = 0; s < torques.getSeriesCount(); s++) {
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
    bands.dress(p);
    axis(speed, "rpm", p.soft());
    axis(torque, units == UnitSystem.US ? "torque, lb·ft" : "torque, N·m", p.dye());
    axis(power, units == UnitSystem.US ? "power, hp" : "power, kW", p.power());
    band.setPaint(Palette.awt(p.gas()));
    cursor.setPaint(Palette.awt(p.soft()));
    cursor.setStroke(new BasicStroke(1f));
    line(plot.getRenderer(0), Palette.awt(p.dye()), null);
    line(plot.getRenderer(1), Palette.awt(p.power()), new float[] {8, 4});
  }

  private void axis(NumberAxis axis, String label, javafx.scene.paint.Color color) {
    axis.setLabel(label);
    ChartDress.axis(
        axis, Palette.awt(color), ChartDress.words(look, 11), ChartDress.numbers(look, 11));
    axis.setNumberFormatOverride(java.text.NumberFormat.getIntegerInstance(Locale.US));
  }

  private void line(
      org.jfree.chart.renderer.xy.XYItemRenderer renderer, Color color, float[] dash) {
    renderer.setSeriesPaint(NOW, color);
    renderer.setSeriesPaint(GHOST, faded(color, 80));
    renderer.setSeriesStroke(NOW, ChartDress.line(2.4f, dash));
    renderer.setSeriesStroke(GHOST, new BasicStroke(1.2f));
    for (int k = 0; k < seen.pinned().size(); k++) {
      renderer.setSeriesPaint(PINNED + k, faded(color, 170));
      renderer.setSeriesStroke(PINNED + k, ChartDress.line(1.1f, DASHES[k % DASHES.length]));
    }
  }

  private static Color faded(Color c, int alpha) {
    return new Color(c.getRed(), c.getGreen(), c.getBlue(), alpha);
  }

  /** What is drawn, for a table. */
  List<Line> lines() {
    var all = new ArrayList<Line>();
    for (int d = 0; d < 2; d++) {
      var data = (XYSeriesCollection) plot.getDataset(d);
      var unit = plot.getRangeAxis(d).getLabel();
      for (int k = 0; k < data.getSeriesCount(); k++) {
        double[][] xy = data.getSeries(k).toArray();
        if (xy[0].length > 0) {
          all.add(new Line(k == NOW ? unit : unit + ", " + whose(k), xy[0], xy[1]));
        }
      }
    }
    return all;
  }

  private String whose(int series) {
    if (series >= PINNED) {
      var pin = seen.pinned().get(series - PINNED);
      return pin.letter() + ", " + pin.of();
    }
    return seen.beside().isEmpty() ? "before" : seen.beside();
  }

  PlotTools tools(Consumer<String> said) {
    return new PlotTools("curve", "the curve", chart, () -> "rpm", this::lines, said);
  }
}
