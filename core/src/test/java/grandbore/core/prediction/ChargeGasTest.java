package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.gas.FuelKind;
import grandbore.core.gas.Species;
import grandbore.core.gas.WorkingGas;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A charge closed in and let out again: what changes with its fuel, and what must not. */
class ChargeGasTest {
  private static final double LIQUID = 0.4;
  private static final double VOLUME = 6e-4;

  private static WorkingGas gas(double lambda, double liquid) {
    return new WorkingGas(FuelKind.PUMP_91, lambda, 0.01, 0, liquid);
  }

  private static Charge charge(WorkingGas wet, double burned) {
    var c = new Charge();
    c.temperature = 360;
    c.burned = burned;
    c.mass = 7e-4;
    c.burnedMass = burned * c.mass;
    c.energy = c.mass * wet.energy(c.temperature, burned);
    c.pressure = c.mass * wet.hotConstant(c.temperature, burned) * c.temperature / VOLUME;
    return c;
  }

  /** No energy comes or goes by closing; the heat that the liquid will take is kept beside it. */
  @Test
  void theMeansMixtureKeepsItsMassAndEnergy() {
    var wet = gas(0.88, LIQUID);
    var of = new ChargeGas(wet, gas(0.88, 0));
    var c = charge(wet, 0.06);
    double mass = c.mass;
    double energy = c.energy;
    of.close(c, VOLUME);
    assertThat(c.mass).isEqualTo(mass);
    assertThat(c.energy - c.evaporation).isCloseTo(energy, within(1e-9));
    // What evaporates of the fresh share, times its heat less the work that it does in the open.
    double fuel = 0.94 * mass * wet.fuelMassFraction() * LIQUID;
    double open = Species.MOLAR_R * 360 / FuelKind.PUMP_91.molarMass();
    assertThat(c.evaporation)
        .isCloseTo(
            fuel * (FuelKind.PUMP_91.heatOfVaporisation() - open), Percentage.withPercentage(0.5));
    of.open(c, VOLUME);
    assertThat(c.mass).isEqualTo(mass);
    assertThat(c.energy).isCloseTo(energy, within(1e-9));
    assertThat(c.temperature).isCloseTo(360, within(1e-6));
  }

  /**
   * A cylinder of its own mixture keeps the air that came in and takes its own fuel with it; let
   * out as it came, it is as it was.
   */
  @ParameterizedTest
  @CsvSource({"0.75, 0.02", "0.95, 0.02", "1.12, 0.02", "0.80, 0.20", "1.05, 0.20"})
  void anotherMixtureKeepsTheAir(double lambda, double burned) {
    var wet = gas(0.88, LIQUID);
    var own = gas(lambda, LIQUID);
    var of = new ChargeGas(wet, own, gas(lambda, 0));
    var c = charge(wet, burned);
    double mass = c.mass;
    double energy = c.energy;
    double air = (1 - burned) * mass * (1 - wet.fuelMassFraction());
    of.close(c, VOLUME);
    assertThat(c.dosed).isEqualTo(c.mass / mass);
    double now = c.mass - burned * mass;
    assertThat(now * (1 - own.fuelMassFraction())).isCloseTo(air, Percentage.withPercentage(0.6));
    assertThat(c.mass).satisfies(m -> assertThat(m > mass).isEqualTo(lambda < 0.88));
    assertThat(c.temperature).isEqualTo(360);
    of.open(c, VOLUME);
    assertThat(c.dosed).isEqualTo(1);
    assertThat(c.mass).isCloseTo(mass, within(1e-15));
    assertThat(c.temperature).isCloseTo(360, within(1e-6));
    assertThat(c.energy).isCloseTo(energy, Percentage.withPercentage(1e-6));
  }

  /** A liquid evaporates evenly up to the spark, all of it by then, and gives no more after it. */
  @Test
  void theLiquidIsGoneAtTheSpark() {
    var wet = gas(0.88, LIQUID);
    var of = new ChargeGas(wet, gas(0.88, 0));
    var c = charge(wet, 0.02);
    of.close(c, VOLUME);
    c.sparkAdvance = 0.5;
    double whole = c.evaporation;
    double energy = c.energy;
    double step = 0.02;
    double from = -2;
    double taken = 0;
    for (double at = from; at < -0.5 - 1e-9; at += step) {
      double before = c.evaporation;
      ChargeGas.evaporate(c, at, step);
      taken += before - c.evaporation;
      double share = (at + step - from) / (-0.5 - from);
      assertThat(taken / whole).isCloseTo(Math.min(1, share), within(2e-2));
    }
    assertThat(c.evaporation).isZero();
    assertThat(energy - c.energy).isCloseTo(whole, within(1e-9));
    ChargeGas.evaporate(c, -0.4, step);
    assertThat(energy - c.energy).isCloseTo(whole, within(1e-9));
  }
}
