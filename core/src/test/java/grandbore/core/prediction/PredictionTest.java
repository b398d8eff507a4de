package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Mixture;
import grandbore.core.demo.DynoCases;
import grandbore.core.units.Measure;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class PredictionTest extends EngineTest {

  private static Curve live(Combination c, double from, double to, double step) {
    return PREDICTOR.predict(
        BuiltEngine.asSpecified(c), Predictor.speeds(from, to, step), Fidelity.LIVE);
  }

  /**
   * Best spark where power peaks: wedge-chambered eights of four-inch bores want 34° to 38°, four
   * valves round a central plug 22° to 30°; common practice, no source.
   */
  @Test
  void theBestSparkIsWhereDynosFindIt() {
    var speeds =
        Map.of("A", 7000.0, "B", 6500.0, "C headers", 5250.0, "C cam", 6250.0, "D", 6250.0);
    double sum = 0;
    for (var e : speeds.entrySet()) {
      double best = bestSpark(e.getKey(), e.getValue());
      assertThat(best).as(e.getKey()).isBetween(30.0, 42.0);
      sum += best / speeds.size();
    }
    assertThat(sum).isBetween(34.0, 38.0);
    // Practice has four valves round a central plug at 22° to 32°; the first tenth takes too long.
    assertThat(bestSpark("E", 8750)).isBetween(28.0, 44.0);
    assertThat(bestSpark("F", 5250)).isBetween(24.0, 36.0);
  }

  private static double bestSpark(String key, double rpm) {
    var c = DynoCases.of(key).with("mixture.spark", Mixture.Spark.BEST_TORQUE);
    return Math.toDegrees(point(c, rpm, Fidelity.LIVE).spark());
  }

  /** Over a cycle of the whole engine mass and energy are kept within 0.1 %. */
  @Test
  void aWholeEngineCycleKeepsMassAndEnergy() {
    for (var c : List.of(EIGHT, FOUR)) {
      var engine = BuiltEngine.asSpecified(c);
      var network =
          new EngineNetwork(
              new EngineParts(c, Fidelity.FULL.mesh()),
              RepresentativeCylinders.every(c),
              engine.clearanceArray());
      double speed = 5000 * Math.PI / 30;
      double piston = 2 * c.bottomEnd().stroke().si() * 5000 / 60;
      for (double turned = 0; turned < 3 * Cycle.FOUR_STROKE.length(); ) {
        turned += network.step(speed, piston);
      }
      double mass = network.mass() - network.massTaken();
      double energy = balance(network);
      double taken = network.massTaken();
      double work = network.units().stream().mapToDouble(u -> u.cylinder().work()).sum();
      for (double turned = 0; turned < Cycle.FOUR_STROKE.length(); ) {
        turned += network.step(speed, piston);
      }
      double charge =
          network.units().stream().mapToDouble(u -> u.cylinder().lastCycle().trapped).sum();
      assertThat(network.mass() - network.massTaken()).isCloseTo(mass, within(1e-3 * charge));
      double cycleWork =
          network.units().stream().mapToDouble(u -> u.cylinder().work()).sum() - work;
      assertThat(cycleWork).isGreaterThan(0);
      assertThat(balance(network)).isCloseTo(energy, within(1e-3 * cycleWork));
      assertThat(network.massTaken()).isNotEqualTo(taken);
    }
  }

  private static double balance(EngineNetwork n) {
    double out =
        n.units().stream().mapToDouble(u -> u.cylinder().work() + u.cylinder().heatLost()).sum();
    return n.energy() - n.energyTaken() + n.heatToPipes() + out;
  }

  @Test
  void theDemoEightMakesASoundCurveAtBothFidelities() {
    var speeds = Predictor.speeds(4000, 7000, 1000);
    var engine = BuiltEngine.asSpecified(EIGHT);
    var live = PREDICTOR.predict(engine, speeds, Fidelity.LIVE);
    var full = PREDICTOR.predict(engine, speeds, Fidelity.FULL);
    for (int i = 0; i < speeds.size(); i++) {
      var p = full.points().get(i);
      assertThat(p.converged()).as(p.note()).isTrue();
      assertThat(live.points().get(i).converged()).isTrue();
      assertThat(live.points().get(i).torque() / p.torque()).isCloseTo(1, within(0.015));
      assertThat(p.volumetricEfficiency()).isBetween(0.7, 1.2);
      assertThat(p.imep() - p.pmep() - p.fmep())
          .isCloseTo(4 * Math.PI * p.torque() / EIGHT.bottomEnd().displacement(), within(1.0));
      // Best-power gasoline engines burn 240 to 340 g/kWh: common practice, no source.
      assertThat(p.fuelPerJoule() * 3.6e9).isBetween(230.0, 340.0);
      assertThat(p.residual()).isBetween(0.0, 0.15);
      assertThat(Math.toDegrees(p.spark())).isBetween(15.0, 48.0);
      // Half burned 5 to 11° after top centre at best torque: Heywood (1988), chapter 9. A wedge,
      // which burns its last third slowly, has it some degrees before that here.
      assertThat(Math.toDegrees(p.burned50())).isBetween(0.5, 12.0);
      // Ten degrees of spark cost two to six per cent near the best: dyno sheets, no source.
      assertThat(p.flame().tenLess()).isBetween(-0.08, -0.015);
      assertThat(p.flame().tenMore()).isBetween(-0.06, 0.0);
      assertThat(p.flame().burned().rapid()).isBetween(Math.toRadians(16), Math.toRadians(36));
      assertThat(p.flame().turbulence()).isBetween(4.0, 45.0);
      // Friction 100 to 300 kPa at speed: Heywood (1988), chapter 13.
      assertThat(p.fmep()).isBetween(80e3, 300e3);
    }
  }

  /** An even-firing four: live and full solve the same engine. */
  @Test
  void liveAndFullAgreeOnAnEvenlyFiringEngine() {
    var speeds = List.of(4500.0, 6500.0, 8000.0);
    var live = PREDICTOR.predict(BuiltEngine.asSpecified(FOUR), speeds, Fidelity.LIVE);
    var full = PREDICTOR.predict(BuiltEngine.asSpecified(FOUR), speeds, Fidelity.FULL);
    for (int i = 0; i < speeds.size(); i++) {
      assertThat(live.points().get(i).torque() / full.points().get(i).torque())
          .isCloseTo(1, within(0.015));
    }
  }

  /** Signs of the trade: common practice, no source. */
  @Test
  void changesMoveTheCurveTheWayTheTradeKnows() {
    var base = live(EIGHT, 4000, 7000, 500);
    double torque = base.peakTorque().orElseThrow().torque();
    double power = base.peakPower().orElseThrow().power();
    var squeezed =
        live(
            with(EIGHT, "compression.chamberVolume", 49, Measure.CUBIC_CENTIMETRES),
            4000,
            7000,
            500);
    assertThat(squeezed.peakPower().orElseThrow().power() / power).isBetween(1.005, 1.05);
    var strangled =
        live(
            with(EIGHT, "intake.throttleFlow", 350, Measure.CUBIC_FEET_PER_MINUTE),
            4000,
            7000,
            500);
    assertThat(strangled.peakPower().orElseThrow().power()).isLessThan(0.92 * power);
    var bigger = live(with(EIGHT, "bottomEnd.bore", 4.094 + 0.03, Measure.INCHES), 4000, 7000, 500);
    assertThat(bigger.peakTorque().orElseThrow().torque()).isGreaterThan(torque);
    double small = lowSpeedGain(base, 220);
    double large = lowSpeedGain(base, 256);
    assertThat(small).isGreaterThan(large);
  }

  private double lowSpeedGain(Curve base, double duration) {
    var c = with(EIGHT, "cam.intakeDuration", duration, Measure.DEGREES);
    var curve = live(with(c, "cam.intakeSeat", duration + 46, Measure.DEGREES), 4000, 7000, 500);
    return curve.points().getFirst().torque() / base.points().getFirst().torque();
  }

  /** The bump of a runner lies in its harmonic band and moves down as the runner grows. */
  @Test
  void longerRunnersMoveTheTorqueDown() {
    var shorter = live(with(FOUR, "intake.runnerLength", 5, Measure.INCHES), 4000, 9000, 500);
    var longer = live(with(FOUR, "intake.runnerLength", 13, Measure.INCHES), 4000, 9000, 500);
    assertThat(longer.peakTorque().orElseThrow().rpm())
        .isLessThan(shorter.peakTorque().orElseThrow().rpm());
  }

  @Test
  void unequalChambersAreEachTheirOwn() {
    var volumes = new ArrayList<>(Collections.nCopies(4, FOUR.clearanceVolume()));
    volumes.set(2, 1.1 * FOUR.clearanceVolume());
    var speeds = List.of(6000.0);
    var even = PREDICTOR.predict(BuiltEngine.asSpecified(FOUR), speeds, Fidelity.FULL);
    var uneven = PREDICTOR.predict(new BuiltEngine(FOUR, volumes), speeds, Fidelity.FULL);
    double ratio = uneven.points().getFirst().torque() / even.points().getFirst().torque();
    assertThat(ratio).isBetween(0.985, 0.9995);
  }

  @Test
  void pointsArriveAsTheyStandAndAnyRunCanBeCancelled() {
    var seen = new AtomicInteger();
    assertThatThrownBy(
            () ->
                PREDICTOR.predict(
                    BuiltEngine.asSpecified(EIGHT),
                    Predictor.speeds(3000, 7000, 250),
                    Fidelity.FULL,
                    p -> seen.incrementAndGet(),
                    () -> seen.get() > 0))
        .isInstanceOf(CancellationException.class);
    assertThat(seen.get()).isBetween(1, 4);
  }

  /**
   * Each case as near as docs/model.md promises it, by the live model, every 500 rpm: power within
   * 6 %, torque within 7 %, but for those that stand there as not met.
   */
  @Test
  void dynoCasesAreAsNearAsPromised() {
    double powers = 0;
    double torques = 0;
    int torquesSaid = 0;
    for (var k : DynoCases.all()) {
      var curve = live(k.combination(), k.from(), k.to(), 500);
      double hp = Measure.HORSEPOWER.fromSi(curve.peakPower().orElseThrow().power());
      double power = Math.abs(hp / k.observed().power() - 1);
      assertThat(power).as(k.key() + " power").isLessThan(k.key().matches("E|F") ? 0.11 : 0.06);
      powers += power;
      if (!Double.isNaN(k.observed().torque())) {
        double pounds = curve.peakTorque().orElseThrow().torque() / Measure.POUND_FEET.toSi(1);
        double torque = Math.abs(pounds / k.observed().torque() - 1);
        assertThat(torque)
            .as(k.key() + " torque")
            .isLessThan(k.key().startsWith("C ") ? 0.10 : 0.07);
        torques += torque;
        torquesSaid++;
      }
    }
    assertThat(powers / DynoCases.all().size()).isLessThan(0.04);
    // 4.4 % by every cylinder, 100 rpm apart; the live model and its wider points stand 0.6 % off
    // that.
    assertThat(torques / torquesSaid).isLessThan(0.055);
  }
}
