package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** When cycles count as alike: a series that goes to its end by a known ratio. */
class SettlingTest {
  /** However slowly a drift dies away, it is stopped within a thousandth of where it goes. */
  @ParameterizedTest
  @ValueSource(doubles = {0, 0.3, 0.6, 0.8, 0.85})
  void aDriftIsStoppedNearItsEnd(double ratio) {
    assertThat(Math.abs(stoppedAt(ratio) - 1)).isLessThan(1e-3);
  }

  /** What swings about its end needs no more than to swing little. */
  @ParameterizedTest
  @ValueSource(doubles = {-0.5, -0.9})
  void aSwingIsStoppedWhereItIsSmall(double ratio) {
    assertThat(Math.abs(stoppedAt(ratio) - 1)).isLessThan(1e-3);
  }

  private static Settling after(int cycles, IntToDoubleFunction work) {
    var settling = new Settling();
    for (int k = 0; k < cycles; k++) {
      settling.next(work.applyAsDouble(k), 2, true);
    }
    return settling;
  }

  /** What swings for good by less than a hundredth is told as settled; more, or a drift, is not. */
  @Test
  void aSwingThatGoesOnIsToldByItsSize() {
    var little = after(60, k -> 500 * (1 + 0.004 * Math.sin(2 * k)));
    assertThat(little.isDone()).isFalse();
    assertThat(little.swingsALittle()).isTrue();
    assertThat(little.alternates()).isFalse();
    assertThat(after(60, k -> 500 * (1 + 0.008 * Math.sin(2 * k))).swingsALittle()).isFalse();
    assertThat(after(60, k -> 500 * (1 + 0.0004 * k)).swingsALittle()).isFalse();
    assertThat(after(10, k -> 500 * (1 + 0.004 * Math.sin(2 * k))).swingsALittle()).isFalse();
    var eight = after(60, k -> k % 2 == 0 ? 889 : 224);
    assertThat(eight.alternates()).isTrue();
    assertThat(eight.swingsALittle()).isFalse();
  }

  /** A drift that is slow yet far from its end is worth more cycles; what swings is not. */
  @Test
  void aSlowDriftIsWorthMoreCycles() {
    var slow = after(60, k -> 500 * (1 + 0.05 * Math.pow(0.97, k)));
    assertThat(slow.isDone()).isFalse();
    assertThat(slow.drifts()).isTrue();
    assertThat(after(150, k -> 500 * (1 + 0.05 * Math.pow(0.97, k))).isDone()).isTrue();
    assertThat(after(60, k -> 500 * (1 + 0.005 * Math.sin(2 * k))).drifts()).isFalse();
  }

  private static double stoppedAt(double ratio) {
    var settling = new Settling();
    double away = 0.1;
    for (int cycle = 0; !settling.isDone(); cycle++) {
      assertThat(cycle).isLessThan(200);
      away *= ratio;
      settling.next(1 + away, 2, cycle > 2);
    }
    return 1 + away;
  }
}
