package grandbore.desktop.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.ModelSpread;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.data.xy.IntervalXYDataset;
import org.junit.jupiter.api.Test;

/** The band of doubt as it is drawn: round the curve, by the samples' shares of it. */
class CurveBandsTest {
  private static final Curve CURVE =
      new Curve(
          Fidelity.LIVE,
          IntStream.rangeClosed(0, 8)
              .mapToObj(k -> CurveMarksTest.point(3000 + 500.0 * k, 400 + 10.0 * k, k != 4))
              .toList());

  /** Samples that lie as shares round a curve of two speeds, alike at both. */
  private static Doubt doubt() {
    var speeds = List.of(3000.0, 7000.0);
    var stands =
        new Curve(
            Fidelity.LIVE, speeds.stream().map(n -> CurveMarksTest.point(n, 500, true)).toList());
    var samples = new ArrayList<Doubt.Sample>();
    for (int k = -10; k <= 10; k++) {
      double f = 1 + 0.01 * k;
      samples.add(new Doubt.Sample(List.of(0.0), List.of(500 * f, 500 * f), 1e5 * f));
    }
    return new Doubt(stands, List.of(), samples, samples.size(), 0, 1);
  }

  private static XYPlot plot() {
    var plot = new XYPlot(null, new NumberAxis(), new NumberAxis(), new XYLineAndShapeRenderer());
    plot.setRangeAxis(1, new NumberAxis());
    return plot;
  }

  private static IntervalXYDataset torque(XYPlot plot) {
    return (IntervalXYDataset) plot.getDataset(2);
  }

  private static IntervalXYDataset power(XYPlot plot) {
    return (IntervalXYDataset) plot.getDataset(3);
  }

  @Test
  void bothBandsLieRoundTheCurveByTheSamplesShares() {
    var plot = plot();
    var model = new ModelSpread(0.05, 3, "three engines");
    new CurveBands(plot)
        .write(Optional.of(doubt()), model, n -> Double.NaN, CURVE, t -> t, w -> w / 1e3);
    var torque = torque(plot);
    assertThat(torque.getSeriesCount()).isEqualTo(2);
    // A speed that did not settle has no band.
    assertThat(torque.getItemCount(0)).isEqualTo(CURVE.settled().size());
    var inputs = doubt().share(5000);
    for (int i = 0; i < torque.getItemCount(1); i++) {
      double at = torque.getYValue(1, i);
      assertThat(torque.getStartYValue(1, i)).isCloseTo(inputs.low() * at, within(1e-6));
      assertThat(torque.getEndYValue(1, i)).isCloseTo(inputs.high() * at, within(1e-6));
      // The model's own doubt lies outside of it, added in squares.
      double own = 1.28155 * 0.05;
      assertThat(torque.getEndYValue(0, i) / at - 1)
          .isCloseTo(Math.hypot(inputs.high() - 1, own), within(2e-3));
      assertThat(torque.getStartYValue(0, i)).isLessThan(torque.getStartYValue(1, i));
    }
    for (int i = 0; i < power(plot).getItemCount(1); i++) {
      double kilowatts = CURVE.settled().get(i).power() / 1e3;
      assertThat(power(plot).getYValue(1, i)).isCloseTo(kilowatts, within(1e-9));
    }
  }

  /** What pulls have left open takes the place of both, as wide as it is at each speed. */
  @Test
  void whatPullsLeftTakesTheirPlace() {
    var plot = plot();
    new CurveBands(plot)
        .write(
            Optional.of(doubt()),
            ModelSpread.OWN,
            n -> n < 4000 ? Double.NaN : n * 1e-6,
            CURVE,
            t -> t,
            w -> w);
    var torque = torque(plot);
    assertThat(torque.getSeriesCount()).isEqualTo(1);
    assertThat(torque.getItemCount(0)).isEqualTo(CURVE.settled().size() - 2);
    for (int i = 0; i < torque.getItemCount(0); i++) {
      double at = torque.getYValue(0, i);
      double share = Doubt.FOUR_FIFTHS * torque.getXValue(0, i) * 1e-6;
      assertThat(torque.getEndYValue(0, i) / at - 1).isCloseTo(share, within(1e-9));
      assertThat(1 - torque.getStartYValue(0, i) / at).isCloseTo(share, within(1e-9));
    }
  }

  /** Without a curve, or without doubt that is known, nothing is drawn. */
  @Test
  void whatIsNotKnownIsNotDrawn() {
    var plot = plot();
    var bands = new CurveBands(plot);
    bands.write(Optional.of(doubt()), ModelSpread.OWN, n -> Double.NaN, null, t -> t, w -> w);
    assertThat(torque(plot).getSeriesCount()).isZero();
    bands.write(Optional.empty(), ModelSpread.OWN, n -> Double.NaN, CURVE, t -> t, w -> w);
    assertThat(torque(plot).getSeriesCount()).isZero();
    assertThat(power(plot).getSeriesCount()).isZero();
  }
}
