package grandbore.core.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.CompressorMap;
import grandbore.core.combination.CompressorMap.Row;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The section a valve leaves, and a compressor's map between its points. */
class PassageTest {
  private static final ValvePassage VALVE =
      new ValvePassage(0.050, 0.0015, Math.PI / 4, 0.044, 0.008);

  /** Heywood 1988, equations 6.7 to 6.9: each stage begins where the one before ends. */
  @Test
  void theThreeStagesJoin() {
    double first = VALVE.width() / (Math.sin(VALVE.angle()) * Math.cos(VALVE.angle()));
    assertThat(VALVE.area(first + 1e-9)).isCloseTo(VALVE.area(first - 1e-9), within(1e-9));
    double second = VALVE.throatRules();
    assertThat(VALVE.area(second + 1e-7)).isCloseTo(VALVE.area(second - 1e-7), within(5e-8));
    assertThat(VALVE.area(0.02))
        .isCloseTo(Math.PI / 4 * (0.044 * 0.044 - 0.008 * 0.008), within(1e-12));
    double before = 0;
    for (double lift = 0.0001; lift < second; lift += 0.0001) {
      assertThat(VALVE.area(lift)).isGreaterThan(before);
      before = VALVE.area(lift);
    }
  }

  /**
   * Just off the seat the frustum's side is the lift across the seat: π × mean diameter × lift ×
   * cos of the angle (geometry).
   */
  @Test
  void aFlatterSeatPassesMoreJustOffIt() {
    double lift = 1e-5;
    double exact = Math.PI * lift * Math.cos(VALVE.angle()) * (0.050 - 2 * 0.0015);
    assertThat(VALVE.area(lift)).isCloseTo(exact, within(1e-3 * exact));
    var flat = new ValvePassage(0.050, 0.0015, Math.toRadians(30), 0.044, 0.008);
    assertThat(flat.area(0.001)).isGreaterThan(VALVE.area(0.001));
    // Not known: the curtain and the head.
    var unknown = new ValvePassage(0.050, 0, Math.PI / 4, 0, 0.008);
    assertThat(unknown.area(0.005)).isCloseTo(Math.PI * 0.050 * 0.005, within(1e-12));
    assertThat(unknown.throatRules()).isCloseTo(0.0125, within(1e-6));
  }

  private static final CompressorMap MAP =
      new CompressorMap(
          Provenance.CARD,
          List.of(
              new Row(8000, 0.06, 1.5, 0.68),
              new Row(8000, 0.10, 1.45, 0.74),
              new Row(8000, 0.15, 1.2, 0.60),
              new Row(11000, 0.10, 2.2, 0.70),
              new Row(11000, 0.16, 2.1, 0.78),
              new Row(11000, 0.24, 1.5, 0.62)));

  @Test
  void aMapIsMetAtItsPointsAndSmoothBetween() {
    var chart = new CompressorChart(MAP);
    for (var row : MAP.rows()) {
      assertThat(chart.efficiency(row.flow(), row.ratio()))
          .isCloseTo(row.efficiency(), within(0.004));
    }
    double half = chart.efficiency(0.13, 1.775);
    assertThat(half).isBetween(0.74, 0.78);
    var random = new Random(4);
    for (int i = 0; i < 500; i++) {
      double e = chart.efficiency(0.3 * random.nextDouble(), 1 + 2 * random.nextDouble());
      assertThat(e).isBetween(0.60, 0.78);
    }
    assertThat(chart.surge(1.85)).isCloseTo(0.08, within(1e-3));
    assertThat(chart.choke(1.2)).isCloseTo(0.15, within(1e-9));
    assertThat(chart.surge(9)).isCloseTo(0.10, within(1e-9));
    // 1 bar and 25 °C are the map's own state; half the density doubles the corrected flow.
    assertThat(CompressorChart.corrected(0.1, 100_000, 298.15)).isCloseTo(0.1, within(1e-12));
    assertThat(CompressorChart.corrected(0.1, 50_000, 298.15)).isCloseTo(0.2, within(1e-12));
  }

  @Test
  void mapsThatCantBeAreRefused() {
    assertThatThrownBy(() -> new CompressorMap(Provenance.CARD, MAP.rows().subList(0, 3)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("two speeds");
    assertThatThrownBy(() -> new CompressorMap(Provenance.CARD, MAP.rows().reversed()))
        .hasMessageContaining("row 2");
  }
}
