package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.combination.Combination;
import grandbore.core.demo.DynoCases;
import grandbore.core.units.Measure;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

/** Idle and cranking. */
class SlowRunningTest extends EngineTest {
  private static double cranked(Combination c) {
    return new SlowRunning(BuiltEngine.asSpecified(c)).compressionTest().getFirst();
  }

  /**
   * A compression test is a polytrope from where the intake shuts: with an exponent between 1.2 and
   * 1.4 and an atmosphere to start from (common practice, no source).
   */
  @Test
  void aCompressionTestLiesBetweenTheTradesPolytropes() {
    for (var key : new String[] {"A", "C headers", "F"}) {
      var c = DynoCases.of(key);
      double air = c.weather().pressure().si();
      double clearance = c.clearanceVolume();
      double swept = c.bottomEnd().sweptVolume();
      // The intake shuts, at 0.006 in, half the seat duration after its centreline.
      double closes = c.cam().intakeCentreline().si() + c.cam().intakeSeat().si() / 2 - Math.PI;
      double up = 0.5 * (1 + Math.cos(closes));
      double ratio = (clearance + up * swept) / clearance;
      double least = air * (Math.pow(ratio, 1.15) - 1);
      double most = air * (Math.pow(c.staticRatio(), 1.4) - 1);
      assertThat(cranked(c)).isBetween(least, most);
    }
  }

  /** More compression reads higher, a later closing intake lower. */
  @Test
  void compressionRaisesTheGaugeAndALongCamLowersIt() {
    double base = cranked(EIGHT);
    var squeezed = with(EIGHT, "compression.chamberVolume", 50, Measure.CUBIC_CENTIMETRES);
    assertThat(cranked(squeezed)).isGreaterThan(1.05 * base);
    var later = with(EIGHT, "cam.intakeCentreline", 113, Measure.DEGREES);
    assertThat(cranked(later)).isLessThan(0.98 * base);
    var thin = with(EIGHT, "weather.pressure", 25, Measure.INCHES_OF_MERCURY);
    assertThat(cranked(thin) / base).isCloseTo(25 / 29.92, Percentage.withPercentage(2));
  }

  /** Each cylinder has its own reading: the gauge finds the odd one. */
  @Test
  void theGaugeFindsTheOddCylinder() {
    double v = FOUR.clearanceVolume();
    var engine = new BuiltEngine(FOUR, java.util.List.of(v, v, 1.08 * v, v));
    var readings = new SlowRunning(engine).compressionTest();
    assertThat(readings).hasSize(4);
    assertThat(readings.get(0)).isEqualTo(readings.get(3));
    assertThat(readings.get(2)).isLessThan(0.96 * readings.get(0));
  }

  /**
   * A street cam idles at 16 inHg or more; 236° at 0.050 in in 350 in³ near 9: common practice, no
   * source.
   */
  @Test
  void vacuumAtIdleFallsWithTheCam() {
    var street =
        new SlowRunning(BuiltEngine.asSpecified(DynoCases.of("C headers"))).idle(800).orElseThrow();
    var race = new SlowRunning(BuiltEngine.asSpecified(DynoCases.of("D"))).idle(900).orElseThrow();
    assertThat(Measure.INCHES_OF_MERCURY.fromSi(street.vacuum())).isBetween(15.0, 24.0);
    assertThat(Measure.INCHES_OF_MERCURY.fromSi(race.vacuum())).isBetween(6.0, 12.0);
    assertThat(street.steady()).isTrue();
    assertThat(race.steady()).isFalse();
    assertThat(race.throttle()).isGreaterThan(street.throttle());
    assertThat(race.residual()).isBetween(street.residual(), 0.45);
  }

  /** A throttle for every runner has no common vacuum to tell. */
  @Test
  void individualThrottlesHaveNoCommonVacuum() {
    assertThat(new SlowRunning(BuiltEngine.asSpecified(FOUR)).idle(1000)).isEmpty();
  }
}
