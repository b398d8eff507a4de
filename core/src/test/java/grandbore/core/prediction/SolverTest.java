package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Given;
import grandbore.core.combination.Intake;
import grandbore.core.combination.LiftTable;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.ValveTrain;
import grandbore.core.gas.FuelKind;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.valvetrain.PolydyneLobe;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How a speed is brought to its periodic state, and inputs that must not matter or must. */
class SolverTest extends EngineTest {
  /** A lobe measured in a table is the same engine as the card that it was made from. */
  @Test
  void aMeasuredLobeOfTheCardsShapeIsTheSameEngine() {
    var cam = FOUR.cam();
    var lobe =
        new PolydyneLobe(
            cam.intakeLobeLift().si(), cam.intakeDuration().si(), cam.intakeSeat().si());
    var rows = new ArrayList<LiftTable.Row>();
    for (int degree = -165; degree <= 165; degree += 3) {
      double angle = Math.toRadians(degree);
      rows.add(new LiftTable.Row(angle + 1.0, lobe.lift(angle)));
    }
    var measured = FOUR.with("cam.intakeTable", new LiftTable(Provenance.MEASURED, rows));
    for (double rpm : new double[] {4500, 7500}) {
      assertThat(point(measured, rpm, Fidelity.LIVE).torque())
          .isCloseTo(point(FOUR, rpm, Fidelity.LIVE).torque(), Percentage.withPercentage(0.3));
    }
  }

  /** A flat tappet's duration lives in its lash: more lash, less overlap, less at the top. */
  @Test
  void lashTakesDurationOff() {
    var tight = with(EIGHT, "valveTrain.intakeLash", 0.008, Measure.INCHES);
    var wide = with(EIGHT, "valveTrain.intakeLash", 0.030, Measure.INCHES);
    double low = ratio(wide, tight, 3000);
    double high = ratio(wide, tight, 7000);
    assertThat(low).isGreaterThan(high);
    assertThat(high).isLessThan(1);
  }

  private static double ratio(Combination a, Combination b, double rpm) {
    return point(a, rpm, Fidelity.FULL).torque() / point(b, rpm, Fidelity.FULL).torque();
  }

  /** Every kind of follower runs, and rollers rub least slowly. */
  @ParameterizedTest
  @EnumSource(ValveTrain.Follower.class)
  void everyFollowerRuns(ValveTrain.Follower follower) {
    var p = point(EIGHT.with("valveTrain.follower", follower), 4000, Fidelity.LIVE);
    double base = point(EIGHT, 4000, Fidelity.LIVE).torque();
    assertThat(p.torque() / base).isBetween(0.95, 1.03);
  }

  /** Where a run came from does not matter, and neither does how many work at it. */
  @Test
  void workersAndNeighboursDoNotMatter() {
    var speeds = List.of(4000.0, 5000.0, 6000.0, 7000.0);
    try (var one = new Predictor(1);
        var three = new Predictor(3)) {
      var engine = BuiltEngine.asSpecified(FOUR);
      var a = one.predict(engine, speeds, Fidelity.LIVE).points();
      var b =
          three.predict(engine, List.of(7000.0, 5000.0, 4000.0, 6000.0), Fidelity.LIVE).points();
      for (int i = 0; i < speeds.size(); i++) {
        assertThat(b.get(i).rpm()).isEqualTo(speeds.get(i));
        assertThat(b.get(i).torque()).isCloseTo(a.get(i).torque(), Percentage.withPercentage(0.2));
      }
    }
  }

  private static OperatingPointSolver run(Combination c, Fidelity fidelity) {
    var engine = BuiltEngine.asSpecified(c);
    return new OperatingPointSolver(engine, fidelity.roles(engine), fidelity.mesh());
  }

  /** A settled state stays settled: ten cycles more change nothing to speak of. */
  @Test
  void aSettledStateStaysSettled() {
    var run = run(FOUR, Fidelity.FULL);
    var first = run.run(6500, () -> false);
    CurvePoint later = first;
    for (int i = 0; i < 3; i++) {
      later = run.run(6500, () -> false);
    }
    assertThat(first.converged()).isTrue();
    assertThat(later.torque()).isCloseTo(first.torque(), Percentage.withPercentage(0.1));
    assertThat(later.trappedMass()).isCloseTo(first.trappedMass(), Percentage.withPercentage(0.1));
    assertThat(later.change()).isLessThanOrEqualTo(1e-3);
  }

  /** Cycle after cycle is the same to a few parts in a hundred thousand: nothing hunts. */
  @Test
  void cyclesRepeatThemselves() {
    for (var c : List.of(EIGHT, FOUR)) {
      var run = run(c, Fidelity.LIVE);
      for (double rpm : new double[] {2900, 4100, 5600, 7000}) {
        CurvePoint point = null;
        for (int i = 0; i < 6; i++) {
          point = run.run(rpm, () -> false);
        }
        assertThat(point.change()).as("%s at %s", c.name(), rpm).isLessThan(1e-4);
      }
    }
  }

  /** Steps of the crank do not show in what a spark makes: the hill it is sought on is smooth. */
  @Test
  void theHillOfTheSparkIsSmooth() {
    var engine = BuiltEngine.asSpecified(EIGHT);
    var parts = new EngineParts(EIGHT, Fidelity.LIVE.mesh());
    var network =
        new EngineNetwork(parts, RepresentativeCylinders.live(EIGHT), engine.clearanceArray());
    double speed = 5700 * Math.PI / 30;
    double piston = 2 * EIGHT.bottomEnd().stroke().si() * 5700 / 60;
    var unit = network.units().getFirst();
    unit.setLifts(
        parts.intakeValve().at(speed).lift(), parts.exhaustValve().at(speed).lift(), true);
    while (unit.cycles() < 3) {
      network.step(speed, piston);
    }
    for (double degrees = 20; degrees < 34; degrees += 0.13) {
      var here = trial(unit, degrees, speed, piston);
      var before = trial(unit, degrees - 0.1, speed, piston);
      var after = trial(unit, degrees + 0.1, speed, piston);
      assertThat((before.work() + after.work()) / 2 / here.work()).isCloseTo(1, within(8e-4));
      assertThat((before.knock() + after.knock()) / 2 / here.knock()).isCloseTo(1, within(4e-3));
    }
  }

  /** An exhaust valve that opens only after bottom centre is run like any other. */
  @Test
  @Timeout(value = 60, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
  void anExhaustThatOpensAfterBottomCentreIsRun() {
    var late = with(EIGHT, "cam.exhaustDuration", 151, Measure.DEGREES);
    late = with(late, "cam.exhaustSeat", 174, Measure.DEGREES);
    late = with(late, "cam.intakeCentreline", 118, Measure.DEGREES);
    late = with(late, "cam.separation", 91, Measure.DEGREES);
    assertThat(new EngineParts(late, Fidelity.LIVE.mesh()).exhaustValve().opens())
        .isGreaterThan(Math.PI);
    assertThat(point(late, 4000, Fidelity.LIVE).torque())
        .isLessThan(point(EIGHT, 4000, Fidelity.LIVE).torque());
  }

  private static ClosedCharge.Trial trial(
      CylinderUnit u, double degrees, double speed, double piston) {
    return u.cylinder().closed().with(Math.toRadians(degrees), speed, piston);
  }

  /** A curve that starts from the last one's states comes to the same, in fewer cycles. */
  @Test
  void aCurveThatStartsNearItsEndComesToTheSame() {
    var speeds = Predictor.speeds(3000, 7500, 500);
    var starts = new WarmStarts();
    double longer = 1.01 * EIGHT.intake().runnerLength().si();
    var edits =
        List.of(
            EIGHT,
            with(EIGHT, "intake.runnerLength", longer, Measure.METRES),
            with(EIGHT, "mixture.lambda", 0.89, Measure.NONE),
            with(EIGHT, "exhaust.primaryDiameter", 1.875, Measure.INCHES),
            EIGHT.with("exhaust.kind", Exhaust.Kind.CAST_MANIFOLD),
            EIGHT.with("intake.manifold", Intake.Manifold.INDIVIDUAL),
            EIGHT.with("mixture.fuel", FuelKind.E85),
            EIGHT);
    int cold = 0;
    int near = 0;
    for (int k = 0; k < edits.size(); k++) {
      var engine = BuiltEngine.asSpecified(edits.get(k));
      var alone = PREDICTOR.predict(engine, speeds, Fidelity.LIVE).points();
      var next =
          PREDICTOR
              .predictNext(engine, speeds, Fidelity.LIVE, starts, p -> {}, () -> false)
              .points();
      for (int i = 0; i < speeds.size(); i++) {
        assertThat(next.get(i).converged()).isTrue();
        assertThat(next.get(i).torque())
            .isCloseTo(alone.get(i).torque(), Percentage.withPercentage(0.4));
        cold += k == 1 || k == 2 ? alone.get(i).cycles() : 0;
        near += k == 1 || k == 2 ? next.get(i).cycles() : 0;
      }
    }
    // Small edits, the second and the third with its other gas, are where most is gained.
    assertThat(near).isLessThan(cold * 9 / 10);
    var again =
        PREDICTOR.predictNext(
            BuiltEngine.asSpecified(EIGHT), speeds, Fidelity.LIVE, starts, p -> {}, () -> false);
    // Where a last state did not fit, what a speed began from hangs on which worker took it: now
    // and
    // then one takes a cycle more.
    assertThat(again.points()).extracting(CurvePoint::cycles).allMatch(c -> c <= 5);
    assertThat(again.points().stream().mapToInt(CurvePoint::cycles).sum())
        .isLessThanOrEqualTo(4 * speeds.size());
  }

  /** A point that was stopped says so and is not taken for a settled one. */
  @Test
  void aStoppedPointSaysSo() {
    var run = run(FOUR, Fidelity.FULL);
    var stopped = run.run(6000, () -> true);
    assertThat(stopped.converged()).isFalse();
    assertThat(stopped.note()).isEqualTo("cancelled");
  }

  /** The spark found is the best: earlier and later on the closed cycle both make less. */
  @ParameterizedTest
  @ValueSource(doubles = {4500, 7500})
  void theSparkFoundIsTheBest(double rpm) {
    var found = point(FOUR, rpm, Fidelity.LIVE);
    for (double off : new double[] {-5, 5}) {
      var set =
          FOUR.with("mixture.spark", grandbore.core.combination.Mixture.Spark.FIXED)
              .with(
                  "mixture.advance",
                  Given.of(
                      Math.toDegrees(found.spark()) + off,
                      Measure.DEGREES,
                      Quantity.ANGLE,
                      Provenance.CARD));
      assertThat(point(set, rpm, Fidelity.LIVE).torque()).isLessThan(1.0005 * found.torque());
    }
  }

  /** Altitude: power goes with the air's pressure, a little more steeply for friction. */
  @Test
  void powerGoesWithTheAirsPressure() {
    double low = point(EIGHT, 6000, Fidelity.LIVE).power();
    double high =
        point(with(EIGHT, "weather.pressure", 24.9, Measure.INCHES_OF_MERCURY), 6000, Fidelity.LIVE)
            .power();
    // 24.9 inHg is the standard atmosphere's pressure at 5,000 ft (US Standard Atmosphere 1976).
    assertThat(high / low).isBetween(0.78, 24.9 / 29.92);
  }

  /** Taking a loss away never costs: friction and heat in whatever company. */
  @Test
  void reliefsWorkTogether() {
    var mesh = Fidelity.LIVE.mesh();
    double last = 0;
    for (var relief :
        List.of(
            Set.<RemovedLoss>of(),
            Set.of(RemovedLoss.FRICTION),
            Set.of(RemovedLoss.FRICTION, RemovedLoss.HEAT),
            Set.of(RemovedLoss.FRICTION, RemovedLoss.HEAT, RemovedLoss.METER))) {
      var run =
          new OperatingPointSolver(
              BuiltEngine.asSpecified(EIGHT),
              RepresentativeCylinders.live(EIGHT),
              mesh,
              relief,
              new WarmStarts());
      double torque = run.run(6000, () -> false).torque();
      assertThat(torque).isGreaterThan(last);
      last = torque;
    }
  }

  /** The working gas of a mixture is made once and shared. */
  @Test
  void theSameMixtureSharesItsTable() {
    var a = new EngineParts(EIGHT, Fidelity.LIVE.mesh()).gas();
    var b = new EngineParts(EIGHT.named("another"), Fidelity.FULL.mesh()).gas();
    assertThat(a).isSameAs(b);
    var leaner = with(EIGHT, "mixture.lambda", 0.95, Measure.NONE);
    assertThat(new EngineParts(leaner, Fidelity.LIVE.mesh()).gas()).isNotSameAs(a);
  }

  /** Chambers' volumes: a clearance of its own for each, the whole as specified otherwise. */
  @Test
  void anEngineAsSpecifiedHasOneClearanceForAll() {
    var engine = BuiltEngine.asSpecified(EIGHT);
    assertThat(engine.clearances()).hasSize(8).containsOnly(EIGHT.clearanceVolume());
    assertThat(engine.clearanceArray()).hasSize(8);
    double swept = EIGHT.bottomEnd().sweptVolume();
    assertThat((swept + EIGHT.clearanceVolume()) / EIGHT.clearanceVolume())
        .isCloseTo(EIGHT.staticRatio(), within(1e-9));
  }
}
