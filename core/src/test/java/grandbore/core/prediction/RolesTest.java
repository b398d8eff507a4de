package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.units.Measure;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Which cylinders are solved, and what the copies of them make of an engine. */
class RolesTest extends EngineTest {
  private static final Combination CROSS = Arrangement.VEE_8_CROSS.of(EIGHT);

  /** By the geometry of the firing: an engine turned onto itself needs solving once. */
  @ParameterizedTest
  @CsvSource({
    "SINGLE, 1, 1",
    "TWIN_180, 2, 2",
    "VEE_TWIN_45, 2, 2",
    "INLINE_4, 1, 1",
    "INLINE_5, 1, 1",
    "VEE_6, 1, 1",
    "VEE_6_ODD, 2, 2",
    "VEE_8_FLAT, 1, 1",
    "VEE_8_CROSS, 4, 1",
    "VEE_12, 1, 1",
    "FLAT_4, 2, 1"
  })
  void asManyAreSolvedAsSeeTheOthersDifferently(Arrangement layout, int placed, int live) {
    var c = layout.of(EIGHT);
    assertThat(RepresentativeCylinders.placed(c).each()).hasSize(placed);
    assertThat(RepresentativeCylinders.live(c).each()).hasSize(live);
    assertThat(Fidelity.LIVE.isExact(c)).isEqualTo(placed == live);
  }

  /** Nobody is left out: every cylinder of plenum and bank is solved or played, as a whole one. */
  @ParameterizedTest
  @EnumSource(Arrangement.class)
  void everyCylinderIsHeard(Arrangement layout) {
    var c = layout.of(EIGHT);
    var bottom = c.bottomEnd();
    for (var roles :
        List.of(
            RepresentativeCylinders.live(c),
            RepresentativeCylinders.placed(c),
            RepresentativeCylinders.every(c))) {
      double onPlenum = 0;
      double onBanks = 0;
      for (var role : roles.each()) {
        onPlenum += heard(role, 0);
        onBanks += heard(role, 1);
      }
      assertThat(onPlenum).isCloseTo(bottom.cylinders(), within(1e-9));
      long banks =
          roles.reached().stream()
              .filter(n -> roles.graph().place(n) == GasGraph.Place.OUTLET)
              .count();
      assertThat(onBanks)
          .isCloseTo((double) bottom.cylinders() / bottom.banks() * banks, within(1e-9));
    }
    var named =
        RepresentativeCylinders.full(BuiltEngine.asSpecified(c)).each().stream()
            .flatMap(r -> r.numbers().stream())
            .toList();
    assertThat(named).containsExactlyInAnyOrderElementsOf(bottom.firingOrder());
  }

  /** Cylinders that stand where a port of one that is solved leads to, itself with them. */
  private static double heard(RepresentativeCylinders.Role role, int port) {
    return 1 + role.others().get(port).each().stream().mapToDouble(Others.Later::share).sum();
  }

  static Stream<Combination> turnedOntoThemselves() {
    var four = Arrangement.INLINE_4.of(EIGHT);
    var flat = Arrangement.VEE_8_FLAT.of(EIGHT);
    return Stream.of(
        CROSS,
        CROSS.with("intake.manifold", Intake.Manifold.DUAL_PLANE),
        CROSS.with("exhaust.kind", Exhaust.Kind.STEPPED),
        CROSS.with("boost.kind", Boost.Kind.TURBOCHARGER),
        CROSS.with("boost.kind", Boost.Kind.POSITIVE_DISPLACEMENT),
        flat.with("exhaust.kind", Exhaust.Kind.STEPPED),
        flat.with("exhaust.balance", Exhaust.Balance.PIPE),
        four,
        four.with("exhaust.kind", Exhaust.Kind.STEPPED),
        Arrangement.VEE_6_ODD.of(EIGHT),
        Arrangement.FLAT_4.of(EIGHT),
        boxed(four.with("intake.manifold", Intake.Manifold.INDIVIDUAL)),
        with(Arrangement.FLAT_4.of(EIGHT), "intake.boxLength", 10, Measure.INCHES)
            .with("exhaust.kind", Exhaust.Kind.CAST_MANIFOLD));
  }

  /** With an air box. */
  private static Combination boxed(Combination c) {
    return with(c, "intake.airBox", 8, Measure.LITRES);
  }

  /** What is left out by symmetry changes nothing: torque and every cylinder's charge. */
  @ParameterizedTest
  @MethodSource("turnedOntoThemselves")
  void symmetryChangesNothing(Combination c) {
    var engine = BuiltEngine.asSpecified(c);
    var every = run(engine, RepresentativeCylinders.every(c), 4000);
    assertThat(RepresentativeCylinders.full(engine).each())
        .hasSizeLessThan(c.bottomEnd().cylinders());
    var reduced = run(engine, RepresentativeCylinders.full(engine), 4000);
    assertThat(reduced.torque() / every.torque()).isCloseTo(1, within(4e-3));
    for (int k = 0; k < every.cylinders().size(); k++) {
      var a = every.cylinders().get(k);
      var b = reduced.cylinders().get(k);
      assertThat(b.number()).isEqualTo(a.number());
      assertThat(b.trapped() / a.trapped()).as("%s", a.number()).isCloseTo(1, within(4e-3));
    }
  }

  /** Cylinders that differ leave none out; pipes that tie groups or banks leave out fewer. */
  @Test
  void whatDiffersIsSolved() {
    var differing = new ArrayList<>(Collections.nCopies(8, CROSS.clearanceVolume()));
    differing.set(3, 1.01 * CROSS.clearanceVolume());
    assertThat(RepresentativeCylinders.full(new BuiltEngine(CROSS, differing)).each()).hasSize(8);
    assertThat(RepresentativeCylinders.full(BuiltEngine.asSpecified(CROSS)).each()).hasSize(4);
    var stepped = CROSS.with("exhaust.kind", Exhaust.Kind.STEPPED);
    assertThat(RepresentativeCylinders.live(stepped).each()).hasSize(4);
    var four = Arrangement.INLINE_4.of(stepped);
    assertThat(RepresentativeCylinders.live(four).each()).hasSize(2);
    // On a log each has its own place; only the sketch has them meet in its middle.
    var cast = CROSS.with("exhaust.kind", Exhaust.Kind.CAST_MANIFOLD);
    assertThat(RepresentativeCylinders.full(BuiltEngine.asSpecified(cast)).each()).hasSize(8);
    assertThat(RepresentativeCylinders.placed(cast).each()).hasSize(8);
    assertThat(RepresentativeCylinders.live(cast).each()).hasSize(1);
    var tied = CROSS.with("exhaust.balance", Exhaust.Balance.PIPE);
    assertThat(RepresentativeCylinders.live(tied).each()).hasSize(8);
    var dual = CROSS.with("intake.manifold", Intake.Manifold.DUAL_PLANE);
    assertThat(RepresentativeCylinders.live(dual).each()).hasSize(1);
    var open = with(dual, "intake.planeWindow", 3, Measure.SQUARE_INCHES);
    assertThat(RepresentativeCylinders.live(open).each()).hasSize(4);
  }

  /**
   * A cross-plane V8's bank taken on the mean stands near the bank as it fires: within two and a
   * half per cent from the torque peak up.
   */
  @ParameterizedTest
  @CsvSource({"4500", "5500", "6500"})
  void theMeanOfABankIsNearTheBank(double rpm) {
    var engine = BuiltEngine.asSpecified(CROSS);
    double live = run(engine, RepresentativeCylinders.live(CROSS), rpm).torque();
    double placed = run(engine, RepresentativeCylinders.placed(CROSS), rpm).torque();
    assertThat(live / placed).isCloseTo(1, within(0.025));
  }

  /**
   * The curve that stands in the window is that of every cylinder on finer cells, low speeds too.
   */
  @ParameterizedTest
  @CsvSource({
    "VEE_8_CROSS, HEADERS, 3000",
    "VEE_8_CROSS, HEADERS, 5500",
    "VEE_8_CROSS, CAST_MANIFOLD, 2500",
    "INLINE_4, CAST_MANIFOLD, 2500",
    "INLINE_5, CAST_MANIFOLD, 3500",
    "INLINE_6, CAST_MANIFOLD, 4500"
  })
  void thePlacedCurveIsTheFullOne(Arrangement layout, Exhaust.Kind exhaust, double rpm) {
    var c = layout.of(EIGHT).with("exhaust.kind", exhaust);
    double placed = point(c, rpm, Fidelity.PLACED).torque();
    assertThat(placed / point(c, rpm, Fidelity.FULL).torque()).isCloseTo(1, within(0.008));
  }

  private static CurvePoint run(BuiltEngine engine, RepresentativeCylinders roles, double rpm) {
    var point = new OperatingPointSolver(engine, roles, Fidelity.LIVE.mesh()).run(rpm, () -> false);
    assertThat(point.converged()).isTrue();
    return point;
  }
}
