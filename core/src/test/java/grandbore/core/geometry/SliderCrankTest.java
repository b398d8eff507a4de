package grandbore.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.analysis.differentiation.DSFactory;
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
      var angle = new DSFactory(1, 3).variable(0, Math.toRadians(degree));
      var side = angle.sin().multiply(r).subtract(d);
      var pin = angle.cos().multiply(r).add(side.multiply(side).negate().add(l * l).sqrt());
      assertThat(crank.depth(angle.getReal()))
          .isCloseTo(Math.sqrt((l + r) * (l + r) - d * d) - pin.getReal(), within(1e-12));
      assertThat(crank.slope(angle.getReal()))
          .isCloseTo(-pin.getPartialDerivative(1), within(1e-12));
      assertThat(crank.curvature(angle.getReal()))
          .isCloseTo(-pin.getPartialDerivative(2), within(1e-12));
      assertThat(crank.third(angle.getReal()))
          .isCloseTo(-pin.getPartialDerivative(3), within(1e-12));
    }
    assertThat(new SliderCrank(r, l, 0).depth(Math.PI)).isCloseTo(2 * r, within(1e-12));
  }

  /** Both places at the ends of a dwell lie at its depth; a longer rod stays longer. */
  @Test
  void dwellIsBoundedByItsDepth() {
    var crank = new SliderCrank(0.0425, 0.152, 0.0012);
    double within = 0.0005;
    double dwell = crank.dwell(within);
    assertThat(crank.slope(crank.topAngle())).isCloseTo(0, within(1e-12));
    assertThat(crank.depth(crank.topAngle())).isCloseTo(0, within(1e-12));
    double half = 0;
    while (crank.depth(crank.topAngle() + half) < within) {
      half += 1e-5;
    }
    double other = 0;
    while (crank.depth(crank.topAngle() - other) < within) {
      other += 1e-5;
    }
    assertThat(dwell).isCloseTo(half + other, within(3e-5));
    assertThat(new SliderCrank(0.0425, 0.170, 0).dwell(within))
        .isGreaterThan(new SliderCrank(0.0425, 0.140, 0).dwell(within));
  }
}
