package grandbore.core.gas;

/**
 * A fuel as a mean molecule: what it burns to, what it carries, how it resists knock.
 *
 * <p>Vapour enthalpies of gasoline, methanol and ethanol are the polynomials of J. B. Heywood,
 * <i>Internal Combustion Engine Fundamentals</i> (1988), table 4.11, entered from memory. Heats of
 * vaporisation and octane numbers are the usual values of the same book's appendix D and of fuel
 * sellers' sheets (common practice).
 */
public enum FuelKind {
  PUMP_91("Pump gasoline 91", 8.26, 15.5, 0, GASOLINE.H, 350e3, 96, 86),
  PUMP_93("Pump gasoline 93", 8.26, 15.5, 0, GASOLINE.H, 350e3, 98, 88),
  RACE_100("Race gasoline 100", 8.26, 15.5, 0, GASOLINE.H, 350e3, 105, 95),
  RACE_110("Race gasoline 110", 8.26, 15.5, 0, GASOLINE.H, 330e3, 113, 107),
  METHANOL(
      "Methanol",
      1,
      4,
      1,
      new double[] {-2.7059, 44.168, -27.501, 7.2193, 0.20299, -48.288},
      1103e3,
      109,
      89),
  ETHANOL("Ethanol", 2, 6, 1, new double[] {6.990, 39.741, -11.926, 0, 0, -60.214}, 840e3, 109, 90);

  /** Holder, because an enum constant cannot see its own enum's static fields. */
  private static final class GASOLINE {
    static final double[] H = {-24.078, 256.63, -201.68, 64.750, 0.5808, -27.562};
  }

  private static final double JOULE_PER_CALORIE = 4.184;

  private final String label;
  private final double carbon;
  private final double hydrogen;
  private final double oxygen;
  private final double[] enthalpy;
  private final double heatOfVaporisation;
  private final double researchOctane;
  private final double motorOctane;

  FuelKind(
      String label,
      double carbon,
      double hydrogen,
      double oxygen,
      double[] enthalpy,
      double heatOfVaporisation,
      double researchOctane,
      double motorOctane) {
    this.label = label;
    this.carbon = carbon;
    this.hydrogen = hydrogen;
    this.oxygen = oxygen;
    this.enthalpy = enthalpy;
    this.heatOfVaporisation = heatOfVaporisation;
    this.researchOctane = researchOctane;
    this.motorOctane = motorOctane;
  }

  public String label() {
    return label;
  }

  double carbon() {
    return carbon;
  }

  double hydrogen() {
    return hydrogen;
  }

  double oxygen() {
    return oxygen;
  }

  /** Molar mass, kg/mol. */
  public double molarMass() {
    return carbon * 12.011e-3 + hydrogen * 1.008e-3 + oxygen * 15.999e-3;
  }

  /** Heat taken up by one kilogram on evaporating, J/kg. */
  public double heatOfVaporisation() {
    return heatOfVaporisation;
  }

  /** The mean of the research and motor octane numbers, as a pump in America states it. */
  public double antiKnockIndex() {
    return 0.5 * (researchOctane + motorOctane);
  }

  /** Oxygen molecules that burn one molecule of fuel completely. */
  double oxygenNeeded() {
    return carbon + hydrogen / 4 - oxygen / 2;
  }

  /** Vapour enthalpy, J/mol, with the elements at 298.15 K as the datum. */
  double enthalpy(double kelvin) {
    double t = kelvin / 1000;
    double kcal =
        enthalpy[0] * t
            + enthalpy[1] * t * t / 2
            + enthalpy[2] * t * t * t / 3
            + enthalpy[3] * t * t * t * t / 4
            - enthalpy[4] / t
            + enthalpy[5];
    return kcal * 1000 * JOULE_PER_CALORIE;
  }

  /** Lower heating value of the vapour at 298.15 K, J/kg. */
  public double lowerHeatingValue() {
    double products =
        Species.MOLAR_R
            * (carbon * Species.CO2.enthalpyOverR(298.15)
                + hydrogen / 2 * Species.H2O.enthalpyOverR(298.15));
    return (enthalpy(298.15) - products) / molarMass();
  }

  /** Kilograms of dry air that burn one kilogram of fuel completely. */
  public double stoichiometricAirFuelRatio() {
    return oxygenNeeded() / Air.OXYGEN_SHARE * Air.DRY_MOLAR_MASS / molarMass();
  }
}
