package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;
import java.util.List;

/**
 * The gas of many pipes in flat arrays, one a field, so that a step runs through all cells at once.
 * A pipe of n cells takes n + 1 places: cell i lies between the faces i and i + 1, and the last
 * place holds only the last face, and still air, so that loops may run through it.
 *
 * <p>Conservative finite volumes of second order: MUSCL-Hancock ({@link HalfStep}) with the HLLC
 * flux ({@link FaceFlows}). The pressure on the side walls enters each cell as p (A right − A
 * left), so gas at rest in a taper stays at rest to the last bit.
 */
final class GasField {
  /** Courant number of the time step. */
  static final double COURANT = 0.9;

  private final WorkingGas gas;
  private final int places;
  private final int[] starts;

  final double[] area;
  final double[] areaStep;
  final double[] taper;
  final double[] volume;
  final double[] perVolume;
  final double[] perLength;

  /** One over the length that a wave may run in a step, 1/m: less where the section jumps. */
  final double[] perReach;

  final PipeWalls walls;

  // Conserved, a cubic metre: mass, momentum, energy, burned mass.
  final double[] density;
  final double[] momentum;
  final double[] energy;
  final double[] burnedMass;

  final GasStates states;
  final HalfStep half;
  final FaceFlows flows;

  /** What the walls give in a step, J/m³. */
  private final double[] fromWall;

  /** What came into each cell from the side in this step, kg. */
  private final double[] fromSide;

  /** Half of the speed by which that parts a cell's two faces, m/s. */
  private final double[] parting;

  /** Whether anything ever came from a side. */
  private boolean hasSides;

  private double fastest;

  /**
   * @param cells of each pipe
   */
  GasField(WorkingGas gas, List<Integer> cells) {
    this.gas = gas;
    starts = new int[cells.size()];
    var ends = new int[cells.size()];
    int n = 0;
    for (int k = 0; k < starts.length; k++) {
      starts[k] = n;
      ends[k] = n + cells.get(k);
      n = ends[k] + 1;
    }
    places = n;
    area = new double[n];
    areaStep = new double[n];
    taper = new double[n];
    volume = new double[n];
    perVolume = new double[n];
    perLength = new double[n];
    perReach = new double[n];
    walls = new PipeWalls(gas, n);
    density = new double[n];
    momentum = new double[n];
    energy = new double[n];
    burnedMass = new double[n];
    states = new GasStates(gas, n);
    half = new HalfStep(starts, ends, n);
    flows = new FaceFlows(starts, ends, n);
    fromWall = new double[n];
    fromSide = new double[n];
    parting = new double[n];
    for (int k = 0; k < ends.length; k++) {
      set(ends[k], 1e5, 300, 0, 0);
    }
  }

  int start(int pipe) {
    return starts[pipe];
  }

  /** Sets one place, in SI. */
  void set(int i, double p, double t, double u, double burnedShare) {
    density[i] = p / (gas.gasConstant(burnedShare) * t);
    momentum[i] = density[i] * u;
    energy[i] = density[i] * (gas.energy(t, burnedShare) + 0.5 * u * u);
    burnedMass[i] = density[i] * burnedShare;
    settle(i, t);
  }

  /** Takes over what another field holds from a place on. */
  void copy(GasField from, int at, int to, int cells) {
    for (int i = 0; i <= cells; i++) {
      area[to + i] = from.area[at + i];
      areaStep[to + i] = from.areaStep[at + i];
      taper[to + i] = from.taper[at + i];
      volume[to + i] = from.volume[at + i];
      perVolume[to + i] = from.perVolume[at + i];
      perLength[to + i] = from.perLength[at + i];
      perReach[to + i] = from.perReach[at + i];
    }
    for (int i = 0; i < cells; i++) {
      density[to + i] = from.density[at + i];
      momentum[to + i] = from.momentum[at + i];
      energy[to + i] = from.energy[at + i];
      burnedMass[to + i] = from.burnedMass[at + i];
      settle(to + i, from.states.temperature[at + i]);
    }
    walls.copy(from.walls, at, to, cells);
  }

  private void settle(int i, double near) {
    states.set(i, near, density, momentum, energy, burnedMass);
    double rate = (Math.abs(states.velocity[i]) + states.sound[i]) * perReach[i];
    fastest = Math.max(fastest, rate);
  }

  /**
   * What comes into a cell from the side, without momentum; what leaves takes its own along. In the
   * next step the speeds at the cell's faces differ by what comes, so that a steady flow to the
   * side needs no step of the pressure.
   */
  void receive(int i, double mass, double joules, double burnedIn) {
    hasSides = true;
    fromSide[i] += mass;
    double each = perVolume[i];
    if (mass < 0) {
      momentum[i] *= 1 + mass * each / density[i];
    }
    density[i] += mass * each;
    energy[i] += joules * each;
    burnedMass[i] += burnedIn * each;
  }

  /** The longest step in which an opening to the side does not throw a cell over, s. */
  double sideStep(int from, int cells, double sideArea) {
    double least = Double.MAX_VALUE;
    for (int i = from; i < from + cells; i++) {
      least = Math.min(least, volume[i] / states.sound[i]);
    }
    return COURANT * least / sideArea;
  }

  /** The longest stable time step now, s. */
  double stableStep() {
    return COURANT / fastest;
  }

  /** Finds what walls do to the gas as it moves now. */
  void refreshWalls() {
    walls.refresh(density, states, places);
  }

  /** Moves all walls that are not kept so many times as far from their outside. */
  void guessWalls(double times) {
    walls.guess(places, times);
  }

  /** Makes the walls as hot as what they took from the gas since the last time wants. */
  void balanceWalls() {
    walls.balance(places);
  }

  /** First half of a step: slopes, half-time face states, and the fluxes inside the pipes. */
  void predict(double dt) {
    half.run(0.5 * dt, perLength, taper, density, states, parting, hasSides);
    flows.run(half, states, area);
  }

  /** What came from the side in a step, as it parts the faces in the next. */
  private void side(double dt) {
    for (int i = 0; i < places; i++) {
      if (fromSide[i] != 0 || parting[i] != 0) {
        double mean = volume[i] * perLength[i];
        parting[i] = 0.5 * fromSide[i] / (dt * density[i] * mean);
        fromSide[i] = 0;
      }
    }
  }

  /** Second half of a step, once the end fluxes stand. */
  void update(double dt) {
    if (hasSides) {
      side(dt);
    }
    walls.give(states.temperature, volume, dt, fromWall, places);
    gain(dt, perVolume, flows.mass, density, places);
    pushed(dt, perVolume, flows.momentum, half.pressure, areaStep, momentum, places);
    slow(dt, walls.friction, states.velocity, momentum, places);
    gain(dt, perVolume, flows.energy, energy, places);
    add(fromWall, energy, places);
    gain(dt, perVolume, flows.burned, burnedMass, places);
    states.recover(density, momentum, energy, burnedMass);
    fastest = fastest(states.velocity, states.sound, perReach, places);
  }

  /** A place that holds only a face has no volume, and keeps what it has. */
  private static void gain(double dt, double[] perVolume, double[] flow, double[] held, int n) {
    for (int i = 0; i < n - 1; i++) {
      held[i] += dt * perVolume[i] * (flow[i] - flow[i + 1]);
    }
  }

  private static void pushed(
      double dt,
      double[] perVolume,
      double[] flow,
      double[] pressure,
      double[] areaStep,
      double[] momentum,
      int n) {
    for (int i = 0; i < n - 1; i++) {
      double force = flow[i] - flow[i + 1] + pressure[i] * areaStep[i];
      momentum[i] += dt * perVolume[i] * force;
    }
  }

  private static void slow(double dt, double[] friction, double[] u, double[] momentum, int n) {
    for (int i = 0; i < n; i++) {
      momentum[i] /= 1 + dt * friction[i] * Math.abs(u[i]);
    }
  }

  private static void add(double[] more, double[] held, int n) {
    for (int i = 0; i < n; i++) {
      held[i] += more[i];
    }
  }

  /** How often waves cross what they may cross in a step, at most, 1/s. */
  private static double fastest(double[] u, double[] a, double[] perReach, int n) {
    double most = 0;
    for (int i = 0; i < n; i++) {
      most = Math.max(most, (Math.abs(u[i]) + a[i]) * perReach[i]);
    }
    return most;
  }
}
