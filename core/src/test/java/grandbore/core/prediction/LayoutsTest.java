package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.InvalidInput;
import java.util.List;
import java.util.stream.IntStream;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Every arrangement of cylinders, from a single to a V12. */
class LayoutsTest extends EngineTest {
  /** Each cylinder fires once in two turns, and an even engine at equal distances. */
  @ParameterizedTest
  @EnumSource(Arrangement.class)
  void eachCylinderFiresOnceInTwoTurns(Arrangement arrangement) {
    var b = arrangement.of(FOUR).bottomEnd();
    int n = b.cylinders();
    assertThat(b.firingOrder())
        .containsExactlyInAnyOrderElementsOf(IntStream.rangeClosed(1, n).boxed().toList());
    for (int k = 1; k < n; k++) {
      double gap = b.firesAt(k) - b.firesAt(k - 1);
      assertThat(gap).isPositive();
      if (b.firesEvenly()) {
        assertThat(gap).isCloseTo(4 * Math.PI / n, within(1e-9));
      }
    }
    assertThat(b.firesAt(n - 1)).isLessThan(4 * Math.PI);
    assertThat(Arrangement.of(b)).contains(arrangement);
    long left = b.firingOrder().stream().filter(c -> b.bank(c) == 0).count();
    assertThat(left).isEqualTo(n / b.banks());
  }

  /**
   * An in-line crank's pistons come up in pairs: in firing order a cylinder and the one half a
   * cycle later stand at the same height. So must a bank of a vee with a flat or a paired crank.
   */
  @ParameterizedTest
  @CsvSource({"INLINE_4, 4", "INLINE_6, 6", "VEE_8_FLAT, 4", "VEE_12, 6"})
  void pairsOfPistonsRiseTogether(Arrangement arrangement, int bank) {
    var b = arrangement.of(FOUR).bottomEnd();
    for (int side = 0; side < b.banks(); side++) {
      int which = side;
      var order = b.firingOrder().stream().filter(c -> b.bank(c) == which).toList();
      for (int k = 0; k < bank / 2; k++) {
        int first = throwOf(order.get(k), b.banks());
        int second = throwOf(order.get(k + bank / 2), b.banks());
        // Cylinders 1 and 4, 2 and 3 of four; 1 and 6, 2 and 5, 3 and 4 of six share a height.
        assertThat(first + second).isEqualTo(bank + 1);
      }
    }
  }

  private static int throwOf(int cylinder, int banks) {
    return (cylinder + banks - 1) / banks;
  }

  /** The same cylinder makes the same torque within what sharing a manifold changes. */
  @ParameterizedTest
  @EnumSource(Arrangement.class)
  void everyLayoutRunsAndMakesWhatItsCylindersMake(Arrangement arrangement) {
    var c = arrangement.of(FOUR);
    var p = point(c, 6000, Fidelity.FULL);
    int n = c.bottomEnd().cylinders();
    assertThat(p.cylinders()).hasSize(n);
    assertThat(p.cylinders())
        .extracting(CylinderPoint::number)
        .containsExactlyElementsOf(c.bottomEnd().firingOrder());
    // Individual runners and throttles: only the exhaust is shared.
    double one = point(Arrangement.SINGLE.of(FOUR), 6000, Fidelity.FULL).bmep();
    assertThat(p.bmep() / one).isBetween(0.85, 1.15);
    // Even engines breathe alike in every cylinder; uneven ones need not.
    double most = p.cylinders().stream().mapToDouble(CylinderPoint::fresh).max().orElseThrow();
    double least = p.cylinders().stream().mapToDouble(CylinderPoint::fresh).min().orElseThrow();
    assertThat(least / most).isGreaterThan(bankEven(c.bottomEnd()) ? 0.995 : 0.85);
  }

  /** Whether the cylinders of each bank fire at equal distances from one another. */
  private static boolean bankEven(BottomEnd b) {
    double even = 4 * Math.PI * b.banks() / b.cylinders();
    for (int side = 0; side < b.banks(); side++) {
      double first = Double.NaN;
      int place = 0;
      for (int k = 0; k < b.cylinders(); k++) {
        if (b.bank(b.firingOrder().get(k)) == side) {
          first = place == 0 ? b.firesAt(k) : first;
          if (Math.abs(b.firesAt(k) - first - place * even) > 1e-6) {
            return false;
          }
          place++;
        }
      }
    }
    return true;
  }

  /**
   * A cross-plane eight's banks fire unevenly and its cylinders fill unequally; a flat one's not.
   */
  @Test
  void aCrossPlaneEightFillsUnequallyAndAFlatOneDoesNot() {
    double cross = spread(Arrangement.VEE_8_CROSS.of(EIGHT));
    double flat = spread(Arrangement.VEE_8_FLAT.of(EIGHT));
    assertThat(flat).isLessThan(0.003);
    assertThat(cross).isGreaterThan(0.008);
  }

  private static double spread(Combination c) {
    var all = point(c, 5000, Fidelity.FULL).cylinders();
    double most = all.stream().mapToDouble(CylinderPoint::fresh).max().orElseThrow();
    double least = all.stream().mapToDouble(CylinderPoint::fresh).min().orElseThrow();
    return 1 - least / most;
  }

  /** Evenly firing engines are the same solved whole and as one cylinder with copies. */
  @ParameterizedTest
  @EnumSource(
      value = Arrangement.class,
      names = {"SINGLE", "TWIN_360", "INLINE_3", "INLINE_4", "INLINE_6", "VEE_8_FLAT", "VEE_12"})
  void liveAndFullAgreeWithinOneAndAHalfPerCent(Arrangement arrangement) {
    var c = arrangement.of(FOUR);
    for (double rpm : new double[] {3000, 4500, 7500}) {
      var live = point(c, rpm, Fidelity.LIVE);
      var full = point(c, rpm, Fidelity.FULL);
      assertThat(live.torque() / full.torque()).isCloseTo(1, within(0.015));
    }
  }

  /** Friction of more, smaller cylinders: a V12's mains and pistons cost more than a four's. */
  @Test
  void theWholeEnginesTorqueGoesWithItsDisplacement() {
    var six = point(Arrangement.INLINE_6.of(FOUR), 5000, Fidelity.LIVE);
    var twelve = point(Arrangement.VEE_12.of(FOUR), 5000, Fidelity.LIVE);
    assertThat(twelve.torque() / six.torque()).isCloseTo(2, Percentage.withPercentage(8));
    assertThat(twelve.airFlow() / six.airFlow()).isCloseTo(2, Percentage.withPercentage(6));
  }

  /** What an arrangement can't have is taken off when it is chosen, and refused when put on. */
  @Test
  void choosingALayoutKeepsTheCombinationPossible() {
    var eight =
        EIGHT
            .with("exhaust.balance", Exhaust.Balance.PIPE)
            .with("intake.manifold", Intake.Manifold.DUAL_PLANE);
    var three = Arrangement.INLINE_3.of(eight);
    assertThat(three.exhaust().balance()).isEqualTo(Exhaust.Balance.NONE);
    assertThat(three.intake().manifold()).isEqualTo(Intake.Manifold.PLENUM);
    assertThatThrownBy(() -> three.with("exhaust.balance", Exhaust.Balance.PIPE))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("exhaust.balance")
        .hasMessageContaining("two banks");
    assertThatThrownBy(() -> three.with("intake.manifold", Intake.Manifold.DUAL_PLANE))
        .hasMessageContaining("intake.manifold");
    assertThatThrownBy(() -> three.with("exhaust.kind", Exhaust.Kind.STEPPED))
        .hasMessageContaining("exhaust.kind");
    assertThatThrownBy(() -> EIGHT.with("heads.intakeShares", List.of(1.0, 0.9)))
        .hasMessageContaining("2 numbers");
  }

  /** Uneven intervals must make two turns. */
  @Test
  void intervalsThatDoNotMakeTwoTurnsAreRefused() {
    var twin = Arrangement.VEE_TWIN_45.of(FOUR);
    assertThat(twin.bottomEnd().firesEvenly()).isFalse();
    assertThat(twin.bottomEnd().firesAt(1)).isCloseTo(Math.toRadians(315), within(1e-9));
    assertThatThrownBy(() -> twin.with("bottomEnd.firingIntervals", List.of(300.0, 405.0)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("720");
    assertThatThrownBy(() -> twin.with("bottomEnd.firingIntervals", List.of(720.0)))
        .isInstanceOf(InvalidInput.class);
  }

  /**
   * The demo's eight, its banks even: from the bottom of its range to the top, carburettor and all.
   */
  @Test
  void liveAndFullAgreeOnTheDemosEightDownToSlowSpeeds() {
    for (double rpm : new double[] {2500, 3000, 3500, 5500, 7500}) {
      var live = point(EIGHT, rpm, Fidelity.LIVE);
      var full = point(EIGHT, rpm, Fidelity.FULL);
      assertThat(live.torque() / full.torque()).isCloseTo(1, within(0.015));
      assertThat(live.airFlow() / full.airFlow()).isCloseTo(1, within(0.015));
    }
  }
}
