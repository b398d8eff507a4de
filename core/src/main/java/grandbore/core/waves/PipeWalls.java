package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;

/**
 * What walls do to the gas: Fanning's friction with Blasius' factor, losses of bends, and heat by
 * Colburn's analogy from the friction of a smooth pipe. Refreshed when asked; and how hot the walls
 * are by what they took from the gas since they were last balanced.
 */
final class PipeWalls {
  private static final double PRANDTL_TERM = 1.26;
  private static final double LAMINAR = 2000;
  private static final double STILL_AIR = 4;

  /** Gas and walls that go on answering each other from cycle to cycle would not settle. */
  private static final double RELAX = 0.5;

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

  /** What each wall gives its heat to; {@code null} where it is kept. */
  private final Wall[] outside;

  // Sums since the last balance, W/(m³ K) and W/m³.
  private final double[] heatSum;
  private final double[] heatTimesGas;
  private int samples;

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
    outside = new Wall[places];
    heatSum = new double[places];
    heatTimesGas = new double[places];
  }

  void set(int i, double across, PipeShape.Section section) {
    diameter[i] = across;
    wallTemperature[i] = section.wall().temperature();
    outside[i] = section.wall().outward(section.wall().temperature()) > 0 ? section.wall() : null;
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
    System.arraycopy(from.outside, at, outside, to, cells);
  }

  /** Takes over how hot another's wall is. */
  void heatAs(PipeWalls from, int at, int to) {
    if (outside[to] != null && from.outside[at] != null) {
      wallTemperature[to] = from.wallTemperature[at];
    }
  }

  double temperature(int i) {
    return wallTemperature[i];
  }

  /** Moves all walls that are not kept so many times as far from their outside. */
  void guess(int places, double times) {
    for (int i = 0; i < places; i++) {
      if (outside[i] != null) {
        wallTemperature[i] = outside[i].moved(wallTemperature[i], times);
      }
    }
  }

  /** Makes every wall as hot as what it took since the last time and what it gives away want. */
  void balance(int places) {
    for (int i = 0; i < places; i++) {
      if (outside[i] != null) {
        double wanted =
            outside[i].balanced(
                heatSum[i], heatTimesGas[i], 4 / diameter[i] * samples, wallTemperature[i]);
        wallTemperature[i] += RELAX * (wanted - wallTemperature[i]);
      }
      heatSum[i] = 0;
      heatTimesGas[i] = 0;
    }
    samples = 0;
  }

  void refresh(double[] density, GasStates states, int places) {
    for (int i = 0; i < places; i++) {
      if (diameter[i] == 0) {
        continue;
      }
      double t = states.temperature[i];
      double viscosity = 1.458e-6 * t * Math.sqrt(t) / (t + 110.4);
      double speed = Math.abs(states.velocity[i]);
      double reynolds = Math.max(LAMINAR, density[i] * speed * diameter[i] / viscosity);
      double smooth = 0.0791 / Math.sqrt(Math.sqrt(reynolds));
      friction[i] = 2 * roughness[i] * smooth / diameter[i] + 0.5 * bends[i];
      double y = states.burned[i];
      double cp = gas.cv(t, y) + gas.gasConstant(y);
      double least = heatFactor[i] > 0 ? STILL_AIR : 0;
      double h =
          Math.max(least, heatFactor[i] * 0.5 * smooth * density[i] * speed * cp * PRANDTL_TERM);
      heat[i] = 4 * h / diameter[i];
      heatSum[i] += heat[i];
      heatTimesGas[i] += heat[i] * t;
    }
    samples++;
  }

  /** Heat given to every cell in a step, J/m³. */
  void give(double[] gasTemperature, double[] volume, double dt, double[] heatGiven, int places) {
    pass(dt, heat, wallTemperature, gasTemperature, heatGiven, places);
    sum(heatGiven, volume, given, places);
  }

  private static void pass(
      double dt, double[] heat, double[] wall, double[] gas, double[] heatGiven, int n) {
    for (int i = 0; i < n; i++) {
      heatGiven[i] = heat[i] * (wall[i] - gas[i]) * dt;
    }
  }

  private static void sum(double[] heatGiven, double[] volume, double[] given, int n) {
    for (int i = 0; i < n; i++) {
      given[i] += heatGiven[i] * volume[i];
    }
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
