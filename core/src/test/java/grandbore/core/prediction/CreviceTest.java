package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.gas.FuelKind;
import grandbore.core.gas.WorkingGas;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

/** The space above the top ring, and what leaks past it. */
class CreviceTest {
  private static final double VOLUME = 1.5e-6;
  private static final double WALL = 430;
  private static final WorkingGas GAS = new WorkingGas(FuelKind.PUMP_93, 0.88, 0.01);

  private static Crevice crevice(double gap) {
    var c = new Crevice(GAS, VOLUME, gap, 101_325);
    c.fill(1e5, 0.05);
    return c;
  }

  /** It holds p V / R T at the wall's temperature, and takes and gives the difference. */
  @Test
  void aTightCreviceBreathesInAndOutWithoutLoss() {
    var c = crevice(0);
    double start = c.mass();
    assertThat(start).isCloseTo(1e5 * VOLUME / (GAS.gasConstant(0.05) * WALL), within(1e-12));
    double taken = 0;
    for (double p = 1e5; p <= 60e5; p += 0.5e5) {
      taken += c.follow(p, GAS.enthalpy(700, 0.05), 0.05, 1e-5);
    }
    assertThat(c.mass()).isCloseTo(start + taken, within(1e-15));
    // Four to eight per cent of a charge sits in crevices at peak pressure (Heywood, 8.6): here
    // 1.5 cc of a 650 cc cylinder at 60 bar.
    assertThat(c.mass() / 7.5e-4).isBetween(0.04, 0.12);
    for (double p = 60e5; p >= 1e5; p -= 0.5e5) {
      taken += c.follow(p, GAS.enthalpy(1800, 1), 1, 1e-5);
    }
    assertThat(taken).isCloseTo(0, within(2e-8));
    assertThat(c.lostMass()).isZero();
  }

  /** What goes in less what leaks, comes out and warms the wall is what is left: to rounding. */
  @Test
  void massAndEnergyAreKept() {
    var c = crevice(0.6e-6);
    double mass = c.mass();
    double energy = c.energy();
    double in = 0;
    double inEnergy = 0;
    double pressure = 1e5;
    for (int i = 0; i < 2000; i++) {
      double next = 1e5 + 55e5 * Math.pow(Math.sin(i * Math.PI / 2000), 4);
      double temperature = 400 + 1.2e-4 * next;
      double share = i < 1000 ? 0.05 : 0.9;
      double taken = c.follow(next, GAS.enthalpy(temperature, share), share, 5e-6);
      in += taken;
      inEnergy += c.energyOf(taken, GAS.enthalpy(temperature, share));
      pressure = next;
    }
    assertThat(pressure).isLessThan(2e5);
    assertThat(c.mass()).isCloseTo(mass + in - c.lostMass(), within(1e-14));
    assertThat(c.energy()).isCloseTo(energy + inEnergy - c.lostEnergy() - c.heat(), within(1e-6));
    assertThat(c.lostMass()).isPositive();
    assertThat(c.heat()).isPositive();
    assertThat(c.burned()).isBetween(0.05, 0.9);
  }

  /** Choked above twice the crankcase's pressure: 0.86 A p sqrt(γ/RT) (2/(γ+1))^((γ+1)/2(γ−1)). */
  @Test
  void theGapLeaksAsAChokedNozzleDoes() {
    double gap = 0.5e-6;
    var c = crevice(gap);
    double pressure = 30e5;
    c.follow(pressure, GAS.enthalpy(700, 0.05), 0.05, 0);
    double before = c.lostMass();
    double dt = 1e-3;
    c.follow(pressure, GAS.enthalpy(700, 0.05), 0.05, dt);
    double g = GAS.gamma(WALL, 0);
    double flux =
        pressure
            * Math.sqrt(g / (GAS.gasConstant(0) * WALL))
            * Math.pow(2 / (g + 1), (g + 1) / (2 * (g - 1)));
    assertThat(c.lostMass() - before)
        .isCloseTo(0.86 * gap * flux * dt, Percentage.withPercentage(0.2));
    var same = crevice(gap);
    same.follow(101_325, GAS.enthalpy(400, 0.05), 0.05, 1);
    assertThat(same.lostMass()).isCloseTo(0, within(1e-12));
  }

  @Test
  void aTwinGoesItsOwnWay() {
    var c = crevice(0.5e-6);
    c.follow(20e5, GAS.enthalpy(700, 0.3), 0.3, 1e-4);
    var twin = c.twin();
    assertThat(twin.mass()).isEqualTo(c.mass());
    assertThat(twin.burned()).isEqualTo(c.burned());
    twin.follow(40e5, GAS.enthalpy(700, 0.3), 0.3, 1e-4);
    assertThat(twin.mass()).isGreaterThan(1.5 * c.mass());
  }

  /**
   * Beside a charge that is no larger it comes to rest: with all that is wanted taken at once the
   * two would pass more and more to and fro.
   */
  @Test
  void aCreviceAsLargeAsTheChargeComesToRest() {
    var c = crevice(0);
    var charge = new Charge();
    double volume = 6 * VOLUME;
    double temperature = 2900;
    charge.mass = 40e5 * volume / (GAS.gasConstant(1) * temperature);
    charge.energy = charge.mass * GAS.energy(temperature, 1);
    charge.burnedMass = charge.mass;
    charge.pressure = 40e5;
    double before = 0;
    for (int k = 0; k < 60; k++) {
      before = charge.pressure;
      c.exchange(charge, GAS.enthalpy(temperature, 1), 1, 1e-5);
      temperature = GAS.temperature(charge.energy / charge.mass, 1, temperature);
      charge.pressure = charge.mass * GAS.hotConstant(temperature, 1) * temperature / volume;
    }
    assertThat(charge.pressure).isCloseTo(before, Percentage.withPercentage(0.01));
    assertThat(charge.pressure).isBetween(10e5, 39e5);
    assertThat(c.mass()).isCloseTo(c.massAt(charge.pressure), Percentage.withPercentage(0.1));
  }
}
