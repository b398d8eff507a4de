package grandbore.core.combustion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.gas.FuelKind;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CombustionTest {
  private static final double ROOM_KELVIN = 298;

  /**
   * Ö. L. Gülder, SAE 841000, worked by hand at 298 K and one atmosphere: W φ^η exp(−ξ(φ −
   * 1.075)²); its constants from memory.
   */
  @ParameterizedTest
  @CsvSource({
    "PUMP_91, 1.0, 0.4542",
    "PUMP_91, 1.3, 0.3408",
    "METHANOL, 1.0, 0.4781",
    "METHANOL, 1.4, 0.3120",
    "ETHANOL, 1.075, 0.4735"
  })
  void flamesAreAsFastAsPublished(FuelKind fuel, double richness, double metrePerSecond) {
    var flame = new FlameSpeed(fuel, 1 / richness);
    assertThat(flame.at(ROOM_KELVIN, 101_325, 0)).isCloseTo(metrePerSecond, within(1e-4));
  }

  /**
   * Beside it M. Metghalchi and J. C. Keck's gasoline as Heywood (1988) gives it in table 9.3, from
   * memory: 0.305 − 0.549 (φ − 1.21)², 2.4 − 0.271 φ^3.51, −0.357 + 0.14 φ^2.77. Where engines burn
   * most, rich, hot and pressed, the two lie within a third of one another.
   */
  @Test
  void bothPublishedFlamesAgreeWhereEnginesBurn() {
    double phi = 1.1;
    double metghalchi =
        (0.305 - 0.549 * Math.pow(phi - 1.21, 2))
            * Math.pow(700 / 298.0, 2.4 - 0.271 * Math.pow(phi, 3.51))
            * Math.pow(15e5 / 101_325, -0.357 + 0.14 * Math.pow(phi, 2.77));
    double gulder = new FlameSpeed(FuelKind.PUMP_93, 1 / phi).at(700, 15e5, 0);
    assertThat(gulder / metghalchi).isBetween(0.75, 1.35);
  }

  /** Residual gas: 1 − 2.06 x^0.77 (Heywood 1988, equation 9.36): a fifth leaves two fifths. */
  @Test
  void residualSlowsTheFlameByThePublishedFactor() {
    var flame = new FlameSpeed(FuelKind.PUMP_93, 0.9);
    double left = flame.at(700, 1e6, 0.2) / flame.at(700, 1e6, 0);
    assertThat(left).isCloseTo(1 - 2.06 * Math.pow(0.2, 0.77), within(1e-9));
    assertThat(left).isCloseTo(0.40, within(0.01));
  }

  @Test
  void flamesQuickenWithHeatAndSlowWithPressureAndOffTheirMixture() {
    var flame = new FlameSpeed(FuelKind.PUMP_93, 1);
    double base = flame.at(600, 1e6, 0.05);
    assertThat(flame.at(700, 1e6, 0.05)).isGreaterThan(1.2 * base);
    assertThat(flame.at(600, 2e6, 0.05)).isLessThan(base);
    for (var fuel : FuelKind.values()) {
      double strongest = new FlameSpeed(fuel, 1 / 1.05).at(700, 1e6, 0);
      for (double lambda : new double[] {0.6, 0.65, 0.75, 1.2, 1.4}) {
        assertThat(new FlameSpeed(fuel, lambda).at(700, 1e6, 0))
            .as("%s %s", fuel, lambda)
            .isPositive()
            .isLessThan(strongest);
      }
    }
    // Methanol, as rich as it is run, keeps more than a third of its speed.
    assertThat(new FlameSpeed(FuelKind.METHANOL, 0.65).at(700, 1e6, 0))
        .isGreaterThan(new FlameSpeed(FuelKind.METHANOL, 0.95).at(700, 1e6, 0) / 3);
  }

  private static ChamberShape shape(ChamberForm form, double crown, double offset, int plugs) {
    return ChamberShape.of(form, 2, 0.1, 60e-6, crown, 0.001, 0, offset, plugs);
  }

  /** Archimedes: a sphere between two flats h apart has the area 2 π r h. */
  @Test
  void flameBetweenTwoFlatsIsArchimedesZone() {
    var flat = ChamberShape.of(ChamberForm.FLAT_HEAD, 2, 0.1, 80e-6, 0, 0.001, 0, 1e-9, 1);
    var surface = FlameSurface.of(flat, 0.09);
    double height = flat.volume(0) / (Math.PI / 4 * 0.01);
    for (double share : new double[] {0.2, 0.4, 0.6, 0.8}) {
      double radius = surface.radius(share, 0);
      assertThat(surface.area(share, 0))
          .as("at %.2f", share)
          .isCloseTo(2 * Math.PI * radius * height, Percentage.withPercentage(3));
      // And inside it is nearly a cylinder, π r² h.
      assertThat(Math.PI * radius * radius * height / flat.volume(0))
          .isCloseTo(share, within(0.04));
    }
  }

  /** Of every form, dome or dish, one plug or two: V is the sum of A, and ends at the volume. */
  @Test
  void areasAddUpToTheVolume() {
    for (var form : ChamberForm.values()) {
      for (double crown : new double[] {-15e-6, 0, 20e-6}) {
        for (int plugs = 1; plugs <= 2; plugs++) {
          var s = shape(form, crown, 0, plugs);
          var surface = FlameSurface.of(s, 0.09);
          double sum = 0;
          double last = 0;
          for (int k = 1; k <= 400; k++) {
            double share = Math.pow(k / 400.0, 3);
            double radius = surface.radius(share, 0.004);
            double area = surface.area(Math.pow((k - 0.5) / 400.0, 3), 0.004);
            sum += area * (radius - last);
            last = radius;
            assertThat(area).isPositive();
          }
          assertThat(sum)
              .as("%s %s %d", form, crown, plugs)
              .isCloseTo(s.volume(0.004), Percentage.withPercentage(6));
        }
      }
    }
  }

  /** Area, on the mean over the charge, is what a flame is fast by. */
  private static double mean(ChamberShape s) {
    var surface = FlameSurface.of(s, 0.09);
    double sum = 0;
    for (int k = 0; k < 50; k++) {
      sum += 1 / surface.area((k + 0.5) / 50, 0.002);
    }
    return 50 / sum;
  }

  @Test
  void plugsInTheMiddleTwoOfThemAndNoDomeBurnFaster() {
    double usual = mean(shape(ChamberForm.HEMISPHERE, 0, 0, 1));
    assertThat(mean(shape(ChamberForm.HEMISPHERE, 0, 0.001, 1))).isGreaterThan(1.1 * usual);
    assertThat(mean(shape(ChamberForm.HEMISPHERE, 0, 0.035, 1))).isLessThan(0.9 * usual);
    assertThat(mean(shape(ChamberForm.HEMISPHERE, 0, 0, 2))).isGreaterThan(1.1 * usual);
    double bowl = mean(shape(ChamberForm.HEMISPHERE, 0, 0, 1));
    assertThat(mean(shape(ChamberForm.HEMISPHERE, -25e-6, 0, 1))).isLessThan(bowl);
    assertThat(ChamberForm.USUAL.over(2)).isEqualTo(ChamberForm.WEDGE);
    assertThat(ChamberForm.USUAL.over(4)).isEqualTo(ChamberForm.PENT_ROOF);
    assertThat(ChamberForm.BATHTUB.over(4)).isEqualTo(ChamberForm.BATHTUB);
  }

  /** A tight quench squeezes a faster jet; a roof over the whole bore squeezes none. */
  @Test
  void flatsSqueezeAJetThatATighterGapMakesFaster() {
    var tight = ChamberShape.of(ChamberForm.WEDGE, 2, 0.1, 60e-6, 0, 0.0009, 0, 0, 1).squish();
    var wide = ChamberShape.of(ChamberForm.WEDGE, 2, 0.1, 60e-6, 0, 0.0025, 0, 0, 1).squish();
    double mass = 6e-4;
    double step = 1 / 36_000.0;
    assertThat(tight.energy(0.001, 1e-4, step, mass, 8e-5))
        .isGreaterThan(2 * wide.energy(0.001, 1e-4, step, mass, 8e-5));
    assertThat(tight.energy(0.001, -1e-4, step, mass, 8e-5)).isZero();
    // 1 mm rise a millisecond over 30 cm² through 95 mm by 2 mm, worked by hand.
    var by = new SquishJet(30e-4, 0.095, 0.0015, 80e-4);
    double out = 30e-4 * 1e-3 * (1 - 0.002 * 80e-4 / 1e-4);
    double speed = out / (1e-3 * 0.095 * 0.002);
    assertThat(by.energy(0.001, 1e-3, 1e-3, mass, 1e-4))
        .isCloseTo(0.5 * out * mass / 1e-4 * speed * speed, within(1e-12));
    var roof = ChamberShape.of(ChamberForm.PENT_ROOF, 4, 0.1, 60e-6, 0, 0.0009, 0, 0, 1).squish();
    assertThat(roof.energy(0.001, 1e-4, step, mass, 8e-5)).isZero();
  }

  /** What the jets bring in is all there is; turbulence grows from it, then dies away. */
  @Test
  void turbulenceIsFedByJetsAndDecays() {
    var stir = new Turbulence();
    double mass = 6e-4;
    assertThat(stir.intensity(mass)).isZero();
    stir.feed(mass, 100);
    double most = 0;
    double last = 0;
    for (int k = 0; k < 3000; k++) {
      stir.advance(1e-5, mass, 0, 0.04, 1);
      last = stir.intensity(mass);
      most = Math.max(most, last);
    }
    // ½ v² = 1.5 u′² were all of it turbulence.
    assertThat(most).isBetween(10.0, 100 / Math.sqrt(3));
    assertThat(last).isBetween(0.0, 0.5 * most);
    // Squeezed to an eighth without loss u′ doubles: rapid distortion, ρ^⅓.
    var quick = new Turbulence();
    quick.startFrom(stir);
    for (int k = 0; k < 400; k++) {
      quick.advance(1e-12, mass, 0, 0.04, Math.pow(8, 1 / 400.0));
    }
    assertThat(quick.intensity(mass) / last).isCloseTo(2, within(0.01));
  }

  /**
   * Peak coefficients of one to some thousand W/(m² K): Heywood (1988), figure 12-13, from memory.
   */
  @Test
  void wallHeatIsOfThePublishedSize() {
    var woschni = new Woschni(0.1);
    double firing = woschni.coefficient(6e6, 2300, 1e-4, 14, false, 1500);
    assertThat(firing).isBetween(1000.0, 9000.0);
    assertThat(woschni.coefficient(1e5, 330, 5e-4, 14, true, 0)).isBetween(80.0, 500.0);
    // The published exponents: pressure 0.8, bore −0.2.
    assertThat(woschni.coefficient(12e6, 2300, 1e-4, 14, false, 1500) / firing)
        .isCloseTo(Math.pow(2, 0.8), Percentage.withPercentage(1e-6));
    assertThat(new Woschni(0.2).coefficient(6e6, 2300, 1e-4, 14, false, 1500) / firing)
        .isCloseTo(Math.pow(2, -0.2), Percentage.withPercentage(1e-6));
  }
}
