package grandbore.core.dyno;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.InvalidInput;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Corrections against the standards' own days and against factors worked out by hand. */
class StandardTest {
  /** Each standard's own day has the factor one. */
  @ParameterizedTest
  @CsvSource({
    "SAE_J1349, 99000, 298.15",
    "SAE_J607, 101320.8, 288.706",
    "DIN_70020, 101300, 293.15",
    "ISO_1585, 99000, 298.15"
  })
  void ownDayIsOne(Standard standard, double dry, double kelvin) {
    assertThat(standard.factor(new DayAir(dry, kelvin, 0))).isCloseTo(1, within(2e-5));
  }

  /**
   * Factors worked out by hand from the equations of the standards for 96.0 kPa dry at 30 °C, to
   * four digits.
   */
  @ParameterizedTest
  @CsvSource({
    "SAE_J1349, 1.0470",
    "SAE_J607, 1.0815",
    "DIN_70020, 1.0731",
    "ISO_1585, 1.0480",
    "NONE, 1"
  })
  void workedByHand(Standard standard, double factor) {
    assertThat(standard.factor(new DayAir(96e3, 303.15, 0))).isCloseTo(factor, within(5e-5));
  }

  /** The older SAE day shows some 4 % more than the newer (common practice, no source). */
  @Test
  void olderDayShowsFourPerCentMore() {
    var day = new DayAir(99e3, 298.15, 0);
    assertThat(Standard.SAE_J607.factor(day) / Standard.SAE_J1349.factor(day))
        .isCloseTo(1.040, within(5e-4));
  }

  /** At 20 °C water boils at 2.34 kPa, so that half of it takes 1.17 kPa (steam tables). */
  @Test
  void moistureLeavesLessDryAir() {
    var air = new DayAir(99e3, 293.15, 0.5);
    assertThat(air.dry()).isCloseTo(99e3 - 1169, within(8.0));
    assertThat(Standard.SAE_J1349.factor(air))
        .isGreaterThan(Standard.SAE_J1349.factor(new DayAir(99e3, 293.15, 0)));
    assertThat(Standard.DIN_70020.factor(air))
        .isEqualTo(Standard.DIN_70020.factor(new DayAir(99e3, 293.15, 0)));
  }

  @Test
  void thinAirIsBeyondTheLetterOfSome() {
    double high = Standard.ISO_1585.factor(new DayAir(83e3, 298, 0.2));
    assertThat(Standard.ISO_1585.allows(high)).isFalse();
    assertThat(Standard.DIN_70020.allows(high)).isTrue();
  }

  /** A sheet that carries a correction is taken back before another is put on. */
  @ParameterizedTest
  @EnumSource
  void correctionIsTakenBack(Standard carried) {
    var air = new DayAir(97e3, 303, 0.4);
    double raw = 400;
    var pull = pull(raw * carried.factor(air), carried, Optional.of(air));
    for (var wanted : Standard.values()) {
      assertThat(PullCurve.torque(pull, wanted, 250).at(4000))
          .isCloseTo(raw * wanted.factor(air), within(1e-9 * raw));
    }
  }

  @Test
  void nothingIsCorrectedWithoutTheDaysAir() {
    var pull = pull(400, Standard.NONE, Optional.empty());
    assertThat(PullCurve.torque(pull, Standard.NONE, 250).at(4000)).isCloseTo(400, within(1e-9));
    assertThatThrownBy(() -> pull.factor(Standard.SAE_J1349))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("Pull 1, air")
        .hasMessageContaining("humidity");
    assertThatThrownBy(() -> pull(400, Standard.SAE_J607, Optional.empty()))
        .hasMessageContaining("without the day's air");
  }

  private static Pull pull(double torque, Standard carries, Optional<DayAir> air) {
    var rpm = List.of(3000.0, 4000.0, 5000.0);
    return new Pull(
        1,
        "a day",
        Instant.EPOCH,
        Pull.How.STEP,
        0,
        0,
        air,
        carries,
        Double.NaN,
        "",
        Optional.empty(),
        "",
        "",
        new Recorded(
            List.of(),
            List.of(
                new Column(Channel.RPM, 0, rpm),
                new Column(Channel.TORQUE, 0, List.of(torque, torque, torque)))));
  }
}
