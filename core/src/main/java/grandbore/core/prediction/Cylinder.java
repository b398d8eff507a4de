package grandbore.core.prediction;

import grandbore.core.combustion.BurnAngles;
import grandbore.core.combustion.HeatTransfer;
import grandbore.core.gas.WorkingGas;
import grandbore.core.waves.Reservoir;

/**
 * The gas in one cylinder: mass, energy and composition in the true slider-crank volume, with the
 * {@link Crevice} above the ring beside it and two zones while the charge is {@link Burning}. Phase
 * in radians after the firing top centre, 0 to 4π.
 */
final class Cylinder implements Reservoir {
  static final double CYCLE = 4 * Math.PI;

  /** While both valves are shut the charge burns in steps no longer than this, rad. */
  static final double CLOSED_STEP = Math.toRadians(1);

  private static final double POLYTROPIC = 1.33;

  private static final double COURANT = 0.5;

  /** Pressure is not told further ahead than this share of itself. */
  private static final double MOST_AHEAD = 0.1;

  /** Crank angle after which no charge is lit any more, rad after top centre. */
  private static final double LATEST = 2.4;

  /**
   * What the closed part of a cycle does with a spark.
   *
   * @param work J
   * @param knock time over delay of the end gas, summed
   */
  record Trial(double work, double knock) {}

  private final WorkingGas gas;
  private final CylinderGeometry geometry;
  private final BurnAngles burnAngles;
  private final HeatTransfer heat;
  private final Crevice crevice;
  private final Burning burning;

  private double phase;
  private double volume;
  private double mass;
  private double energy;
  private double burnedMass;
  private double pressure;
  private double temperature;
  private double burned;

  private double trend;
  private double midway;
  private boolean closed;

  /** Whether the charge was closed in before its top centre: else there is none to light. */
  private boolean compressed;

  private double sparkAdvance;

  // At intake closing.
  private double referencePressure;
  private double referenceTemperature;
  private double referenceVolume;

  /** The charge as it was last closed in, for trials; none before the first. */
  private Cylinder closing;

  private double work;
  private double heatLost;
  private CycleTotals totals = new CycleTotals();
  private CycleTotals last = new CycleTotals();

  Cylinder(
      WorkingGas gas,
      CylinderGeometry geometry,
      BurnAngles burnAngles,
      HeatTransfer heat,
      Crevice crevice,
      double phase,
      double p) {
    this.gas = gas;
    this.geometry = geometry;
    this.burnAngles = burnAngles;
    this.heat = heat;
    this.crevice = crevice;
    this.phase = phase;
    burning = new Burning(gas, burnAngles.fuel().researchOctane());
    sparkAdvance = Math.toRadians(28);
    volume = gasVolume(phase);
    temperature = 330;
    burned = 0.05;
    mass = p * volume / (gas.gasConstant(burned) * temperature);
    burnedMass = burned * mass;
    energy = mass * gas.energy(temperature, burned);
    pressure = p;
    crevice.fill(p, burned);
  }

  /** Takes over another cylinder's gas, as hot, its phase and its state of burning. */
  void copyFrom(Cylinder o) {
    phase = o.phase;
    volume = gasVolume(phase);
    mass = o.mass;
    energy = o.energy + o.burning.energyOver(gas, o.mass, o.temperature, o.burned);
    burnedMass = o.burnedMass;
    pressure = o.pressure;
    temperature = o.temperature;
    burned = o.burned;
    closed = o.closed;
    compressed = o.compressed;
    sparkAdvance = o.sparkAdvance;
    burning.copyFrom(o.burning);
    crevice.copyFrom(o.crevice);
    referencePressure = o.referencePressure;
    referenceTemperature = o.referenceTemperature;
    referenceVolume = o.referenceVolume;
  }

  /** Takes over another cylinder's charge, the one it closed in last with it. */
  void startFrom(Cylinder o) {
    copyFrom(o);
    if (o.closing != null) {
      closing = twin();
      closing.copyFrom(o.closing);
    }
  }

  /** Volume of the gas that is not in the crevice, m³. */
  private double gasVolume(double at) {
    return geometry.volume(at) - crevice.volume();
  }

  /** A twin that can be run on its own, its valves shut. */
  Cylinder twin() {
    var twin = new Cylinder(gas, geometry, burnAngles, heat, crevice.twin(), phase, pressure);
    twin.copyFrom(this);
    return twin;
  }

  @Override
  public void receive(double dm, double de, double db) {
    mass += dm;
    energy += de;
    burnedMass += db;
  }

  /** Called when the last valve has shut, with the charge trapped. */
  void close() {
    closed = true;
    compressed = phase > Math.PI;
    referencePressure = pressure;
    referenceTemperature = temperature;
    referenceVolume = volume;
    burning.trap(burned);
    totals.trapped = mass;
    totals.residual = burned;
    if (closing == null) {
      closing = twin();
    } else {
      closing.copyFrom(this);
    }
  }

  boolean isClosed() {
    return closed;
  }

  void open() {
    burning.end();
    closed = false;
  }

  /** The longest step in which throats of so much area, m², do not make it overshoot, s. */
  double stableStep(double openArea) {
    double sound = Math.sqrt(gas.gamma(temperature, burned) * pressure * volume / mass);
    return COURANT * volume / (sound * openArea);
  }

  /** Tells what the pressure will be after an angle if it goes on as it did. */
  void lookAhead(double angle) {
    double most = MOST_AHEAD * pressure;
    midway = pressure + Math.max(-most, Math.min(trend * angle, most));
  }

  /** Moves the crank on by a step, after the step's flows are in. */
  void advance(double dt, double angle, double meanPistonSpeed) {
    double next = phase + angle;
    // From the firing top centre, so that a spark after it is none before it.
    double fromTop = phase > 2 * Math.PI ? phase - CYCLE : phase;
    if (closed
        && compressed
        && !burning.isLit()
        && !burning.isSpent()
        && fromTop > -Math.PI
        && fromTop < LATEST
        && fromTop + angle >= -sparkAdvance) {
      light(meanPistonSpeed, fromTop + sparkAdvance);
    }
    exchangeWithCrevice(dt);
    double q = heatLoss(meanPistonSpeed) * dt;
    energy -= q;
    heatLost += q;
    totals.heat += q;
    if (burning.isLit()) {
      double half = burning.advance(angle);
      if (!Double.isNaN(half)) {
        double at = phase + half;
        totals.burned50 = at > Math.PI ? at - CYCLE : at;
      }
      burnedMass = burning.burnedMass(mass);
    }
    double before = pressure;
    double done = expand(gasVolume(next));
    work += done;
    trend = (pressure - before) / angle;
    boolean gasExchange = next > Math.PI && next <= 3 * Math.PI;
    totals.add(done, gasExchange, pressure, next);
    if (closed) {
      burning.feel(pressure, burning.isLit() ? burning.unburnedTemperature() : temperature, dt);
      totals.knock = Math.max(totals.knock, burning.knock());
    }
    if (burning.isLit() && burning.isOver()) {
      burning.end();
    }
    phase = next;
    if (phase >= CYCLE) {
      phase -= CYCLE;
      last = totals;
      totals = new CycleTotals();
      totals.trapped = last.trapped;
      totals.residual = last.residual;
      totals.carryBurn(last);
    }
  }

  private void exchangeWithCrevice(double dt) {
    double nearCrevice = burning.isLit() ? burning.unburnedTemperature() : temperature;
    double share = burning.isLit() ? burning.residual() : burned;
    double taken = crevice.follow(pressure, nearCrevice, share, dt);
    mass -= taken;
    energy -= crevice.energyOf(taken, nearCrevice, share);
    burnedMass -= taken * (taken > 0 ? share : crevice.burned());
  }

  /** Changes the volume, pressure and energy together; returns the work done, J. */
  private double expand(double newVolume) {
    double dv = newVolume - volume;
    double before = pressure;
    double energyBefore = energy;
    double unburnedBefore = burning.unburnedTemperature();
    burned = Math.clamp(burnedMass / mass, 0, 1);
    double p = before;
    for (int pass = 0; pass < 3; pass++) {
      energy = energyBefore - 0.5 * (before + p) * dv;
      p = solve(newVolume, p / before, unburnedBefore);
    }
    if (burning.isLit() && !burning.hasTwoZones(mass)) {
      burning.compress(p / before);
    }
    pressure = p;
    volume = newVolume;
    return energyBefore - energy;
  }

  /**
   * @param sinceSpark crank angle, less than nothing: the spark falls within the step
   */
  private void light(double meanPistonSpeed, double sinceSpark) {
    double g = gas.gamma(temperature, burned);
    double closer = volume / gasVolume(phase - sinceSpark);
    burning.light(
        burnAngles.at(
            meanPistonSpeed,
            geometry.meanHeightAtTop(),
            temperature * Math.pow(closer, g - 1),
            pressure * Math.pow(closer, g),
            burning.residual()),
        sinceSpark,
        mass + crevice.mass(),
        temperature);
    totals.spark = sparkAdvance;
    totals.lit = true;
  }

  /** Pressure at a volume for the energy now; sets the temperatures. */
  private double solve(double newVolume, double ratio, double unburnedBefore) {
    if (burning.hasTwoZones(mass)) {
      double sum = burning.expansion(energy, mass, ratio, unburnedBefore);
      temperature = burning.meanTemperature(mass);
      return sum / newVolume;
    }
    temperature = gas.temperature(energy / mass, burned, temperature);
    return mass * gas.hotConstant(temperature, burned) * temperature / newVolume;
  }

  private double heatLoss(double meanPistonSpeed) {
    double combustion = 0;
    if (closed && (burning.isLit() || phase < Math.PI)) {
      double motored = referencePressure * Math.pow(referenceVolume / volume, POLYTROPIC);
      combustion =
          geometry.sweptVolume()
              * referenceTemperature
              / (referencePressure * referenceVolume)
              * (pressure - motored);
    }
    double h =
        heat.coefficient(pressure, temperature, volume, meanPistonSpeed, !closed, combustion);
    return h * geometry.wallTerm(volume(), temperature);
  }

  /** Runs the closed part of the last charge on its own with this spark. */
  Trial closedCycle(double advance, double speed, double meanPistonSpeed) {
    var twin = closing.twin();
    twin.sparkAdvance = advance;
    // At the latest to bottom centre: some cams open only after it.
    double end = Math.min(geometry.exhaustOpens(), Math.PI) - CLOSED_STEP;
    while (twin.phase > Math.PI || twin.phase < end) {
      twin.advance(CLOSED_STEP / speed, CLOSED_STEP, meanPistonSpeed);
    }
    return new Trial(twin.work, twin.burning.knock());
  }

  /** Whether a charge has been closed in since the start, so that sparks can be tried on it. */
  boolean canTry() {
    return closing != null && closing.phase > Math.PI;
  }

  void setSpark(double advance) {
    sparkAdvance = advance;
  }

  double spark() {
    return sparkAdvance;
  }

  CycleTotals lastCycle() {
    return last;
  }

  /** Work to the piston since the start, J. */
  double work() {
    return work;
  }

  /** Heat to the walls since the start, J. */
  double heatLost() {
    return heatLost + crevice.heat();
  }

  double phase() {
    return phase;
  }

  /** Mass of all gas, that in the crevice with it, kg. */
  double mass() {
    return mass + crevice.mass();
  }

  double energy() {
    return energy + crevice.energy();
  }

  Crevice crevice() {
    return crevice;
  }

  CylinderGeometry geometry() {
    return geometry;
  }

  /** Volume of the gas with the crevice, m³. */
  double volume() {
    return volume + crevice.volume();
  }

  @Override
  public double pressure() {
    return pressure;
  }

  @Override
  public double pressureMidway() {
    return midway;
  }

  @Override
  public double temperature() {
    return temperature;
  }

  @Override
  public double burned() {
    return burned;
  }
}
