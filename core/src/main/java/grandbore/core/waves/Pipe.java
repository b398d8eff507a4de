package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;

/**
 * One-dimensional unsteady gas flow in a pipe of varying section, with wall friction, wall heat and
 * transport of the burned share.
 *
 * <p>Conservative finite volumes of second order: MUSCL-Hancock with the HLLC flux (E. F. Toro,
 * <i>Riemann Solvers and Numerical Methods for Fluid Dynamics</i>, chapters 10, 13 and 14). The
 * pressure on the side walls enters each cell as p (A right − A left), so gas at rest in a taper
 * stays at rest to the last bit. Friction is Fanning's with Blasius' factor, wall heat follows from
 * it by Colburn's analogy.
 */
public final class Pipe {
  /** Courant number of the time step. */
  static final double COURANT = 0.9;

  private static final int WALL_REFRESH = 16;
  private static final double PRANDTL_TERM = 1.26;

  private final WorkingGas gas;
  private final int cells;
  private final double cellLength;

  /** Face areas, m², one more than there are cells. */
  private final double[] area;

  /** Cell volumes, m³. */
  private final double[] volume;

  private final double[] diameter;
  private final double[] wallTemperature;
  private final double[] roughness;
  private final double[] heatFactor;

  /** Velocity heads lost in bends, a metre. */
  private final double[] bends;

  // Conserved, a cubic metre: mass, momentum, energy, burned mass.
  private final double[] density;
  private final double[] momentum;
  private final double[] energy;
  private final double[] burnedMass;

  // Primitive.
  final double[] velocity;
  final double[] pressure;
  final double[] temperature;
  final double[] burned;
  final double[] gamma;
  private final double[] sound;

  // Face states at the half step: left and right side of each cell.
  private final double[] faceDensityL;
  private final double[] faceVelocityL;
  private final double[] facePressureL;
  private final double[] faceBurnedL;
  private final double[] faceDensityR;
  private final double[] faceVelocityR;
  private final double[] facePressureR;
  private final double[] faceBurnedR;
  private final double[] halfPressure;

  // Fluxes through each face, times its area, in the direction of the pipe.
  final double[] massFlow;
  final double[] momentumFlow;
  final double[] energyFlow;
  final double[] burnedFlow;

  private final double[] friction;
  private final double[] wallHeat;
  private int untilRefresh;
  private double heatToWall;

  public Pipe(WorkingGas gas, PipeShape shape, int cells) {
    this.gas = gas;
    this.cells = cells;
    this.cellLength = shape.length() / cells;
    area = new double[cells + 1];
    volume = new double[cells];
    diameter = new double[cells];
    wallTemperature = new double[cells];
    roughness = new double[cells];
    heatFactor = new double[cells];
    bends = new double[cells];
    for (int i = 0; i <= cells; i++) {
      area[i] = shape.areaAt(i * cellLength);
    }
    for (int i = 0; i < cells; i++) {
      double x = (i + 0.5) * cellLength;
      double mid = shape.areaAt(x);
      var section = shape.at(x);
      wallTemperature[i] = section.wallTemperature();
      roughness[i] = section.frictionFactor();
      heatFactor[i] = section.heatFactor();
      bends[i] = section.bendLoss() / section.length();
      volume[i] = cellLength * (area[i] + 4 * mid + area[i + 1]) / 6;
      diameter[i] = Math.sqrt(4 * mid / Math.PI);
    }
    density = new double[cells];
    momentum = new double[cells];
    energy = new double[cells];
    burnedMass = new double[cells];
    velocity = new double[cells];
    pressure = new double[cells];
    temperature = new double[cells];
    burned = new double[cells];
    gamma = new double[cells];
    sound = new double[cells];
    faceDensityL = new double[cells];
    faceVelocityL = new double[cells];
    facePressureL = new double[cells];
    faceBurnedL = new double[cells];
    faceDensityR = new double[cells];
    faceVelocityR = new double[cells];
    facePressureR = new double[cells];
    faceBurnedR = new double[cells];
    halfPressure = new double[cells];
    massFlow = new double[cells + 1];
    momentumFlow = new double[cells + 1];
    energyFlow = new double[cells + 1];
    burnedFlow = new double[cells + 1];
    friction = new double[cells];
    wallHeat = new double[cells];
  }

  /** Sets one cell, in SI. */
  public void set(int i, double pascal, double kelvin, double metrePerSecond, double burnedShare) {
    density[i] = pascal / (gas.gasConstant(burnedShare) * kelvin);
    momentum[i] = density[i] * metrePerSecond;
    energy[i] =
        density[i] * (gas.energy(kelvin, burnedShare) + 0.5 * metrePerSecond * metrePerSecond);
    burnedMass[i] = density[i] * burnedShare;
    temperature[i] = kelvin;
    recover(i);
  }

  /** Fills the pipe with gas at rest. */
  public void fill(double pascal, double kelvin, double burnedShare) {
    for (int i = 0; i < cells; i++) {
      set(i, pascal, kelvin, 0, burnedShare);
    }
  }

  /** Takes the state of a pipe of the same cells. */
  public void copyState(Pipe other) {
    for (int i = 0; i < cells; i++) {
      set(i, other.pressure[i], other.temperature[i], other.velocity[i], other.burned[i]);
    }
  }

  private void recover(int i) {
    double rho = density[i];
    double u = momentum[i] / rho;
    double y = burnedMass[i] / rho;
    y = y < 0 ? 0 : Math.min(y, 1);
    double t = gas.temperature(energy[i] / rho - 0.5 * u * u, y, temperature[i]);
    double r = gas.gasConstant(y);
    double g = 1 + r / gas.cv(t, y);
    velocity[i] = u;
    burned[i] = y;
    temperature[i] = t;
    pressure[i] = rho * r * t;
    gamma[i] = g;
    sound[i] = Math.sqrt(g * r * t);
  }

  /** The longest stable time step now, s. */
  public double stableStep() {
    double fastest = 0;
    for (int i = 0; i < cells; i++) {
      fastest = Math.max(fastest, Math.abs(velocity[i]) + sound[i]);
    }
    return COURANT * cellLength / fastest;
  }

  /** First half of a step: slopes, half-time face states, and the fluxes inside the pipe. */
  public void predict(double dt) {
    if (untilRefresh-- == 0) {
      refreshWalls();
      untilRefresh = WALL_REFRESH;
    }
    double half = 0.5 * dt / cellLength;
    for (int i = 0; i < cells; i++) {
      int a = i == 0 ? 0 : i - 1;
      int b = i == cells - 1 ? i : i + 1;
      double rho = density[i];
      double u = velocity[i];
      double p = pressure[i];
      double y = burned[i];
      double dRho;
      double du;
      double dp;
      double dy;
      if (a == i || b == i) {
        dRho = density[b] - density[a];
        du = velocity[b] - velocity[a];
        dp = pressure[b] - pressure[a];
        dy = burned[b] - burned[a];
      } else {
        dRho = limited(rho - density[a], density[b] - rho);
        du = limited(u - velocity[a], velocity[b] - u);
        dp = limited(p - pressure[a], pressure[b] - p);
        dy = limited(y - burned[a], burned[b] - y);
      }
      if (Math.abs(dRho) > rho || Math.abs(dp) > p || Math.abs(dy) > 1) {
        dRho = 0;
        du = 0;
        dp = 0;
        dy = 0;
      }
      double spread = du + u * (area[i + 1] - area[i]) * cellLength / volume[i];
      double rhoHalf = rho - half * (u * dRho + rho * spread);
      double uHalf = u - half * (u * du + dp / rho);
      double pHalf = p - half * (u * dp + gamma[i] * p * spread);
      double yHalf = y - half * u * dy;
      if (rhoHalf - 0.5 * Math.abs(dRho) < 0.05 * rho || pHalf - 0.5 * Math.abs(dp) < 0.05 * p) {
        rhoHalf = rho;
        uHalf = u;
        pHalf = p;
        yHalf = y;
        dRho = 0;
        du = 0;
        dp = 0;
        dy = 0;
      }
      faceDensityL[i] = rhoHalf - 0.5 * dRho;
      faceDensityR[i] = rhoHalf + 0.5 * dRho;
      faceVelocityL[i] = uHalf - 0.5 * du;
      faceVelocityR[i] = uHalf + 0.5 * du;
      facePressureL[i] = pHalf - 0.5 * dp;
      facePressureR[i] = pHalf + 0.5 * dp;
      faceBurnedL[i] = yHalf - 0.5 * dy;
      faceBurnedR[i] = yHalf + 0.5 * dy;
      halfPressure[i] = pHalf;
    }
    for (int f = 1; f < cells; f++) {
      flux(f);
    }
  }

  /** HLLC: only the side the contact moves away from is built. */
  private void flux(int f) {
    int l = f - 1;
    double rhoL = faceDensityR[l];
    double uL = faceVelocityR[l];
    double pL = facePressureR[l];
    double rhoR = faceDensityL[f];
    double uR = faceVelocityL[f];
    double pR = facePressureL[f];
    double cL = Math.sqrt(gamma[l] * pL / rhoL);
    double cR = Math.sqrt(gamma[f] * pR / rhoR);
    double sL = Math.min(uL - cL, uR - cR);
    double sR = Math.max(uL + cL, uR + cR);
    double mL = rhoL * (sL - uL);
    double mR = rhoR * (sR - uR);
    double star = (pR - pL + mL * uL - mR * uR) / (mL - mR);
    double rho;
    double u;
    double p;
    double y;
    double s;
    double m;
    if (star >= 0) {
      rho = rhoL;
      u = uL;
      p = pL;
      y = faceBurnedR[l];
      s = sL;
      m = mL;
    } else {
      rho = rhoR;
      u = uR;
      p = pR;
      y = faceBurnedL[f];
      s = sR;
      m = mR;
    }
    double e = gas.energy(p / (rho * gas.gasConstant(y)), y) + 0.5 * u * u;
    double a = area[f];
    if (star >= 0 && s >= 0 || star < 0 && s <= 0) {
      double flow = rho * u * a;
      massFlow[f] = flow;
      momentumFlow[f] = flow * u + p * a;
      energyFlow[f] = flow * (e + p / rho);
      burnedFlow[f] = flow * y;
      return;
    }
    double rhoStar = m / (s - star);
    double pStar = p + m * (star - u);
    double eStar = e + (star - u) * (star + p / m);
    double flow = rhoStar * star * a;
    massFlow[f] = flow;
    momentumFlow[f] = flow * star + pStar * a;
    energyFlow[f] = flow * eStar + star * pStar * a;
    burnedFlow[f] = flow * y;
  }

  private static double limited(double a, double b) {
    if (a * b <= 0) {
      return 0;
    }
    double mean = 0.5 * (a + b);
    double bound = 2 * Math.min(Math.abs(a), Math.abs(b));
    return Math.abs(mean) < bound ? mean : Math.copySign(bound, mean);
  }

  /** Blasius' friction factor and Colburn's heat transfer, kept for a few steps. */
  private void refreshWalls() {
    for (int i = 0; i < cells; i++) {
      double t = temperature[i];
      double viscosity = 1.458e-6 * t * Math.sqrt(t) / (t + 110.4);
      double speed = Math.abs(velocity[i]);
      double reynolds = Math.max(2000, density[i] * speed * diameter[i] / viscosity);
      double f = roughness[i] * 0.0791 / Math.sqrt(Math.sqrt(reynolds));
      friction[i] = 2 * f / diameter[i] + 0.5 * bends[i];
      double cp = gas.cv(t, burned[i]) + gas.gasConstant(burned[i]);
      double stillAir = heatFactor[i] > 0 ? 4 : 0;
      double h =
          Math.max(stillAir, heatFactor[i] * 0.5 * f * density[i] * speed * cp * PRANDTL_TERM);
      wallHeat[i] = 4 * h / diameter[i];
    }
  }

  /** Second half of a step, once the end fluxes stand. */
  public void update(double dt) {
    for (int i = 0; i < cells; i++) {
      double k = dt / volume[i];
      double rho = density[i] + k * (massFlow[i] - massFlow[i + 1]);
      double mom =
          momentum[i]
              + k
                  * (momentumFlow[i]
                      - momentumFlow[i + 1]
                      + halfPressure[i] * (area[i + 1] - area[i]));
      double heat = wallHeat[i] * (wallTemperature[i] - temperature[i]);
      heatToWall -= heat * dt * volume[i];
      density[i] = rho;
      momentum[i] = mom / (1 + dt * friction[i] * Math.abs(velocity[i]));
      energy[i] += k * (energyFlow[i] - energyFlow[i + 1]) + dt * heat;
      burnedMass[i] += k * (burnedFlow[i] - burnedFlow[i + 1]);
      recover(i);
    }
  }

  /** Half-time state at an end, seen from inside, velocity positive outward. */
  void endState(boolean atStart, EndState out) {
    int i = atStart ? 0 : cells - 1;
    out.density = atStart ? faceDensityL[i] : faceDensityR[i];
    out.velocity = atStart ? -faceVelocityL[i] : faceVelocityR[i];
    out.pressure = atStart ? facePressureL[i] : facePressureR[i];
    double y = atStart ? faceBurnedL[i] : faceBurnedR[i];
    out.burned = y < 0 ? 0 : Math.min(y, 1);
    out.gamma = gamma[i];
    out.area = atStart ? area[0] : area[cells];
    out.gasConstant = gas.gasConstant(out.burned);
    out.temperature = out.pressure / (out.density * out.gasConstant);
  }

  /**
   * Sets the flow through an end: outward mass, energy and burned mass, kg/s and W; thrust in N.
   */
  void endFlow(boolean atStart, double mass, double thrust, double power, double burnedOut) {
    int f = atStart ? 0 : cells;
    double sign = atStart ? -1 : 1;
    massFlow[f] = sign * mass;
    momentumFlow[f] = thrust;
    energyFlow[f] = sign * power;
    burnedFlow[f] = sign * burnedOut;
  }

  public int cells() {
    return cells;
  }

  public double pressure(int i) {
    return pressure[i];
  }

  public double velocity(int i) {
    return velocity[i];
  }

  public double density(int i) {
    return density[i];
  }

  public double temperature(int i) {
    return temperature[i];
  }

  /** Time a sound wave takes up and down the pipe, s. */
  public double echoTime() {
    double time = 0;
    for (int i = 0; i < cells; i++) {
      time += 2 * cellLength / sound[i];
    }
    return time;
  }

  /** Mass of gas in the pipe, kg. */
  public double mass() {
    double sum = 0;
    for (int i = 0; i < cells; i++) {
      sum += density[i] * volume[i];
    }
    return sum;
  }

  /** Energy of the gas in the pipe, J, with the elements at 298.15 K as the datum. */
  public double energy() {
    double sum = 0;
    for (int i = 0; i < cells; i++) {
      sum += energy[i] * volume[i];
    }
    return sum;
  }

  /** Heat given to the wall since the start, J. */
  public double heatToWall() {
    return heatToWall;
  }
}
