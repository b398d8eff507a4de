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

  /** Specific heat at constant volume, J/(kg K). */
  private final double[] heat;

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
    heat = new double[places];
  }

  /** Of one place, whose temperature lies near one, K. */
  void set(
      int i,
      double near,
      double[] density,
      double[] momentum,
      double[] energy,
      double[] burnedMass) {
    enter(i, WorkingGas.row(near));
    recover(i, i + 1, density, momentum, energy, burnedMass);
  }

  /** Takes the numbers of an interval of the table. */
  private void enter(int i, int row) {
    begin[i] = WorkingGas.rowStart(row);
    freshEnergy[i] = gas.rowEnergy(row, 0);
    moreEnergy[i] = gas.rowEnergy(row, 1) - freshEnergy[i];
    freshHeat[i] = gas.rowCv(row, 0);
    moreHeat[i] = gas.rowCv(row, 1) - freshHeat[i];
  }

  /** Of all places. */
  void recover(double[] density, double[] momentum, double[] energy, double[] burnedMass) {
    recover(0, places, density, momentum, energy, burnedMass);
  }

  private void recover(
      int from, int to, double[] density, double[] momentum, double[] energy, double[] burnedMass) {
    move(density, momentum, specific, velocity, from, to);
    share(burnedMass, specific, burned, from, to);
    hold(energy, specific, velocity, inner, from, to);
    capacity(burned, freshHeat, moreHeat, heat, from, to);
    warm(inner, burned, begin, freshEnergy, moreEnergy, heat, temperature, from, to);
    for (int i = from; i < to; i++) {
      double beyond = temperature[i] - begin[i];
      if (!(beyond >= 0 && beyond < WorkingGas.STEP)) {
        temperature[i] = gas.temperature(inner[i], burned[i], temperature[i]);
        enter(i, WorkingGas.row(temperature[i]));
        heat[i] = freshHeat[i] + burned[i] * moreHeat[i];
      }
    }
    double fresh = gas.freshR();
    double more = gas.gasConstant(1) - fresh;
    press(fresh, more, burned, temperature, heat, density, gamma, pressure, from, to);
    slope(fresh, more, burned, heat, heatShare, from, to);
    sing(gamma, pressure, specific, sound, from, to);
    datum(inner, heat, temperature, heatDatum, from, to);
    burn(moreEnergy, moreHeat, temperature, begin, heatOfBurning, from, to);
  }

  private static void move(
      double[] rho, double[] momentum, double[] specific, double[] u, int from, int to) {
    for (int i = from; i < to; i++) {
      double each = 1 / rho[i];
      specific[i] = each;
      u[i] = momentum[i] * each;
    }
  }

  private static void share(double[] burnedMass, double[] specific, double[] y, int from, int to) {
    for (int i = from; i < to; i++) {
      double is = burnedMass[i] * specific[i];
      double counts = Choice.ifPositive(is - TRACE);
      y[i] = Choice.lesser(1, is) * counts;
      burnedMass[i] *= counts;
    }
  }

  private static void hold(
      double[] energy, double[] specific, double[] u, double[] e, int from, int to) {
    for (int i = from; i < to; i++) {
      e[i] = energy[i] * specific[i] - 0.5 * u[i] * u[i];
    }
  }

  private static void capacity(
      double[] y, double[] freshHeat, double[] moreHeat, double[] heat, int from, int to) {
    for (int i = from; i < to; i++) {
      heat[i] = freshHeat[i] + y[i] * moreHeat[i];
    }
  }

  private static void warm(
      double[] e,
      double[] y,
      double[] begin,
      double[] freshEnergy,
      double[] moreEnergy,
      double[] heat,
      double[] t,
      int from,
      int to) {
    for (int i = from; i < to; i++) {
      t[i] = begin[i] + (e[i] - (freshEnergy[i] + y[i] * moreEnergy[i])) / heat[i];
    }
  }

  private static void press(
      double fresh,
      double more,
      double[] y,
      double[] t,
      double[] heat,
      double[] rho,
      double[] gamma,
      double[] p,
      int from,
      int to) {
    for (int i = from; i < to; i++) {
      double r = fresh + y[i] * more;
      gamma[i] = 1 + r / heat[i];
      p[i] = rho[i] * (r * t[i]);
    }
  }

  private static void sing(
      double[] gamma, double[] p, double[] specific, double[] a, int from, int to) {
    for (int i = from; i < to; i++) {
      a[i] = Math.sqrt(gamma[i] * p[i] * specific[i]);
    }
  }

  private static void slope(
      double fresh, double more, double[] y, double[] heat, double[] share, int from, int to) {
    for (int i = from; i < to; i++) {
      share[i] = heat[i] / (fresh + y[i] * more);
    }
  }

  private static void datum(
      double[] e, double[] heat, double[] t, double[] heatDatum, int from, int to) {
    for (int i = from; i < to; i++) {
      heatDatum[i] = e[i] - heat[i] * t[i];
    }
  }

  private static void burn(
      double[] moreEnergy,
      double[] moreHeat,
      double[] t,
      double[] begin,
      double[] heat,
      int from,
      int to) {
    for (int i = from; i < to; i++) {
      heat[i] = moreEnergy[i] + (t[i] - begin[i]) * moreHeat[i];
    }
  }
}
