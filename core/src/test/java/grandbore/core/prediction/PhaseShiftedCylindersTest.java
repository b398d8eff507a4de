package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.Said;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DynoCases;
import grandbore.core.units.Measure;
import grandbore.core.waves.BranchFlow;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The copies that a live engine is made of. */
class PhaseShiftedCylindersTest {
  private static BranchFlow flow(double mass, double speed, double enthalpy, double burned) {
    var flow = new BranchFlow();
    flow.massFlow = mass;
    flow.speed = speed;
    flow.enthalpy = enthalpy;
    flow.burned = burned;
    return flow;
  }

  private static BranchFlow flows(double phase) {
    var flow = flow(Math.sin(phase / 2), Math.cos(phase), 3e5 + phase, 0.5);
    flow.pressure = 1e5 + 1e3 * Math.sin(phase);
    return flow;
  }

  /** After a few cycles of the same flows the replay gives them back at every phase. */
  @Test
  void aReplayGivesBackWhatCameEveryCycle() {
    var replay = new RecordedFlow(Cycle.FOUR_STROKE);
    assertThat(replay.isReady()).isFalse();
    int steps = 500;
    for (int cycle = 0; cycle < 25; cycle++) {
      for (int i = 0; i < steps; i++) {
        double phase = Cycle.FOUR_STROKE.length() * i / steps;
        replay.record(phase, flows(phase));
      }
    }
    assertThat(replay.isReady()).isTrue();
    var out = new BranchFlow();
    for (double phase = 0.3; phase < Cycle.FOUR_STROKE.length() - 0.3; phase += 0.37) {
      replay.at(phase, out);
      var expected = flows(phase);
      assertThat(out.massFlow).isCloseTo(expected.massFlow, within(2e-3));
      assertThat(out.speed).isCloseTo(expected.speed, within(2e-3));
      assertThat(out.enthalpy).isCloseTo(expected.enthalpy, within(0.02));
      assertThat(out.pressure).isCloseTo(expected.pressure, within(2.0));
    }
  }

  /** Gas that leaves the copy is the pipe's own; gas that enters it is as it stands outside. */
  @Test
  void aFlowCarriesTheGasOfWhereItComesFrom() {
    var out = flow(0.015, 0, 8e5, 1);
    assertThat(out.energyFlow(3e5)).isCloseTo(0.015 * 8e5, within(1e-6));
    assertThat(out.burnedFlow(0.2)).isCloseTo(0.015, within(1e-12));
    var in = flow(-0.03, 0, 8e5, 1);
    assertThat(in.energyFlow(3e5)).isCloseTo(-0.03 * 3e5, within(1e-6));
    assertThat(in.burnedFlow(0.2)).isCloseTo(-0.03 * 0.2, within(1e-12));
  }

  private static double answer(
      ReflectionCorrection echo, double phase, double difference, double delay, double reflection) {
    int now = Cycle.FOUR_STROKE.row(phase);
    echo.turn(now);
    int back = Cycle.FOUR_STROKE.before(now, delay);
    // Two copies that meet the same answer alike, neither hears the other.
    double answer = echo.answer(0, back, difference, reflection);
    assertThat(echo.answer(1, back, difference, reflection)).isEqualTo(answer);
    return answer;
  }

  /** At first a pipe only takes the wave in; when it is back from a shut end it pushes as hard. */
  @Test
  void anEchoComesBackAfterItsTravelTime() {
    var echo = new ReflectionCorrection(2);
    double step = Math.toRadians(1);
    double delay = Math.toRadians(40);
    double phase = 1;
    for (int i = 0; i < 39; i++, phase += step) {
      assertThat(answer(echo, phase, 1000, delay, 1)).isCloseTo(-1000, within(1e-9));
    }
    phase += 2 * step;
    assertThat(answer(echo, phase, 1000, delay, 1)).isCloseTo(1000, within(1e-9));
    // A pipe that swallows everything never answers back.
    var deaf = new ReflectionCorrection(2);
    for (int i = 0; i < 200; i++) {
      assertThat(answer(deaf, 1 + i * step, 500, delay, 0)).isCloseTo(-500, within(1e-9));
    }
  }

  /** Where nothing differs from the last cycle, copies add nothing to their own flow. */
  @Test
  void noDifferenceNoAnswer() {
    var echo = new ReflectionCorrection(2);
    for (int i = 0; i < 1500; i++) {
      assertThat(answer(echo, i * Math.toRadians(1) % Cycle.FOUR_STROKE.length(), 0, 0.7, 0.7))
          .isZero();
    }
  }

  /** What the step itself made good was never sent: nothing of it comes back, at any delay. */
  @Test
  void aPressureMetWithinTheStepSendsNoWave() {
    var echo = new ReflectionCorrection(2);
    for (int i = 0; i < 300; i++) {
      double phase = i * Math.toRadians(2) + 1e-9;
      double delay = Math.toRadians(40 + i % 2);
      assertThat(answer(echo, phase % Cycle.FOUR_STROKE.length(), -100, delay, 1))
          .isCloseTo(100, within(1e-9));
      echo.hear(100);
    }
  }

  /** In-line four and six, headers and cast manifold: the copies make the engine they stand for. */
  @Test
  void evenlyFiringEnginesAreTheSameLiveAndFull() {
    // Its box as one volume: along it no cylinder is another's like.
    var six =
        Said.with(DynoCases.all().getLast().combination(), "intake.boxLength", 0, Measure.INCHES);
    try (var predictor = new Predictor()) {
      for (var c : List.of(six, DemoBuilds.paddockFour().combination())) {
        var speeds = List.of(4500.0, 6000.0);
        var engine = BuiltEngine.asSpecified(c);
        var live = predictor.predict(engine, speeds, Fidelity.LIVE).points();
        var full = predictor.predict(engine, speeds, Fidelity.FULL).points();
        for (int i = 0; i < speeds.size(); i++) {
          assertThat(live.get(i).torque() / full.get(i).torque()).isCloseTo(1, within(0.015));
          assertThat(live.get(i).airFlow() / full.get(i).airFlow()).isCloseTo(1, within(0.015));
        }
      }
    }
  }
}
