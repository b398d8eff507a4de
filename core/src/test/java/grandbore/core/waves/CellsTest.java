package grandbore.core.waves;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.gas.FuelKind;
import grandbore.core.gas.WorkingGas;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What cells hold and what passes between them, against the equations as the textbook has them. */
class CellsTest {
  private static final int FACES = 400;
  private static final double GAMMA = 1.4;
  private static final WorkingGas AIR = WorkingGas.perfect(287, GAMMA);

  private final Random random = new Random(31);

  private double between(double low, double high) {
    return low + (high - low) * random.nextDouble();
  }

  /** Conserved mass, momentum and energy of a perfect gas, a cubic metre. */
  private static double[] held(double rho, double u, double p) {
    return new double[] {rho, rho * u, p / (GAMMA - 1) + 0.5 * rho * u * u};
  }

  private static double[] flux(double rho, double u, double p) {
    double energy = held(rho, u, p)[2];
    return new double[] {rho * u, rho * u * u + p, u * (energy + p)};
  }

  /** E. F. Toro, chapter 10, equations 10.37 to 10.39: F + S (U* − U), written out as it stands. */
  private static double[] hllc(double[] left, double[] right, double slow, double fast) {
    double mL = left[0] * (slow - left[1]);
    double mR = right[0] * (fast - right[1]);
    double star = (right[2] - left[2] + left[1] * mL - right[1] * mR) / (mL - mR);
    var side = star >= 0 ? left : right;
    double s = star >= 0 ? slow : fast;
    var f = flux(side[0], side[1], side[2]);
    if (star >= 0 ? s >= 0 : s <= 0) {
      return f;
    }
    var u = held(side[0], side[1], side[2]);
    double shape = side[0] * (s - side[1]) / (s - star);
    double energy =
        u[2] / side[0] + (star - side[1]) * (star + side[2] / (side[0] * (s - side[1])));
    var there = new double[] {shape, shape * star, shape * energy};
    var out = new double[3];
    for (int k = 0; k < 3; k++) {
      out[k] = f[k] + s * (there[k] - u[k]);
    }
    return out;
  }

  /** Below, at and above the speed of sound, both ways, over steps of ten to one. */
  @Test
  void whatPassesAFaceIsTheTextbooks() {
    int n = FACES + 2;
    int[] starts = {0};
    int[] ends = {n - 1};
    var states = new GasStates(AIR, n);
    var half = new HalfStep(starts, ends, n);
    var flows = new FaceFlows(starts, ends, n);
    var area = new double[n];
    var density = new double[n];
    var energies = new double[n];
    var still = new double[n];
    var left = new double[n][];
    var right = new double[n][];
    for (int i = 0; i < n; i++) {
      area[i] = between(5e-4, 2e-3);
      double p = between(4e4, 4e5);
      double t = between(250, 1200);
      double rho = p / (287 * t);
      double energy = held(rho, 0, p)[2];
      density[i] = rho;
      energies[i] = energy;
      states.set(i, t, density, still, energies, still);
      right[i] = new double[] {between(0.2, 3), between(-1100, 1100), between(4e4, 4e5)};
      left[i] = new double[] {between(0.2, 3), between(-1100, 1100), between(4e4, 4e5)};
      half.densityL[i] = right[i][0];
      half.velocityL[i] = right[i][1];
      half.pressureL[i] = right[i][2];
      half.burnedL[i] = random.nextDouble();
      half.densityR[i] = left[i][0];
      half.velocityR[i] = left[i][1];
      half.pressureR[i] = left[i][2];
      half.burnedR[i] = random.nextDouble();
    }
    flows.mass[0] = 17;
    flows.energy[n - 1] = 19;
    flows.run(half, states, area);
    int supersonic = 0;
    for (int f = 1; f < n - 1; f++) {
      var l = left[f - 1];
      var r = right[f];
      double slow = Math.min(l[1] - states.sound[f - 1], r[1] - states.sound[f]);
      double fast = Math.max(l[1] + states.sound[f - 1], r[1] + states.sound[f]);
      supersonic += slow > 0 || fast < 0 ? 1 : 0;
      var wanted = hllc(l, r, slow, fast);
      double scale = Math.abs(wanted[0]) + 1;
      assertThat(flows.mass[f]).isCloseTo(wanted[0] * area[f], within(1e-9 * scale));
      assertThat(flows.momentum[f]).isCloseTo(wanted[1] * area[f], within(1e-6 * scale));
      assertThat(flows.energy[f]).isCloseTo(wanted[2] * area[f], within(1e-3 * scale));
      double carried = flows.mass[f] >= 0 ? half.burnedR[f - 1] : half.burnedL[f];
      assertThat(flows.burned[f]).isCloseTo(flows.mass[f] * carried, within(1e-12 * scale));
    }
    assertThat(supersonic).isBetween(40, FACES - 40);
    // What was said of the pipe's ends stands.
    assertThat(flows.mass[0]).isEqualTo(17);
    assertThat(flows.energy[n - 1]).isEqualTo(19);
  }

  /** Temperature is found again from energy, however far it went in a step. */
  @Test
  void whatIsHeldTellsTemperature() {
    var gas = new WorkingGas(FuelKind.PUMP_93, 0.9, 0);
    int n = 200;
    var field = new GasField(gas, java.util.List.of(n));
    for (int i = 0; i < n; i++) {
      field.set(i, 1e5, 300, 0, 0);
    }
    for (int round = 0; round < 5; round++) {
      var temperature = new double[n];
      var burned = new double[n];
      var speed = new double[n];
      for (int i = 0; i < n; i++) {
        temperature[i] = between(220, 2400);
        burned[i] = i % 7 == 0 ? 0 : random.nextDouble();
        speed[i] = between(-300, 300);
        double rho = between(0.2, 3);
        field.density[i] = rho;
        field.momentum[i] = rho * speed[i];
        field.burnedMass[i] = rho * burned[i];
        field.energy[i] = rho * (gas.energy(temperature[i], burned[i]) + 0.5 * speed[i] * speed[i]);
      }
      var s = field.states;
      s.recover(field.density, field.momentum, field.energy, field.burnedMass);
      for (int i = 0; i < n; i++) {
        double r = gas.gasConstant(burned[i]);
        assertThat(s.temperature[i]).isCloseTo(temperature[i], within(1e-6));
        assertThat(s.burned[i]).isCloseTo(burned[i], within(1e-12));
        assertThat(s.velocity[i]).isCloseTo(speed[i], within(1e-9));
        assertThat(s.pressure[i]).isCloseTo(field.density[i] * r * temperature[i], within(1e-2));
        double gamma = gas.gamma(temperature[i], burned[i]);
        assertThat(s.sound[i]).isCloseTo(Math.sqrt(gamma * r * temperature[i]), within(1e-4));
        // Energy near the state, as the faces take it.
        double energy = s.pressure[i] / field.density[i] * s.heatShare[i] + s.heatDatum[i];
        assertThat(energy).isCloseTo(gas.energy(temperature[i], burned[i]), within(0.5));
      }
    }
  }
}
