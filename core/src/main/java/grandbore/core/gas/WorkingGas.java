package grandbore.core.gas;

import java.util.Arrays;

/**
 * The two gases of one engine, fresh charge and burned gas, tabulated once over temperature so that
 * the solver pays one look-up a cell. Energies hold the enthalpy of formation: turning fresh charge
 * into burned gas at constant energy is the heat release, rich mixtures and dissociation included.
 *
 * <p>Burned gas is in equilibrium at 3 MPa above 1500 K and has the fixed make-up of 1500 K below.
 */
public final class WorkingGas {
  /** Lowest tabulated temperature, K. */
  public static final double FLOOR = 150;

  /** Highest tabulated temperature, K. */
  public static final double CEILING = 3990;

  /** Newton's steps from a temperature to an enthalpy that is nearly straight in it. */
  private static final int PASSES = 4;

  /** Width of an interval of the table, K. */
  public static final double STEP = 10;

  private static final int ROWS = (int) ((CEILING - FLOOR) / STEP);
  private static final double FROZEN_BELOW = 1500;
  private static final double REFERENCE_PRESSURE = 3e6;

  private final double fuelMassFraction;
  private final double airMassFraction;
  private final double nitrousMassFraction;
  private final double freshR;
  private final double burnedR;

  /** A row a temperature: fresh energy, burned energy, fresh cv, burned cv. */
  private final double[] table = new double[4 * ROWS];

  private final double[] hotR = new double[ROWS + 1];

  /**
   * @param lambda air-fuel ratio over the stoichiometric one
   * @param waterPerDryAir moles of moisture with each mole of dry air
   */
  public WorkingGas(FuelKind fuel, double lambda, double waterPerDryAir) {
    this(fuel, lambda, waterPerDryAir, 0);
  }

  /**
   * @param lambda oxygen over what the fuel needs
   * @param waterPerDryAir moles of moisture with each mole of dry air
   * @param nitrousPerDryAir moles of nitrous oxide with each mole of dry air
   */
  public WorkingGas(FuelKind fuel, double lambda, double waterPerDryAir, double nitrousPerDryAir) {
    this(fuel, lambda, waterPerDryAir, nitrousPerDryAir, 0);
  }

  /**
   * A charge that carries part of its fuel as a liquid, which takes up no room and has not had its
   * heat of vaporisation.
   *
   * @param lambda oxygen over what the fuel needs
   * @param waterPerDryAir moles of moisture with each mole of dry air
   * @param nitrousPerDryAir moles of nitrous oxide with each mole of dry air
   * @param liquid share of the fuel, 0 to 1
   */
  public WorkingGas(
      FuelKind fuel, double lambda, double waterPerDryAir, double nitrousPerDryAir, double liquid) {
    double oxygen = Air.OXYGEN_SHARE + NitrousOxide.OXYGEN * nitrousPerDryAir;
    double fuelMoles = oxygen / (fuel.oxygenNeeded() * lambda);
    double airMass = Air.DRY_MOLAR_MASS;
    double waterMass = waterPerDryAir * Species.H2O.molarMass();
    double nitrousMass = nitrousPerDryAir * NitrousOxide.MOLAR_MASS;
    double fuelMass = fuelMoles * fuel.molarMass();
    double mass = airMass + waterMass + fuelMass + nitrousMass;
    fuelMassFraction = fuelMass / mass;
    airMassFraction = airMass / mass;
    nitrousMassFraction = nitrousMass / mass;
    double vapour = fuelMoles * (1 - liquid);
    freshR = Species.MOLAR_R * (1 + waterPerDryAir + vapour + nitrousPerDryAir) / mass;
    double evaporation = liquid * fuel.heatOfVaporisation() * fuel.molarMass();

    double[] elements = {
      fuelMoles * fuel.carbon() / mass,
      (fuelMoles * fuel.hydrogen() + 2 * waterPerDryAir) / mass,
      (fuelMoles * fuel.oxygen() + 2 * Air.OXYGEN_SHARE + waterPerDryAir + nitrousPerDryAir) / mass,
      2 * (Air.NITROGEN_SHARE + nitrousPerDryAir) / mass,
      Air.ARGON_SHARE / mass
    };
    var frozen = new Products(elements, FROZEN_BELOW, REFERENCE_PRESSURE);
    burnedR = Species.MOLAR_R * frozen.totalMoles();
    var fresh = new double[ROWS + 1];
    var burned = new double[ROWS + 1];
    for (int k = 0; k <= ROWS; k++) {
      double t = FLOOR + k * STEP;
      fresh[k] =
          (Species.MOLAR_R
                          * (Air.OXYGEN_SHARE * Species.O2.enthalpyOverR(t)
                              + Air.NITROGEN_SHARE * Species.N2.enthalpyOverR(t)
                              + Air.ARGON_SHARE * Species.AR.enthalpyOverR(t)
                              + waterPerDryAir * Species.H2O.enthalpyOverR(t)
                              + nitrousPerDryAir * NitrousOxide.enthalpyOverR(t))
                      + fuelMoles * (fuelEnthalpy(fuel, t) - evaporation))
                  / mass
              - freshR * t;
      if (t <= FROZEN_BELOW) {
        double sum = 0;
        for (var s : Species.values()) {
          sum += frozen.moles(s) * s.enthalpyOverR(t);
        }
        burned[k] = Species.MOLAR_R * sum - burnedR * t;
        hotR[k] = burnedR;
      } else {
        var equilibrium = new Products(elements, t, REFERENCE_PRESSURE);
        burned[k] = equilibrium.internalEnergy();
        hotR[k] = Species.MOLAR_R * equilibrium.totalMoles();
      }
    }
    for (int k = 0; k < ROWS; k++) {
      table[4 * k] = fresh[k];
      table[4 * k + 1] = burned[k];
      table[4 * k + 2] = (fresh[k + 1] - fresh[k]) / STEP;
      table[4 * k + 3] = (burned[k + 1] - burned[k]) / STEP;
    }
  }

  /** A gas of constant specific heats, for checks against closed forms. */
  public static WorkingGas perfect(double gasConstant, double gamma) {
    return new WorkingGas(gasConstant, gamma);
  }

  private WorkingGas(double gasConstant, double gamma) {
    fuelMassFraction = 0;
    airMassFraction = 1;
    nitrousMassFraction = 0;
    freshR = gasConstant;
    burnedR = gasConstant;
    double cv = gasConstant / (gamma - 1);
    for (int k = 0; k < ROWS; k++) {
      double energy = cv * (FLOOR + k * STEP);
      table[4 * k] = energy;
      table[4 * k + 1] = energy;
      table[4 * k + 2] = cv;
      table[4 * k + 3] = cv;
    }
    Arrays.fill(hotR, gasConstant);
  }

  /** The fuel's fit ends near 1200 K; beyond, its specific heat is held. */
  private static double fuelEnthalpy(FuelKind fuel, double temperature) {
    double end = 1200;
    double low = 280;
    if (temperature > end) {
      double cp = (fuel.enthalpy(end) - fuel.enthalpy(end - 1));
      return fuel.enthalpy(end) + cp * (temperature - end);
    }
    if (temperature < low) {
      double cp = (fuel.enthalpy(low + 1) - fuel.enthalpy(low));
      return fuel.enthalpy(low) + cp * (temperature - low);
    }
    return fuel.enthalpy(temperature);
  }

  /** Kilograms of fuel in one kilogram of fresh charge. */
  public double fuelMassFraction() {
    return fuelMassFraction;
  }

  /** Kilograms of dry air in one kilogram of fresh charge. */
  public double airMassFraction() {
    return airMassFraction;
  }

  /** Kilograms of nitrous oxide in one kilogram of fresh charge. */
  public double nitrousMassFraction() {
    return nitrousMassFraction;
  }

  /** Gas constant of fresh charge, J/(kg K). */
  public double freshR() {
    return freshR;
  }

  /** Gas constant of a mixture with this burned share, J/(kg K), without dissociation. */
  public double gasConstant(double burned) {
    return freshR + burned * (burnedR - freshR);
  }

  /** Gas constant of burned gas at a temperature, dissociation included, J/(kg K). */
  public double burnedR(double temperature) {
    int k = row(temperature);
    double f = (temperature - FLOOR) / STEP - k;
    return hotR[k] + f * (hotR[k + 1] - hotR[k]);
  }

  /** Gas constant of a mixture with this burned share, dissociation included, J/(kg K). */
  public double hotConstant(double temperature, double burned) {
    return temperature < FROZEN_BELOW
        ? gasConstant(burned)
        : freshR + burned * (burnedR(temperature) - freshR);
  }

  /** The interval of the table in which a temperature lies; in one, energy is straight in it. */
  public static int row(double temperature) {
    int k = (int) ((temperature - FLOOR) * (1 / STEP));
    return k < 0 ? 0 : Math.min(k, ROWS - 1);
  }

  /** Temperature at which an interval begins, K. */
  public static double rowStart(int row) {
    return FLOOR + row * STEP;
  }

  /** Internal energy where an interval begins, J/kg. */
  public double rowEnergy(int row, double burned) {
    int i = 4 * row;
    return table[i] + burned * (table[i + 1] - table[i]);
  }

  /** Specific heat at constant volume within an interval, J/(kg K). */
  public double rowCv(int row, double burned) {
    int i = 4 * row;
    return table[i + 2] + burned * (table[i + 3] - table[i + 2]);
  }

  /** Internal energy, J/kg, with the elements at 298.15 K as the datum. */
  public double energy(double temperature, double burned) {
    int k = row(temperature);
    int i = 4 * k;
    double d = temperature - (FLOOR + k * STEP);
    double fresh = table[i] + d * table[i + 2];
    return fresh + burned * (table[i + 1] + d * table[i + 3] - fresh);
  }

  /**
   * Energy of burned gas less that of fresh charge at the same temperature, J/kg.
   *
   * @param row interval in which the temperature lies
   */
  public double energyOfBurning(int row, double temperature) {
    int i = 4 * row;
    double d = temperature - (FLOOR + row * STEP);
    return table[i + 1] - table[i] + d * (table[i + 3] - table[i + 2]);
  }

  /** Specific heat at constant volume, J/(kg K). */
  public double cv(double temperature, double burned) {
    return rowCv(row(temperature), burned);
  }

  /** Ratio of specific heats. */
  public double gamma(double temperature, double burned) {
    return 1 + gasConstant(burned) / cv(temperature, burned);
  }

  /** Enthalpy, J/kg, with the elements at 298.15 K as the datum. */
  public double enthalpy(double temperature, double burned) {
    return energy(temperature, burned) + gasConstant(burned) * temperature;
  }

  /** Internal energy of this gas less that of another, both as hot and as far burned, J/kg. */
  public double energyOver(WorkingGas other, double temperature, double burned) {
    return other == this ? 0 : energy(temperature, burned) - other.energy(temperature, burned);
  }

  /** Enthalpy of this gas, J/kg, as hot as another that has this enthalpy. */
  public double enthalpyLike(WorkingGas other, double enthalpy, double burned) {
    if (other == this) {
      return enthalpy;
    }
    double t = 600;
    for (int pass = 0; pass < PASSES; pass++) {
      double slope = other.cv(t, burned) + other.gasConstant(burned);
      t = Math.clamp(t + (enthalpy - other.enthalpy(t, burned)) / slope, FLOOR, CEILING);
    }
    return enthalpy(t, burned);
  }

  /**
   * Temperature of a given internal energy: one exact step inside the table's interval, from a
   * guess, and a second only when the guess lay in another interval.
   */
  public double temperature(double energy, double burned, double guess) {
    double t = guess;
    int k = row(t);
    for (int tries = 0; tries < 60; tries++) {
      int i = 4 * k;
      double e = table[i] + burned * (table[i + 1] - table[i]);
      double cv = table[i + 2] + burned * (table[i + 3] - table[i + 2]);
      t = FLOOR + k * STEP + (energy - e) / cv;
      int next = row(t);
      if (next == k || tries > 4 && Math.abs(next - k) <= 1) {
        return t;
      }
      k = next;
    }
    return t;
  }
}
