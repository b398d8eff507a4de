package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.studies.TimeAtSpeed;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where an engine spends its time, from tables of shares and from logs. */
class SpeedLogCsvTest {
  @Test
  void sharesAndLogsAreRead() {
    assertThat(SpeedLogCsv.read("rpm,share\n4000,1\n5000,3\n").rows())
        .containsExactly(new TimeAtSpeed.Row(4000, 1), new TimeAtSpeed.Row(5000, 3));
    assertThat(SpeedLogCsv.read("time_s, RPM ,lambda\n0,4010,0.9\n1,4020,\n2,0,1\n").rows())
        .containsExactly(new TimeAtSpeed.Row(4125, 2.0 / 3));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'time,speed\n0,4000\n' | no column rpm",
        "'time,rpm\n0,fast\n' | line 2: “fast”",
        "'time,rpm\n0\n' | line 2: 2 columns wanted",
        "'rpm,share\n4000,-1\n' | Time at speed, share",
        "'rpm\n0\n' | Time at speed",
        "'rpm\n-4\n' | Log, rpm",
        "'' | heading"
      })
  void whatIsNoLogIsRefusedWithItsPlace(String text, String says) {
    assertThatThrownBy(() -> SpeedLogCsv.read(text == null ? "" : text))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(says);
  }
}
