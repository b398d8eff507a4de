package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;

/**
 * What walls do to the gas: Fanning's friction with Blasius' factor, losses of bends, and heat by
 * Colburn's analogy from the friction of a smooth pipe. Refreshed when asked.
 */
final class PipeWalls {
  private static final double PRANDTL_TERM = 1.26;
  private static final double LAMINAR = 2000;
  private static final double STILL_AIR = 4;

  private final WorkingGas gas;
  private final double[] diameter;
  private final double[] wallTemperature;
  private final double[] roughness;
  private final double[] heatFactor;

  /** Velocity heads lost in bends, a metre. */
  private final double[] bends;

  /** Deceleration over the square of velocity, 1/m. */
  final double[] friction;

  /** W/(m³ K). */
  private final double[] heat;

  private final double[] given;

  PipeWalls(WorkingGas gas, int places) {
    this.gas = gas;
    diameter = new double[places];
    wallTemperature = new double[places];
    roughness = new double[places];
    heatFactor = new double[places];
    bends = new double[places];
    friction = new double[places];
    heat = new double[places];
    given = new double[places];
  }

  void set(int i, double across, PipeShape.Section section) {
    diameter[i] = across;
    wallTemperature[i] = section.wallTemperature();
    roughness[i] = section.frictionFactor();
    heatFactor[i] = section.heatFactor();
    bends[i] = section.bendLoss() / section.length();
  }

  void copy(PipeWalls from, int at, int to, int cells) {
    System.arraycopy(from.diameter, at, diameter, to, cells);
    System.arraycopy(from.wallTemperature, at, wallTemperature, to, cells);
    System.arraycopy(from.roughness, at, roughness, to, cells);
    System.arraycopy(from.heatFactor, at, heatFactor, to, cells);
    System.arraycopy(from.bends, at, bends, to, cells);
  }

  void refresh(GasField field, int places) {
    for (int i = 0; i < places; i++) {
      if (diameter[i] == 0) {
        continue;
      }
      double t = field.temperature[i];
      double viscosity = 1.458e-6 * t * Math.sqrt(t) / (t + 110.4);
      double speed = Math.abs(field.velocity[i]);
      double reynolds = Math.max(LAMINAR, field.density[i] * speed * diameter[i] / viscosity);
      double smooth = 0.0791 / Math.sqrt(Math.sqrt(reynolds));
      friction[i] = 2 * roughness[i] * smooth / diameter[i] + 0.5 * bends[i];
      double y = field.burned[i];
      double cp = gas.cv(t, y) + gas.gasConstant(y);
      double least = heatFactor[i] > 0 ? STILL_AIR : 0;
      double h =
          Math.max(
              least, heatFactor[i] * 0.5 * smooth * field.density[i] * speed * cp * PRANDTL_TERM);
      heat[i] = 4 * h / diameter[i];
    }
  }

  /** Heat given to a cell in a step, J/m³. */
  double give(int i, double gasTemperature, double dt, double volume) {
    double q = heat[i] * (wallTemperature[i] - gasTemperature) * dt;
    given[i] += q * volume;
    return q;
  }

  /** Heat given to the gas of some cells since the start, J. */
  double given(int from, int cells) {
    double sum = 0;
    for (int i = from; i < from + cells; i++) {
      sum += given[i];
    }
    return sum;
  }
}
