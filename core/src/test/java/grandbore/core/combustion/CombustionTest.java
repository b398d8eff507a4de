package grandbore.core.combustion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.gas.FuelKind;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CombustionTest {
  private static final double ROOM_KELVIN = 298;
  private static final double ROOM_PASCAL = 101_325;

  /** Heywood (1988), table 9.3: strongest flames at 298 K and one atmosphere; from memory. */
  @ParameterizedTest
  @CsvSource({"PUMP_91, 1.21, 0.305", "METHANOL, 1.11, 0.369"})
  void flamesAreFastestAtTheirPublishedMixtureAndSpeed(
      FuelKind fuel, double richness, double metrePerSecond) {
    double best = FlameSpeed.at(fuel, 1 / richness, ROOM_KELVIN, ROOM_PASCAL, 0);
    assertThat(best).isCloseTo(metrePerSecond, within(1e-3));
    for (double phi = 0.8; phi < 1.5; phi += 0.05) {
      assertThat(FlameSpeed.at(fuel, 1 / phi, ROOM_KELVIN, ROOM_PASCAL, 0))
          .isLessThanOrEqualTo(best + 1e-9);
    }
  }

  /** Residual gas: 1 − 2.06 x^0.77 (Heywood 1988, equation 9.36): a fifth leaves two fifths. */
  @Test
  void residualSlowsTheFlameByThePublishedFactor() {
    double clean = FlameSpeed.at(FuelKind.PUMP_93, 0.9, 700, 1e6, 0);
    double fouled = FlameSpeed.at(FuelKind.PUMP_93, 0.9, 700, 1e6, 0.2);
    assertThat(fouled / clean).isCloseTo(1 - 2.06 * Math.pow(0.2, 0.77), within(1e-9));
    assertThat(fouled / clean).isCloseTo(0.40, within(0.01));
  }

  @Test
  void flamesQuickenWithHeatAndSlowWithPressure() {
    double base = FlameSpeed.at(FuelKind.PUMP_93, 1, 600, 1e6, 0.05);
    assertThat(FlameSpeed.at(FuelKind.PUMP_93, 1, 700, 1e6, 0.05)).isGreaterThan(1.3 * base);
    assertThat(FlameSpeed.at(FuelKind.PUMP_93, 1, 600, 2e6, 0.05)).isLessThan(base);
  }

  @ParameterizedTest
  @CsvSource({"22, 24", "30, 26", "18, 40"})
  void theBurnPassesThroughItsTenthAndNinetieth(double development, double rapid) {
    var burn = new Burn(Math.toRadians(development), Math.toRadians(rapid));
    assertThat(burn.at(Math.toRadians(development))).isCloseTo(0.1, within(1e-9));
    assertThat(burn.at(Math.toRadians(development + rapid))).isCloseTo(0.9, within(1e-9));
    double last = 0;
    for (double a = -20; a < 150; a += 0.5) {
      double now = burn.at(Math.toRadians(a));
      assertThat(now).isGreaterThanOrEqualTo(last).isLessThanOrEqualTo(1);
      last = now;
    }
    assertThat(last).isGreaterThan(0.999);
  }

  @Test
  void burnAnglesGrowWithTheCubeRootOfSpeedAndWithEverythingThatSlowsTheFlame() {
    var angles = new BurnAngles(0.1, 1, FuelKind.PUMP_93, 0.88);
    var slow = angles.at(8, 0.0105, 680, 1.3e6, 0.06);
    var fast = angles.at(16, 0.0105, 680, 1.3e6, 0.06);
    assertThat(fast.rapid() / slow.rapid()).isCloseTo(Math.cbrt(2), within(1e-9));
    assertThat(fast.development() / slow.development()).isCloseTo(Math.cbrt(2), within(1e-9));
    assertThat(angles.at(8, 0.0105, 680, 1.3e6, 0.2).rapid()).isGreaterThan(slow.rapid());
    var lean = new BurnAngles(0.1, 1, FuelKind.PUMP_93, 1.1);
    assertThat(lean.at(8, 0.0105, 680, 1.3e6, 0.06).rapid()).isGreaterThan(slow.rapid());
    var central = new BurnAngles(0.1, BurnAngles.flamePathFor(4), FuelKind.PUMP_93, 0.88);
    assertThat(central.at(8, 0.0105, 680, 1.3e6, 0.06).rapid()).isLessThan(slow.rapid());
    // A plug farther off the middle has the farther wall to reach.
    assertThat(BurnAngles.flamePathFrom(0.025, 0.1)).isEqualTo(1);
    assertThat(BurnAngles.flamePathFrom(0.04, 0.1)).isGreaterThan(1);
    assertThat(BurnAngles.flamePathFrom(0, 0.1)).isEqualTo(BurnAngles.flamePathFor(4));
    var bigger = new BurnAngles(0.12, 1, FuelKind.PUMP_93, 0.88);
    assertThat(bigger.at(8, 0.0105, 680, 1.3e6, 0.06).rapid()).isGreaterThan(slow.rapid());
  }

  /**
   * Peak coefficients of one to some thousand W/(m² K): Heywood (1988), figure 12-13, from memory.
   */
  @Test
  void wallHeatIsOfThePublishedSize() {
    var woschni = new Woschni(0.1);
    double firing = woschni.coefficient(6e6, 2300, 1e-4, 14, false, 1500);
    assertThat(firing).isBetween(1000.0, 9000.0);
    assertThat(woschni.coefficient(1e5, 330, 5e-4, 14, true, 0)).isBetween(80.0, 500.0);
    // The published exponents: pressure 0.8, bore −0.2.
    assertThat(woschni.coefficient(12e6, 2300, 1e-4, 14, false, 1500) / firing)
        .isCloseTo(Math.pow(2, 0.8), Percentage.withPercentage(1e-6));
    assertThat(new Woschni(0.2).coefficient(6e6, 2300, 1e-4, 14, false, 1500) / firing)
        .isCloseTo(Math.pow(2, -0.2), Percentage.withPercentage(1e-6));
  }
}
