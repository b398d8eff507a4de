package grandbore.core.mechanics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Weights.BalanceShafts;
import grandbore.core.demo.DemoBuilds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BalanceTest {
  private static final double SPEED = 700;

  private static Combination engine(Arrangement a, double factor, double degrees) {
    var c = a.of(DemoBuilds.hillClimbEight().combination());
    var w = c.weights().balanceFactor();
    c = c.with("weights.balanceFactor", w.with(factor, w.provenance()));
    var angle = c.partSizes().bankAngle();
    return degrees > 0
        ? c.with("partSizes.bankAngle", angle.with(Math.toRadians(degrees), angle.provenance()))
        : c;
  }

  /**
   * Textbook results for usual layouts, in units of m r ω² and of that times the spacing of bores;
   * secondary ones also times throw over rod. C. F. Taylor, The Internal-Combustion Engine in
   * Theory and Practice, volume 2, chapter 8, and R. L. Norton, Design of Machinery, chapter on
   * multi-cylinder engines; both from memory. Columns: layout, balance factor, bank angle (0: as it
   * is usually built), primary force, secondary force, primary couple, secondary couple.
   */
  @ParameterizedTest
  @CsvSource({
    "SINGLE, 0, 0, 1, 1, 0, 0",
    "SINGLE, 0.5, 0, 0.5, 1, 0, 0",
    "TWIN_360, 0, 0, 2, 2, 0, 0",
    "TWIN_180, 0, 0, 0, 2, 1, 0",
    "INLINE_3, 0, 0, 0, 0, 1.7321, 1.7321",
    "INLINE_4, 0, 0, 0, 4, 0, 0",
    "INLINE_5, 0, 0, 0, 0, 0.4490, 4.9798",
    "INLINE_6, 0, 0, 0, 0, 0, 0",
    "VEE_TWIN_90, 0.5, 90, 0, 1.4142, 0, 0",
    "VEE_8_CROSS, 0, 90, 0, 0, 3.1623, 0",
    "VEE_8_CROSS, 0.5, 90, 0, 0, 0, 0",
    "VEE_8_FLAT, 0.5, 90, 0, 5.6569, 0, 0",
    "VEE_12, 0, 60, 0, 0, 0, 0",
    "FLAT_4, 0, 180, 0, 0, 0, 0",
    "FLAT_6, 0, 180, 0, 0, 0, 0"
  })
  void usualLayoutsShakeAsTheTextbooksSay(
      Arrangement a,
      double factor,
      double degrees,
      double primary,
      double secondary,
      double primaryCouple,
      double secondaryCouple) {
    var c = engine(a, factor, degrees);
    double r = c.bottomEnd().stroke().si() / 2;
    double unit = c.weights().reciprocating() * r * SPEED * SPEED;
    double twice = unit * r / c.bottomEnd().rodLength().si();
    double spacing = c.partSizes().boreSpacing().si();
    var most = new Balance(c).most(SPEED);
    assertThat(most.primaryForce() / unit).isCloseTo(primary, within(1e-3));
    assertThat(most.secondaryForce() / twice).isCloseTo(secondary, within(1e-3));
    assertThat(most.primaryCouple() / unit / spacing).isCloseTo(primaryCouple, within(1e-3));
    assertThat(most.secondaryCouple() / twice / spacing).isCloseTo(secondaryCouple, within(1e-3));
  }

  /** A boxer's banks stand one before the other: its opposed pistons leave a couple. */
  @Test
  void offsetBanksLeaveABoxerASecondaryCouple() {
    var flat = engine(Arrangement.FLAT_4, 0, 180);
    var offset = flat.partSizes().bankOffset();
    var c = flat.with("partSizes.bankOffset", offset.with(0.03, offset.provenance()));
    double r = c.bottomEnd().stroke().si() / 2;
    double twice =
        c.weights().reciprocating() * r * SPEED * SPEED * r / c.bottomEnd().rodLength().si();
    // Each pair: opposed forces 0.03 m apart; both pairs in step at twice the speed.
    assertThat(new Balance(c).most(SPEED).secondaryCouple())
        .isCloseTo(2 * twice * 0.03, within(twice * 1e-4));
    assertThat(new Balance(c).most(SPEED).secondaryForce()).isCloseTo(0, within(twice * 1e-6));
  }

  @Test
  void shaftsTakeTheFoursSecondaryForceAndGiveItBackWhenTakenOut() {
    var bare = engine(Arrangement.INLINE_4, 0, 0);
    var shafts = bare.with("weights.shafts", BalanceShafts.SECONDARY_PAIR);
    double open = new Balance(bare).most(SPEED).secondaryForce();
    assertThat(new Balance(shafts).most(SPEED).secondaryForce()).isCloseTo(0, within(open * 1e-9));
    assertThat(new Balance(shafts).secondaryWithoutShafts(SPEED)).isCloseTo(open, within(1e-6));
  }

  /** The two terms against the exact motion, its first two harmonics taken by summation. */
  @Test
  void bothTermsAreTheHarmonicsOfTheExactMotion() {
    var c = engine(Arrangement.SINGLE, 0, 0);
    var b = c.bottomEnd();
    var crank = new grandbore.core.geometry.SliderCrank(b.stroke().si() / 2, b.rodLength().si(), 0);
    double[] harmonic = new double[3];
    int n = 720;
    for (int i = 0; i < n; i++) {
      double a = 2 * Math.PI * i / n;
      for (int k = 1; k <= 2; k++) {
        harmonic[k] += 2.0 / n * crank.curvature(a) * Math.cos(k * a);
      }
    }
    var balance = new Balance(c);
    double unit = c.weights().reciprocating() * SPEED * SPEED;
    assertThat(balance.primary(0, SPEED).forceY() / unit)
        .isCloseTo(harmonic[1], within(1e-4 * harmonic[1]));
    // The series' second term leaves out higher powers of throw over rod: a per cent or two.
    assertThat(balance.secondary(0, SPEED).forceY() / unit)
        .isCloseTo(harmonic[2], within(0.03 * harmonic[2]));
  }

  /** Two rods on a throw at a right angle: half of the reciprocating masses. */
  @Test
  void theBobweightIsThatOfTheBalancingCard() {
    var c = DemoBuilds.hillClimbEight().combination();
    var w = c.weights();
    double card =
        2 * (w.bigEnd().si() + w.bearing().si())
            + w.oil().si()
            + 0.5 * 2 * (w.piston().si() + w.pin().si() + w.rings().si() + w.smallEnd().si());
    assertThat(Balance.bobweight(c)).isCloseTo(card, within(1e-12));
    assertThat(Balance.rodsOnThrow(Arrangement.INLINE_4.of(c))).isEqualTo(1);
  }
}
