package grandbore.core.gas;

/**
 * Nitrous oxide as part of a charge. Seven-coefficient polynomial in the form of NASA TM-4513,
 * entered from memory of the public combustion data sets; its enthalpy of formation is 82.05 kJ/mol
 * (JANAF), and half a molecule of oxygen comes of each.
 */
final class NitrousOxide {
  static final double MOLAR_MASS = 2 * 14.007e-3 + 15.999e-3;

  /** Oxygen molecules that one molecule is worth. */
  static final double OXYGEN = 0.5;

  private static final double SWITCH_KELVIN = 1000;
  private static final double[] LOW = {
    2.2571502, 1.1304728e-2, -1.3671319e-5, 9.6819806e-9, -2.9307182e-12, 8741.7744
  };
  private static final double[] HIGH = {
    4.8230729, 2.6270251e-3, -9.5850874e-7, 1.6000712e-10, -9.7752303e-15, 8073.4048
  };

  private NitrousOxide() {}

  /** Enthalpy over R (kelvin), with the elements at 298.15 K as the datum. */
  static double enthalpyOverR(double t) {
    var a = t < SWITCH_KELVIN ? LOW : HIGH;
    return a[5] + t * (a[0] + t * (a[1] / 2 + t * (a[2] / 3 + t * (a[3] / 4 + t * a[4] / 5))));
  }
}
