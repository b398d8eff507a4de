package grandbore.core.mechanics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.Said;
import grandbore.core.combination.Combination;
import grandbore.core.combination.PartSizes.RodMaterial;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.Measure;
import grandbore.core.valvetrain.PistonToValve;
import org.junit.jupiter.api.Test;

/** How much nearer pistons come at speed. */
class RodStretchTest {
  private static final Combination STEEL =
      Said.with(
          DemoBuilds.hillClimbEight().combination(),
          "partSizes.rodSection",
          2.2,
          Measure.SQUARE_CENTIMETRES);
  private static final double FAST = Measure.RPM.toSi(7500);

  /** m r ω² (1 + r/l) at top centre without offset, F L / (E A) (any textbook). */
  @Test
  void theStretchIsHookes() {
    var c =
        STEEL.with(
            "bottomEnd.pinOffset",
            STEEL.bottomEnd().pinOffset().with(0, STEEL.bottomEnd().pinOffset().provenance()));
    double r = c.bottomEnd().stroke().si() / 2;
    double l = c.bottomEnd().rodLength().si();
    double force = c.weights().reciprocating() * r * FAST * FAST * (1 + r / l);
    assertThat(RodStretch.elastic(c, FAST)).isCloseTo(force * l / (206e9 * 2.2e-4), within(1e-8));
    assertThat(RodStretch.elastic(c, 2 * FAST) / RodStretch.elastic(c, FAST))
        .isCloseTo(4, within(1e-9));
    assertThat(RodStretch.elastic(DemoBuilds.hillClimbEight().combination(), FAST)).isZero();
  }

  /** Aluminium grows about twice as much as iron: 0.14 mm more over 150 mm and 80 K. */
  @Test
  void aluminiumComesNearerThanSteelAndTitaniumGrowsLess() {
    var aluminium = STEEL.with("partSizes.rodMaterial", RodMaterial.ALUMINIUM);
    var titanium = STEEL.with("partSizes.rodMaterial", RodMaterial.TITANIUM);
    assertThat(RodStretch.thermal(aluminium))
        .isCloseTo(12e-6 * STEEL.bottomEnd().rodLength().si() * 80, within(1e-9));
    assertThat(RodStretch.thermal(titanium)).isNegative();
    assertThat(RodStretch.nearer(aluminium, FAST)).isGreaterThan(RodStretch.nearer(STEEL, FAST));
    assertThat(RodStretch.elastic(titanium, FAST)).isGreaterThan(RodStretch.elastic(STEEL, FAST));
  }

  /** Slowly and cold the clearance is the bench's; at speed it is less by the stretch and more. */
  @Test
  void clearanceAtSpeedIsLessThanOnTheBench() {
    for (boolean intake : new boolean[] {true, false}) {
      double bench =
          (intake ? PistonToValve.intake(STEEL) : PistonToValve.exhaust(STEEL))
              .closest()
              .clearance();
      var at = RodStretch.clearances(STEEL, intake, Measure.RPM.toSi(500), FAST);
      double slow = at[0];
      double fast = at[1];
      // A train that gives lifts less; lash is not taken up by a spring.
      assertThat(slow).isBetween(bench - 0.1e-3, bench + 1.2e-3);
      assertThat(fast).isLessThan(slow);
    }
  }
}
