package grandbore.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class EntryTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "4.125 | LENGTH | US | 0.104775",
        "4 1/8 | LENGTH | US | 0.104775",
        "104.8 mm | LENGTH | US | 0.1048",
        "104,8 | LENGTH | METRIC | 0.1048",
        ".030 over | LENGTH | US | 0.100762",
        "0.5mm under | LENGTH | US | 0.0995",
        "40 thou | CLEARANCE | METRIC | 0.001016",
        "63 cc | VOLUME | US | 63e-6",
        "-4 | VOLUME | US | -4e-6",
        "28 inH2O | DEPRESSION | METRIC | 6974.489",
        "59 °F | TEMPERATURE | METRIC | 288.15",
        "15 | TEMPERATURE | METRIC | 288.15",
        "250 cfm | AIRFLOW | METRIC | 0.117987",
        "40 | SHARE | US | 0.4"
      })
  void readsNumbersAsPeopleWriteThem(String text, Quantity quantity, UnitSystem system, double si) {
    assertThat(Entry.parse(text, quantity, system, 0.1)).isCloseTo(si, within(1e-6 * (1 + si)));
  }

  @ParameterizedTest
  @CsvSource({"four", "4..5", "''", "4 1/0", "12 cc", "4 x"})
  void saysWhatItCannotRead(String text) {
    assertThatThrownBy(() -> Entry.parse(text, Quantity.LENGTH, UnitSystem.US, 0))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("“");
  }

  @ParameterizedTest
  @EnumSource(Measure.class)
  void everyUnitConvertsBackAndIsFoundByItsSymbol(Measure measure) {
    assertThat(measure.fromSi(measure.toSi(12.5))).isCloseTo(12.5, within(1e-9));
    assertThat(Measure.of(measure.symbol())).contains(measure);
  }

  /** Feeler leaves as they are stacked: their sum, each in its own unit. */
  @ParameterizedTest
  @CsvSource({
    "0.012+0.008, 0.020",
    ".012 + .008 + .0015, 0.0215",
    "12 thou+0.1 mm, 0.0159370",
    "0.019, 0.019",
    "1/64+.002, 0.017625"
  })
  void leavesAreSummed(String typed, double inches) {
    assertThat(Entry.sum(typed, Quantity.CLEARANCE, UnitSystem.US) / 0.0254)
        .isCloseTo(inches, within(1e-7));
  }

  @ParameterizedTest
  @ValueSource(strings = {"0.012+", "+", "0.012++0.008", "0.012+wide"})
  void halfAStackIsRefused(String typed) {
    assertThatThrownBy(() -> Entry.sum(typed, Quantity.CLEARANCE, UnitSystem.US))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("can't be read");
  }
}
