package grandbore.core.gas;

/**
 * A fuel as a mean molecule: what it burns to, what it carries, how it resists knock.
 *
 * <p>Vapour enthalpies of gasoline, methanol and ethanol are the polynomials of J. B. Heywood,
 * <i>Internal Combustion Engine Fundamentals</i> (1988), table 4.11, entered from memory. Heats of
 * vaporisation and octane numbers are the usual values of the same book's appendix D and of fuel
 * sellers' sheets (common practice); those of blends are usual published ones, from memory.
 */
public enum FuelKind {
  PUMP_87("Pump gasoline 87", 0, 350e3, 91, 83),
  PUMP_91("Pump gasoline 91", 0, 350e3, 96, 86),
  PUMP_93("Pump gasoline 93", 0, 350e3, 98, 88),
  RACE_100("Race gasoline 100", 0, 350e3, 105, 95),
  RACE_110("Race gasoline 110", 0, 330e3, 113, 107),
  RACE_116("Race gasoline 116", 0, 330e3, 119, 113),
  E10("Gasoline with 10 % ethanol", 0.10, 0, 97, 87),
  E30("Gasoline with 30 % ethanol", 0.30, 0, 101, 89),
  E50("Gasoline with 50 % ethanol", 0.50, 0, 105, 90),
  E85("Gasoline with 85 % ethanol", 0.85, 0, 108, 90),
  METHANOL(
      "Methanol",
      1,
      4,
      1,
      new double[] {-2.7059, 44.168, -27.501, 7.2193, 0.20299, -48.288},
      1103e3,
      109,
      89),
  ETHANOL("Ethanol", 2, 6, 1, SPIRIT.H, 840e3, 109, 90);

  /** Holder, because an enum constant cannot see its own enum's static fields. */
  private static final class GASOLINE {
    static final double[] H = {-24.078, 256.63, -201.68, 64.750, 0.5808, -27.562};
    static final double CARBON = 8.26;
    static final double HYDROGEN = 15.5;
    static final double MASS = CARBON * 12.011e-3 + HYDROGEN * 1.008e-3;
    static final double DENSITY = 745;
    static final double VAPORISATION = 350e3;
  }

  private static final class SPIRIT {
    static final double[] H = {6.990, 39.741, -11.926, 0, 0, -60.214};
    static final double MASS = 2 * 12.011e-3 + 6 * 1.008e-3 + 15.999e-3;
    static final double DENSITY = 789;
    static final double VAPORISATION = 840e3;
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
  private final double alcoholShare;
  private final double alcoholByMass;

  /** Gasoline with a volume share of ethanol: a mean molecule of both. */
  FuelKind(
      String label,
      double ethanol,
      double heatOfVaporisation,
      double researchOctane,
      double motorOctane) {
    double moles = ethanol * SPIRIT.DENSITY / SPIRIT.MASS;
    double others = (1 - ethanol) * GASOLINE.DENSITY / GASOLINE.MASS;
    double x = moles / (moles + others);
    double massShare =
        ethanol * SPIRIT.DENSITY / (ethanol * SPIRIT.DENSITY + (1 - ethanol) * GASOLINE.DENSITY);
    this.label = label;
    this.carbon = GASOLINE.CARBON + x * (2 - GASOLINE.CARBON);
    this.hydrogen = GASOLINE.HYDROGEN + x * (6 - GASOLINE.HYDROGEN);
    this.oxygen = x;
    this.enthalpy = new double[GASOLINE.H.length];
    for (int k = 0; k < enthalpy.length; k++) {
      enthalpy[k] = GASOLINE.H[k] + x * (SPIRIT.H[k] - GASOLINE.H[k]);
    }
    this.heatOfVaporisation =
        heatOfVaporisation > 0
            ? heatOfVaporisation
            : GASOLINE.VAPORISATION + massShare * (SPIRIT.VAPORISATION - GASOLINE.VAPORISATION);
    this.researchOctane = researchOctane;
    this.motorOctane = motorOctane;
    this.alcoholShare = ethanol;
    this.alcoholByMass = massShare;
  }

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
    this.alcoholShare = 1;
    this.alcoholByMass = 1;
  }

  /** Share of alcohol by volume. */
  public double alcoholShare() {
    return alcoholShare;
  }

  double alcoholByMass() {
    return alcoholByMass;
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

  public double researchOctane() {
    return researchOctane;
  }

  /**
   * Liquid's density at 15 °C, kg/m³: gasoline 745, ethanol 794, methanol 796, blends by their
   * shares of volume (handbook values, from memory).
   */
  public double density() {
    double alcohol = this == METHANOL ? 796 : 794;
    return (1 - alcoholShare) * 745 + alcoholShare * alcohol;
  }

  /** Oxygen molecules that burn one molecule of fuel completely. */
  double oxygenNeeded() {
    return carbon + hydrogen / 4 - oxygen / 2;
  }

  /** Vapour enthalpy, J/mol, with the elements at 298.15 K as the datum. */
  double enthalpy(double temperature) {
    double t = temperature / 1000;
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
