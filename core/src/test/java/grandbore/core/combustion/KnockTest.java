package grandbore.core.combustion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Autoignition and heat to the walls against the published formulas, worked by hand. */
class KnockTest {
  /**
   * τ = 17.68 ms (ON/100)^3.402 p^−1.7 exp(3800/T), p in atm: Heywood (1988), equation 9.29, from
   * memory; the values worked with a pocket calculator.
   */
  @ParameterizedTest
  @CsvSource({
    "100, 1, 1000, 790.3",
    "100, 40, 800, 3.861",
    "100, 40, 900, 2.278",
    "90, 40, 800, 2.698",
    "90, 20, 800, 8.766"
  })
  void theDelayIsThePublishedOne(double octane, double atmospheres, double temperature, double ms) {
    assertThat(1e3 * Knock.delay(octane, 101_325 * atmospheres, temperature))
        .isCloseTo(ms, Percentage.withPercentage(0.1));
  }

  /** Half the delay's time at one state and half at another fires; and not a tick before. */
  @Test
  void timeOverDelayAddsUp() {
    double scale = Knock.scale(95);
    double hot = Knock.delay(95, 4e6, 850);
    double cool = Knock.delay(95, 3e6, 780);
    double sum = 0.5 * hot * Knock.rate(scale, 4e6, 850) + 0.5 * cool * Knock.rate(scale, 3e6, 780);
    assertThat(sum).isCloseTo(1, within(1e-12));
  }

  /** The octane number wanted is the one whose own sum would be one. */
  @ParameterizedTest
  @CsvSource({"95, 0.5", "95, 1", "95, 2", "105, 1.3"})
  void theOctaneWantedJustStandsTheSum(double octane, double sum) {
    double wanted = Knock.octaneWanted(octane, sum);
    double sumThen = sum * Knock.scale(octane) / Knock.scale(wanted);
    assertThat(sumThen).isCloseTo(1, within(1e-9));
    assertThat(wanted > octane).isEqualTo(sum > 1);
  }

  /** Cold or slack gas is left out of the sum: what it would add in a cycle is next to nothing. */
  @Test
  void whatIsLeftOutOfTheSumWouldNotMatter() {
    assertThat(Knock.isIdle(101_325 * 3.9, 900)).isTrue();
    assertThat(Knock.isIdle(101_325 * 30, 499)).isTrue();
    assertThat(Knock.isIdle(101_325 * 30, 800)).isFalse();
    // Ten milliseconds, a long compression, at the edge of what is left out.
    assertThat(0.010 * Knock.rate(Knock.scale(90), 101_325 * 12, 499)).isLessThan(0.03);
  }

  /** h = 130 V^−0.06 p^0.8 T^−0.4 (c + 1.4)^0.8: Hohenberg, SAE 790825, worked by hand. */
  @Test
  void hohenbergsCoefficientIsThePublishedOne() {
    var h = new Hohenberg();
    double expected =
        130
            * Math.pow(6e-5, -0.06)
            * Math.pow(50, 0.8)
            * Math.pow(2000, -0.4)
            * Math.pow(11.4, 0.8);
    assertThat(h.coefficient(5e6, 2000, 6e-5, 10, false, 0)).isCloseTo(expected, within(1e-6));
    // Its one speed serves the whole cycle: neither valves nor fire change it.
    assertThat(h.coefficient(5e6, 2000, 6e-5, 10, true, 300))
        .isEqualTo(h.coefficient(5e6, 2000, 6e-5, 10, false, 0));
  }

  /** Woschni's speed: 6.18 c open, 2.28 c shut, and more with fire (Heywood, eq. 12.18). */
  @Test
  void woschnisCoefficientFollowsItsPublishedSpeed() {
    var w = new Woschni(0.1);
    double open = w.coefficient(2e5, 500, 4e-4, 10, true, 0);
    double shut = w.coefficient(2e5, 500, 4e-4, 10, false, 0);
    assertThat(open / shut).isCloseTo(Math.pow(6.18 / 2.28, 0.8), within(1e-9));
    double fired = w.coefficient(2e5, 500, 4e-4, 10, false, 5000);
    assertThat(fired / shut)
        .isCloseTo(Math.pow((22.8 + 16.2) / 22.8, 0.8), Percentage.withPercentage(0.1));
    // 3.26 B^−0.2 p^0.8 T^−0.55 w^0.8, pressure in kPa.
    assertThat(shut)
        .isCloseTo(
            3.26
                * Math.pow(0.1, -0.2)
                * Math.pow(200, 0.8)
                * Math.pow(500, -0.55)
                * Math.pow(22.8, 0.8),
            within(1e-6));
  }

  /** Both published models give the same order of heat near peak pressure at speed. */
  @Test
  void bothModelsAgreeOnTheSize() {
    double w = new Woschni(0.1).coefficient(6e6, 2300, 7e-5, 15, false, 4200);
    double h = new Hohenberg().coefficient(6e6, 2300, 7e-5, 15, false, 4200);
    assertThat(w / h).isBetween(0.5, 2.0);
  }

  /** All of a charge fires up to a third of burned gas, none where the flame stands still. */
  @Test
  void aDilutedChargeMissesFire() {
    assertThat(FlameSpeed.firingShare(0.05)).isEqualTo(1);
    assertThat(FlameSpeed.firingShare(0.30)).isEqualTo(1);
    assertThat(FlameSpeed.firingShare(0.36)).isBetween(0.2, 0.8);
    assertThat(FlameSpeed.firingShare(0.45)).isZero();
  }
}
