package grandbore.core.gas;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GasTest {
  /** Air tables: J. H. Keenan and J. Kaye, Gas Tables (1948), cp of air; values from memory. */
  @ParameterizedTest
  @CsvSource({"300, 1004.9", "500, 1029.5", "800, 1098.7", "1000, 1141.1", "1500, 1210"})
  void specificHeatOfAirMatchesThePublishedTable(double kelvin, double cp) {
    assertThat(Air.cp(kelvin)).isCloseTo(cp, Percentage.withPercentage(0.5));
  }

  /** Enthalpies of formation at 298.15 K, kJ/mol, CODATA key values and JANAF; from memory. */
  @ParameterizedTest
  @CsvSource({
    "CO2, -393.51",
    "H2O, -241.83",
    "CO, -110.53",
    "OH, 38.99",
    "NO, 90.29",
    "H, 217.998",
    "O, 249.18",
    "N2, 0",
    "O2, 0",
    "H2, 0"
  })
  void enthalpiesOfFormationMatchThePublishedOnes(Species species, double kilojoule) {
    assertThat(Species.MOLAR_R * species.enthalpyOverR(298.15) / 1000)
        .isCloseTo(kilojoule, within(2.0));
  }

  /**
   * Heywood (1988), appendix D: 44.0 MJ/kg as liquid and 14.6 for gasoline; 20.0 and 6.47 for
   * methanol.
   */
  @ParameterizedTest
  @CsvSource({"PUMP_91, 44.0, 14.6", "METHANOL, 20.0, 6.47", "ETHANOL, 26.9, 9.00"})
  void fuelsCarryTheirPublishedHeatAndNeedTheirPublishedAir(
      FuelKind fuel, double megajoule, double airFuel) {
    assertThat((fuel.lowerHeatingValue() - fuel.heatOfVaporisation()) / 1e6)
        .isCloseTo(megajoule, Percentage.withPercentage(3));
    assertThat(fuel.stoichiometricAirFuelRatio())
        .isCloseTo(airFuel, Percentage.withPercentage(1.5));
  }

  /**
   * Constant-volume adiabatic flame temperature of a stoichiometric gasoline charge from about 700
   * K is near 2,800 K with dissociation; without it about 3,200 K (Heywood 1988, chapter 3).
   */
  @Test
  void burningAtConstantEnergyReachesTheFlameTemperatureWithDissociation() {
    var gas = new WorkingGas(FuelKind.PUMP_93, 1, 0);
    double flame = gas.temperature(gas.energy(700, 0), 1, 2500);
    assertThat(flame).isBetween(2750.0, 2950.0);
    var rich = new WorkingGas(FuelKind.PUMP_93, 0.7, 0);
    var lean = new WorkingGas(FuelKind.PUMP_93, 1.3, 0);
    assertThat(rich.temperature(rich.energy(700, 0), 1, 2500)).isLessThan(flame);
    assertThat(lean.temperature(lean.energy(700, 0), 1, 2500)).isLessThan(flame);
  }

  @Test
  void temperatureUndoesEnergyEverywhere() {
    var gas = new WorkingGas(FuelKind.PUMP_91, 0.88, 0.01);
    for (double t = 200; t < 3900; t += 37) {
      for (double y = 0; y <= 1; y += 0.25) {
        assertThat(gas.temperature(gas.energy(t, y), y, 300)).isCloseTo(t, within(1e-6));
      }
    }
  }

  /** Saturation pressure at 20 °C is 2,339 Pa (steam tables). */
  @Test
  void humidAirHoldsTheTabulatedMoisture() {
    assertThat(Air.saturationPressure(293.15)).isCloseTo(2339, Percentage.withPercentage(0.5));
  }
}
