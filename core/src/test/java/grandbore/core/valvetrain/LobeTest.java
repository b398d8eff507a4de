package grandbore.core.valvetrain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LobeTest {
  @ParameterizedTest
  @CsvSource({"191, 245, 0.2688", "236, 290, 0.3867", "250, 290, 0.4253", "228, 268, 0.38"})
  void aLobeHasTheCardsDurationsAndNoStepInItsAcceleration(
      double at50, double seat, double inches) {
    double lift = inches * 0.0254;
    var lobe = new PolydyneLobe(lift, Math.toRadians(at50), Math.toRadians(seat));
    assertThat(lobe.lift(0)).isCloseTo(lift, within(1e-9));
    assertThat(lobe.lift(Math.toRadians(at50 / 2))).isCloseTo(1.27e-3, within(1e-7));
    assertThat(lobe.lift(Math.toRadians(seat / 2))).isCloseTo(0.1524e-3, within(1e-6));
    double h = Math.toRadians(0.25);
    double last = Double.NaN;
    double most = 0;
    for (double a = -lobe.opening() - 5 * h; a < lobe.opening() + 5 * h; a += h) {
      assertThat(lobe.lift(a)).isBetween(0.0, lift);
      double bend = (lobe.lift(a - h) - 2 * lobe.lift(a) + lobe.lift(a + h)) / (h * h);
      most = Math.max(most, Math.abs(bend));
      if (!Double.isNaN(last)) {
        assertThat(Math.abs(bend - last)).isLessThan(0.12 * Math.max(most, 1e-3) + 1e-4);
      }
      last = bend;
    }
  }
}
