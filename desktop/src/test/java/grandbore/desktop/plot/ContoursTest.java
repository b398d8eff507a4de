package grandbore.desktop.plot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.function.DoubleBinaryOperator;
import org.junit.jupiter.api.Test;

/** Lines of one height lie where the height is. */
class ContoursTest {
  private static double[][] grid(int n, DoubleBinaryOperator of) {
    var v = new double[n][n];
    for (int j = 0; j < n; j++) {
      for (int i = 0; i < n; i++) {
        v[j][i] = of.applyAsDouble(i, j);
      }
    }
    return v;
  }

  @Test
  void onAPlaneTheyAreStraightAndOnAConeRound() {
    var plane = Contours.at(grid(6, (x, y) -> 2 * x + y), 5.5);
    assertThat(plane)
        .isNotEmpty()
        .allSatisfy(
            p -> {
              assertThat(2 * p.x1() + p.y1()).isCloseTo(5.5, within(1e-12));
              assertThat(2 * p.x2() + p.y2()).isCloseTo(5.5, within(1e-12));
            });
    var round = Contours.at(grid(41, (x, y) -> Math.hypot(x - 20, y - 20)), 12.3);
    double length = 0;
    for (var p : round) {
      assertThat(Math.hypot(p.x1() - 20, p.y1() - 20)).isCloseTo(12.3, within(0.02));
      length += Math.hypot(p.x2() - p.x1(), p.y2() - p.y1());
    }
    assertThat(length).isCloseTo(2 * Math.PI * 12.3, within(0.2));
  }

  /** Where corners alternate two lines part what is high from what is low by the middle. */
  @Test
  void aSaddleIsToldByItsMiddle() {
    double[][] ridge = {{0, 1}, {1, 0.2}};
    var high = Contours.at(ridge, 0.5);
    assertThat(high).hasSize(2);
    // The middle, 0.55, is high: each line goes round one low corner.
    assertThat(high)
        .allSatisfy(
            p -> {
              double low = Math.min(p.x1() + p.y1(), p.x2() + p.y2());
              double far = Math.max(p.x1() + p.y1(), p.x2() + p.y2());
              assertThat(low < 1 && far < 1 || low > 1 && far > 1).isTrue();
            });
    assertThat(Contours.at(new double[][] {{0, 1}, {Double.NaN, 1}}, 0.5)).isEmpty();
    assertThat(Contours.at(ridge, 2)).isEmpty();
  }
}
