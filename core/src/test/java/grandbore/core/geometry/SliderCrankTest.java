package grandbore.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.analysis.differentiation.UnivariateDerivative2;
import org.junit.jupiter.api.Test;

class SliderCrankTest {
  /** Against the library's automatic differentiation of the written-out law of cosines. */
  @Test
  void motionMatchesTheClosedFormAndALibrarysDerivatives() {
    double r = 0.0425;
    double l = 0.152;
    double d = 0.0012;
    var crank = new SliderCrank(r, l, d);
    for (int degree = -360; degree <= 720; degree += 7) {
      var angle = new UnivariateDerivative2(Math.toRadians(degree), 1, 0);
      var side = angle.sin().multiply(r).subtract(d);
      var pin = angle.cos().multiply(r).add(side.multiply(side).negate().add(l * l).sqrt());
      assertThat(crank.depth(angle.getReal()))
          .isCloseTo(Math.sqrt((l + r) * (l + r) - d * d) - pin.getReal(), within(1e-12));
      assertThat(crank.slope(angle.getReal())).isCloseTo(-pin.getFirstDerivative(), within(1e-12));
      assertThat(crank.curvature(angle.getReal()))
          .isCloseTo(-pin.getSecondDerivative(), within(1e-12));
    }
    assertThat(new SliderCrank(r, l, 0).depth(Math.PI)).isCloseTo(2 * r, within(1e-12));
  }
}
