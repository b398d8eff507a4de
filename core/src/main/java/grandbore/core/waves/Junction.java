package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;
import java.util.ArrayList;
import java.util.List;

/**
 * The cell where pipes meet: a collector. It holds mass, momentum along its own axis, energy and
 * burned mass; every pipe's end meets it through the HLLC flux. So a pulse keeps the part of its
 * momentum that points down the collector and the rest is lost, as in a merge of that angle. Walls
 * push with the cell's pressure.
 */
public final class Junction {
  private static final class Branch {
    final Pipe pipe;
    final boolean atStart;
    final double cosine;
    final EndState inside = new EndState();
    double mass;
    double momentum;
    double energy;
    double burned;

    /**
     * @param cosine of the angle between the flow out of the pipe and the axis: 1 for a pipe that
     *     flows straight in, −1 for the collector's own pipe
     */
    Branch(Pipe pipe, boolean atStart, double cosine) {
      this.pipe = pipe;
      this.atStart = atStart;
      this.cosine = cosine;
    }
  }

  private static final double COURANT = 0.8;

  /** Below this, m/s, flows share evenly. */
  private static final double STILL = 20;

  private final WorkingGas gas;
  private final double volume;
  private final List<Branch> branches = new ArrayList<>();
  private double mass;
  private double momentum;
  private double energy;
  private double burnedMass;
  private double pressure;
  private double temperature;
  private double burned;
  private double gamma;
  private double addedMass;
  private double addedMomentum;
  private double addedEnergy;
  private double addedBurned;

  public Junction(WorkingGas gas, double volume, double pascal, double kelvin, double burned) {
    this.gas = gas;
    this.volume = volume;
    this.temperature = kelvin;
    mass = pascal * volume / (gas.gasConstant(burned) * kelvin);
    energy = mass * gas.energy(kelvin, burned);
    burnedMass = mass * burned;
    settle();
  }

  /** Joins a pipe; returns the number of the branch. */
  public int join(Pipe pipe, boolean atStart, double cosine) {
    branches.add(new Branch(pipe, atStart, cosine));
    return branches.size() - 1;
  }

  /**
   * The longest step in which the cell does not overshoot the pipes' pressures, s.
   *
   * @param moreArea open to it besides the branches, m²
   */
  public double stableStep(double moreArea) {
    double open = moreArea;
    for (int k = 0; k < branches.size(); k++) {
      open += branches.get(k).inside.area;
    }
    double sound = Math.sqrt(gamma * pressure * volume / mass);
    double axial = Math.abs(momentum / mass);
    return open == 0 ? Double.MAX_VALUE : COURANT * volume / ((sound + axial) * open);
  }

  /** Adds flows from a source that is not a branch: a copy of a pipe, shifted in phase. */
  public void add(double massFlow, double momentumFlow, double energyFlow, double burnedFlow) {
    addedMass += massFlow;
    addedMomentum += momentumFlow;
    addedEnergy += energyFlow;
    addedBurned += burnedFlow;
  }

  /** Finds the fluxes of all branches and moves the cell on by a step. */
  public void couple(double dt) {
    double dm = addedMass;
    double dMomentum = addedMomentum;
    double de = addedEnergy;
    double db = addedBurned;
    double axial = momentum / mass;
    double arriving = Math.max(0, addedMass) * volume / mass;
    double outletArea = 0;
    for (int k = 0; k < branches.size(); k++) {
      var b = branches.get(k);
      b.pipe.endState(b.atStart, b.inside);
      if (b.cosine > 0) {
        arriving += arriving(b);
      } else {
        outletArea += b.inside.area;
      }
    }
    for (int k = 0; k < branches.size(); k++) {
      var b = branches.get(k);
      flux(b, axial, facing(b, axial, arriving, outletArea));
      dm += b.mass;
      // Thrust of the gas less the cell's own pressure on the same area: zero at rest.
      dMomentum += b.cosine * (b.momentum - pressure * b.inside.area);
      de += b.energy;
      db += b.burned;
      b.pipe.endFlow(b.atStart, b.mass, b.momentum, b.energy, b.burned);
    }
    mass += dm * dt;
    momentum += dMomentum * dt;
    energy += de * dt;
    burnedMass += db * dt;
    addedMass = 0;
    addedMomentum = 0;
    addedEnergy = 0;
    addedBurned = 0;
    settle();
  }

  private void settle() {
    burned = Math.clamp(burnedMass / mass, 0, 1);
    double u = momentum / mass;
    temperature = gas.temperature(energy / mass - 0.5 * u * u, burned, temperature);
    double r = gas.gasConstant(burned);
    gamma = 1 + r / gas.cv(temperature, burned);
    pressure = mass * r * temperature / volume;
  }

  /**
   * The cell's velocity as a pipe's end meets it: the flow down the outlet, shared out by what
   * arrives from each pipe, over that pipe's own area. So a sound wave splits at a step in area as
   * the closed form has it; a pipe from which nothing arrives meets gas that does not move its way.
   */
  private static double facing(Branch b, double axial, double arriving, double outletArea) {
    if (b.cosine <= 0) {
      return -axial;
    }
    return axial * outletArea / b.inside.area * arriving(b) / arriving;
  }

  private static double arriving(Branch b) {
    return (Math.max(0, b.inside.velocity) + STILL) * b.inside.area;
  }

  /** HLLC between the pipe's end (left, outward positive) and the cell. */
  private void flux(Branch b, double axial, double uJ) {
    var in = b.inside;
    double rhoJ = mass / volume;
    double cL = Math.sqrt(in.gamma * in.pressure / in.density);
    double cR = Math.sqrt(gamma * pressure / rhoJ);
    double sL = Math.min(in.velocity - cL, uJ - cR);
    double sR = Math.max(in.velocity + cL, uJ + cR);
    double mL = in.density * (sL - in.velocity);
    double mR = rhoJ * (sR - uJ);
    double star = (pressure - in.pressure + mL * in.velocity - mR * uJ) / (mL - mR);
    boolean out = star >= 0;
    double rho = out ? in.density : rhoJ;
    double u = out ? in.velocity : uJ;
    double p = out ? in.pressure : pressure;
    double y = out ? in.burned : burned;
    double s = out ? sL : sR;
    double m = out ? mL : mR;
    double e = gas.energy(p / (rho * gas.gasConstant(y)), y) + 0.5 * (out ? u * u : axial * axial);
    double rhoStar = rho;
    double uStar = u;
    double pStar = p;
    double eStar = e;
    if (out ? s < 0 : s > 0) {
      rhoStar = m / (s - star);
      uStar = star;
      pStar = p + m * (star - u);
      eStar = e + (star - u) * (star + p / m);
    }
    b.mass = rhoStar * uStar * in.area;
    b.momentum = b.mass * uStar + pStar * in.area;
    b.energy = b.mass * eStar + uStar * pStar * in.area;
    b.burned = b.mass * y;
  }

  /**
   * Flow out of a branch's pipe into the cell, mass and axial momentum; stagnation enthalpy, J/kg,
   * and burned share of the gas just inside that pipe.
   */
  public void branchFlow(int branch, double[] out) {
    var b = branches.get(branch);
    out[0] = b.mass;
    out[1] = b.cosine * (b.momentum - pressure * b.inside.area);
    out[2] =
        gas.enthalpy(b.inside.temperature, b.inside.burned)
            + 0.5 * b.inside.velocity * b.inside.velocity;
    out[3] = b.inside.burned;
  }

  /** Acoustic admittance of a branch, kg/(s Pa). */
  public double admittance(int branch) {
    var in = branches.get(branch).inside;
    return in.area * Math.sqrt(in.density / (in.gamma * in.pressure));
  }

  public double pressure() {
    return pressure;
  }

  /** Stagnation enthalpy of the gas in the cell, J/kg. */
  public double enthalpy() {
    double u = momentum / mass;
    return gas.enthalpy(temperature, burned) + 0.5 * u * u;
  }

  public double burned() {
    return burned;
  }

  public double mass() {
    return mass;
  }

  public double energy() {
    return energy;
  }
}
