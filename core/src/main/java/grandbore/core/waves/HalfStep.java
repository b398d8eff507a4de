package grandbore.core.waves;

/**
 * States at the faces of every cell in the middle of a step: slopes Δ bounded by twice the smaller
 * of both differences, none at an extreme, carried half a step on (E. F. Toro, <i>Riemann Solvers
 * and Numerical Methods for Fluid Dynamics</i>, chapters 13 and 14). With k = Δt / 2Δx and A the
 * section,
 *
 * <p>ρ' = ρ − k (u Δρ + ρ (Δu + u ΔA / A)), u' = u − k (u Δu + Δp / ρ), p' = p − k (u Δp + γ p (Δu
 * + u ΔA / A)), y' = y − k u Δy,
 *
 * <p>and at the faces half a slope more or less. Loops are made as those of {@link GasStates}.
 */
final class HalfStep {
  /** Faces keep at least this share of their cell's density and pressure. */
  private static final double FLOOR = 0.05;

  /** Slopes over an end cell fade from this share of its own value on, and are gone at twice it. */
  private static final double STEEP = 0.9;

  private final int places;
  private final int[] starts;
  private final int[] ends;

  final double[] densityL;
  final double[] velocityL;
  final double[] pressureL;
  final double[] burnedL;
  final double[] densityR;
  final double[] velocityR;
  final double[] pressureR;
  final double[] burnedR;

  /** In the middle of a cell, Pa. */
  final double[] pressure;

  private final double[] density;
  private final double[] before;
  private final double[] after;
  private final double[] densitySlope;
  private final double[] velocitySlope;
  private final double[] pressureSlope;
  private final double[] burnedSlope;
  private final double[] spread;

  HalfStep(int[] starts, int[] ends, int places) {
    this.starts = starts;
    this.ends = ends;
    this.places = places;
    densityL = new double[places];
    velocityL = new double[places];
    pressureL = new double[places];
    burnedL = new double[places];
    densityR = new double[places];
    velocityR = new double[places];
    pressureR = new double[places];
    burnedR = new double[places];
    pressure = new double[places];
    density = new double[places];
    before = new double[places];
    after = new double[places];
    densitySlope = new double[places];
    velocitySlope = new double[places];
    pressureSlope = new double[places];
    burnedSlope = new double[places];
    spread = new double[places];
  }

  /**
   * @param half of a step, s
   * @param parting what comes from the side parts the speeds at a cell's faces by twice this, m/s
   * @param sides whether anything comes from a side
   */
  void run(
      double half,
      double[] perLength,
      double[] taper,
      double[] rho,
      GasStates gas,
      double[] parting,
      boolean sides) {
    slopes(rho, densitySlope);
    slopes(gas.velocity, velocitySlope);
    slopes(gas.pressure, pressureSlope);
    slopes(gas.burned, burnedSlope);
    for (int k = 0; k < starts.length; k++) {
      fade(starts[k], starts[k], rho, gas);
      fade(ends[k] - 1, ends[k] - 2, rho, gas);
    }
    if (sides) {
      for (int i = 0; i < places; i++) {
        // What parts its faces' speeds is what comes from the side; it does not spread the gas.
        velocitySlope[i] = parting[i] == 0 ? velocitySlope[i] : 0;
      }
    }
    spread(velocitySlope, gas.velocity, taper, spread, places);
    var u = gas.velocity;
    density(half, perLength, u, rho, densitySlope, spread, density, places);
    faces(rho, density, densitySlope, densityL, densityR, places);
    pressure(half, perLength, u, gas.pressure, gas.gamma, pressureSlope, spread, pressure, places);
    faces(gas.pressure, pressure, pressureSlope, pressureL, pressureR, places);
    velocity(
        half,
        perLength,
        u,
        velocitySlope,
        pressureSlope,
        gas.specific,
        velocityL,
        velocityR,
        places);
    burned(half, perLength, u, gas.burned, burnedSlope, burnedL, burnedR, places);
    if (sides) {
      for (int i = 0; i < places; i++) {
        velocityL[i] -= parting[i];
        velocityR[i] += parting[i];
      }
    }
  }

  private void slopes(double[] v, double[] out) {
    rises(v, after, places);
    System.arraycopy(after, 0, before, 1, places - 1);
    limit(before, after, out, places);
  }

  private static void rises(double[] v, double[] rise, int n) {
    for (int i = 0; i < n - 1; i++) {
      rise[i] = v[i + 1] - v[i];
    }
  }

  /** The central slope, bounded by twice the smaller difference; none at an extreme. */
  private static void limit(double[] one, double[] other, double[] slope, int n) {
    for (int i = 0; i < n; i++) {
      double a = one[i];
      double b = other[i];
      // Twice the lesser and the greater of both.
      double apart = Math.abs(a - b);
      double lesser = a + b - apart;
      double greater = a + b + apart;
      double most = 0.5 * (lesser + Math.abs(lesser));
      double least = 0.5 * (greater - Math.abs(greater));
      slope[i] = Choice.greater(least, Choice.lesser(most, 0.5 * (a + b)));
    }
  }

  /**
   * A cell at an end has the slope to its only neighbour, as far as it is not steep: an end that
   * switched would chatter.
   *
   * @param from where the step to the neighbour begins
   */
  private void fade(int cell, int from, double[] rho, GasStates gas) {
    double stepRho = rho[from + 1] - rho[from];
    double stepP = gas.pressure[from + 1] - gas.pressure[from];
    double steepest = Math.max(Math.abs(stepRho) / rho[cell], Math.abs(stepP) / gas.pressure[cell]);
    double kept = Math.clamp(2 - steepest / STEEP, 0, 1);
    densitySlope[cell] = kept * stepRho;
    velocitySlope[cell] = kept * (gas.velocity[from + 1] - gas.velocity[from]);
    pressureSlope[cell] = kept * stepP;
    burnedSlope[cell] = kept * (gas.burned[from + 1] - gas.burned[from]);
  }

  private static void spread(double[] du, double[] u, double[] taper, double[] spread, int n) {
    for (int i = 0; i < n; i++) {
      spread[i] = du[i] + u[i] * taper[i];
    }
  }

  private static void density(
      double half,
      double[] perLength,
      double[] u,
      double[] rho,
      double[] slope,
      double[] spread,
      double[] middle,
      int n) {
    for (int i = 0; i < n; i++) {
      middle[i] = rho[i] - half * perLength[i] * (u[i] * slope[i] + rho[i] * spread[i]);
    }
  }

  private static void pressure(
      double half,
      double[] perLength,
      double[] u,
      double[] p,
      double[] gamma,
      double[] slope,
      double[] spread,
      double[] middle,
      int n) {
    for (int i = 0; i < n; i++) {
      double change = u[i] * slope[i] + gamma[i] * p[i] * spread[i];
      middle[i] = p[i] - half * perLength[i] * change;
    }
  }

  /** At the faces and in the middle, none under its floor. */
  private static void faces(
      double[] is, double[] middle, double[] slope, double[] left, double[] right, int n) {
    for (int i = 0; i < n; i++) {
      double least = FLOOR * is[i];
      left[i] = Choice.greater(least, middle[i] - 0.5 * slope[i]);
      right[i] = Choice.greater(least, middle[i] + 0.5 * slope[i]);
      middle[i] = Choice.greater(least, middle[i]);
    }
  }

  private static void velocity(
      double half,
      double[] perLength,
      double[] u,
      double[] slope,
      double[] pressureSlope,
      double[] specific,
      double[] left,
      double[] right,
      int n) {
    for (int i = 0; i < n; i++) {
      double change = u[i] * slope[i] + pressureSlope[i] * specific[i];
      double middle = u[i] - half * perLength[i] * change;
      left[i] = middle - 0.5 * slope[i];
      right[i] = middle + 0.5 * slope[i];
    }
  }

  private static void burned(
      double half,
      double[] perLength,
      double[] u,
      double[] y,
      double[] slope,
      double[] left,
      double[] right,
      int n) {
    for (int i = 0; i < n; i++) {
      double middle = y[i] - half * perLength[i] * u[i] * slope[i];
      left[i] = middle - 0.5 * slope[i];
      right[i] = middle + 0.5 * slope[i];
    }
  }
}
