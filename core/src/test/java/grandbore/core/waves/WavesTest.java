package grandbore.core.waves;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.gas.FuelKind;
import grandbore.core.gas.WorkingGas;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WavesTest {
  private static final double R = 287.05;
  private static final double GAMMA = 1.4;
  private static final WorkingGas AIR = WorkingGas.perfect(R, GAMMA);

  private static void closed(Pipe pipe, boolean atStart) {
    var end = new PipeEnd(AIR, pipe, atStart, new Atmosphere(1e5, 300, 0));
    end.open(0);
    end.couple(0);
  }

  /**
   * Sod's shock tube against the exact solution as tabulated by Toro, chapter 4, test 1: star
   * pressure 0.30313, velocity 0.92745, densities 0.42632 and 0.26557; shock at 1.75216.
   */
  @Test
  void sodsTubeMatchesTheExactSolution() {
    int n = 200;
    var pipe = new Pipe(AIR, PipeShape.ideal(1, 1e-3, 1e-3), n);
    for (int i = 0; i < n; i++) {
      double rho = i < n / 2 ? 1 : 0.125;
      double p = i < n / 2 ? 1e5 : 1e4;
      pipe.set(i, p, p / (rho * R), 0, 0);
    }
    // Lengths in metres and pressure in 1e5 Pa make one unit of velocity sqrt(1e5) m/s.
    double unit = Math.sqrt(1e5);
    double end = 0.2 / unit;
    double time = 0;
    while (time < end) {
      double dt = Math.min(pipe.stableStep(), end - time);
      step(pipe, dt);
      time += dt;
    }
    double error = 0;
    for (int i = 0; i < n; i++) {
      error += Math.abs(pipe.density(i) - exactSodDensity((i + 0.5) / n - 0.5, 0.2)) / n;
    }
    assertThat(error).isLessThan(0.01);
    assertThat(pipe.pressure(135) / 1e5).isCloseTo(0.30313, within(0.002));
    assertThat(pipe.velocity(135) / unit).isCloseTo(0.92745, within(0.004));
  }

  private static double exactSodDensity(double x, double t) {
    double s = x / t;
    double c = Math.sqrt(1.4);
    if (s < -c) {
      return 1;
    }
    if (s < -0.07027) {
      double u = 2 / 2.4 * (c + s);
      return Math.pow(1 - 0.2 * u / c, 5);
    }
    return s < 0.92745 ? 0.42632 : s < 1.75216 ? 0.26557 : 0.125;
  }

  private static void step(Pipe pipe, double dt) {
    pipe.predict(dt);
    closed(pipe, true);
    closed(pipe, false);
    pipe.update(dt);
  }

  /** A smooth wave that has crossed a pipe: halving the cell quarters the error. */
  @Test
  void smoothFlowConvergesAtSecondOrder() {
    double coarse = smoothError(100);
    double fine = smoothError(200);
    assertThat(Math.log(coarse / fine) / Math.log(2)).isGreaterThan(1.7);
  }

  private static double smoothError(int n) {
    var reference = smooth(1600);
    var pipe = smooth(n);
    double error = 0;
    for (int i = 0; i < n; i++) {
      double mean = 0;
      int ratio = 1600 / n;
      for (int k = 0; k < ratio; k++) {
        mean += reference.density(i * ratio + k) / ratio;
      }
      error += Math.abs(pipe.density(i) - mean) / n;
    }
    return error;
  }

  private static Pipe smooth(int n) {
    var pipe = new Pipe(AIR, PipeShape.ideal(1, 1e-3, 1e-3), n);
    for (int i = 0; i < n; i++) {
      double x = (i + 0.5) / n - 0.4;
      double p = 1e5 * (1 + 0.05 * Math.exp(-150 * x * x));
      pipe.set(i, p, 300 * Math.pow(p / 1e5, 0.4 / 1.4), 0, 0);
    }
    double time = 0;
    while (time < 6e-4) {
      double dt = Math.min(pipe.stableStep(), 6e-4 - time);
      step(pipe, dt);
      time += dt;
    }
    return pipe;
  }

  @Test
  void gasAtRestInATaperStaysAtRest() {
    var gas = new WorkingGas(FuelKind.PUMP_93, 0.88, 0);
    var pipe = new Pipe(gas, PipeShape.ideal(0.5, 1e-3, 4e-3), 25);
    pipe.fill(101325, 300, 0.3);
    var still = new Atmosphere(101325, 300, 0.3);
    var left = new PipeEnd(gas, pipe, true, still);
    var right = new PipeEnd(gas, pipe, false, still);
    left.open(1e-3);
    right.open(0);
    for (int i = 0; i < 2000; i++) {
      GasDynamicsTest.step(pipe, left, right);
    }
    for (int i = 0; i < 25; i++) {
      assertThat(pipe.velocity(i)).isCloseTo(0, within(1e-7));
      assertThat(pipe.pressure(i)).isCloseTo(101325, within(1e-3));
    }
  }

  /**
   * NACA Report 1135, table of isentropic flow at γ = 1.4: p/p0, M, and A/A* printed to four
   * figures; from memory.
   */
  @ParameterizedTest
  @CsvSource({
    "0.8430, 0.50, 1.3398",
    "0.6560, 0.80, 1.0382",
    "0.9395, 0.30, 2.0351",
    "0.5283, 1.0, 1.0"
  })
  void nozzleFlowMatchesTheTables(double ratio, double mach, double areaRatio) {
    double exact = Math.pow(1 + 0.2 * mach * mach, -3.5);
    double choked = Nozzle.massFlux(1e5, 300, R, GAMMA, 0.3e5);
    // The choked mass flow parameter of air, m sqrt(R T0)/(p0 A*) = 0.6847.
    assertThat(choked * Math.sqrt(R * 300) / 1e5).isCloseTo(0.6847, within(5e-5));
    assertThat(choked / Nozzle.massFlux(1e5, 300, R, GAMMA, exact * 1e5))
        .isCloseTo(areaRatio, within(1e-4));
    assertThat(exact).isCloseTo(ratio, within(5.1e-5));
    assertThat(Nozzle.criticalRatio(GAMMA)).isCloseTo(0.52828, within(1e-5));
  }

  /** A pipe between two atmospheres settles to the steady flow of the throat at its end. */
  @Test
  void steadyFlowThroughAPipeIsTheNozzlesOwn() {
    double throat = 4e-4;
    var pipe = new Pipe(AIR, PipeShape.ideal(0.3, 1e-3, 1e-3), 15);
    pipe.fill(1e5, 300, 0);
    var room = new Atmosphere(1e5, 300, 0);
    var vacuum = new Atmosphere(0.8e5, 300, 0);
    var entry = new PipeEnd(AIR, pipe, true, room);
    var exit = new PipeEnd(AIR, pipe, false, vacuum);
    entry.open(1e-3);
    exit.open(throat);
    for (int i = 0; i < 6000; i++) {
      GasDynamicsTest.step(pipe, entry, exit);
    }
    double expected = throat * Nozzle.massFlux(1e5, 300, R, GAMMA, 0.8e5);
    assertThat(exit.massFlow()).isCloseTo(expected, Percentage.withPercentage(0.2));
    assertThat(-entry.massFlow()).isCloseTo(expected, Percentage.withPercentage(0.2));
  }

  /**
   * Out of an end as wide as its pipe gas leaves at the speed of sound, and what lies behind is not
   * felt: T* = 2 T₀/(γ + 1), and the entry's choked mass at that speed makes the pressure (any
   * textbook of gas dynamics).
   */
  @ParameterizedTest
  @CsvSource({"0.05e5", "0.2e5", "0.33e5"})
  void aWideEndChokes(double outer) {
    var pipe = new Pipe(AIR, PipeShape.ideal(0.2, 1e-3, 1e-3), 10);
    pipe.fill(0.5e5, 300, 0);
    var entry = new PipeEnd(AIR, pipe, true, new Atmosphere(1e5, 300, 0));
    var exit = new PipeEnd(AIR, pipe, false, new Atmosphere(outer, 300, 0));
    entry.open(0.7e-3);
    exit.open(Double.MAX_VALUE);
    for (int i = 0; i < 4000; i++) {
      GasDynamicsTest.step(pipe, entry, exit);
    }
    double passes = 0.7e-3 * Nozzle.massFlux(1e5, 300, R, GAMMA, 0);
    double hot = 300 / 1.2;
    assertThat(exit.massFlow()).isCloseTo(passes, Percentage.withPercentage(0.2));
    assertThat(exit.mach()).isCloseTo(1, within(0.01));
    assertThat(pipe.pressure(9))
        .isCloseTo(
            passes / 1e-3 * R * hot / Math.sqrt(GAMMA * R * hot), Percentage.withPercentage(1));
  }

  /** Closed pipe: c/2L. Open at one end: c/4L. Helmholtz: c/2π sqrt(A/(V L)). Closed forms. */
  @ParameterizedTest
  @CsvSource({"CLOSED", "OPEN", "HELMHOLTZ"})
  void pipesRingAtTheirAcousticFrequency(String kind) {
    double length = 0.5;
    var pipe = new Pipe(AIR, PipeShape.ideal(length, 1e-3, 1e-3), 100);
    double c = Math.sqrt(GAMMA * R * 300);
    for (int i = 0; i < 100; i++) {
      double shape = Math.cos(Math.PI * (i + 0.5) / 100 / (kind.equals("CLOSED") ? 1 : 2));
      double p = 1e5 * (1 + 0.002 * (kind.equals("HELMHOLTZ") ? 1 : shape));
      pipe.set(i, p, 300 * Math.pow(p / 1e5, 0.4 / 1.4), 0, 0);
    }
    var room = new Atmosphere(1e5, 300, 0);
    double bottle = 0.02;
    var volume = new Volume(AIR, bottle, 100_300, 300.26, 0);
    var left = new PipeEnd(AIR, pipe, true, kind.equals("HELMHOLTZ") ? volume : room);
    var right = new PipeEnd(AIR, pipe, false, room);
    left.open(kind.equals("HELMHOLTZ") ? 1e-3 : 0);
    right.open(kind.equals("CLOSED") ? 0 : 1e-3);
    double expected =
        switch (kind) {
          case "CLOSED" -> c / (2 * length);
          case "OPEN" -> c / (4 * length);
          default -> helmholtz(c, length, bottle);
        };
    // Time between the first and the fifth downward crossing of the mean pressure.
    double time = 0;
    double first = Double.NaN;
    int crossings = 0;
    double before = 1;
    while (crossings < 5) {
      double dt = pipe.stableStep();
      pipe.predict(dt);
      left.couple(dt);
      right.couple(dt);
      volume.settle();
      pipe.update(dt);
      double now = (kind.equals("HELMHOLTZ") ? volume.pressure() : pipe.pressure(0)) - 1e5;
      if (before > 0 && now <= 0) {
        double exact = time + dt * before / (before - now);
        if (crossings == 0) {
          first = exact;
        }
        crossings++;
        time = crossings == 5 ? exact - dt : time;
      }
      before = now;
      time += dt;
    }
    assertThat(4 / (time - first)).isCloseTo(expected, Percentage.withPercentage(1));
  }

  /**
   * Volume with a neck of finite length: k L tan(k L) = A L / V, whose small limit is Helmholtz'.
   */
  private static double helmholtz(double c, double length, double bottle) {
    double kl = 0.1;
    for (int i = 0; i < 200; i++) {
      kl = Math.sqrt(1e-3 * length / bottle * kl / Math.tan(kl));
    }
    double exact = kl * c / (2 * Math.PI * length);
    double lumped = c / (2 * Math.PI) * Math.sqrt(1e-3 / (bottle * length));
    assertThat(exact).isCloseTo(lumped, Percentage.withPercentage(1));
    return exact;
  }

  /** What enters a merge leaves it: mass and energy are conserved to rounding. */
  @Test
  void aJunctionConservesMassAndEnergy() {
    var gas = new WorkingGas(FuelKind.PUMP_93, 0.88, 0);
    var a = new Pipe(gas, PipeShape.ideal(0.4, 1e-3, 1e-3), 20);
    var b = new Pipe(gas, PipeShape.ideal(0.4, 1e-3, 1e-3), 20);
    var out = new Pipe(gas, PipeShape.ideal(0.4, 3e-3, 3e-3), 20);
    a.fill(3e5, 1200, 1);
    b.fill(1e5, 700, 1);
    out.fill(1e5, 700, 1);
    var merge = new Junction(gas, 1e5, 700, 1);
    merge.join(a, false, 0.97);
    merge.join(b, false, 0.97);
    merge.join(out, true, -1);
    double mass = a.mass() + b.mass() + out.mass();
    double energy = a.energy() + b.energy() + out.energy();
    var ends = new PipeEnd[3];
    ends[0] = new PipeEnd(gas, a, true, new Atmosphere(1e5, 300, 0));
    ends[1] = new PipeEnd(gas, b, true, new Atmosphere(1e5, 300, 0));
    ends[2] = new PipeEnd(gas, out, false, new Atmosphere(1e5, 300, 0));
    for (int i = 0; i < 1000; i++) {
      double dt = Math.min(a.stableStep(), Math.min(b.stableStep(), out.stableStep()));
      a.predict(dt);
      b.predict(dt);
      out.predict(dt);
      merge.couple();
      for (var e : ends) {
        e.couple(dt);
      }
      a.update(dt);
      b.update(dt);
      out.update(dt);
    }
    assertThat(a.mass() + b.mass() + out.mass()).isCloseTo(mass, within(1e-12));
    assertThat(a.energy() + b.energy() + out.energy())
        .isCloseTo(energy, Percentage.withPercentage(1e-9));
  }
}
