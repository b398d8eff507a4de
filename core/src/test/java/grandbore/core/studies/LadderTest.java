package grandbore.core.studies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DynoCases;
import grandbore.core.demo.ObservedChanges;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Urgency;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;

/** Ladders, sweeps and shares: what they come to hangs on the engines, not on the order. */
class LadderTest {
  private static final Combination FOUR = DemoBuilds.paddockFour().combination();
  private static final WantedBand BAND = new WantedBand(4000, 6500);
  private static final List<Double> SPEEDS = BAND.speeds(6);

  private static Change change(Combination c, String name, String path, double factor) {
    var was = (Given) c.at(path);
    return new Change(name, Map.of(path, was.with(was.si() * factor, Provenance.CARD)));
  }

  private static <T> T run(grandbore.core.runs.Study<T> study) {
    try (var queue = new RunQueue(2)) {
      return queue.submit(study, Urgency.STUDY).await();
    }
  }

  /** A ladder whose curves follow a formula of the set of changes made. */
  private static Ladder standIn(int n, ToDoubleFunction<Set<Integer>> torque) {
    var changes = new java.util.ArrayList<Change>();
    var rungs = new HashMap<Set<Integer>, Rung>();
    for (int i = 0; i < n; i++) {
      changes.add(
          change(FOUR, "Change " + i, "exhaust.primaryLength", 1.01 + i)
              .costing(new Cost(100 * (i + 1), 0, 0)));
    }
    for (int set = 0; set < 1 << n; set++) {
      var made = new TreeSet<Integer>();
      for (int i = 0; i < n; i++) {
        if ((set & 1 << i) != 0) {
          made.add(i);
        }
      }
      double level = torque.applyAsDouble(made);
      var curve = ClosedCurves.of(SPEEDS, s -> level);
      rungs.put(Set.copyOf(made), Rung.of(BuiltEngine.asSpecified(FOUR), curve, BAND));
    }
    return new Ladder(changes, rungs);
  }

  @Test
  void independentChangesHaveNoInteractionAndTheirStepsAreWhatTheyGiveAlone() {
    var ladder = standIn(4, made -> 200 + made.stream().mapToDouble(i -> 3 + 2 * i).sum());
    double watts = 5250 * Math.PI / 30;
    for (int i = 0; i < 4; i++) {
      assertThat(ladder.alone(i)).isCloseTo((3 + 2 * i) * watts, within(1e-6));
      assertThat(ladder.step(i)).isCloseTo(ladder.alone(i), within(1e-6));
      assertThat(ladder.leftOut(i)).isCloseTo(ladder.alone(i), within(1e-6));
      for (int j = 0; j < i; j++) {
        assertThat(ladder.interaction(j, i)).isCloseTo(0, within(1e-6));
      }
    }
    assertThat(ladder.upTo(3)).isCloseTo((3 + 5 + 7 + 9) * watts, within(1e-6));
    assertThat(ladder.cost(2).money()).isEqualTo(600);
  }

  @Test
  void aChangeThatNeedsAnotherShowsInTheirInteraction() {
    var ladder = standIn(2, made -> 200 + (made.size() == 2 ? 20 : 0));
    assertThat(ladder.alone(0)).isCloseTo(0, within(1e-9));
    assertThat(ladder.interaction(0, 1)).isCloseTo(20 * 5250 * Math.PI / 30, within(1e-6));
    assertThat(ladder.step(1)).isEqualTo(ladder.leftOut(0));
  }

  /**
   * Whatever the order, the same engines come to the same: exactly, for all start from the base.
   * What they would come to from a cold start is no further off than {@link Repeatability} says.
   */
  @Test
  void theOrderOfTheLadderChangesNoFigure() {
    var base = BuiltEngine.asSpecified(FOUR);
    var length = change(FOUR, "Primaries", "exhaust.primaryLength", 1.2);
    var runner = change(FOUR, "Runners", "intake.runnerLength", 0.8);
    var cam = change(FOUR, "Duration", "cam.intakeDuration", 1.04);
    var there = run(new LadderStudy(base, List.of(length, runner, cam), SPEEDS, BAND, true));
    var back = run(new LadderStudy(base, List.of(cam, runner, length), SPEEDS, BAND, true));
    for (int i = 0; i < 3; i++) {
      assertThat(there.alone(i)).isEqualTo(back.alone(2 - i));
      assertThat(there.leftOut(i)).isEqualTo(back.leftOut(2 - i));
      assertThat(there.interaction(0, 1)).isEqualTo(back.interaction(1, 2));
    }
    assertThat(there.upTo(2)).isEqualTo(back.upTo(2));
    assertThat(there.step(0) + there.step(1) + there.step(2))
        .isCloseTo(there.upTo(2), within(1e-6));
    try (var predictor = new Predictor(2)) {
      for (var rung : there.rungs().entrySet()) {
        var engine = base;
        for (int i : new TreeSet<>(rung.getKey())) {
          engine = there.changes().get(i).on(engine);
        }
        double cold = BAND.meanPower(predictor.predict(engine, SPEEDS, Fidelity.LIVE));
        assertThat(rung.getValue().power()).isCloseTo(cold, within(Repeatability.of(cold)));
      }
    }
  }

  /**
   * Common practice, no source: short headers gave 2 to 3 hp on an engine as it came, some 6 on the
   * same with a cam; the gain of both is more than the sum.
   */
  @Test
  void headersGiveMoreOnAnEngineWithACam() {
    var stock = DynoCases.of("C manifolds");
    var shorties =
        ObservedChanges.all().stream()
            .filter(c -> c.name().startsWith("cast manifolds to short headers"))
            .findFirst()
            .orElseThrow();
    var headers = Change.between("Short headers", stock, shorties.after());
    var cam = Change.between("Cam", DynoCases.of("C headers"), DynoCases.of("C cam"));
    var band = new WantedBand(4500, 6500);
    var ladder =
        run(
            new LadderStudy(
                BuiltEngine.asSpecified(stock), List.of(cam, headers), band.speeds(6), band, true));
    assertThat(ladder.alone(1)).isPositive();
    assertThat(ladder.step(1)).isGreaterThan(ladder.alone(1));
    assertThat(ladder.interaction(0, 1)).isGreaterThan(Repeatability.of(ladder.power(Set.of())));
    // Made of the curve that stands in the window, which on a log one live cylinder does not tell.
    try (var predictor = new Predictor(2)) {
      var engine = BuiltEngine.asSpecified(stock);
      double full = band.meanPower(predictor.predict(engine, band.speeds(6), Fidelity.FULL));
      double live = band.meanPower(predictor.predict(engine, band.speeds(6), Fidelity.LIVE));
      assertThat(ladder.power(Set.of()) / full).isCloseTo(1, within(0.003));
      assertThat(live / full).isNotCloseTo(1, within(0.004));
    }
  }

  /** A change that does not fit is a rung with its reason; the others stand. */
  @Test
  void whatDoesNotFitIsSaidAndTheRestIsRun() {
    var milled = change(FOUR, "Milled far", "compression.chamberVolume", 0.2);
    var runner = change(FOUR, "Runners", "intake.runnerLength", 0.8);
    var ladder =
        run(
            new LadderStudy(
                BuiltEngine.asSpecified(FOUR), List.of(milled, runner), SPEEDS, BAND, false));
    assertThat(ladder.rungs().get(Set.of(0)).refused()).contains("Milled far", "Compression ratio");
    assertThat(ladder.alone(0)).isNaN();
    assertThat(ladder.alone(1)).isNotNaN();
    assertThatThrownBy(
            () -> new LadderStudy(BuiltEngine.asSpecified(FOUR), List.of(), SPEEDS, BAND, false))
        .hasMessageContaining("1 to 12");
  }

  /** A longer intake duration costs vacuum at idle (common practice, no source). */
  @Test
  void enginesOfASweepAreIdledWhereThatIsAsked() {
    var c = DemoBuilds.hillClimbEight().combination();
    double seat = ((Given) c.at("cam.intakeSeat")).si();
    var longer = SweepAxis.over("cam.intakeSeat", seat - 0.35, seat + 0.17, 3);
    var engine = BuiltEngine.asSpecified(c);
    var sweep =
        run(new InputSweepStudy(engine, List.of(longer), List.of(4000.0, 6000.0), BAND, true));
    assertThat(sweep.base().vacuum()).isBetween(15e3, 75e3);
    double last = Double.POSITIVE_INFINITY;
    for (var rung : sweep.rungs()) {
      assertThat(Goal.IDLE_VACUUM.of(rung, BAND, 0)).isLessThan(last - 500);
      last = rung.vacuum();
    }
    assertThat(sweep.best(r -> Goal.IDLE_VACUUM.of(r, BAND, 0))).isZero();
    var not = run(new InputSweepStudy(engine, List.of(longer), List.of(4000.0, 6000.0), BAND));
    assertThat(not.base().vacuum()).isNaN();
  }

  @Test
  void aSweepRunsItsInputAndAMapBoth() {
    var engine = BuiltEngine.asSpecified(FOUR);
    var length = SweepAxis.around(FOUR, "intake.runnerLength", 3);
    var line = run(new InputSweepStudy(engine, List.of(length), SPEEDS, BAND));
    assertThat(line.rungs()).hasSize(3);
    // In the middle stands the engine as it is.
    assertThat(line.value(0, 1)).isEqualTo(FOUR.intake().runnerLength().si());
    assertThat(line.rungs().get(1).power())
        .isCloseTo(
            run(new InputSweepStudy(
                    engine,
                    List.of(SweepAxis.around(FOUR, "exhaust.primaryLength", 3)),
                    SPEEDS,
                    BAND))
                .rungs()
                .get(1)
                .power(),
            within(1e-6));
    var tall = SweepAxis.around(FOUR, "exhaust.primaryLength", 2);
    var map = run(new InputSweepStudy(engine, List.of(tall, length), SPEEDS, BAND));
    assertThat(map.rungs()).hasSize(6);
    assertThat(map.value(0, 4)).isEqualTo(tall.values().get(1));
    assertThat(map.value(1, 4)).isEqualTo(length.values().get(1));
    var by =
        new Change(
            "Both",
            Map.of(
                "exhaust.primaryLength",
                    FOUR.exhaust().primaryLength().with(tall.values().get(1), Provenance.CARD),
                "intake.runnerLength",
                    FOUR.intake().runnerLength().with(length.values().get(2), Provenance.CARD)));
    var both = run(new LadderStudy(engine, List.of(by), SPEEDS, BAND, false));
    assertThat(map.rungs().get(5).power()).isCloseTo(both.power(Set.of(0)), within(1e-6));
    assertThat(map.rungs().get(map.best()).power())
        .isEqualTo(map.rungs().stream().mapToDouble(Rung::power).max().orElseThrow());
    assertThatThrownBy(() -> SweepAxis.over("intake.runnerLength", 0.1, 900, 5))
        .hasMessageContaining("intake.runnerLength")
        .hasMessageContaining("1200.00 mm");
    assertThatThrownBy(() -> new InputSweepStudy(engine, List.of(length, length), SPEEDS, BAND))
        .hasMessageContaining("two inputs");
  }

  /**
   * L. S. Shapley's values of known games: two of three with one right glove share 1/6 each and the
   * one with the left 4/6; the runway of S. C. Littlechild and G. Owen, A simple expression for the
   * Shapley value in a special case, 1973, is paid for piece by piece by those who need it. From
   * memory.
   */
  @Test
  void sharesOfKnownGames() {
    var gloves = Shapley.shares(3, set -> new double[] {(set & 4) != 0 && (set & 3) != 0 ? 1 : 0});
    assertThat(gloves[0][0]).isCloseTo(1 / 6.0, within(1e-15));
    assertThat(gloves[1][0]).isCloseTo(1 / 6.0, within(1e-15));
    assertThat(gloves[2][0]).isCloseTo(4 / 6.0, within(1e-15));
    double[] need = {1, 2.5, 4, 9};
    var runway =
        Shapley.shares(
            4,
            set -> {
              double longest = 0;
              for (int i = 0; i < 4; i++) {
                longest = (set & 1 << i) != 0 ? Math.max(longest, need[i]) : longest;
              }
              return new double[] {longest, 2 * longest};
            });
    double paid = 0;
    double before = 0;
    for (int i = 0; i < 4; i++) {
      paid += (need[i] - before) / (4 - i);
      before = need[i];
      assertThat(runway[i][0]).isCloseTo(paid, within(1e-12));
      assertThat(runway[i][1]).isCloseTo(2 * paid, within(1e-12));
    }
  }

  /** The shares add up to the whole difference at every speed; what was not changed has none. */
  @Test
  void theReasonsAddUp() {
    var to =
        change(FOUR, "a", "exhaust.primaryLength", 1.3)
            .on(change(FOUR, "b", "compression.chamberVolume", 0.93).on(FOUR));
    to = change(to, "c", "cam.intakeDuration", 1.05).on(to);
    var why = run(new WhyStudy(BuiltEngine.asSpecified(FOUR), BuiltEngine.asSpecified(to), SPEEDS));
    assertThat(why.shares())
        .containsOnlyKeys(
            WhyStudy.Physics.FILLING_EXHAUST,
            WhyStudy.Physics.COMPRESSION_AND_SIZE,
            WhyStudy.Physics.VALVE_EVENTS);
    assertThat(why.speeds()).isEqualTo(SPEEDS);
    for (int k = 0; k < SPEEDS.size(); k++) {
      int at = k;
      assertThat(why.shares().values().stream().mapToDouble(s -> s.get(at)).sum())
          .isCloseTo(why.torque().get(k), within(1e-9));
    }
    // A higher ratio gives at every speed.
    assertThat(why.shares().get(WhyStudy.Physics.COMPRESSION_AND_SIZE)).allMatch(t -> t > 0);
    assertThatThrownBy(
            () ->
                new WhyStudy(BuiltEngine.asSpecified(FOUR), BuiltEngine.asSpecified(FOUR), SPEEDS))
        .hasMessageContaining("two that differ");
  }
}
