package grandbore.core.gas;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Blends, alcohols and nitrous oxide: usual published values, from memory. */
class FuelsTest {
  /** Stoichiometric air-fuel ratio and lower heating value, MJ/kg. */
  @ParameterizedTest
  @CsvSource({
    "PUMP_93, 14.6, 43.5, 2.5",
    "E10, 14.1, 41.8, 2.5",
    "E85, 9.8, 29.2, 3",
    "ETHANOL, 9.0, 26.9, 4",
    "METHANOL, 6.46, 20.0, 6"
  })
  void blendsNeedAndGiveWhatIsPublished(FuelKind fuel, double air, double heat, double percent) {
    assertThat(fuel.stoichiometricAirFuelRatio()).isCloseTo(air, Percentage.withPercentage(1.5));
    assertThat(fuel.lowerHeatingValue() / 1e6).isCloseTo(heat, Percentage.withPercentage(percent));
  }

  /** More ethanol: less air, less heat a kilogram, more cooling, more octane. */
  @Test
  void everyPropertyGoesOneWayWithTheEthanol() {
    FuelKind[] blends = {
      FuelKind.PUMP_91, FuelKind.E10, FuelKind.E30, FuelKind.E50, FuelKind.E85, FuelKind.ETHANOL
    };
    for (int i = 1; i < blends.length; i++) {
      var less = blends[i - 1];
      var more = blends[i];
      assertThat(more.alcoholShare()).isGreaterThan(less.alcoholShare());
      assertThat(more.stoichiometricAirFuelRatio()).isLessThan(less.stoichiometricAirFuelRatio());
      assertThat(more.lowerHeatingValue()).isLessThan(less.lowerHeatingValue());
      assertThat(more.heatOfVaporisation()).isGreaterThan(less.heatOfVaporisation());
      assertThat(more.researchOctane()).isGreaterThanOrEqualTo(less.researchOctane());
    }
  }

  /** Heat a kilogram of mixture at stoichiometric: 2.6 to 2.9 MJ for every one of them. */
  @ParameterizedTest
  @EnumSource(FuelKind.class)
  void aKilogramOfMixtureHoldsMuchTheSameHeatWhateverTheFuel(FuelKind fuel) {
    double heat = fuel.lowerHeatingValue() / (1 + fuel.stoichiometricAirFuelRatio());
    assertThat(heat / 1e6).isBetween(2.55, 3.05);
    // Octane stands as its name says, within what sellers round.
    assertThat(fuel.researchOctane()).isGreaterThan(fuel.antiKnockIndex());
    assertThat(fuel.label()).isNotBlank();
  }

  /** Mass shares of a mixture add up, and fuel to air is what lambda asks. */
  @ParameterizedTest
  @EnumSource(FuelKind.class)
  void aMixtureHoldsWhatItsStrengthAsks(FuelKind fuel) {
    var gas = new WorkingGas(fuel, 0.9, 0.012);
    double ratio = gas.airMassFraction() / gas.fuelMassFraction();
    assertThat(ratio)
        .isCloseTo(0.9 * fuel.stoichiometricAirFuelRatio(), Percentage.withPercentage(0.1));
    assertThat(gas.nitrousMassFraction()).isZero();
    // Burning releases heat: products stand lower in temperature's own energy, hotter at the same.
    double energy = gas.energy(700, 0);
    assertThat(gas.temperature(energy, 1, 2500)).isBetween(2200.0, 3200.0);
  }

  /**
   * Nitrous oxide, 44.013 g/mol, holds half a mole of oxygen a mole, 36 % of its mass, and gives
   * its heat of formation, 81.6 kJ/mol, when it falls apart (NASA polynomials, from memory).
   */
  @Test
  void nitrousOxideBringsOxygenAndItsHeatOfFormation() {
    assertThat(NitrousOxide.MOLAR_MASS).isCloseTo(44.013e-3, within(2e-6));
    assertThat(NitrousOxide.OXYGEN * 31.998e-3 / NitrousOxide.MOLAR_MASS)
        .isCloseTo(0.3635, within(5e-4));
    assertThat(NitrousOxide.enthalpyOverR(298.15) * Species.MOLAR_R)
        .isCloseTo(81.6e3, within(200.0));
    var plain = new WorkingGas(FuelKind.RACE_110, 0.88, 0);
    var dosed = new WorkingGas(FuelKind.RACE_110, 0.88, 0, 0.1);
    assertThat(dosed.nitrousMassFraction()).isPositive();
    // The same strength: fuel goes with all the oxygen, the nitrous's with the air's.
    double oxygen = 1 + 0.1 * NitrousOxide.OXYGEN / Air.OXYGEN_SHARE;
    double plainRatio = plain.fuelMassFraction() / plain.airMassFraction();
    double dosedRatio = dosed.fuelMassFraction() / dosed.airMassFraction();
    assertThat(dosedRatio / plainRatio).isCloseTo(oxygen, within(1e-3));
    // And the flame is hotter, because less nitrogen is warmed with it.
    double hot = plain.temperature(plain.energy(700, 0), 1, 2500);
    assertThat(dosed.temperature(dosed.energy(700, 0), 1, 2500)).isGreaterThan(hot + 20);
  }
}
