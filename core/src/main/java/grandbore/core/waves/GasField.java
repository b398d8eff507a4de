package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;
import java.util.List;

/**
 * The gas of many pipes in flat arrays, one a field, so that a step runs through all cells at once.
 * A pipe of n cells takes n + 1 places: cell i lies between the faces i and i + 1, and the last
 * place holds only the last face.
 *
 * <p>Conservative finite volumes of second order: MUSCL-Hancock with the HLLC flux (E. F. Toro,
 * <i>Riemann Solvers and Numerical Methods for Fluid Dynamics</i>, chapters 10, 13 and 14). The
 * pressure on the side walls enters each cell as p (A right − A left), so gas at rest in a taper
 * stays at rest to the last bit.
 */
final class GasField {
  /** Courant number of the time step. */
  static final double COURANT = 0.9;

  /** Faces keep at least this share of their cell's density and pressure. */
  private static final double FLOOR = 0.05;

  /** Slopes over an end cell fade from this share of its own value on, and are gone at twice it. */
  private static final double STEEP = 0.9;

  private static final double TRACE = 1e-10;

  private final WorkingGas gas;
  private final int places;
  private final int[] starts;
  private final int[] ends;

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

  // Primitive.
  final double[] velocity;
  final double[] pressure;
  final double[] temperature;
  final double[] burned;
  final double[] gamma;
  final double[] sound;

  // Energy near a cell's state is p / ρ times the first, plus the second, plus the third for each
  // step of the burned share away from the cell's.
  private final double[] heatShare;
  private final double[] heatDatum;
  private final double[] heatOfBurning;

  // Face states at the half step: left and right side of each cell.
  final double[] densityL;
  final double[] velocityL;
  final double[] pressureL;
  final double[] burnedL;
  final double[] densityR;
  final double[] velocityR;
  final double[] pressureR;
  final double[] burnedR;
  private final double[] halfPressure;

  // Fluxes through each face, times its area, in the direction of the pipe.
  final double[] massFlow;
  final double[] momentumFlow;
  final double[] energyFlow;
  final double[] burnedFlow;

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
    ends = new int[cells.size()];
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
    velocity = new double[n];
    pressure = new double[n];
    temperature = new double[n];
    burned = new double[n];
    gamma = new double[n];
    sound = new double[n];
    heatShare = new double[n];
    heatDatum = new double[n];
    heatOfBurning = new double[n];
    densityL = new double[n];
    velocityL = new double[n];
    pressureL = new double[n];
    burnedL = new double[n];
    densityR = new double[n];
    velocityR = new double[n];
    pressureR = new double[n];
    burnedR = new double[n];
    halfPressure = new double[n];
    massFlow = new double[n];
    momentumFlow = new double[n];
    energyFlow = new double[n];
    burnedFlow = new double[n];
    fromSide = new double[n];
    parting = new double[n];
    // Places that hold only a face keep still air, so that loops may run through them.
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
    temperature[i] = t;
    recover(i);
    fastest = Math.max(fastest, rate(i));
  }

  /** Takes over what another field holds from a place on. */
  void copy(GasField from, int at, int to, int cells) {
    for (int i = 0; i < cells; i++) {
      density[to + i] = from.density[at + i];
      momentum[to + i] = from.momentum[at + i];
      energy[to + i] = from.energy[at + i];
      burnedMass[to + i] = from.burnedMass[at + i];
      temperature[to + i] = from.temperature[at + i];
      recover(to + i);
    }
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
      fastest = Math.max(fastest, rate(to + i));
    }
    walls.copy(from.walls, at, to, cells);
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
      least = Math.min(least, volume[i] / sound[i]);
    }
    return COURANT * least / sideArea;
  }

  private void recover(int i) {
    double rho = density[i];
    double specific = 1 / rho;
    double u = momentum[i] * specific;
    double y = burnedMass[i] * specific;
    if (y < TRACE) {
      // Below this it is dust, and numbers that fade out slow the processor down.
      y = 0;
      burnedMass[i] = 0;
    }
    y = y > 1 ? 1 : y;
    double e = energy[i] * specific - 0.5 * u * u;
    // Nearly always it lies in the interval it lay in: one step there is exact.
    int row = WorkingGas.row(temperature[i]);
    double cv = gas.rowCv(row, y);
    double each = 1 / cv;
    double t = WorkingGas.rowStart(row) + (e - gas.rowEnergy(row, y)) * each;
    if (WorkingGas.row(t) != row) {
      t = gas.temperature(e, y, t);
      row = WorkingGas.row(t);
      cv = gas.rowCv(row, y);
      each = 1 / cv;
    }
    double r = gas.gasConstant(y);
    double square = r * t;
    double share = cv / r;
    double g = 1 + r * each;
    velocity[i] = u;
    burned[i] = y;
    temperature[i] = t;
    pressure[i] = rho * square;
    gamma[i] = g;
    sound[i] = Math.sqrt(g * square);
    heatShare[i] = share;
    heatDatum[i] = e - cv * t;
    heatOfBurning[i] = gas.energyOfBurning(row, t);
  }

  /** How often waves cross what they may cross in a step, 1/s. */
  private double rate(int i) {
    return (Math.abs(velocity[i]) + sound[i]) * perReach[i];
  }

  /** The longest stable time step now, s. */
  double stableStep() {
    return COURANT / fastest;
  }

  /** Finds what walls do to the gas as it moves now. */
  void refreshWalls() {
    walls.refresh(this, places);
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
    double half = 0.5 * dt;
    for (int k = 0; k < starts.length; k++) {
      sweep(starts[k], ends[k], half);
      if (hasSides) {
        part(starts[k], ends[k]);
      }
      fluxes(starts[k], ends[k]);
    }
  }

  /** Speeds at the faces of cells that take or give to the side. */
  private void part(int start, int end) {
    for (int i = start; i < end; i++) {
      velocityL[i] -= parting[i];
      velocityR[i] += parting[i];
    }
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

  /** Slopes and half-time states of one pipe, cell after cell. */
  private void sweep(int start, int end, double half) {
    double rho = density[start];
    double u = velocity[start];
    double p = pressure[start];
    double y = burned[start];
    // Differences over the face on the left of a cell; at an end those of the next face.
    double stepRho = density[start + 1] - rho;
    double stepU = velocity[start + 1] - u;
    double stepP = pressure[start + 1] - p;
    double stepY = burned[start + 1] - y;
    boolean sides = hasSides;
    for (int i = start; i < end; i++) {
      boolean last = i == end - 1;
      double rhoNext = last ? rho : density[i + 1];
      double uNext = last ? u : velocity[i + 1];
      double pNext = last ? p : pressure[i + 1];
      double yNext = last ? y : burned[i + 1];
      double dRho;
      double du;
      double dp;
      double dy;
      if (last || i == start) {
        double kept = kept(stepRho, rho, stepP, p);
        dRho = kept * stepRho;
        du = kept * stepU;
        dp = kept * stepP;
        dy = kept * stepY;
      } else {
        dRho = limited(stepRho, rhoNext - rho);
        du = limited(stepU, uNext - u);
        dp = limited(stepP, pNext - p);
        dy = limited(stepY, yNext - y);
      }
      if (sides && parting[i] != 0) {
        // What parts its faces' speeds is what comes from the side; it does not spread the gas.
        du = 0;
      }
      double k = half * perLength[i];
      double spread = du + u * taper[i];
      double rhoHalf = rho - k * (u * dRho + rho * spread);
      double uHalf = u - k * (u * du + dp / rho);
      double pHalf = p - k * (u * dp + gamma[i] * p * spread);
      double yHalf = y - k * u * dy;
      double least = FLOOR * rho;
      double slack = FLOOR * p;
      double rhoL = atLeast(least, rhoHalf - 0.5 * dRho);
      double uL = uHalf - 0.5 * du;
      double pL = atLeast(slack, pHalf - 0.5 * dp);
      double yL = yHalf - 0.5 * dy;
      halfPressure[i] = atLeast(slack, pHalf);
      densityL[i] = rhoL;
      velocityL[i] = uL;
      pressureL[i] = pL;
      burnedL[i] = yL;
      densityR[i] = atLeast(least, rhoHalf + 0.5 * dRho);
      velocityR[i] = uHalf + 0.5 * du;
      pressureR[i] = atLeast(slack, pHalf + 0.5 * dp);
      burnedR[i] = yHalf + 0.5 * dy;
      if (!last) {
        stepRho = rhoNext - rho;
        stepU = uNext - u;
        stepP = pNext - p;
        stepY = yNext - y;
        rho = rhoNext;
        u = uNext;
        p = pNext;
        y = yNext;
      }
    }
  }

  /** How much of an end cell's slopes stands: an end that switched would chatter. */
  private static double kept(double stepRho, double rho, double stepP, double p) {
    double steepest = Math.max(Math.abs(stepRho) / rho, Math.abs(stepP) / p);
    return Math.clamp(2 - steepest / STEEP, 0, 1);
  }

  private static double atLeast(double least, double value) {
    return value > least ? value : least;
  }

  /** The central slope, bounded by twice the smaller difference; none at an extreme. */
  private static double limited(double a, double b) {
    if (a * b <= 0) {
      return 0;
    }
    double mean = 0.5 * (a + b);
    double one = Math.abs(a);
    double other = Math.abs(b);
    double bound = 2 * (one < other ? one : other);
    return Math.abs(mean) < bound ? mean : mean > 0 ? bound : -bound;
  }

  /** HLLC through the inner faces: only the side the contact moves away from is built. */
  private void fluxes(int start, int end) {
    for (int f = start + 1; f < end; f++) {
      int l = f - 1;
      double rhoL = densityR[l];
      double uL = velocityR[l];
      double pL = pressureR[l];
      double rhoR = densityL[f];
      double uR = velocityL[f];
      double pR = pressureL[f];
      double backL = uL - sound[l];
      double backR = uR - sound[f];
      double foreL = uL + sound[l];
      double foreR = uR + sound[f];
      double sL = backL < backR ? backL : backR;
      double sR = foreL > foreR ? foreL : foreR;
      double mL = rhoL * (sL - uL);
      double mR = rhoR * (sR - uR);
      double star = (pR - pL + mL * uL - mR * uR) / (mL - mR);
      boolean out = star >= 0;
      int c = out ? l : f;
      double rho = out ? rhoL : rhoR;
      double u = out ? uL : uR;
      double p = out ? pL : pR;
      double y = out ? burnedR[l] : burnedL[f];
      double s = out ? sL : sR;
      double m = out ? mL : mR;
      double square = p / rho;
      double e =
          square * heatShare[c] + heatDatum[c] + (y - burned[c]) * heatOfBurning[c] + 0.5 * u * u;
      double speed = star;
      double flow;
      double force;
      double power;
      if (out ? s < 0 : s > 0) {
        double push = star - u;
        flow = m / (s - star) * star;
        force = p + m * push;
        power = flow * (e + push * (star + p / m)) + star * force;
      } else {
        speed = u;
        flow = rho * u;
        force = p;
        power = flow * (e + square);
      }
      double a = area[f];
      massFlow[f] = flow * a;
      momentumFlow[f] = (flow * speed + force) * a;
      energyFlow[f] = power * a;
      burnedFlow[f] = flow * y * a;
    }
  }

  /** Second half of a step, once the end fluxes stand. */
  void update(double dt) {
    if (hasSides) {
      side(dt);
    }
    double most = 0;
    for (int k = 0; k < starts.length; k++) {
      int end = ends[k];
      for (int i = starts[k]; i < end; i++) {
        double share = dt * perVolume[i];
        double rho = density[i] + share * (massFlow[i] - massFlow[i + 1]);
        double mom =
            momentum[i]
                + share * (momentumFlow[i] - momentumFlow[i + 1] + halfPressure[i] * areaStep[i]);
        density[i] = rho;
        momentum[i] = mom / (1 + dt * walls.friction[i] * Math.abs(velocity[i]));
        energy[i] +=
            share * (energyFlow[i] - energyFlow[i + 1])
                + walls.give(i, temperature[i], dt, volume[i]);
        burnedMass[i] += share * (burnedFlow[i] - burnedFlow[i + 1]);
        recover(i);
        double rate = rate(i);
        most = rate > most ? rate : most;
      }
    }
    fastest = most;
  }
}
