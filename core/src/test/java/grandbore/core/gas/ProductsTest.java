package grandbore.core.gas;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ProductsTest {
  private static final double[] ATOMS = {1, 1.87};

  /** Moles of C, H, O, N, Ar in one kilogram of a hydrocarbon charge of some richness. */
  private static double[] charge(double phi) {
    double oxygen = (ATOMS[0] + ATOMS[1] / 4) / phi;
    double nitrogen = oxygen * Air.NITROGEN_SHARE / Air.OXYGEN_SHARE;
    double argon = oxygen * Air.ARGON_SHARE / Air.OXYGEN_SHARE;
    double mass =
        12.011e-3 * ATOMS[0]
            + 1.008e-3 * ATOMS[1]
            + oxygen * Species.O2.molarMass()
            + nitrogen * Species.N2.molarMass()
            + argon * Species.AR.molarMass();
    return new double[] {
      ATOMS[0] / mass, ATOMS[1] / mass, 2 * oxygen / mass, 2 * nitrogen / mass, argon / mass
    };
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.6, 0.9, 1.0, 1.15, 1.4})
  void everyElementIsKeptAndNothingIsNegative(double phi) {
    double[] elements = charge(phi);
    for (double temperature : new double[] {900, 1500, 2200, 2800, 3600}) {
      var products = new Products(elements, temperature, 3e6);
      for (int i = 0; i < elements.length; i++) {
        double sum = 0;
        for (var s : Species.values()) {
          assertThat(products.moles(s)).isGreaterThanOrEqualTo(0);
          sum += products.moles(s) * s.atoms(i);
        }
        assertThat(sum).isCloseTo(elements[i], within(1e-7 * elements[i] + 1e-9));
      }
    }
  }

  /** The water-gas balance: CO·H2O over CO2·H2 is 3.5 at 1,740 K (Heywood 1988, section 4.9.2). */
  @Test
  void richProductsStandInThePublishedWaterGasBalance() {
    var products = new Products(charge(1.25), 1740, 3e6);
    double k =
        products.moles(Species.CO)
            * products.moles(Species.H2O)
            / (products.moles(Species.CO2) * products.moles(Species.H2));
    assertThat(k).isCloseTo(3.5, Percentage.withPercentage(5));
  }

  /**
   * Lean products below 1,500 K are those of complete combustion; hot ones dissociate more at less
   * pressure (Le Chatelier).
   */
  @Test
  void leanProductsAreCompleteWhenCoolAndDissociateWhenHot() {
    double[] lean = charge(0.8);
    var cool = new Products(lean, 1200, 3e6);
    assertThat(cool.moles(Species.CO2)).isCloseTo(lean[0], Percentage.withPercentage(0.01));
    assertThat(cool.moles(Species.H2O)).isCloseTo(lean[1] / 2, Percentage.withPercentage(0.01));
    assertThat(cool.moles(Species.CO)).isLessThan(1e-6 * lean[0]);
    var hot = new Products(lean, 2800, 3e6);
    var thin = new Products(lean, 2800, 1e5);
    assertThat(hot.moles(Species.CO)).isBetween(0.01 * lean[0], 0.5 * lean[0]);
    assertThat(thin.moles(Species.CO)).isGreaterThan(2 * hot.moles(Species.CO));
    assertThat(thin.totalMoles()).isGreaterThan(hot.totalMoles());
  }

  /** Stoichiometric products at 2,500 K and 30 atm hold about 1 % CO: Heywood, figure 3-10. */
  @Test
  void carbonMonoxideIsOfThePublishedSize() {
    var products = new Products(charge(1), 2500, 30 * 101_325);
    assertThat(products.moles(Species.CO) / products.totalMoles()).isBetween(0.004, 0.02);
    assertThat(products.moles(Species.NO) / products.totalMoles()).isBetween(0.001, 0.008);
  }
}
