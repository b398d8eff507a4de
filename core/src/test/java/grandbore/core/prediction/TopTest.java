package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

/** A peak lies where the line has it, not at the nearest point. */
class TopTest {
  /** A parabola's own top from points that are spaced anyhow. */
  @Test
  void aParabolasTopIsFoundBetweenUnevenPoints() {
    double[] x = {3000, 3400, 4500, 4900, 6100, 7000};
    double[] y = Arrays.stream(x).map(r -> 400 - 1e-5 * (r - 4730) * (r - 4730)).toArray();
    var top = Top.of(x, y);
    assertThat(top.at()).isCloseTo(4730, within(1e-6));
    assertThat(top.value()).isCloseTo(400, within(1e-9));
  }

  /** Which of two like neighbours is the better by a hair does not move the top. */
  @Test
  void theTopDoesNotJumpBetweenTwoLikePoints() {
    double[] x = {4500, 4800, 5100, 5400};
    var one = Top.of(x, new double[] {395, 400.001, 400, 394});
    var other = Top.of(x, new double[] {395, 400, 400.001, 394});
    assertThat(one.at()).isCloseTo(other.at(), within(1.0)).isCloseTo(4950, within(1.0));
  }

  @Test
  void theEndOfALineIsItsTopWhereItStillRises() {
    assertThat(Top.of(new double[] {1, 2, 3}, new double[] {1, 2, 4})).isEqualTo(new Top(3, 4));
    assertThat(Top.of(new double[] {5}, new double[] {7})).isEqualTo(new Top(5, 7));
  }
}
