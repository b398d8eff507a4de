package grandbore.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.job.cuts.DeckPlane;
import grandbore.core.job.cuts.DeckPlane.Corner;
import grandbore.core.job.cuts.HeadTilt;
import grandbore.core.job.cuts.OffsetGrind;
import org.junit.jupiter.api.Test;

class CutsTest {
  private static final double INCH = 0.0254;

  /** A deck of 9.025 in that stands 4 thou higher at the rear and 2 thou at the outer side. */
  @Test
  void aDeckIsCutByItsCorners() {
    double low = 9.025 * INCH;
    double thou = 1e-3 * INCH;
    var deck = DeckPlane.of(low, low + 2 * thou, low + 4 * thou, low + 6 * thou);
    assertThat(deck.twist()).isCloseTo(0, within(1e-12));
    assertThat(deck.cleanUp()).isCloseTo(low, within(1e-12));
    assertThat(deck.cut(Corner.FRONT_VALLEY, 9.020 * INCH)).isCloseTo(5 * thou, within(1e-9));
    assertThat(deck.cut(Corner.REAR_OUTER, 9.020 * INCH)).isCloseTo(11 * thou, within(1e-9));
    assertThat(deck.deepest(9.020 * INCH)).isCloseTo(11 * thou, within(1e-9));
    // Over the cylinders between, along the middle of the deck.
    assertThat(deck.over(0, 4, 9.020 * INCH, 1)).isCloseTo(6 * thou, within(1e-9));
    assertThat(deck.over(3, 4, 9.020 * INCH, 1)).isCloseTo(10 * thou, within(1e-9));
    assertThat(deck.over(1, 4, 9.020 * INCH, 1.2))
        .isCloseTo((8 - 2 / 3.0 / 1.2) * thou, within(1e-9));
  }

  /**
   * Whatever four corners: plane and twist give them back, and after its cut each is the wanted.
   */
  @Test
  void cornersComeBackFromPlaneAndTwist() {
    double[] h = {0.2292, 0.2290, 0.2291, 0.2294};
    var deck = DeckPlane.of(h);
    for (var c : Corner.values()) {
      assertThat(deck.height(c)).isCloseTo(h[c.ordinal()], within(1e-12));
      assertThat(h[c.ordinal()] - deck.cut(c, 0.2286)).isCloseTo(0.2286, within(1e-12));
    }
    assertThat(deck.twist()).isCloseTo((h[0] - h[1] - h[2] + h[3]) / 4, within(1e-12));
    assertThatThrownBy(() -> DeckPlane.of(0.2292, 9.02, 0.2291, 0.2294))
        .hasMessageContaining("Deck, front, outer");
  }

  /**
   * A head of 64 and 66 cm³ at its ends that is to have 62: with 40 cm² of plan 0.5 and 1.0 mm come
   * off, and volumes removed by the tilted cut are what was too much.
   */
  @Test
  void aHeadIsLevelledByTwoFills() {
    var tilt = HeadTilt.of(64e-6, 66e-6, 62e-6, 40e-4, 0.33);
    assertThat(tilt.first()).isCloseTo(0.5e-3, within(1e-12));
    assertThat(tilt.last()).isCloseTo(1.0e-3, within(1e-12));
    assertThat(tilt.shim(0.45)).isCloseTo(0.5e-3 / 0.33 * 0.45, within(1e-12));
    assertThat(tilt.isShimAtRear()).isTrue();
    var between = HeadTilt.between(64e-6, 66e-6, 4);
    for (int i = 0; i < 4; i++) {
      double cut = tilt.at(0.11 * i);
      assertThat(between.get(i) - 40e-4 * cut).isCloseTo(62e-6, within(1e-15));
    }
    assertThatThrownBy(() -> HeadTilt.of(64e-6, 66e-6, 62e-6, 40, 0.33))
        .hasMessageContaining("plan area");
  }

  /**
   * Ground from 2.100 to 2.000 in a crank gains up to 0.100 in of stroke; what cleans up the old
   * surface is lost twice. Common practice, no source.
   */
  @Test
  void anOffsetGrindGivesTheDifferenceOfTheJournals() {
    var most = OffsetGrind.of(3.48 * INCH, 2.1 * INCH, 2.0 * INCH, 0);
    assertThat(most.gained()).isCloseTo(0.100 * INCH, within(1e-9));
    assertThat(most.stroke()).isCloseTo(3.58 * INCH, within(1e-9));
    var clean = OffsetGrind.of(3.48 * INCH, 2.1 * INCH, 2.0 * INCH, 0.005 * INCH);
    assertThat(clean.gained()).isCloseTo(0.090 * INCH, within(1e-9));
    assertThatThrownBy(() -> OffsetGrind.of(3.48 * INCH, 2.0 * INCH, 2.1 * INCH, 0))
        .hasMessageContaining("a grind only takes off");
  }
}
