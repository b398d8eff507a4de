package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;
import java.util.ArrayList;
import java.util.List;

/**
 * Where pipes meet, without a volume of its own: one pressure p, and what flows in flows out. Along
 * each pipe's outgoing characteristic, with Z = ρ c and speeds counted out of the pipe,
 *
 * <pre>
 * u_k = u_k⁻ + (p_k⁻ − p − δ_k)/Z_k,   Σ ρ_k u_k A_k = 0
 * </pre>
 *
 * <p>so that sound meets the closed form of branched tubes. What comes out of the pipes mixes; what
 * goes in carries the mean stagnation enthalpy and composition of it. A pipe into which gas flows
 * (u_i &lt; 0, v_i = −u_i) loses pressure by what it must turn and what it is too fast or too slow:
 *
 * <pre>
 * δ_i = ρ_i v_i (Σ_j w_j u_j cos ¾τ_ij − v_i)
 * </pre>
 *
 * <p>w_j the share of the mass that comes from pipe j, τ_ij the angle by which its flow turns into
 * pipe i. With equal densities this is the loss 1 + q²ψ² − 2 q ψ cos ¾(π − θ) of M. D. Bassett, D.
 * E. Winterbone and R. J. Pearson (2001) in heads of the flow that comes, q the ratio of flows, ψ
 * of areas, θ the angle between the pipes; from memory. It goes to nothing with the square of the
 * speed, so that it is smooth through a reversal.
 */
public final class Junction {
  private static final class Branch {
    final Pipe pipe;
    final boolean atStart;

    /** Of the flow out of the pipe to the axis, rad. */
    final double angle;

    final EndState inside = new EndState();
    double sound;

    /** Out of the pipe, m/s. */
    double speed;

    /** δ, Pa. */
    double loss;

    /** Flow at no pressure in the junction, kg/s, and what each pascal takes from it. */
    double free;

    double answer;
    double density;
    double mass;

    /** Pressure at the pipe's end where it is choked, Pa. */
    double choked;

    /** Pressure at the pipe's end that its density was found at, Pa. */
    double face;

    /** Of the gas that leaves the pipe, J/kg. */
    double enthalpy;

    Branch(Pipe pipe, boolean atStart, double angle) {
      this.pipe = pipe;
      this.atStart = atStart;
      this.angle = angle;
    }
  }

  private static final class Copy {
    int branch;
    double mass;
    double speed;
    double enthalpy;
    double burned;
    double answer;
  }

  private static final int PASSES = 3;

  /** Losses turn a flow by so much of its angle. */
  private static final double TURNS = 0.75;

  /** A flow smaller than this, kg/s, mixes nothing. */
  private static final double STILL = 1e-9;

  private static final double LEAST_PRESSURE = 0.02;

  /** Of the pressure in a pipe: the formula is for flows well under the speed of sound. */
  private static final double MOST_LOSS = 0.25;

  private final WorkingGas gas;
  private final List<Branch> branches = new ArrayList<>();
  private final List<Copy> copies = new ArrayList<>();
  private double[][] cosines = {};
  private int copied;
  private double pressure;
  private double temperature;
  private double burned;
  private double enthalpy;

  /**
   * @param pressure at the beginning, Pa
   * @param temperature at the beginning, K
   * @param burned share at the beginning, by mass
   */
  public Junction(WorkingGas gas, double pressure, double temperature, double burned) {
    this.gas = gas;
    this.pressure = pressure;
    this.temperature = temperature;
    this.burned = burned;
    enthalpy = gas.enthalpy(temperature, burned);
  }

  /** Takes over another junction's gas as hot as it is. */
  public void startFrom(Junction o) {
    pressure = o.pressure;
    temperature = o.temperature;
    burned = o.burned;
    enthalpy = gas.enthalpyLike(o.gas, o.enthalpy, o.burned);
    for (int k = 0; k < branches.size() && k < o.branches.size(); k++) {
      branches.get(k).loss = o.branches.get(k).loss;
      branches.get(k).speed = o.branches.get(k).speed;
    }
  }

  /**
   * Joins a pipe; returns the number of the branch.
   *
   * @param cosine of the angle between the flow out of the pipe and the axis: 1 for a pipe that
   *     flows straight in, −1 for the one that leads away, 0 for one from the side
   */
  public int join(Pipe pipe, boolean atStart, double cosine) {
    branches.add(new Branch(pipe, atStart, Math.acos(cosine)));
    int n = branches.size();
    cosines = new double[n][n];
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        double turn = Math.abs(branches.get(j).angle - (Math.PI - branches.get(i).angle));
        cosines[i][j] = Math.cos(TURNS * turn);
      }
    }
    return n - 1;
  }

  /**
   * Adds a pipe that is not a branch but the copy of one, shifted in phase.
   *
   * @param branch of which it is a copy
   * @param flows as {@link #branchFlow} tells them, of the step now
   * @param share of such a pipe
   * @param admittance mass flow out lost to each pascal that the pressure rises in the step, kg/(s
   *     Pa)
   */
  public void add(int branch, BranchFlow flows, double share, double admittance) {
    if (copied == copies.size()) {
      copies.add(new Copy());
    }
    var copy = copies.get(copied++);
    copy.branch = branch;
    copy.mass = share * flows.massFlow;
    copy.speed = flows.speed;
    copy.enthalpy = flows.enthalpy;
    copy.burned = flows.burned;
    copy.answer = share * admittance;
  }

  /** Finds the flows of all branches. */
  public void couple() {
    double before = pressure;
    for (int k = 0; k < branches.size(); k++) {
      var b = branches.get(k);
      b.pipe.endState(b.atStart, b.inside);
      b.sound = Math.sqrt(b.inside.gamma * b.inside.pressure / b.inside.density);
    }
    double p = before;
    for (int pass = 0; pass < PASSES; pass++) {
      for (int k = 0; k < branches.size(); k++) {
        open(branches.get(k), p);
      }
      p = balance(before);
      for (int k = 0; k < branches.size(); k++) {
        flow(branches.get(k), p);
      }
      mix(p - before);
      lose();
    }
    for (int k = 0; k < copied; k++) {
      copies.get(k).mass -= copies.get(k).answer * (p - before);
    }
    pressure = p;
    for (int k = 0; k < branches.size(); k++) {
      hand(branches.get(k), p);
    }
    copied = 0;
  }

  /** How a branch answers pressures near one: straight in the pressure, at most sonic. */
  private void open(Branch b, double p) {
    var in = b.inside;
    double impedance = in.density * b.sound;
    double face = Math.max(LEAST_PRESSURE * in.pressure, p + b.loss);
    double speed = in.velocity + (in.pressure - face) / impedance;
    boolean sonic = Math.abs(speed) >= b.sound;
    if (sonic) {
      // No faster than sound: the pressure at the pipe's end is what the characteristic then has.
      speed = Math.copySign(b.sound, speed);
      face =
          Math.max(LEAST_PRESSURE * in.pressure, in.pressure + impedance * (in.velocity - speed));
      b.choked = face;
    }
    b.density =
        speed >= 0
            ? in.density * Math.pow(face / in.pressure, 1 / in.gamma)
            : face / (gas.gasConstant(burned) * temperature);
    b.face = speed >= 0 ? face : Double.NaN;
    b.answer = sonic ? 0 : b.density * in.area / impedance;
    b.free =
        sonic
            ? b.density * in.area * speed
            : b.density * in.area * in.velocity + b.answer * (in.pressure - b.loss);
  }

  /** The pressure at which as much flows in as out. */
  private double balance(double before) {
    double flow = 0;
    double answer = 0;
    for (int k = 0; k < branches.size(); k++) {
      flow += branches.get(k).free;
      answer += branches.get(k).answer;
    }
    for (int k = 0; k < copied; k++) {
      flow += copies.get(k).mass + copies.get(k).answer * before;
      answer += copies.get(k).answer;
    }
    return answer > 0 ? flow / answer : before;
  }

  private void flow(Branch b, double p) {
    var in = b.inside;
    b.mass = b.free - b.answer * p;
    b.speed = b.mass / (b.density * in.area);
    double cooler = b.mass > 0 ? cooler(b, face(b, p)) : 1;
    b.enthalpy = gas.enthalpy(in.temperature * cooler, in.burned) + 0.5 * b.speed * b.speed;
  }

  /**
   * Temperature of what leaves a pipe over that inside it, (p/p_in)^((γ−1)/γ): from the density
   * that has been found near that pressure.
   */
  private static double cooler(Branch b, double face) {
    var in = b.inside;
    double share = Math.max(LEAST_PRESSURE, face / in.pressure);
    if (Double.isNaN(b.face)) {
      return Math.pow(share, (in.gamma - 1) / in.gamma);
    }
    double denser = b.density / in.density * (1 + (face / b.face - 1) / in.gamma);
    return share / denser;
  }

  /** Pressure at a pipe's end, Pa. */
  private static double face(Branch b, double p) {
    return b.answer == 0 ? b.choked : p + b.loss;
  }

  /** What comes out of the pipes, mixed. */
  private void mix(double rise) {
    double sum = 0;
    double heat = 0;
    double warm = 0;
    double spent = 0;
    for (int k = 0; k < branches.size(); k++) {
      var b = branches.get(k);
      if (b.mass > 0) {
        sum += b.mass;
        heat += b.mass * b.enthalpy;
        warm += b.mass * b.inside.temperature;
        spent += b.mass * b.inside.burned;
      }
    }
    double near = sum > 0 ? warm / sum : temperature;
    for (int k = 0; k < copied; k++) {
      var c = copies.get(k);
      double flow = c.mass - c.answer * rise;
      if (flow > 0) {
        sum += flow;
        heat += flow * c.enthalpy;
        spent += flow * c.burned;
      }
    }
    if (sum > STILL) {
      enthalpy = heat / sum;
      burned = Math.clamp(spent / sum, 0, 1);
      double g = gas.gamma(near, burned);
      double cp = g * gas.gasConstant(burned) / (g - 1);
      double warmer = near + (enthalpy - gas.enthalpy(near, burned)) / cp;
      temperature = Math.clamp(warmer, WorkingGas.FLOOR, WorkingGas.CEILING);
    }
  }

  private void lose() {
    for (int i = 0; i < branches.size(); i++) {
      var b = branches.get(i);
      if (b.mass >= 0) {
        b.loss = 0;
        continue;
      }
      double sum = 0;
      double arriving = 0;
      for (int j = 0; j < branches.size(); j++) {
        var o = branches.get(j);
        if (o.mass > 0) {
          sum += o.mass;
          arriving += o.mass * o.speed * cosines[i][j];
        }
      }
      for (int k = 0; k < copied; k++) {
        var c = copies.get(k);
        if (c.mass > 0) {
          sum += c.mass;
          arriving += c.mass * c.speed * cosines[i][c.branch];
        }
      }
      double meets = sum > STILL ? arriving / sum : 0;
      double loss = -b.density * b.speed * (meets + b.speed);
      double most = MOST_LOSS * Math.abs(b.inside.pressure);
      b.loss = Math.max(-most, Math.min(loss, most));
    }
  }

  private void hand(Branch b, double p) {
    boolean out = b.mass > 0;
    double face = face(b, p);
    b.pipe.endFlow(
        b.atStart,
        b.mass,
        b.mass * b.speed + face * b.inside.area,
        b.mass * (out ? b.enthalpy : enthalpy),
        b.mass * (out ? b.inside.burned : burned));
  }

  /** Flow out of a branch's pipe in the last step, with the gas just inside it. */
  public void branchFlow(int branch, BranchFlow out) {
    var b = branches.get(branch);
    out.massFlow = b.mass;
    out.speed = b.speed;
    out.enthalpy =
        gas.enthalpy(b.inside.temperature, b.inside.burned)
            + 0.5 * b.inside.velocity * b.inside.velocity;
    out.burned = b.inside.burned;
  }

  /** Where the pipes meet, Pa. */
  public double pressure() {
    return pressure;
  }

  /** Stagnation enthalpy of what mixes, J/kg. */
  public double enthalpy() {
    return enthalpy;
  }

  /** Burned share of what mixes, by mass. */
  public double burned() {
    return burned;
  }
}
