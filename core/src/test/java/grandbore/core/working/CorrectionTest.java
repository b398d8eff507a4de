package grandbore.core.working;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Weather;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Corrections of power to a standard's weather; forms of the standards, from memory. */
class CorrectionTest {
  private static Weather weather(double mbar, double celsius, double humidity) {
    return new Weather(
        Given.of(mbar / 10, Measure.KILOPASCALS, Quantity.PRESSURE, Provenance.MEASURED),
        Given.of(celsius, Measure.DEGREES_CELSIUS, Quantity.TEMPERATURE, Provenance.MEASURED),
        Given.of(humidity, Measure.PERCENT, Quantity.SHARE, Provenance.MEASURED));
  }

  /** In its own weather a standard corrects nothing. */
  @ParameterizedTest
  @CsvSource({
    "SAE_J1349, 990, 25",
    "SAE_J607, 1013.25, 15.56",
    "DIN_70020, 1013, 20",
    "ISO_1585, 990, 25"
  })
  void inItsOwnWeatherAStandardCorrectsNothing(Correction standard, double mbar, double celsius) {
    assertThat(standard.factor(weather(mbar, celsius, 0))).isCloseTo(1, within(5e-5));
  }

  /** Worked by hand to four digits: dry air of 950 mbar at 35 °C. */
  @ParameterizedTest
  @CsvSource({"SAE_J1349, 1.0701", "SAE_J607, 1.1019", "DIN_70020, 1.0933", "ISO_1585, 1.0717"})
  void aHotThinDayWorkedByHand(Correction standard, double factor) {
    assertThat(standard.factor(weather(950, 35, 0))).isCloseTo(factor, within(1e-4));
  }

  /** The older American figure reads some four per cent over the newer: common practice. */
  @Test
  void theOlderFigureReadsFourPerCentOverTheNewer() {
    var day = weather(1000, 22, 40);
    assertThat(Correction.SAE_J607.factor(day) / Correction.SAE_J1349.factor(day))
        .isBetween(1.035, 1.05);
  }

  /** Moisture takes its own pressure from the air: 23.4 mbar at 20 °C saturated (steam tables). */
  @Test
  void moistureTakesItsPressureFromTheAir() {
    assertThat(Correction.dryPressure(weather(1000, 20, 100)))
        .isCloseTo(100_000 - 2339, within(15.0));
    assertThat(Correction.dryPressure(weather(1000, 20, 0))).isCloseTo(100_000, within(1e-6));
    // The German standard reads the barometer as it stands.
    assertThat(Correction.DIN_70020.factor(weather(1000, 20, 100)))
        .isEqualTo(Correction.DIN_70020.factor(weather(1000, 20, 0)));
    for (var standard : List.of(Correction.SAE_J1349, Correction.SAE_J607, Correction.ISO_1585)) {
      assertThat(standard.factor(weather(1000, 30, 80)))
          .isGreaterThan(standard.factor(weather(1000, 30, 20)));
    }
  }

  /** Each stands among the figures with its working. */
  @Test
  void everyCorrectionIsAFigureWithItsWorking() {
    Build build = DemoBuilds.hillClimbEight();
    var figures = Figures.of(build, new Readings(List.of()));
    for (var standard : Correction.values()) {
      var figure =
          figures.stream()
              .filter(f -> f.label().endsWith(standard.label()))
              .findFirst()
              .orElseThrow();
      assertThat(figure.formula()).isEqualTo(standard.formula());
      assertThat(figure.putIn()).contains("29.92 inHg", "60 °F");
      assertThat(figure.si()).isCloseTo(standard.factor(build.combination().weather()), within(0.));
    }
    // The demo's day is the older American standard's own.
    assertThat(Correction.SAE_J607.factor(build.combination().weather()))
        .isCloseTo(1, within(2e-4));
  }
}
