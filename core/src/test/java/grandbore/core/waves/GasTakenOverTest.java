package grandbore.core.waves;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.gas.FuelKind;
import grandbore.core.gas.WorkingGas;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A state that is taken over by another mixture is as hot, as dense and as far burned. */
class GasTakenOverTest {
  private static final WorkingGas LEAN = new WorkingGas(FuelKind.PUMP_93, 1.0, 0.01);
  private static final List<WorkingGas> OTHERS =
      List.of(
          new WorkingGas(FuelKind.PUMP_93, 0.85, 0.01),
          new WorkingGas(FuelKind.E30, 0.9, 0.02),
          new WorkingGas(FuelKind.PUMP_93, 0.9, 0.01, 0.05));

  @ParameterizedTest
  @CsvSource({"300, 0", "420, 0.05", "900, 0.3", "1300, 1", "2600, 1"})
  void aVolumeAndAJunctionKeepWhatTheirGasIs(double temperature, double burned) {
    var from = new Volume(LEAN, 2e-3, 1.3e5, temperature, burned);
    var merge = new Junction(LEAN, 1.3e5, temperature, burned);
    for (var gas : OTHERS) {
      var to = new Volume(gas, 3e-3, 1e5, 300, 0);
      to.startFrom(from);
      assertThat(to.temperature()).isCloseTo(from.temperature(), within(1e-6 * temperature));
      assertThat(to.burned()).isCloseTo(burned, within(1e-12));
      // At the density it had: the pressure goes with the gas's own constant.
      double density = from.mass() / 2e-3;
      assertThat(to.mass() / 3e-3).isCloseTo(density, within(1e-12 * density));
      double pressure = density * gas.gasConstant(burned) * from.temperature();
      assertThat(to.pressure()).isCloseTo(pressure, within(1e-6 * pressure));
      // Its energy is that of its own table.
      double energy = to.mass() * gas.energy(from.temperature(), burned);
      assertThat(to.energy()).isCloseTo(energy, within(1e-6 * Math.abs(energy) + 1e-9));

      var cell = new Junction(gas, 1e5, 300, 0);
      cell.startFrom(merge);
      assertThat(cell.burned()).isCloseTo(burned, within(1e-12));
      double hot = gas.enthalpy(temperature, burned);
      assertThat(cell.enthalpy()).isCloseTo(hot, within(2e-6 * Math.abs(hot) + 1));
    }
  }

  /** Of the same gas nothing moves, to the last digit but one. */
  @Test
  void theSameGasIsTakenOverAsItIs() {
    var from = new Volume(LEAN, 2e-3, 1.7e5, 777, 0.4);
    var to = new Volume(LEAN, 2e-3, 1e5, 300, 0);
    to.startFrom(from);
    assertThat(to.energy()).isEqualTo(from.energy());
    assertThat(to.pressure()).isCloseTo(from.pressure(), within(1e-9 * from.pressure()));
    assertThat(LEAN.energyOver(LEAN, 1234, 0.5)).isZero();
    assertThat(LEAN.enthalpyLike(LEAN, 12345.678, 0.2)).isEqualTo(12345.678);
  }

  /** There and back is where it was. */
  @ParameterizedTest
  @CsvSource({"280, 0", "350, 0.02", "800, 0.5", "1500, 1", "2400, 1"})
  void anEnthalpyGoesThereAndBack(double temperature, double burned) {
    for (var gas : OTHERS) {
      double there = gas.enthalpyLike(LEAN, LEAN.enthalpy(temperature, burned), burned);
      assertThat(there).isCloseTo(gas.enthalpy(temperature, burned), within(1e-7 * 3e6));
      double back = LEAN.enthalpyLike(gas, there, burned);
      assertThat(back).isCloseTo(LEAN.enthalpy(temperature, burned), within(1e-7 * 3e6));
      assertThat(gas.energyOver(LEAN, temperature, burned))
          .isEqualTo(-LEAN.energyOver(gas, temperature, burned));
    }
  }
}
