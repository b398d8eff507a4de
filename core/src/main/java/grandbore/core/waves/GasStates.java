package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;

/**
 * What the gas of every cell is by what the cell holds. With m, mu, E, mᵦ of a cubic metre,
 *
 * <p>u = mu / m, y = mᵦ / m, e = E / m − u² / 2, T from e(T, y), p = m R(y) T, γ = 1 + R / cᵥ, a² =
 * γ R T.
 *
 * <p>Energy is straight in temperature within an interval of the gas's table, so that one step
 * finds T where it stays in the interval it lay in; each cell keeps its interval's numbers. Loops
 * run through all places, have no branches and read nothing beside the place they write, so that
 * the compiler makes them of the processor's vector instructions.
 */
final class GasStates {
  /** Below this share it is dust, and numbers that fade out slow the processor down. */
  private static final double TRACE = 1e-10;

  private final WorkingGas gas;
  private final int places;

  final double[] velocity;
  final double[] pressure;
  final double[] temperature;
  final double[] burned;
  final double[] gamma;
  final double[] sound;

  /** One over the density, m³/kg. */
  final double[] specific;

  // Energy near a cell's state is p / ρ times the first, plus the second, plus the third for each
  // step of the burned share away from the cell's.
  final double[] heatShare;
  final double[] heatDatum;
  final double[] heatOfBurning;

  /** Internal energy, J/kg. */
  private final double[] inner;

  // Of the interval of the table in which a cell's temperature lies: where it begins, K; energy
  // there, J/kg, and specific heat, J/(kg K), of fresh gas, and what is more of them in burned gas.
  private final double[] begin;
  private final double[] freshEnergy;
  private final double[] moreEnergy;
  private final double[] freshHeat;
  private final double[] moreHeat;

  GasStates(WorkingGas gas, int places) {
    this.gas = gas;
    this.places = places;
    velocity = new double[places];
    pressure = new double[places];
    temperature = new double[places];
    burned = new double[places];
    gamma = new double[places];
    sound = new double[places];
    specific = new double[places];
    heatShare = new double[places];
    heatDatum = new double[places];
    heatOfBurning = new double[places];
    inner = new double[places];
    begin = new double[places];
    freshEnergy = new double[places];
    moreEnergy = new double[places];
    freshHeat = new double[places];
    moreHeat = new double[places];
  }

  /** Of one place, SI; near is a temperature to begin from, K. */
  void set(
      int i, double density, double momentum, double energy, double[] burnedMass, double near) {
    specific[i] = 1 / density;
    velocity[i] = momentum * specific[i];
    double y = burnedMass[i] * specific[i];
    if (y < TRACE) {
      y = 0;
      burnedMass[i] = 0;
    }
    burned[i] = Math.min(y, 1);
    inner[i] = energy * specific[i] - 0.5 * velocity[i] * velocity[i];
    seek(i, near);
    closeFrom(i, density);
  }

  /** Finds temperature and interval from somewhere near. */
  private void seek(int i, double near) {
    temperature[i] = gas.temperature(inner[i], burned[i], near);
    int row = WorkingGas.row(temperature[i]);
    begin[i] = WorkingGas.rowStart(row);
    freshEnergy[i] = gas.rowEnergy(row, 0);
    moreEnergy[i] = gas.rowEnergy(row, 1) - freshEnergy[i];
    freshHeat[i] = gas.rowCv(row, 0);
    moreHeat[i] = gas.rowCv(row, 1) - freshHeat[i];
  }

  private void closeFrom(int i, double density) {
    double r = gas.gasConstant(burned[i]);
    double cv = freshHeat[i] + burned[i] * moreHeat[i];
    gamma[i] = 1 + r / cv;
    pressure[i] = density * (r * temperature[i]);
    sound[i] = Math.sqrt(gamma[i] * (r * temperature[i]));
    heatShare[i] = cv / r;
    heatDatum[i] = inner[i] - cv * temperature[i];
    heatOfBurning[i] = moreEnergy[i] + (temperature[i] - begin[i]) * moreHeat[i];
  }

  /** Of all places. */
  void recover(double[] density, double[] momentum, double[] energy, double[] burnedMass) {
    move(density, momentum, specific, velocity, places);
    share(burnedMass, specific, burned, places);
    hold(energy, specific, velocity, inner, places);
    warm(inner, burned, begin, freshEnergy, moreEnergy, freshHeat, moreHeat, temperature, places);
    for (int i = 0; i < places; i++) {
      double beyond = temperature[i] - begin[i];
      if (!(beyond >= 0 && beyond < WorkingGas.STEP)) {
        seek(i, temperature[i]);
      }
    }
    double fresh = gas.freshR();
    double more = gas.gasConstant(1) - fresh;
    press(fresh, more, burned, temperature, freshHeat, moreHeat, density, gamma, pressure, places);
    sing(gamma, pressure, specific, sound, places);
    slope(fresh, more, burned, freshHeat, moreHeat, heatShare, places);
    datum(inner, burned, freshHeat, moreHeat, temperature, heatDatum, places);
    burn(moreEnergy, moreHeat, temperature, begin, heatOfBurning, places);
  }

  private static void move(double[] rho, double[] momentum, double[] specific, double[] u, int n) {
    for (int i = 0; i < n; i++) {
      double each = 1 / rho[i];
      specific[i] = each;
      u[i] = momentum[i] * each;
    }
  }

  private static void share(double[] burnedMass, double[] specific, double[] y, int n) {
    for (int i = 0; i < n; i++) {
      double is = burnedMass[i] * specific[i];
      double more = Math.signum(is - TRACE);
      double counts = 0.5 * (more * more + more);
      y[i] = 0.5 * (1 + is - Math.abs(1 - is)) * counts;
      burnedMass[i] *= counts;
    }
  }

  private static void hold(double[] energy, double[] specific, double[] u, double[] e, int n) {
    for (int i = 0; i < n; i++) {
      e[i] = energy[i] * specific[i] - 0.5 * u[i] * u[i];
    }
  }

  private static void warm(
      double[] e,
      double[] y,
      double[] begin,
      double[] freshEnergy,
      double[] moreEnergy,
      double[] freshHeat,
      double[] moreHeat,
      double[] t,
      int n) {
    for (int i = 0; i < n; i++) {
      double over = e[i] - (freshEnergy[i] + y[i] * moreEnergy[i]);
      t[i] = begin[i] + over / (freshHeat[i] + y[i] * moreHeat[i]);
    }
  }

  private static void press(
      double fresh,
      double more,
      double[] y,
      double[] t,
      double[] freshHeat,
      double[] moreHeat,
      double[] rho,
      double[] gamma,
      double[] p,
      int n) {
    for (int i = 0; i < n; i++) {
      double r = fresh + y[i] * more;
      gamma[i] = 1 + r / (freshHeat[i] + y[i] * moreHeat[i]);
      p[i] = rho[i] * (r * t[i]);
    }
  }

  private static void sing(double[] gamma, double[] p, double[] specific, double[] a, int n) {
    for (int i = 0; i < n; i++) {
      a[i] = Math.sqrt(gamma[i] * p[i] * specific[i]);
    }
  }

  private static void slope(
      double fresh,
      double more,
      double[] y,
      double[] freshHeat,
      double[] moreHeat,
      double[] heatShare,
      int n) {
    for (int i = 0; i < n; i++) {
      heatShare[i] = (freshHeat[i] + y[i] * moreHeat[i]) / (fresh + y[i] * more);
    }
  }

  private static void datum(
      double[] e,
      double[] y,
      double[] freshHeat,
      double[] moreHeat,
      double[] t,
      double[] heatDatum,
      int n) {
    for (int i = 0; i < n; i++) {
      heatDatum[i] = e[i] - (freshHeat[i] + y[i] * moreHeat[i]) * t[i];
    }
  }

  private static void burn(
      double[] moreEnergy, double[] moreHeat, double[] t, double[] begin, double[] heat, int n) {
    for (int i = 0; i < n; i++) {
      heat[i] = moreEnergy[i] + (t[i] - begin[i]) * moreHeat[i];
    }
  }
}
