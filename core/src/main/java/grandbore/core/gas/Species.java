package grandbore.core.gas;

/**
 * One species of the products and of air: seven-coefficient polynomials of the specific heat.
 *
 * <p>Form and datum: B. J. McBride, S. Gordon and M. A. Reno, NASA TM-4513 (1993). The coefficients
 * were entered from memory of the public combustion data sets that use this form; the tests hold
 * them against published tables of air and of enthalpies of formation.
 */
public enum Species {
  N2(
      0,
      0,
      0,
      2,
      0,
      new double[] {
        3.298677, 1.4082404e-3, -3.963222e-6, 5.641515e-9, -2.444854e-12, -1020.8999, 3.950372
      },
      new double[] {
        2.92664, 1.4879768e-3, -5.68476e-7, 1.0097038e-10, -6.753351e-15, -922.7977, 5.980528
      }),
  O2(
      0,
      0,
      2,
      0,
      0,
      new double[] {
        3.78245636,
        -2.99673416e-3,
        9.84730201e-6,
        -9.68129509e-9,
        3.24372837e-12,
        -1063.94356,
        3.65767573
      },
      new double[] {
        3.28253784,
        1.48308754e-3,
        -7.57966669e-7,
        2.09470555e-10,
        -2.16717794e-14,
        -1088.45772,
        5.45323129
      }),
  AR(
      0,
      0,
      0,
      0,
      1,
      new double[] {2.5, 0, 0, 0, 0, -745.375, 4.366},
      new double[] {2.5, 0, 0, 0, 0, -745.375, 4.366}),
  CO2(
      1,
      0,
      2,
      0,
      0,
      new double[] {
        2.35677352,
        8.98459677e-3,
        -7.12356269e-6,
        2.45919022e-9,
        -1.43699548e-13,
        -48371.9697,
        9.90105222
      },
      new double[] {
        3.85746029,
        4.41437026e-3,
        -2.21481404e-6,
        5.23490188e-10,
        -4.72084164e-14,
        -48759.166,
        2.27163806
      }),
  H2O(
      0,
      2,
      1,
      0,
      0,
      new double[] {
        4.19864056,
        -2.0364341e-3,
        6.52040211e-6,
        -5.48797062e-9,
        1.77197817e-12,
        -30293.7267,
        -0.849032208
      },
      new double[] {
        3.03399249,
        2.17691804e-3,
        -1.64072518e-7,
        -9.7041987e-11,
        1.68200992e-14,
        -30004.2971,
        4.9667701
      }),
  CO(
      1,
      0,
      1,
      0,
      0,
      new double[] {
        3.57953347,
        -6.1035368e-4,
        1.01681433e-6,
        9.07005884e-10,
        -9.04424499e-13,
        -14344.086,
        3.50840928
      },
      new double[] {
        2.71518561,
        2.06252743e-3,
        -9.98825771e-7,
        2.30053008e-10,
        -2.03647716e-14,
        -14151.8724,
        7.81868772
      }),
  H2(
      0,
      2,
      0,
      0,
      0,
      new double[] {
        2.34433112,
        7.98052075e-3,
        -1.9478151e-5,
        2.01572094e-8,
        -7.37611761e-12,
        -917.935173,
        0.683010238
      },
      new double[] {
        3.3372792,
        -4.94024731e-5,
        4.99456778e-7,
        -1.79566394e-10,
        2.00255376e-14,
        -950.158922,
        -3.20502331
      }),
  OH(
      0,
      1,
      1,
      0,
      0,
      new double[] {
        3.99201543,
        -2.40131752e-3,
        4.61793841e-6,
        -3.88113333e-9,
        1.3641147e-12,
        3615.08056,
        -0.103925458
      },
      new double[] {
        3.09288767,
        5.48429716e-4,
        1.26505228e-7,
        -8.79461556e-11,
        1.17412376e-14,
        3858.657,
        4.4766961
      }),
  NO(
      0,
      0,
      1,
      1,
      0,
      new double[] {
        4.2184763, -4.638976e-3, 1.1041022e-5, -9.3361354e-9, 2.803577e-12, 9844.623, 2.2808464
      },
      new double[] {
        3.2606056, 1.1911043e-3, -4.2917048e-7, 6.9457669e-11, -4.0336099e-15, 9920.9746, 6.3693027
      }),
  H(
      0,
      1,
      0,
      0,
      0,
      new double[] {2.5, 0, 0, 0, 0, 25473.6599, -0.446682853},
      new double[] {2.5, 0, 0, 0, 0, 25473.6599, -0.446682914}),
  O(
      0,
      0,
      1,
      0,
      0,
      new double[] {
        3.1682671,
        -3.27931884e-3,
        6.64306396e-6,
        -6.12806624e-9,
        2.11265971e-12,
        29122.2592,
        2.05193346
      },
      new double[] {
        2.56942078,
        -8.59741137e-5,
        4.19484589e-8,
        -1.00177799e-11,
        1.22833691e-15,
        29217.5791,
        4.78433864
      });

  /** Molar gas constant, J/(mol K), exact since the 2019 SI. */
  public static final double MOLAR_R = 8.31446261815324;

  private static final double SWITCH_KELVIN = 1000;

  private final int[] atoms;
  private final double molarMass;
  private final double[] low;
  private final double[] high;

  Species(int c, int h, int o, int n, int ar, double[] low, double[] high) {
    this.atoms = new int[] {c, h, o, n, ar};
    this.molarMass = c * 12.011e-3 + h * 1.008e-3 + o * 15.999e-3 + n * 14.007e-3 + ar * 39.948e-3;
    this.low = low;
    this.high = high;
  }

  /** Atoms of the element numbered C, H, O, N, Ar in one molecule. */
  int atoms(int element) {
    return atoms[element];
  }

  /** Molar mass, kg/mol. */
  public double molarMass() {
    return molarMass;
  }

  private double[] coefficients(double temperature) {
    return temperature < SWITCH_KELVIN ? low : high;
  }

  /** Specific heat at constant pressure over the gas constant, at a temperature in kelvin. */
  public double cpOverR(double temperature) {
    var a = coefficients(temperature);
    return a[0]
        + temperature * (a[1] + temperature * (a[2] + temperature * (a[3] + temperature * a[4])));
  }

  /** Enthalpy over R (kelvin), with the elements at 298.15 K as the datum. */
  public double enthalpyOverR(double temperature) {
    var a = coefficients(temperature);
    return a[5]
        + temperature
            * (a[0]
                + temperature
                    * (a[1] / 2
                        + temperature
                            * (a[2] / 3 + temperature * (a[3] / 4 + temperature * a[4] / 5))));
  }

  /** Gibbs energy at one bar over RT. */
  double gibbsOverRT(double temperature) {
    var a = coefficients(temperature);
    double entropy =
        a[0] * Math.log(temperature)
            + temperature
                * (a[1]
                    + temperature * (a[2] / 2 + temperature * (a[3] / 3 + temperature * a[4] / 4)))
            + a[6];
    return enthalpyOverR(temperature) / temperature - entropy;
  }
}
