package grandbore.core.waves;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.gas.FuelKind;
import grandbore.core.gas.WorkingGas;
import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Textbook results of gas dynamics and acoustics for the solver's pieces. */
class GasDynamicsTest {
  private static final double R = 287.05;
  private static final double GAMMA = 1.4;
  private static final WorkingGas AIR = WorkingGas.perfect(R, GAMMA);
  private static final double SOUND = Math.sqrt(GAMMA * R * 300);

  private static Pipe pulse(double length, double area, int cells, double at, double wide) {
    var pipe = new Pipe(AIR, PipeShape.ideal(length, area, area), cells);
    for (int i = 0; i < cells; i++) {
      double x = (i + 0.5) / cells * length - at;
      double p = 1e5 * (1 + 0.01 * Math.exp(-x * x / (2 * wide * wide)));
      double c = SOUND * Math.pow(p / 1e5, 0.2 / 1.4);
      // A simple wave to the right.
      double u = 2 / 0.4 * (c - SOUND);
      pipe.set(i, p, 300 * Math.pow(p / 1e5, 0.4 / 1.4), u, 0);
    }
    return pipe;
  }

  private static double extreme(Pipe pipe) {
    double most = 0;
    for (int i = 0; i < pipe.cells(); i++) {
      double d = pipe.pressure(i) - 1e5;
      if (Math.abs(d) > Math.abs(most)) {
        most = d;
      }
    }
    return most;
  }

  private static PipeEnd end(Pipe pipe, boolean atStart, double open) {
    var e = new PipeEnd(AIR, pipe, atStart, new Atmosphere(1e5, 300, 0));
    e.open(open);
    return e;
  }

  /** One step of a pipe between two ends, as long as it stands; returns its length, s. */
  static double step(Pipe pipe, PipeEnd one, PipeEnd other) {
    double dt = pipe.stableStep();
    pipe.predict(dt);
    one.couple(dt);
    other.couple(dt);
    pipe.update(dt);
    return dt;
  }

  /** A pulse comes back from a shut end as it went, from an open end upside down. */
  @ParameterizedTest
  @CsvSource({"0, 1", "1, -1"})
  void endsSendPulsesBackAsTheyShould(double share, double sign) {
    var pipe = pulse(0.6, 1e-3, 240, 0.3, 0.02);
    double went = extreme(pipe);
    var left = end(pipe, true, 0);
    var right = end(pipe, false, share * 1e-3);
    for (double t = 0; t < 0.6 / SOUND; ) {
      t += step(pipe, left, right);
    }
    assertThat(extreme(pipe) / went).isCloseTo(sign, within(0.06));
  }

  /**
   * Where a pipe meets one of another area the pressure sent back is (A1 − A2)/(A1 + A2) and the
   * one let through 2 A1/(A1 + A2): acoustics, closed form.
   */
  @ParameterizedTest
  @CsvSource({"1, 2", "2, 1", "1, 1"})
  void aStepInAreaSplitsAPulseByTheClosedForm(double first, double second) {
    double a1 = first * 1e-3;
    double a2 = second * 1e-3;
    var one = pulse(1.2, a1, 240, 0.6, 0.08);
    var two = new Pipe(AIR, PipeShape.ideal(1.2, a2, a2), 240);
    two.fill(1e5, 300, 0);
    double went = extreme(one);
    var step = new Junction(AIR, 1e5, 300, 0);
    step.join(one, false, 1);
    step.join(two, true, -1);
    var left = end(one, true, 0);
    var right = end(two, false, 0);
    for (double t = 0; t < 1.1 / SOUND; ) {
      double dt = Math.min(one.stableStep(), two.stableStep());
      one.predict(dt);
      two.predict(dt);
      left.couple(dt);
      right.couple(dt);
      step.couple();
      one.update(dt);
      two.update(dt);
      t += dt;
    }
    assertThat(extreme(two) / went).isCloseTo(2 * a1 / (a1 + a2), within(0.02));
    if (first != second) {
      assertThat(extreme(one) / went).isCloseTo((a1 - a2) / (a1 + a2), within(0.02));
    }
  }

  /** An empty tank that fills from still air warms to γ T0: every thermodynamics textbook. */
  @Test
  void aTankThatFillsWarmsByGamma() {
    var tank = new Volume(AIR, 0.01, 100, 300, 0);
    var valve = new Orifice(AIR, new Atmosphere(1e5, 300, 0), tank, 2e-5);
    double dt = 1e-3;
    for (int i = 0; i < 60_000 && tank.pressure() < 0.999e5; i++) {
      valve.couple(dt);
      tank.settle();
    }
    assertThat(tank.temperature()).isCloseTo(GAMMA * 300, Percentage.withPercentage(0.3));
  }

  /** A tank that empties slowly stays on its isentrope. */
  @Test
  void aTankThatEmptiesCoolsOnItsIsentrope() {
    var tank = new Volume(AIR, 0.01, 5e5, 400, 0);
    var valve = new Orifice(AIR, tank, new Atmosphere(1e5, 300, 0), 1e-6);
    while (tank.pressure() > 2e5) {
      valve.couple(1e-2);
      tank.settle();
    }
    double expected = 400 * Math.pow(tank.pressure() / 5e5, 0.4 / 1.4);
    assertThat(tank.temperature()).isCloseTo(expected, Percentage.withPercentage(0.1));
  }

  /** Fanning: Δp = 4 f L/D ρu²/2 with Blasius' f, and velocity heads lost in bends on top. */
  @ParameterizedTest
  @CsvSource({"1, 0", "2, 0", "1, 2"})
  void steadyFlowLosesThePressureOfFanningAndOfItsBends(double roughness, double heads) {
    double length = 1.5;
    double diameter = 0.03;
    double area = Math.PI / 4 * diameter * diameter;
    var shape =
        new PipeShape(List.of(new PipeShape.Section(length, area, area, 300, roughness, 0, heads)));
    var pipe = new Pipe(AIR, shape, 60);
    pipe.fill(1e5, 300, 0);
    var in = new PipeEnd(AIR, pipe, true, new Atmosphere(1.01e5, 300, 0));
    var out = end(pipe, false, area);
    in.open(area);
    for (int i = 0; i < 20_000; i++) {
      step(pipe, in, out);
    }
    double u = pipe.velocity(30);
    double reynolds = pipe.density(30) * u * diameter / 1.846e-5;
    double f = roughness * 0.0791 / Math.pow(reynolds, 0.25);
    double head = 0.5 * pipe.density(30) * u * u;
    double expected = (4 * f * length / diameter + heads) * head * 58 / 60;
    assertThat(pipe.pressure(0) - pipe.pressure(58))
        .isCloseTo(expected, Percentage.withPercentage(4));
  }

  /** A wall that does not rub warms all the same: friction can be taken away alone. */
  @Test
  void heatDoesNotHangOnFriction() {
    double area = 1e-3;
    var given = new double[2];
    for (int rubs = 0; rubs < 2; rubs++) {
      var section = new PipeShape.Section(0.5, area, area, 500, 2 * rubs, 3, 0);
      var pipe = new Pipe(AIR, new PipeShape(List.of(section)), 20);
      for (int i = 0; i < 20; i++) {
        pipe.set(i, 1e5, 300, 60, 0);
      }
      var left = end(pipe, true, area);
      var right = end(pipe, false, area);
      for (int i = 0; i < 40; i++) {
        step(pipe, left, right);
      }
      given[rubs] = -pipe.heatToWall();
    }
    assertThat(given[0]).isPositive().isCloseTo(given[1], Percentage.withPercentage(3));
  }

  /** A hot wall heats the gas toward itself and takes just what the gas gains. */
  @Test
  void wallHeatGoesIntoTheGas() {
    double area = 1e-3;
    var shape = new PipeShape(List.of(new PipeShape.Section(0.5, area, area, 500, 1, 5, 0)));
    var pipe = new Pipe(AIR, shape, 20);
    for (int i = 0; i < 20; i++) {
      pipe.set(i, 1e5, 300, 30 * Math.sin(i), 0);
    }
    double before = pipe.energy();
    var left = end(pipe, true, 0);
    var right = end(pipe, false, 0);
    for (int i = 0; i < 4000; i++) {
      step(pipe, left, right);
    }
    assertThat(pipe.temperature(10)).isBetween(301.0, 500.0);
    assertThat(pipe.energy() + pipe.heatToWall()).isCloseTo(before, within(1e-9 * before));
  }

  /** Where fresh charge meets burned gas at one pressure, the contact makes no false waves. */
  @Test
  void aContactBetweenTwoGasesStaysQuiet() {
    var gas = new WorkingGas(FuelKind.PUMP_93, 0.88, 0);
    var pipe = new Pipe(gas, PipeShape.ideal(1, 1e-3, 1e-3), 100);
    for (int i = 0; i < 100; i++) {
      pipe.set(i, 1e5, i < 50 ? 300 : 900, 40, i < 50 ? 0 : 1);
    }
    for (int i = 0; i < 60; i++) {
      double dt = pipe.stableStep();
      pipe.predict(dt);
      uniform(gas, pipe, true, 300, 0);
      uniform(gas, pipe, false, 900, 1);
      pipe.update(dt);
    }
    for (int i = 45; i < 60; i++) {
      assertThat(pipe.pressure(i)).isCloseTo(1e5, Percentage.withPercentage(1.5));
    }
  }

  /** Lets gas of one state flow in or out at 40 m/s to the right. */
  private static void uniform(
      WorkingGas gas, Pipe pipe, boolean start, double kelvin, double burned) {
    double flow = 1e5 / (gas.gasConstant(burned) * kelvin) * 40 * 1e-3;
    double outward = start ? -flow : flow;
    double power = outward * (gas.enthalpy(kelvin, burned) + 0.5 * 40 * 40);
    pipe.endFlow(start, outward, flow * 40 + 1e5 * 1e-3, power, outward * burned);
  }

  /** Flow through an orifice is choked below 0.528 and turns round with the pressures. */
  @Test
  void anOrificeChokesAndFlowsBothWays() {
    var a = new Atmosphere(2e5, 300, 0);
    double choked = flow(a, 0.9e5);
    assertThat(flow(a, 0.2e5)).isCloseTo(choked, within(1e-12));
    assertThat(flow(a, 1.5e5)).isLessThan(choked).isPositive();
    var back = new Orifice(AIR, new Atmosphere(1e5, 300, 0), a, 1e-4);
    back.couple(1);
    assertThat(back.massFlow()).isNegative();
    assertThat(choked)
        .isCloseTo(1e-4 * 2e5 * 0.6847 / Math.sqrt(R * 300), Percentage.withPercentage(0.02));
  }

  private static double flow(Reservoir from, double pascal) {
    var orifice = new Orifice(AIR, from, new Atmosphere(pascal, 300, 0), 1e-4);
    orifice.couple(1);
    return orifice.massFlow();
  }

  /** Gas blown out of a cylinder fills a port no faster than sound, and the flow stays choked. */
  @Test
  void blowdownIntoAPortStaysAtOrBelowSound() {
    var pipe = new Pipe(AIR, PipeShape.ideal(0.6, 1e-3, 1e-3), 30);
    pipe.fill(0.6e5, 900, 0);
    var cylinder = new Atmosphere(6e5, 1500, 0);
    var valve = new PipeEnd(AIR, pipe, true, cylinder);
    var tail = end(pipe, false, 1e-3);
    valve.open(7e-4);
    double choked = 7e-4 * Nozzle.massFlux(6e5, 1500, R, GAMMA, 0);
    for (int i = 0; i < 300; i++) {
      step(pipe, valve, tail);
      assertThat(-valve.massFlow()).isLessThanOrEqualTo(choked * 1.0001).isPositive();
      assertThat(pipe.pressure(0)).isPositive();
    }
  }

  /**
   * A vessel drawn from steadily stands at the pressure at which its throat passes the draught, in
   * long steps and short; a throat as wide as a door keeps it at the air's and is still.
   */
  @ParameterizedTest
  @CsvSource({"1e-3, 1e-5", "1e-3, 2e-4", "2e-2, 2e-4", "1, 2e-4"})
  void aThroatPassesWhatIsDrawnWhateverTheStep(double area, double dt) {
    var tank = new Volume(AIR, 3e-3, 1e5, 300, 0);
    var throat = new Orifice(AIR, new Atmosphere(1e5, 300, 0), tank, area);
    double drawn = 0.15;
    double before = 0;
    for (double time = 0; time < 0.2; time += dt) {
      before = tank.pressure();
      tank.receive(-drawn * dt, -drawn * dt * AIR.enthalpy(tank.temperature(), 0), 0);
      throat.couple(dt);
      tank.settle();
    }
    assertThat(tank.pressure()).isCloseTo(before, within(0.5));
    assertThat(throat.massFlow()).isCloseTo(drawn, within(1e-5));
    double passes = area * Nozzle.massFlux(1e5, 300, 287.05, 1.4, tank.pressure());
    if (area < 0.01) {
      assertThat(passes).isCloseTo(drawn, within(1e-4));
    } else {
      assertThat(1e5 - tank.pressure()).isBetween(0.0, 50.0);
    }
  }

  /**
   * A pipe ten times as wide behind its port: a breath of a disturbance dies away in it, wherever
   * between the cells the section jumps.
   */
  @ParameterizedTest
  @CsvSource({"0.05", "0.06", "0.075", "0.09"})
  void aJumpInSectionStaysStable(double port) {
    var section = new PipeShape.Section(port, 4e-4, 4e-4, 300, 1, 0, 0);
    var wide = new PipeShape.Section(0.3, 4e-3, 4e-3, 300, 1, 0, 0);
    var pipe = new Pipe(AIR, new PipeShape(List.of(section, wide)), 6);
    pipe.fill(1e5, 900, 0);
    pipe.set(5, 1.01e5, 900, 0, 0);
    var left = end(pipe, true, 0);
    var right = end(pipe, false, 0);
    for (int i = 0; i < 3000; i++) {
      step(pipe, left, right);
    }
    for (int i = 0; i < 6; i++) {
      assertThat(Math.abs(pipe.velocity(i))).isLessThan(1);
      assertThat(pipe.pressure(i)).isCloseTo(1.0017e5, Percentage.withPercentage(0.5));
    }
  }
}
