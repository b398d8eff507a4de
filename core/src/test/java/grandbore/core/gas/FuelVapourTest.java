package grandbore.core.gas;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What evaporates: vapour pressures of handbooks, one component's closed form, and directions. */
class FuelVapourTest {
  private static final double AIR = Air.DRY_MOLAR_MASS;

  /** Pressures at 25 and 60 °C, kPa (handbook values, from memory). */
  @ParameterizedTest
  @CsvSource({
    "METHANOL, 25, 16.9, 2",
    "METHANOL, 60, 84.5, 5",
    "ETHANOL, 25, 7.9, 2",
    "ETHANOL, 60, 47, 5"
  })
  void spiritsHaveTheVapourPressuresOfHandbooks(
      FuelKind fuel, double celsius, double kilopascals, double percent) {
    assertThat(new FuelVapour(fuel).pressure(273.15 + celsius) / 1e3)
        .isCloseTo(kilopascals, Percentage.withPercentage(percent));
  }

  /** At 37.8 °C a pump gasoline has 48 to 103 kPa, by season (ASTM D4814, from memory). */
  @Test
  void gasolineHasAPumpGasolinesVapourPressure() {
    assertThat(new FuelVapour(FuelKind.PUMP_93).pressure(311) / 1e3).isBetween(48.0, 103.0);
  }

  /**
   * Of one component there is a vapour or there is the pressure: n_v / (n_v + n_air) = p_v / p, all
   * of it a vapour where that asks for more than there is.
   */
  @ParameterizedTest
  @CsvSource({
    "METHANOL, 0.03204, 260, 5",
    "METHANOL, 0.03204, 290, 5",
    "METHANOL, 0.03204, 320, 5",
    "ETHANOL, 0.04607, 270, 8",
    "ETHANOL, 0.04607, 300, 8"
  })
  void oneComponentMeetsItsClosedForm(
      FuelKind fuel, double molarMass, double temperature, double airPerFuel) {
    var vapour = new FuelVapour(fuel);
    double p = 95e3;
    double ratio = vapour.pressure(temperature) / (p - vapour.pressure(temperature));
    double closed = Math.min(1, ratio * airPerFuel / AIR * molarMass);
    assertThat(vapour.share(temperature, p, airPerFuel)).isCloseTo(closed, within(1e-6));
  }

  /**
   * Of gasoline in sixteen times its mass of air at one atmosphere some half is a vapour at −10 °C,
   * and all of it between 15 and 40 °C (equilibrium air distillation; Bridgeman, Journal of
   * Research of the National Bureau of Standards 13, 1934; the range from memory).
   */
  @Test
  void gasolineIsAllVapourOnAWarmDay() {
    var gasoline = new FuelVapour(FuelKind.PUMP_91);
    assertThat(gasoline.share(263, 101325, 16)).isBetween(0.4, 0.65);
    assertThat(gasoline.share(288, 101325, 16)).isBetween(0.75, 1.0);
    assertThat(gasoline.share(313, 101325, 16)).isEqualTo(1, within(1e-6));
  }

  /** Warmer, thinner or more air takes up more; what evaporates has its heat from the air. */
  @ParameterizedTest
  @EnumSource(FuelKind.class)
  void moreEvaporatesWhereItIsWarmerThinnerOrLeaner(FuelKind fuel) {
    var vapour = new FuelVapour(fuel);
    double air = 0.88 * fuel.stoichiometricAirFuelRatio();
    double before = 0;
    for (double t = 263; t <= 323; t += 10) {
      double share = vapour.shareByAirAlone(t, 98e3, air);
      assertThat(share).isGreaterThan(before).isLessThanOrEqualTo(1);
      assertThat(vapour.shareByAirAlone(t, 80e3, air)).isGreaterThanOrEqualTo(share);
      assertThat(vapour.shareByAirAlone(t, 98e3, 1.1 * air)).isGreaterThanOrEqualTo(share);
      double cooled = t - share * fuel.heatOfVaporisation() / (1 + air) / 1020;
      if (share < 1 - 1e-6) {
        assertThat(vapour.share(cooled, 98e3, air)).isCloseTo(share, within(1e-5));
      }
      before = share;
    }
  }

  /** Spirit needs more heat than cold air has: the more of it, the less evaporates. */
  @Test
  void spiritEvaporatesLessThanGasoline() {
    FuelKind[] blends = {
      FuelKind.PUMP_91, FuelKind.E10, FuelKind.E30, FuelKind.E50, FuelKind.E85, FuelKind.ETHANOL
    };
    double before = 1;
    for (var fuel : blends) {
      double air = 0.88 * fuel.stoichiometricAirFuelRatio();
      double share = new FuelVapour(fuel).shareByAirAlone(298, 98e3, air);
      assertThat(share).as(fuel.label()).isLessThan(before);
      before = share;
    }
  }
}
