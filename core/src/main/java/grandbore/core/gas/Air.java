package grandbore.core.gas;

/** Dry air and its moisture. Mole shares: US Standard Atmosphere 1976, trace gases left out. */
public final class Air {
  static final double OXYGEN_SHARE = 0.2095;
  static final double ARGON_SHARE = 0.0093;
  static final double NITROGEN_SHARE = 1 - OXYGEN_SHARE - ARGON_SHARE;

  /** Molar mass of dry air, kg/mol. */
  public static final double DRY_MOLAR_MASS =
      OXYGEN_SHARE * Species.O2.molarMass()
          + ARGON_SHARE * Species.AR.molarMass()
          + NITROGEN_SHARE * Species.N2.molarMass();

  private Air() {}

  /**
   * Saturation pressure of water, Pa, at a temperature in kelvin. O. Tetens (1930) in the form of
   * F. W. Murray (1967), good to 0.5 % between 0 and 50 °C; entered from memory.
   */
  public static double saturationPressure(double temperature) {
    double celsius = temperature - 273.15;
    return 610.78 * Math.exp(17.2694 * celsius / (celsius + 237.29));
  }

  /** Moles of water carried by one mole of dry air. */
  public static double waterPerDryAir(
      double pressure, double temperature, double relativeHumidity) {
    double vapour = Math.min(relativeHumidity * saturationPressure(temperature), 0.5 * pressure);
    return vapour / (pressure - vapour);
  }

  /** Specific heat of dry air at constant pressure, J/(kg K). */
  public static double cp(double temperature) {
    return Species.MOLAR_R
        / DRY_MOLAR_MASS
        * (OXYGEN_SHARE * Species.O2.cpOverR(temperature)
            + ARGON_SHARE * Species.AR.cpOverR(temperature)
            + NITROGEN_SHARE * Species.N2.cpOverR(temperature));
  }

  /** Density of dry air as an ideal gas, kg/m³. */
  public static double density(double pressure, double temperature) {
    return pressure * DRY_MOLAR_MASS / (Species.MOLAR_R * temperature);
  }
}
