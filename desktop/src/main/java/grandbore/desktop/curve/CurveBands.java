package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.ModelSpread;
import grandbore.desktop.look.Palette;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.DeviationRenderer;
import org.jfree.data.xy.YIntervalSeries;
import org.jfree.data.xy.YIntervalSeriesCollection;

/**
 * The band of doubt round torque and power: where four fifths of the samples lie, and paler with
 * the model's own doubt. What was sampled at some speeds holds as a share of the curve between
 * them.
 */
final class CurveBands {
  /** After the lines', which lie over them. */
  private static final int TORQUE = 2;

  private static final int POWER = 3;
  private static final float PALE = 0.14f;

  private final XYPlot plot;

  CurveBands(XYPlot plot) {
    this.plot = plot;
    for (int d : new int[] {TORQUE, POWER}) {
      plot.setDataset(d, new YIntervalSeriesCollection());
      plot.mapDatasetToRangeAxis(d, d - TORQUE);
      var renderer = new DeviationRenderer(false, false);
      renderer.setAlpha(PALE);
      plot.setRenderer(d, renderer);
    }
  }

  /**
   * @param model its own doubt
   * @param taught one standard deviation by speed, as pulls have left it; in the place of the doubt
   *     of inputs and model, not a number where none have
   */
  void write(
      Optional<Doubt> doubt,
      ModelSpread model,
      DoubleUnaryOperator taught,
      Curve curve,
      DoubleUnaryOperator torque,
      DoubleUnaryOperator power) {
    var torques = new YIntervalSeriesCollection();
    var powers = new YIntervalSeriesCollection();
    if (curve != null && isTaught(taught, curve)) {
      var points = curve.settled();
      var shares = points.stream().map(p -> range(taught.applyAsDouble(p.rpm()))).toList();
      torques.addSeries(
          band("as pulls left it", shares, points, p -> torque.applyAsDouble(p.torque())));
      powers.addSeries(
          band("as pulls left it", shares, points, p -> power.applyAsDouble(p.power())));
    } else if (doubt.isPresent() && curve != null) {
      var points = curve.settled();
      var shares = points.stream().map(p -> doubt.get().share(p.rpm())).toList();
      var whole = shares.stream().map(s -> model.with(s, 1)).toList();
      ToDoubleFunction<CurvePoint> nm = p -> torque.applyAsDouble(p.torque());
      ToDoubleFunction<CurvePoint> watts = p -> power.applyAsDouble(p.power());
      torques.addSeries(band("with the model", whole, points, nm));
      torques.addSeries(band("inputs", shares, points, nm));
      powers.addSeries(band("with the model", whole, points, watts));
      powers.addSeries(band("inputs", shares, points, watts));
    }
    plot.setDataset(TORQUE, torques);
    plot.setDataset(POWER, powers);
  }

  private static boolean isTaught(DoubleUnaryOperator taught, Curve curve) {
    return curve.points().stream().anyMatch(p -> Double.isFinite(taught.applyAsDouble(p.rpm())));
  }

  /** Where four fifths lie. */
  private static Doubt.Range range(double deviation) {
    return new Doubt.Range(1 - Doubt.FOUR_FIFTHS * deviation, 1, 1 + Doubt.FOUR_FIFTHS * deviation);
  }

  void dress(Palette p) {
    for (int series = 0; series < 2; series++) {
      plot.getRenderer(TORQUE).setSeriesPaint(series, Palette.awt(p.dye()));
      plot.getRenderer(POWER).setSeriesPaint(series, Palette.awt(p.power()));
      ((DeviationRenderer) plot.getRenderer(TORQUE))
          .setSeriesFillPaint(series, Palette.awt(p.dye()));
      ((DeviationRenderer) plot.getRenderer(POWER))
          .setSeriesFillPaint(series, Palette.awt(p.power()));
    }
  }

  /** Round the points, by shares of what they are. */
  private static YIntervalSeries band(
      String name,
      List<Doubt.Range> shares,
      List<CurvePoint> points,
      ToDoubleFunction<CurvePoint> value) {
    var series = new YIntervalSeries(name);
    for (int i = 0; i < points.size(); i++) {
      var range = shares.get(i);
      if (Double.isFinite(range.low()) && Double.isFinite(range.high())) {
        double at = value.applyAsDouble(points.get(i));
        series.add(points.get(i).rpm(), at, range.low() * at, range.high() * at);
      }
    }
    return series;
  }
}
