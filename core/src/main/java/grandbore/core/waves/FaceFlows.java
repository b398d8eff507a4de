package grandbore.core.waves;

/**
 * What flows through each face, times its section, in the direction of the pipe: the HLLC flux (E.
 * F. Toro, <i>Riemann Solvers and Numerical Methods for Fluid Dynamics</i>, chapter 10). With s the
 * slowest and the fastest wave and m = ρ (s − u) on either side, the contact moves at
 *
 * <p>s* = (p₂ − p₁ + m₁ u₁ − m₂ u₂) / (m₁ − m₂);
 *
 * <p>of the side that it moves away from, mass flows by m s* / (s − s*) where that side's wave runs
 * the other way, else by ρ u. Loops are made as those of {@link GasStates}: what is chosen is the
 * sum of both, each times one or nothing.
 */
final class FaceFlows {
  private final int places;
  private final int[] starts;
  private final int[] ends;

  final double[] mass;
  final double[] momentum;
  final double[] energy;
  final double[] burned;

  // Left of each face.
  private final double[] density;
  private final double[] velocity;
  private final double[] pressure;
  private final double[] share;
  private final double[] specificEnergy;
  private final double[] sound;

  private final double[] energyL;
  private final double[] energyR;
  private final double[] slow;
  private final double[] fast;
  private final double[] contact;

  /** One where the left side flows through the face, else nothing. */
  private final double[] fromLeft;

  // Of the side that flows.
  private final double[] itsDensity;
  private final double[] itsVelocity;
  private final double[] itsPressure;
  private final double[] itsShare;
  private final double[] itsEnergy;
  private final double[] itsWave;

  /** Of the gas in the face, m/s. */
  private final double[] speed;

  /** What the wave meets, ρ (s − u), kg/(s m²). */
  private final double[] met;

  /** All four, and what stood of each at the pipes' ends. */
  private final double[][] flows;

  private final double[][] kept;

  FaceFlows(int[] starts, int[] ends, int places) {
    this.starts = starts;
    this.ends = ends;
    this.places = places;
    mass = new double[places];
    momentum = new double[places];
    energy = new double[places];
    burned = new double[places];
    density = new double[places];
    velocity = new double[places];
    pressure = new double[places];
    share = new double[places];
    specificEnergy = new double[places];
    sound = new double[places];
    energyL = new double[places];
    energyR = new double[places];
    slow = new double[places];
    fast = new double[places];
    contact = new double[places];
    fromLeft = new double[places];
    itsDensity = new double[places];
    itsVelocity = new double[places];
    itsPressure = new double[places];
    itsShare = new double[places];
    itsEnergy = new double[places];
    itsWave = new double[places];
    speed = new double[places];
    met = new double[places];
    flows = new double[][] {mass, momentum, energy, burned};
    kept = new double[flows.length][2 * starts.length];
  }

  /** Through all faces inside the pipes; what was said of their ends stands. */
  void run(HalfStep at, GasStates gas, double[] area) {
    keep();
    energies(at.pressureL, at.densityL, at.velocityL, at.burnedL, gas, energyL);
    energies(at.pressureR, at.densityR, at.velocityR, at.burnedR, gas, energyR);
    shift(at.densityR, density);
    shift(at.velocityR, velocity);
    shift(at.pressureR, pressure);
    shift(at.burnedR, share);
    shift(energyR, specificEnergy);
    shift(gas.sound, sound);
    waves(velocity, sound, at.velocityL, gas.sound, slow, fast, places);
    contacts(
        density,
        velocity,
        pressure,
        slow,
        at.densityL,
        at.velocityL,
        at.pressureL,
        fast,
        contact,
        places);
    sides(contact, fromLeft, places);
    pick(fromLeft, density, at.densityL, itsDensity, places);
    pick(fromLeft, velocity, at.velocityL, itsVelocity, places);
    pick(fromLeft, pressure, at.pressureL, itsPressure, places);
    pick(fromLeft, share, at.burnedL, itsShare, places);
    pick(fromLeft, specificEnergy, energyL, itsEnergy, places);
    pick(fromLeft, slow, fast, itsWave, places);
    speeds(contact, fromLeft, itsVelocity, itsWave, speed, places);
    masses(itsDensity, itsVelocity, itsWave, speed, met, mass, places);
    forces(itsVelocity, itsPressure, itsEnergy, speed, met, mass, momentum, energy, places);
    through(area, itsShare, mass, momentum, energy, burned, places);
    putBack();
  }

  private void keep() {
    for (int f = 0; f < flows.length; f++) {
      for (int k = 0; k < starts.length; k++) {
        kept[f][2 * k] = flows[f][starts[k]];
        kept[f][2 * k + 1] = flows[f][ends[k]];
      }
    }
  }

  private void putBack() {
    for (int f = 0; f < flows.length; f++) {
      for (int k = 0; k < starts.length; k++) {
        flows[f][starts[k]] = kept[f][2 * k];
        flows[f][ends[k]] = kept[f][2 * k + 1];
      }
    }
  }

  /** From the cells to the faces on their right. */
  private void shift(double[] from, double[] to) {
    to[0] = from[0];
    System.arraycopy(from, 0, to, 1, places - 1);
  }

  private void energies(
      double[] p, double[] rho, double[] u, double[] y, GasStates gas, double[] energy) {
    warmth(p, rho, gas.heatShare, gas.heatDatum, energy, places);
    motion(u, y, gas.burned, gas.heatOfBurning, energy, places);
  }

  private static void warmth(
      double[] p, double[] rho, double[] share, double[] datum, double[] energy, int n) {
    for (int i = 0; i < n; i++) {
      energy[i] = p[i] / rho[i] * share[i] + datum[i];
    }
  }

  private static void motion(
      double[] u, double[] y, double[] cell, double[] burning, double[] energy, int n) {
    for (int i = 0; i < n; i++) {
      energy[i] += (y[i] - cell[i]) * burning[i] + 0.5 * u[i] * u[i];
    }
  }

  private static void waves(
      double[] u1, double[] a1, double[] u2, double[] a2, double[] slow, double[] fast, int n) {
    for (int f = 0; f < n; f++) {
      slow[f] = Choice.lesser(u1[f] - a1[f], u2[f] - a2[f]);
      fast[f] = Choice.greater(u1[f] + a1[f], u2[f] + a2[f]);
    }
  }

  private static void contacts(
      double[] rho1,
      double[] u1,
      double[] p1,
      double[] slow,
      double[] rho2,
      double[] u2,
      double[] p2,
      double[] fast,
      double[] contact,
      int n) {
    for (int f = 0; f < n; f++) {
      double m1 = rho1[f] * (slow[f] - u1[f]);
      double m2 = rho2[f] * (fast[f] - u2[f]);
      contact[f] = (p2[f] - p1[f] + m1 * u1[f] - m2 * u2[f]) / (m1 - m2);
    }
  }

  private static void sides(double[] contact, double[] fromLeft, int n) {
    for (int f = 0; f < n; f++) {
      fromLeft[f] = Choice.ifPositive(contact[f]);
    }
  }

  private static void pick(double[] fromLeft, double[] left, double[] right, double[] its, int n) {
    for (int f = 0; f < n; f++) {
      its[f] = fromLeft[f] * left[f] + (1 - fromLeft[f]) * right[f];
    }
  }

  /** The contact's where the wave on the side that flows runs the other way, else that side's. */
  private static void speeds(
      double[] contact, double[] fromLeft, double[] u, double[] s, double[] speed, int n) {
    for (int f = 0; f < n; f++) {
      double between = Choice.ifPositive((1 - 2 * fromLeft[f]) * s[f]);
      speed[f] = between * contact[f] + (1 - between) * u[f];
    }
  }

  private static void masses(
      double[] rho, double[] u, double[] s, double[] speed, double[] met, double[] mass, int n) {
    for (int f = 0; f < n; f++) {
      double m = rho[f] * (s[f] - u[f]);
      met[f] = m;
      mass[f] = m / (s[f] - speed[f]) * speed[f];
    }
  }

  private static void forces(
      double[] u,
      double[] p,
      double[] e,
      double[] speed,
      double[] met,
      double[] mass,
      double[] momentum,
      double[] energy,
      int n) {
    for (int f = 0; f < n; f++) {
      double push = speed[f] - u[f];
      double force = p[f] + met[f] * push;
      momentum[f] = mass[f] * speed[f] + force;
      energy[f] = mass[f] * (e[f] + push * (speed[f] + p[f] / met[f])) + speed[f] * force;
    }
  }

  private static void through(
      double[] area,
      double[] share,
      double[] mass,
      double[] momentum,
      double[] energy,
      double[] burned,
      int n) {
    for (int f = 0; f < n; f++) {
      mass[f] *= area[f];
      momentum[f] *= area[f];
      energy[f] *= area[f];
      burned[f] = mass[f] * share[f];
    }
  }
}
