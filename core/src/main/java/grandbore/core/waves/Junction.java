package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;
import java.util.ArrayList;
import java.util.List;

/**
 * The cell where pipes meet: a collector. It holds mass, momentum along its own axis, energy and
 * burned mass; every pipe's end meets it through the HLLC flux. So a pulse keeps the part of its
 * momentum that points down the collector and the rest is lost, as in a merge of that angle. Walls
 * push with the cell's pressure.
 *
 * <p>Solved for the cell of volume V over all branches k, flows counted out of the pipes into it:
 *
 * <pre>
 * dm/dt   = Σ ṁ_k
 * dP/dt   = Σ cos α_k (F_k − p A_k)      momentum along the axis, F the momentum flow with pressure
 * dE/dt   = Σ Ė_k
 * dm_b/dt = Σ ṁ_b,k
 * </pre>
 *
 * <p>with p and axial velocity at the step's end (backward Euler on the linear sound waves of the
 * flux), so that the small cell sets no limit to the step. Units: kg, N s, J, m³, Pa, s; α is the
 * angle of a pipe to the axis, cos α = −1 for the collector's own pipe.
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

    /** Thrust along the axis over the cell's own pressure, N. */
    double axial;

    /** The cell's velocity as this pipe meets it, over the axial one. */
    double facing;

    /** Mass flow out lost to each pascal in the cell, kg/(s Pa). */
    double answer;

    /** Thrust lost to each metre a second of axial velocity, N s/m. */
    double push;

    /**
     * @param cosine of the angle between the flow out of the pipe and the axis: 1 for a pipe that
     *     flows straight in, −1 for the collector's own pipe, 0 for one from the side
     */
    Branch(Pipe pipe, boolean atStart, double cosine) {
      this.pipe = pipe;
      this.atStart = atStart;
      this.cosine = cosine;
    }
  }

  private static final class Copy {
    double mass;
    double axial;
    double enthalpy;
    double burned;
    double arriving;
    double answer;
  }

  /** Below this, m/s, flows share evenly. */
  private static final double STILL = 20;

  private final WorkingGas gas;
  private final double volume;
  private final List<Branch> branches = new ArrayList<>();
  private final List<Copy> copies = new ArrayList<>();
  private double mass;
  private double momentum;
  private double energy;
  private double burnedMass;
  private double pressure;
  private double temperature;
  private double burned;
  private double gamma;
  private int copied;
  private double met;
  private double rise;
  private double ahead;

  /**
   * @param volume of the cell, m³
   * @param pressure at the beginning, Pa
   * @param temperature at the beginning, K
   * @param burned share at the beginning, by mass
   */
  public Junction(
      WorkingGas gas, double volume, double pressure, double temperature, double burned) {
    this.gas = gas;
    this.volume = volume;
    this.temperature = temperature;
    mass = pressure * volume / (gas.gasConstant(burned) * temperature);
    energy = mass * gas.energy(temperature, burned);
    burnedMass = mass * burned;
    settle();
  }

  /** Takes over another junction's gas at its density, speed and temperature. */
  public void startFrom(Junction o) {
    double scale = volume / o.volume;
    mass = scale * o.mass;
    momentum = scale * o.momentum;
    energy = scale * (o.energy + o.mass * gas.energyOver(o.gas, o.temperature, o.burned));
    burnedMass = scale * o.burnedMass;
    temperature = o.temperature;
    settle();
  }

  /** Joins a pipe; returns the number of the branch. */
  public int join(Pipe pipe, boolean atStart, double cosine) {
    branches.add(new Branch(pipe, atStart, cosine));
    return branches.size() - 1;
  }

  /**
   * Adds a pipe that is not a branch but the copy of one, shifted in phase.
   *
   * @param flows as {@link #branchFlow} tells them, of the step now
   * @param share of such a pipe
   * @param admittance mass flow out lost to each pascal that the cell rises in the step, kg/(s Pa)
   */
  public void add(BranchFlow flows, double share, double admittance) {
    if (copied == copies.size()) {
      copies.add(new Copy());
    }
    var copy = copies.get(copied++);
    copy.mass = share * flows.massFlow;
    copy.axial = share * flows.thrust;
    copy.enthalpy = flows.enthalpy;
    copy.burned = flows.burned;
    copy.arriving = share * flows.arriving;
    copy.answer = share * admittance;
  }

  /** Finds the fluxes of all branches and moves the cell on by a step. */
  public void couple(double dt) {
    double dm = 0;
    double dMomentum = 0;
    double axial = momentum / mass;
    double arriving = 0;
    double outletArea = 0;
    double sumOut = 0;
    for (int k = 0; k < copied; k++) {
      var c = copies.get(k);
      dm += c.mass;
      dMomentum += c.axial;
      arriving += c.arriving;
      sumOut += c.answer;
    }
    for (int k = 0; k < branches.size(); k++) {
      var b = branches.get(k);
      b.pipe.endState(b.atStart, b.inside);
      if (b.cosine > 0) {
        arriving += arriving(b);
      } else if (b.cosine < 0) {
        outletArea += b.inside.area;
      }
    }
    double sumFacing = 0;
    double thrustOut = 0;
    double thrustFacing = 0;
    for (int k = 0; k < branches.size(); k++) {
      var b = branches.get(k);
      b.facing = facing(b, arriving, outletArea);
      flux(b, axial, b.facing * axial);
      double sound = Math.sqrt(b.inside.gamma * b.inside.pressure / b.inside.density);
      b.answer = 0.5 * b.inside.area / sound;
      double rho = mass / volume;
      dm += b.mass;
      // Thrust of the gas less the cell's own pressure on the same area: zero at rest.
      dMomentum += b.cosine * (b.momentum - pressure * b.inside.area);
      sumOut += b.answer;
      sumFacing += 0.5 * rho * b.inside.area * b.facing;
      thrustOut += b.cosine * 0.5 * b.inside.area;
      b.push = 0.5 * rho * sound * b.inside.area * b.facing;
      thrustFacing += b.cosine * b.push;
    }
    settleAhead(dt, dm, dMomentum, sumOut, sumFacing, thrustOut, thrustFacing);
    dm = 0;
    dMomentum = 0;
    double de = 0;
    double db = 0;
    for (int k = 0; k < copied; k++) {
      var c = copies.get(k);
      double flow = c.mass - c.answer * rise;
      boolean out = flow > 0;
      dm += flow;
      dMomentum += c.axial;
      de += flow * (out ? c.enthalpy : enthalpy());
      db += flow * (out ? c.burned : burned);
    }
    copied = 0;
    for (int k = 0; k < branches.size(); k++) {
      var b = branches.get(k);
      double more = b.facing * 0.5 * (mass / volume) * b.inside.area * ahead - b.answer * rise;
      b.mass += more;
      boolean out = b.mass > 0;
      b.momentum += 0.5 * b.inside.area * rise - b.push * ahead;
      b.energy += more * (out ? enthalpyInside(b) : enthalpy());
      b.burned += more * (out ? b.inside.burned : burned);
      dm += b.mass;
      b.axial = b.cosine * (b.momentum - (pressure + rise) * b.inside.area);
      dMomentum += b.axial;
      de += b.energy;
      db += b.burned;
      b.pipe.endFlow(b.atStart, b.mass, b.momentum, b.energy, b.burned);
    }
    met = pressure + rise;
    mass += dm * dt;
    momentum += dMomentum * dt;
    energy += de * dt;
    burnedMass += db * dt;
    settle();
  }

  /**
   * The change of the cell's pressure and axial velocity over a step, taken as if the flows already
   * answered it (backward Euler on the linear sound waves of {@link #flux}): the small cell then
   * sets no limit to the step.
   */
  private void settleAhead(
      double dt,
      double dm,
      double thrust,
      double massOut,
      double massFacing,
      double thrustOut,
      double thrustFacing) {
    double rho = mass / volume;
    double c2 = gamma * pressure / rho;
    double a11 = volume / c2 + dt * massOut;
    double a12 = -dt * massFacing;
    double a21 = dt * thrustOut;
    double a22 = volume * rho + dt * thrustFacing;
    double r1 = dt * dm;
    double r2 = dt * (thrust - momentum / mass * dm);
    double det = a11 * a22 - a12 * a21;
    double fully = (r1 * a22 - r2 * a12) / det;
    // Not clamped by the library, which has no answer where the gas has left the model's range.
    rise = Math.max(-0.5 * pressure, Math.min(fully, pressure));
    double faster = (a11 * r2 - a21 * r1) / det;
    double sound = Math.sqrt(c2);
    ahead = Math.max(-0.5 * sound, Math.min(faster, 0.5 * sound));
  }

  private double enthalpyInside(Branch b) {
    return gas.enthalpy(b.inside.temperature, b.inside.burned)
        + 0.5 * b.inside.velocity * b.inside.velocity;
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
   * The cell's velocity as a pipe's end meets it, over the axial one: the flow down the outlet,
   * shared out by what arrives from each pipe, over that pipe's own area. So a sound wave splits at
   * a step in area as the closed form has it; a pipe from which nothing arrives meets gas that does
   * not move its way.
   */
  private static double facing(Branch b, double arriving, double outletArea) {
    if (b.cosine <= 0) {
      return b.cosine;
    }
    return outletArea / b.inside.area * arriving(b) / arriving;
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
   * and burned share of the gas just inside that pipe; how much arrives from it, m³/s.
   */
  public void branchFlow(int branch, BranchFlow out) {
    var b = branches.get(branch);
    out.massFlow = b.mass;
    out.thrust = b.axial;
    out.enthalpy = enthalpyInside(b);
    out.burned = b.inside.burned;
    out.arriving = b.cosine > 0 ? arriving(b) : 0;
  }

  /** Of the cell, Pa. */
  public double pressure() {
    return pressure;
  }

  /** The pressure that the last step's flows met, Pa. */
  public double met() {
    return met;
  }

  /** Stagnation enthalpy of the gas in the cell, J/kg. */
  public double enthalpy() {
    double u = momentum / mass;
    return gas.enthalpy(temperature, burned) + 0.5 * u * u;
  }

  /** Burned share of the cell's gas, by mass. */
  public double burned() {
    return burned;
  }

  /** Gas in the cell, kg. */
  public double mass() {
    return mass;
  }

  /** Total energy of the gas in the cell, J. */
  public double energy() {
    return energy;
  }
}
