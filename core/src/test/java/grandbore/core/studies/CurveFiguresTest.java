package grandbore.core.studies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.clearances.SpeedShares;
import grandbore.core.combination.InvalidInput;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.WantedBand;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is said of curves, on curves written down by a formula. */
class CurveFiguresTest {
  private static final List<Double> SPEEDS = Predictor.speeds(2000, 8000, 250);
  private static final WantedBand BAND = new WantedBand(4000, 7000);
  private static final double RAD = Math.PI / 30;

  /** Power runs straight between speeds 250 rpm apart: so much a crossing may be off, rpm. */
  private static final double CHORD = 12;

  private static CurveFigures figures(grandbore.core.prediction.Curve curve) {
    return CurveFigures.of(curve, DemoBuilds.hillClimbEight().combination(), BAND).orElseThrow();
  }

  /** T = 600 − n/20 gives P = (600 n − n²/20) π/30, with its top at 6,000 rpm. */
  @Test
  void peaksAveragesAndLeastOfAFallingTorque() {
    var curve = ClosedCurves.of(SPEEDS, n -> 600 - n / 20);
    var f = figures(curve);
    assertThat(f.power().rpm()).isCloseTo(6000, within(1.0));
    assertThat(f.power().power()).isCloseTo(300 * 6000 * RAD, within(1.0));
    assertThat(f.torque().torque()).isEqualTo(500);
    // The mean of a straight line is its middle; that of 600 n − n²/20 by its integral.
    assertThat(f.band().orElseThrow().torque()).isCloseTo(600 - 5500 / 20.0, within(0.01));
    double mean =
        (300 * (7000.0 * 7000 - 4000.0 * 4000) - (Math.pow(7000, 3) - Math.pow(4000, 3)) / 60)
            / 3000
            * RAD;
    assertThat(f.band().orElseThrow().power()).isCloseTo(mean, within(mean * 1e-4));
    assertThat(f.least().orElseThrow().rpm()).isEqualTo(7000);
    assertThat(f.least().orElseThrow().torque()).isCloseTo(250, within(1e-9));
    var c = DemoBuilds.hillClimbEight().combination();
    double litres = 1e3 * c.bottomEnd().cylinders() * c.bottomEnd().sweptVolume();
    assertThat(f.powerPerVolume() / 1e3)
        .isCloseTo(f.power().power() / litres, within(1e-6 * f.powerPerVolume()));
    assertThat(f.powerPerAir()).isCloseTo(1e6, within(1.0));
  }

  /** P is above a share s of its top where |n − 6000| < 6000 √(1 − s). */
  @Test
  void rangesAboveAShareOfThePeak() {
    var curve = ClosedCurves.of(SPEEDS, n -> 600 - n / 20);
    var f = figures(curve);
    for (double share : new double[] {0.9, 0.95, 0.98}) {
      double half = 6000 * Math.sqrt(1 - share);
      var range = f.above(curve, share).orElseThrow();
      assertThat(range.from()).isCloseTo(6000 - half, within(CHORD));
      assertThat(range.to()).isCloseTo(Math.min(8000, 6000 + half), within(CHORD));
      assertThat(range.open()).isEqualTo(6000 + half > 8000);
    }
    assertThat(f.above(curve, 0.98).orElseThrow().width())
        .isLessThan(f.above(curve, 0.9).orElseThrow().width());
  }

  /** 600 − n/20 and 200 + n/30 meet at 4,800 rpm. */
  @Test
  void differencesAndWhereTheyCross() {
    var falling = ClosedCurves.of(SPEEDS, n -> 600 - n / 20);
    var rising = ClosedCurves.of(SPEEDS, n -> 200 + n / 30);
    var d = CurveDifference.of(falling, rising);
    assertThat(d.points()).hasSize(SPEEDS.size());
    for (var p : d.points()) {
      assertThat(p.torque()).isCloseTo(p.rpm() / 12 - 400, within(1e-9));
      assertThat(p.power()).isCloseTo(p.torque() * p.rpm() * RAD, within(1e-6));
    }
    assertThat(d.crossings()).hasSize(1);
    assertThat(d.crossings().getFirst()).isCloseTo(4800, within(1e-6));
    assertThat(CurveDifference.of(falling, falling).crossings()).isEmpty();
    // At a solved speed they may meet too, and speeds need not be the same.
    var meeting = ClosedCurves.of(Predictor.speeds(2000, 8000, 400), n -> n / 10 - 150);
    assertThat(CurveDifference.of(falling, meeting).crossings())
        .hasSize(1)
        .first()
        .isEqualTo(5000.0);
    assertThat(CurveDifference.of(rising, falling).points().getFirst().torque())
        .isEqualTo(-d.points().getFirst().torque());
  }

  /** Average by the time spent: of a straight power line at the mean speed. */
  @Test
  void timeAtSpeedWeighsTheSpeeds() {
    var level = ClosedCurves.of(SPEEDS, n -> 300);
    var weights =
        new TimeAtSpeed(
            List.of(
                new TimeAtSpeed.Row(4000, 1),
                new TimeAtSpeed.Row(5000, 2),
                new TimeAtSpeed.Row(6100, 1)));
    assertThat(weights.meanPower(level)).isCloseTo(300 * 5025 * RAD, within(1e-6));
    var beyond = new TimeAtSpeed(List.of(new TimeAtSpeed.Row(9000, 1)));
    assertThat(beyond.meanPower(level)).isNaN();
    assertThatThrownBy(() -> new TimeAtSpeed(List.of(new TimeAtSpeed.Row(4000, 0))))
        .hasMessageContaining("a share above 0");
  }

  /** Typed, from a log, and as the book keeps it: the same shares. */
  @Test
  void timeAtSpeedIsTypedLoggedAndKept() {
    var typed = TimeAtSpeed.parse(" 4500 2, 5500 5;6500 3 ");
    assertThat(typed.rows()).extracting(TimeAtSpeed.Row::share).containsExactly(2.0, 5.0, 3.0);
    assertThat(TimeAtSpeed.of(List.of(typed.note())).orElseThrow()).isEqualTo(typed);
    assertThat(typed.words()).isEqualTo("4500 20.0, 5500 50.0, 6500 30.0");
    var again = TimeAtSpeed.parse(typed.words());
    var curve = ClosedCurves.of(List.of(4000.0, 5000.0, 6000.0, 7000.0), rpm -> 500 - rpm / 20);
    assertThat(again.meanPower(curve)).isCloseTo(typed.meanPower(curve), within(1e-6));
    // Half of the time in one class, a quarter standing still, which weighs nothing.
    var logged = TimeAtSpeed.ofLog(List.of(5001.0, 5249.0, 0.0, 6100.0));
    assertThat(logged.rows())
        .containsExactly(new TimeAtSpeed.Row(5125, 0.5), new TimeAtSpeed.Row(6125, 0.25));
    var none = new SpeedShares(List.of(), List.of());
    assertThat(TimeAtSpeed.of(List.of(typed.note(), none))).isEmpty();
    for (var wrong : List.of("4500", "4500 a", "4500 1 2", "", "99000 1", "4500 -1", "4500 0")) {
      assertThatThrownBy(() -> TimeAtSpeed.parse(wrong))
          .as(wrong)
          .isInstanceOf(InvalidInput.class)
          .hasMessageContaining("Time at speed");
    }
    assertThatThrownBy(() -> TimeAtSpeed.ofLog(List.of(-3.0))).hasMessageContaining("Log, rpm");
    assertThatThrownBy(() -> new SpeedShares(List.of(1.0), List.of()))
        .isInstanceOf(InvalidInput.class);
  }
}
