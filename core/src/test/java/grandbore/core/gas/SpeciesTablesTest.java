package grandbore.core.gas;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Each species by itself, where so far mixtures were held: specific heats, enthalpies and
 * equilibria of the JANAF Thermochemical Tables (4th edition, 1998; values from memory). Water's
 * polynomial is of an older set and lies 1.8 per cent over the tables at 3,000 K; all else within
 * one per cent.
 */
class SpeciesTablesTest {
  private static final double ROOM = 298.15;

  /** Specific heat at constant pressure, J/(mol K), at 300, 1,000, 2,000 and 3,000 K. */
  @ParameterizedTest
  @CsvSource({
    "N2, 29.13, 32.70, 35.97, 37.03",
    "O2, 29.39, 34.87, 37.74, 39.88",
    "CO2, 37.22, 54.31, 60.35, 62.23",
    "H2O, 33.60, 41.27, 51.18, 55.78",
    "CO, 29.14, 33.18, 36.25, 37.22",
    "H2, 28.85, 30.21, 34.28, 37.09"
  })
  void specificHeatsAreThoseOfTheTables(
      Species species, double cold, double warm, double hot, double hottest) {
    double[] kelvin = {300, 1000, 2000, 3000};
    double[] tabled = {cold, warm, hot, hottest};
    for (int k = 0; k < kelvin.length; k++) {
      assertThat(species.cpOverR(kelvin[k]) * Species.MOLAR_R)
          .as("%s at %.0f K", species, kelvin[k])
          .isCloseTo(tabled[k], Percentage.withPercentage(2));
    }
  }

  /** Enthalpy over that at 298.15 K, kJ/mol, at 1,000, 2,000 and 3,000 K. */
  @ParameterizedTest
  @CsvSource({
    "N2, 21.46, 56.14, 92.72",
    "O2, 22.70, 59.18, 98.01",
    "CO2, 33.40, 91.44, 152.85",
    "H2O, 26.00, 72.79, 126.55",
    "CO, 21.69, 56.74, 93.50",
    "H2, 20.68, 52.95, 88.74"
  })
  void enthalpiesAreThoseOfTheTables(Species species, double warm, double hot, double hottest) {
    double[] kelvin = {1000, 2000, 3000};
    double[] tabled = {warm, hot, hottest};
    for (int k = 0; k < kelvin.length; k++) {
      double over = species.enthalpyOverR(kelvin[k]) - species.enthalpyOverR(ROOM);
      assertThat(over * Species.MOLAR_R / 1e3)
          .as("%s at %.0f K", species, kelvin[k])
          .isCloseTo(tabled[k], Percentage.withPercentage(1));
    }
  }

  /** The specific heat is the enthalpy's slope, and both polynomials meet where they change. */
  @ParameterizedTest
  @EnumSource(Species.class)
  void theSpecificHeatIsTheEnthalpysSlope(Species species) {
    for (double t = 320; t < 3200; t += 97) {
      if (Math.abs(t - 1000) > 2) {
        double slope = (species.enthalpyOverR(t + 1) - species.enthalpyOverR(t - 1)) / 2;
        assertThat(slope).as("%.0f K", t).isCloseTo(species.cpOverR(t), within(2e-4));
      }
    }
    double below = species.enthalpyOverR(999.99);
    double above = species.enthalpyOverR(1000.01);
    assertThat(above - below).isCloseTo(0.02 * species.cpOverR(1000), within(1.0));
    // Of what neither turns nor vibrates it is 5/2.
    double least =
        species == Species.AR || species == Species.H || species == Species.O ? 2.5 : 3.4;
    for (double t : new double[] {300, 1000, 2500}) {
      assertThat(species.cpOverR(t)).isGreaterThanOrEqualTo(least - 0.03);
    }
  }

  /** Equilibrium constants in atmospheres, as their common logarithms, at 2,000 and 3,000 K. */
  @Test
  void dissociationIsThatOfTheTables() {
    // CO2 = CO + ½ O2; H2O = H2 + ½ O2; O2 = 2 O; N2 + O2 = 2 NO.
    held("CO2", 2000, Species.CO2, -2.884, Species.CO, 1, Species.O2, 0.5);
    held("CO2", 3000, Species.CO2, -0.485, Species.CO, 1, Species.O2, 0.5);
    held("H2O", 2000, Species.H2O, -3.540, Species.H2, 1, Species.O2, 0.5);
    held("H2O", 3000, Species.H2O, -1.343, Species.H2, 1, Species.O2, 0.5);
    held("O2", 3000, Species.O2, -1.898, Species.O, 2, Species.O, 0);
  }

  /** log₁₀ K from the Gibbs energies of what goes and what comes. */
  private static void held(
      String name,
      double kelvin,
      Species from,
      double tabled,
      Species one,
      double ones,
      Species other,
      double others) {
    // Gibbs energies over RT at one bar; the tables' atmosphere moves them by less than a
    // hundredth.
    double change =
        ones * one.gibbsOverRT(kelvin)
            + others * other.gibbsOverRT(kelvin)
            - from.gibbsOverRT(kelvin);
    assertThat(-change / Math.log(10))
        .as("%s at %.0f K", name, kelvin)
        .isCloseTo(tabled, within(0.05));
  }
}
