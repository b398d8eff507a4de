package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;

/**
 * A pipe's end that opens through a throat into a reservoir: valve, throttle, bell-mouth, open end.
 *
 * <p>Quasi-steady nozzle coupled to the pipe by its outgoing characteristic, the constant-pressure
 * model for flow into the pipe (R. S. Benson, <i>The Thermodynamics and Gas Dynamics of Internal
 * Combustion Engines</i>, volume 1, chapter 6). The unknown is the pressure at the pipe's face; the
 * direction of flow is known before the search, from the pressure that would stop the gas.
 */
public final class PipeEnd {
  /** Of the mass flow at the speed of sound. */
  private static final double TOLERANCE = 1e-6;

  private static final int TRIES = 40;

  /** Of the flow: what Newton's step leaves of an error no larger is its square. */
  private static final double NEAR = 1e-3;

  /** Newton's steps to the pressure at which gas leaves at the speed of sound. */
  private static final int SONIC_STEPS = 4;

  /** It falls no lower than this share of itself in a step. */
  private static final double LEAST_SHARE = 0.2;

  private final WorkingGas gas;
  private final Pipe pipe;
  private final boolean atStart;
  private final Reservoir reservoir;
  private final EndState inside = new EndState();

  private double effectiveArea;
  // The last root and the one before it.
  private double guess = Double.NaN;
  private double before = Double.NaN;
  private double mass;
  private double thrust;
  private double power;
  private double burnedFlow;

  /**
   * @param atStart whether it is the pipe's first end
   * @param reservoir what it opens into
   */
  public PipeEnd(WorkingGas gas, Pipe pipe, boolean atStart, Reservoir reservoir) {
    this.gas = gas;
    this.pipe = pipe;
    this.atStart = atStart;
    this.reservoir = reservoir;
  }

  /**
   * An end that stays shut: nothing comes through it, so that what stands behind does not matter.
   */
  public static PipeEnd shut(WorkingGas gas, Pipe pipe, boolean atStart) {
    return new PipeEnd(gas, pipe, atStart, new Atmosphere(1e5, 300, 0));
  }

  /** Sets the throat's effective area, m²; zero closes the end. */
  public void open(double effective) {
    effectiveArea = effective;
  }

  /** The throat's effective area, m². */
  public double area() {
    return effectiveArea;
  }

  /** Finds this step's flow and hands it to the pipe and to the reservoir. */
  public void couple(double dt) {
    pipe.endState(atStart, inside);
    double c = Math.sqrt(inside.gamma * inside.pressure / inside.density);
    double impedance = inside.density * c;
    double stopping = inside.pressure + impedance * inside.velocity;
    double throat = Math.min(effectiveArea, inside.area);
    double outer = reservoir.pressureMidway();
    if (throat < 1e-9 || Math.abs(stopping - outer) < 1e-9 * outer) {
      mass = 0;
      thrust = Math.max(stopping, 0.05 * inside.pressure) * inside.area;
      power = 0;
      burnedFlow = 0;
      root(Double.NaN);
    } else if (stopping > outer) {
      outflow(throat, outer, stopping, impedance);
    } else {
      inflow(throat, outer, stopping, impedance);
    }
    pipe.endFlow(atStart, mass, thrust, power, burnedFlow);
    reservoir.receive(mass * dt, power * dt, burnedFlow * dt);
  }

  /**
   * Finds the pressure p just inside the end while gas flows out of the pipe. Along the pipe's
   * outgoing characteristic
   *
   * <pre>
   * v = (p_stop − p) / Z,   ρ = ρ_in (p / p_in)^(1/γ)
   * </pre>
   *
   * (v at most sonic), and what arrives passes the throat as through an isentropic nozzle,
   *
   * <pre>
   * ρ v A = A_throat ψ(p₀, T₀, p_out)
   * </pre>
   *
   * with stagnation p₀, T₀ of that state (Benson, volume 1, chapter 5). One unknown, p between
   * p_out and p_stop; Newton's steps on the difference of both sides' squares, whose slope stays
   * finite where the throat's flow begins, kept inside a shrinking bracket.
   *
   * @param throat effective area, m²
   * @param outer pressure outside, p_out, Pa
   * @param stopping pressure that would stop the pipe's gas, p_stop, Pa
   * @param impedance Z of the gas inside, ρ c, Pa s/m
   */
  private void outflow(double throat, double outer, double stopping, double impedance) {
    double g = inside.gamma;
    if (throat >= inside.area) {
      if (!freely(outer, stopping, impedance)) {
        sonically(stopping, impedance);
      }
      return;
    }
    double low = Math.max(outer, 0.02 * stopping);
    double high = stopping;
    double p = begin(low, high);
    double scale = TOLERANCE * impedance * inside.area;
    double exponent = (g - 1) / g;
    double critical = 2 / (g + 1);
    double drop = Math.pow(outer / inside.pressure, exponent);
    double rho = inside.density;
    double v = 0;
    for (int i = 0; i < TRIES; i++) {
      double share = p / inside.pressure;
      double lift = Math.pow(share, 1 / g);
      rho = inside.density * lift;
      double square = p / rho;
      double sound = Math.sqrt(g * square);
      double free = (stopping - p) / impedance;
      v = Math.min(free, sound);
      // Slopes over the pressure, of v and of the logarithm of growth.
      double slower = free < sound ? -1 / impedance : 0.5 * exponent * sound / p;
      double mach = v / sound;
      double growth = 1 + 0.5 * (g - 1) * mach * mach;
      double grows = (g - 1) * mach * (slower / sound - 0.5 * exponent * mach / p) / growth;
      double arrives = rho * v * inside.area;
      double arrivesSlope = arrives / (g * p) + rho * slower * inside.area;
      double warmer = exponent / p + grows;
      double tau = drop * lift / (share * growth);
      double passes;
      double squareSlope;
      double scaled = throat * throat * 2 / exponent / (square * growth);
      if (tau < critical) {
        double sonic = p * Math.pow(growth * critical, 1 / exponent) / critical;
        double squared = scaled * (1 - critical) * sonic * sonic;
        passes = Math.sqrt(squared);
        squareSlope = squared * (2 / p + 2 * grows / exponent - warmer);
      } else {
        double per = scaled * outer * outer / (tau * tau);
        double squared = per * Math.max(0, 1 - tau);
        passes = Math.sqrt(squared);
        squareSlope = warmer * (per * tau + squared);
      }
      double error = arrives - passes;
      if (Math.abs(error) < scale) {
        break;
      }
      if (error > 0) {
        low = p;
      } else {
        high = p;
      }
      double next = p - error * (arrives + passes) / (2 * arrives * arrivesSlope - squareSlope);
      boolean within = next > low && next < high;
      p = within ? next : 0.5 * (low + high);
      if (within && Math.abs(error) < NEAR * arrives) {
        rho = inside.density * Math.pow(p / inside.pressure, 1 / g);
        v = Math.min((stopping - p) / impedance, Math.sqrt(g * p / rho));
        break;
      }
      if (high - low < 1e-7 * high) {
        break;
      }
    }
    root(p);
    leave(rho, v, p);
  }

  /** Through an end as wide as the pipe, slower than sound, gas leaves at the pressure outside. */
  private boolean freely(double outer, double stopping, double impedance) {
    double rho = inside.density * Math.pow(outer / inside.pressure, 1 / inside.gamma);
    double v = (stopping - outer) / impedance;
    if (v * v * rho >= inside.gamma * outer) {
      return false;
    }
    root(outer);
    leave(rho, v, outer);
    return true;
  }

  /**
   * Through an end as wide as the pipe, where the pressure outside is too low to be felt, gas
   * leaves at the speed of sound: at the pressure at which the outgoing characteristic comes to it,
   *
   * <pre>
   * (p_stop − p) / Z = c_in (p / p_in)^((γ−1)/2γ)
   * </pre>
   *
   * by Newton's method; gas that is faster already leaves as it is.
   */
  private void sonically(double stopping, double impedance) {
    double g = inside.gamma;
    double c = Math.sqrt(g * inside.pressure / inside.density);
    double p = inside.pressure;
    double v = inside.velocity;
    if (v < c) {
      double power = (g - 1) / (2 * g);
      for (int i = 0; i < SONIC_STEPS; i++) {
        double sound = c * Math.pow(p / inside.pressure, power);
        double over = (stopping - p) / impedance - sound;
        p = Math.max(p + over / (1 / impedance + power * sound / p), LEAST_SHARE * p);
      }
      v = (stopping - p) / impedance;
    }
    root(p);
    leave(inside.density * Math.pow(p / inside.pressure, 1 / g), v, p);
  }

  private void leave(double rho, double v, double p) {
    mass = rho * v * inside.area;
    thrust = mass * v + p * inside.area;
    double temperature = p / (rho * inside.gasConstant);
    power = mass * (gas.enthalpy(temperature, inside.burned) + 0.5 * v * v);
    burnedFlow = mass * inside.burned;
  }

  /**
   * Finds the pressure p just inside the end while gas flows in: the constant-pressure model. The
   * jet keeps its energy and loses its momentum,
   *
   * <pre>
   * w = (p − p_stop) / Z,   T = T₀ − w² / (2 c_p),   ρ w A = A_throat ψ(p_out, T₀, p)
   * </pre>
   *
   * with T₀ of what it flows in from; at most sonic in the pipe, the choked mass kept behind a
   * shock (Benson, volume 1, chapter 5). Newton's steps as for what flows out.
   *
   * @param throat effective area, m²
   * @param outer stagnation pressure outside, p_out, Pa
   * @param stopping pressure that would stop the pipe's gas, p_stop, Pa
   * @param impedance Z of the gas inside, ρ c, Pa s/m
   */
  private void inflow(double throat, double outer, double stopping, double impedance) {
    double t0 = reservoir.temperature();
    double y0 = reservoir.burned();
    double r0 = gas.gasConstant(y0);
    double g = 1 + r0 / gas.cv(t0, y0);
    double cp = g * r0 / (g - 1);
    double low = Math.max(stopping, 1e-3 * outer);
    double high = outer;
    double p = begin(low, high);
    double scale = TOLERANCE * impedance * inside.area;
    double exponent = (g - 1) / g;
    double critical = 2 / (g + 1);
    double choked = Double.NaN;
    double per = throat * outer * Math.sqrt(2 / exponent / (r0 * t0));
    double rho = inside.density;
    double w = 0;
    for (int i = 0; i < TRIES; i++) {
      w = (p - stopping) / impedance;
      double temperature = Math.max(t0 - w * w / (2 * cp), 0.5 * t0);
      rho = p / (r0 * temperature);
      double leaves = rho * w * inside.area;
      double leavesSlope =
          leaves * (1 / p + w / (cp * impedance * temperature)) + rho * inside.area / impedance;
      double ratio = p / outer;
      double tau = Math.pow(ratio, exponent);
      double passes;
      double squareSlope;
      if (tau < critical) {
        // What passes a throat at the speed of sound does not depend on p.
        choked = Double.isNaN(choked) ? Nozzle.criticalRatio(g) : choked;
        passes = per * choked / critical * Math.sqrt(1 - critical);
        squareSlope = 0;
      } else {
        double sharp = per * ratio / tau;
        double squared = sharp * sharp * Math.max(0, 1 - tau);
        passes = Math.sqrt(squared);
        squareSlope = (2 * (1 - exponent) * squared - exponent * tau * sharp * sharp) / p;
      }
      double error = leaves - passes;
      if (Math.abs(error) < scale) {
        break;
      }
      if (error > 0) {
        high = p;
      } else {
        low = p;
      }
      double next = p - error * (leaves + passes) / (2 * leaves * leavesSlope - squareSlope);
      boolean within = next > low && next < high;
      p = within ? next : 0.5 * (low + high);
      if (within && Math.abs(error) < NEAR * leaves) {
        w = (p - stopping) / impedance;
        rho = p / (r0 * Math.max(t0 - w * w / (2 * cp), 0.5 * t0));
        break;
      }
      if (high - low < 1e-7 * high) {
        break;
      }
    }
    root(p);
    double sonicTemperature = 2 * t0 / (g + 1);
    double sonic = Math.sqrt(g * r0 * sonicTemperature);
    if (w > sonic) {
      // The jet fills the pipe behind a shock: no faster than sound, the choked mass kept.
      w = sonic;
      rho = throat * Nozzle.massFlux(outer, t0, r0, g, 0) / (sonic * inside.area);
      p = rho * r0 * sonicTemperature;
    }
    mass = -rho * w * inside.area;
    thrust = -mass * w + p * inside.area;
    power = mass * gas.enthalpy(t0, y0);
    burnedFlow = mass * y0;
  }

  /** Where a search begins: on the line through the last two roots, as far as it may be. */
  private double begin(double low, double high) {
    double ahead = 2 * guess - before;
    if (ahead > low && ahead < high) {
      return ahead;
    }
    return guess > low && guess < high ? guess : 0.5 * (low + high);
  }

  private void root(double p) {
    before = guess;
    guess = p;
  }

  /** Mach number of the gas just inside the pipe, positive outward. */
  public double mach() {
    return inside.velocity / Math.sqrt(inside.gamma * inside.pressure / inside.density);
  }

  /** Pressure just inside the pipe, Pa. */
  public double pipePressure() {
    return inside.pressure;
  }

  /** Speed of the jet through the throat out of the pipe, m/s, no faster than sound. */
  public double jetSpeed() {
    double throat = Math.min(effectiveArea, inside.area);
    double each = inside.gasConstant * inside.temperature;
    return mass <= 0
        ? 0
        : Math.min(mass * each / (reservoir.pressure() * throat), Math.sqrt(inside.gamma * each));
  }

  /** Mass flow out of the pipe, kg/s. */
  public double massFlow() {
    return mass;
  }

  /** Burned mass flow out of the pipe, kg/s. */
  public double burnedFlow() {
    return burnedFlow;
  }

  /** Stagnation enthalpy of the gas just inside the pipe, J/kg. */
  public double pipeEnthalpy() {
    return gas.enthalpy(inside.temperature, inside.burned)
        + 0.5 * inside.velocity * inside.velocity;
  }

  /** Burned share of the gas just inside the pipe. */
  public double pipeBurned() {
    return inside.burned;
  }
}
