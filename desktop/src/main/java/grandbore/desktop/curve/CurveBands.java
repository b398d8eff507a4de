package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.studies.Doubt;
import grandbore.desktop.look.Palette;
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

  void write(
      Optional<Doubt> doubt, Curve curve, DoubleUnaryOperator torque, DoubleUnaryOperator power) {
    plot.setDataset(TORQUE, bands(doubt, curve, p -> torque.applyAsDouble(p.torque())));
    plot.setDataset(POWER, bands(doubt, curve, p -> power.applyAsDouble(p.power())));
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

  private static YIntervalSeriesCollection bands(
      Optional<Doubt> doubt, Curve curve, ToDoubleFunction<CurvePoint> value) {
    var both = new YIntervalSeriesCollection();
    if (doubt.isPresent() && curve != null) {
      both.addSeries(band("with the model", doubt.get(), true, curve, value));
      both.addSeries(band("inputs", doubt.get(), false, curve, value));
    }
    return both;
  }

  private static YIntervalSeries band(
      String key, Doubt doubt, boolean model, Curve curve, ToDoubleFunction<CurvePoint> value) {
    var series = new YIntervalSeries(key);
    for (var p : curve.settled()) {
      var share = doubt.share(p.rpm());
      var range = model ? Doubt.withModel(share, 1) : share;
      if (Double.isFinite(range.low()) && Double.isFinite(range.high())) {
        double at = value.applyAsDouble(p);
        series.add(p.rpm(), at, range.low() * at, range.high() * at);
      }
    }
    return series;
  }
}
