package grandbore.core.prediction;

import grandbore.core.combustion.HeatTransfer;
import grandbore.core.combustion.TurbulentFlame;
import grandbore.core.waves.Reservoir;

/**
 * The gas in one cylinder: mass, energy and composition in the true slider-crank volume, with the
 * {@link Crevice} above the ring beside it and two zones while the charge is {@link Burning}. Phase
 * in radians after the firing top centre, up to the length of its cycle.
 */
final class Cylinder implements Reservoir {
  private static final double COURANT = 0.5;

  /** Pressure is not told further ahead than this share of itself. */
  private static final double MOST_AHEAD = 0.1;

  /** Crank angle after which no charge is lit any more, rad after top centre. */
  private static final double LATEST = 2.4;

  private final ChargeGas gas;

  private final CylinderGeometry geometry;
  private final Cycle cycle;
  private final TurbulentFlame flame;
  private final Stirring stirring;
  private final double octane;
  private final WallHeat heat;
  private final Crevice crevice;
  private final Burning burning;
  private final Expansion expansion;

  private Charge charge = new Charge();

  /** Volume of the gas beside the crevice, m³. */
  private double volume;

  /** What flowed out in the step that is taken, kg. */
  private double lost;

  private double trend;
  private double midway;

  /** The charge as it was last closed in, for trials; none before the first. */
  private ClosedCharge closing;

  private double work;
  private double heatLost;
  private CycleTotals totals = new CycleTotals();
  private CycleTotals last = new CycleTotals();

  Cylinder(
      ChargeGas gas,
      CylinderGeometry geometry,
      TurbulentFlame flame,
      double octane,
      HeatTransfer heat,
      Crevice crevice,
      double phase,
      double p) {
    this.gas = gas;
    this.geometry = geometry;
    cycle = geometry.cycle();
    this.flame = flame;
    stirring = new Stirring(geometry, flame);
    this.octane = octane;
    this.heat = new WallHeat(heat, geometry);
    this.crevice = crevice;
    charge.phase = phase;
    burning = new Burning(gas.dry(), flame, octane);
    expansion = new Expansion(gas, burning);
    charge.sparkAdvance = Math.toRadians(28);
    volume = gasVolume(charge.phase);
    gas.fill(charge, volume, p);
    crevice.fill(p, charge.burned);
  }

  /** Takes over another cylinder's charge, whose gas may be another and whose volume differ. */
  void takeCharge(Cylinder o) {
    charge = o.charge.clone();
    volume = gasVolume(charge.phase);
    charge.energy +=
        charge.closed
            ? o.burning.energyOver(gas.dry(), charge.mass, charge.temperature, charge.burned)
            : charge.mass * gas.wet().energyOver(o.gas.wet(), charge.temperature, charge.burned);
    burning.startFrom(o.burning);
    crevice.startFrom(o.crevice);
    heat.startFrom(o.heat);
  }

  WallHeat walls() {
    return heat;
  }

  /** Takes over another cylinder's charge, the one it closed in last with it. */
  void startFrom(Cylinder o) {
    takeCharge(o);
    if (o.closing != null) {
      closing = new ClosedCharge(twin());
      closing.keep(o.closing);
    }
  }

  /** Volume of the gas that is not in the crevice, m³. */
  private double gasVolume(double at) {
    return geometry.volume(at) - crevice.volume();
  }

  /** A twin that can be run on its own, its valves shut. */
  Cylinder twin() {
    var twin =
        new Cylinder(
            gas,
            geometry,
            flame,
            octane,
            heat.model(),
            crevice.twin(),
            charge.phase,
            charge.pressure);
    twin.takeCharge(this);
    return twin;
  }

  /** Takes in the jet of a valve: kg, m/s. */
  void stir(double mass, double speed) {
    charge.stir.feed(mass, speed);
  }

  @Override
  public void receive(double dm, double de, double db) {
    lost += Math.max(0, -dm);
    charge.mass += dm;
    charge.energy += de;
    charge.burnedMass += db;
  }

  /** Called when the last valve has shut, with the charge trapped. */
  void close() {
    gas.close(charge, volume);
    charge.compressed = charge.phase > Math.PI;
    charge.referencePressure = charge.pressure;
    charge.referenceTemperature = charge.temperature;
    charge.referenceVolume = volume;
    burning.trap(charge.burned);
    charge.turns = false;
    totals.trapped = charge.mass;
    totals.residual = charge.burned;
    if (closing == null) {
      closing = new ClosedCharge(twin());
    }
    closing.keep(this);
  }

  boolean isClosed() {
    return charge.closed;
  }

  void open() {
    burning.end();
    gas.open(charge, volume);
  }

  /** The longest step in which throats of so much area, m², do not make it overshoot, s. */
  double stableStep(double openArea) {
    double sound =
        Math.sqrt(
            gas.of(charge).gamma(charge.temperature, charge.burned)
                * charge.pressure
                * volume
                / charge.mass);
    return COURANT * volume / (sound * openArea);
  }

  /** Tells what the pressure will be after an angle if it goes on as it did. */
  void lookAhead(double angle) {
    double most = MOST_AHEAD * charge.pressure;
    midway = charge.pressure + Math.max(-most, Math.min(trend * angle, most));
  }

  /** Moves the crank on by a step, after the step's flows are in. */
  void advance(double dt, double angle, double meanPistonSpeed) {
    double next = charge.phase + angle;
    double whole = geometry.volume(next);
    double after = whole - crevice.volume();
    // A spark after the firing top centre is none before it.
    double fromTop = cycle.fromTop(charge.phase);
    if (charge.closed
        && charge.compressed
        && !burning.isLit()
        && !burning.isSpent()
        && fromTop > -Math.PI
        && fromTop < LATEST
        && fromTop + angle >= -charge.sparkAdvance) {
      light(Math.max(0, -fromTop - charge.sparkAdvance), dt / angle);
    } else if (!burning.isLit()) {
      stirring.decay(charge, dt, lost, volume, after);
    }
    if (charge.closed) {
      stirring.tumble(charge, angle / dt);
      stirring.squish(charge, burning, volume(), whole, dt, volume);
    }
    lost = 0;
    ChargeGas.evaporate(charge, fromTop, angle);
    exchangeWithCrevice(dt);
    double q =
        heat.loss(
            charge,
            volume,
            volume(),
            burning.isLit() || charge.phase < Math.PI,
            meanPistonSpeed,
            dt);
    charge.energy -= q;
    heatLost += q;
    totals.heat += q;
    if (burning.isLit()) {
      burning.advance(dt, angle, charge.pressure, charge.mass, volume, geometry.depth(volume()));
      totals.burn(burning, fromTop, angle);
      charge.burnedMass = burning.burnedMass(charge.mass);
    }
    double before = charge.pressure;
    double done = expansion.to(charge, volume, after, before + trend * angle);
    volume = after;
    work += done;
    trend = (charge.pressure - before) / angle;
    totals.add(done, cycle.isGasExchange(next), charge.pressure, cycle.fromTop(next));
    if (charge.closed) {
      burning.feel(charge.pressure, unburned(), dt);
      totals.knock = Math.max(totals.knock, burning.knock());
    }
    if (burning.isLit() && burning.isOver()) {
      burning.end();
    }
    charge.phase = next;
    if (charge.phase >= cycle.length()) {
      charge.phase -= cycle.length();
      last = totals;
      totals = new CycleTotals();
      totals.trapped = last.trapped;
      totals.residual = last.residual;
      totals.carryBurn(last, burning, geometry.exhaustOpens());
    }
  }

  /** Temperature of what has not burned, K. */
  private double unburned() {
    return burning.isLit() ? burning.unburnedTemperature() : charge.temperature;
  }

  private void exchangeWithCrevice(double dt) {
    double share = burning.isLit() ? burning.residual() : charge.burned;
    crevice.exchange(charge, gas.of(charge).enthalpy(unburned(), share), share, dt);
  }

  /**
   * @param wait crank angle until the spark, which falls within the step; none where it fell before
   *     this cylinder was closed in
   * @param time that an angle takes, s/rad
   */
  private void light(double wait, double time) {
    double then = gasVolume(charge.phase + wait);
    charge.stir.advance(wait * time, charge.mass, lost, stirring.eddy(volume), volume / then);
    burning.light(
        wait,
        charge.stir.intensity(charge.mass),
        charge.stir.turning() / charge.mass,
        stirring.eddy(then),
        charge.mass + crevice.mass(),
        charge.mass / then,
        charge.pressure,
        charge.temperature);
    totals.turbulence = charge.stir.intensity(charge.mass);
    totals.spark = charge.sparkAdvance;
    totals.lit = true;
  }

  /** Whether a charge has been closed in since the start, so that sparks can be tried on it. */
  boolean canTry() {
    return closing != null && closing.isCompressed();
  }

  /** The charge that was closed in last; null before the first. */
  ClosedCharge closed() {
    return closing;
  }

  /** Time over delay of the end gas, summed since it was closed in. */
  double knock() {
    return burning.knock();
  }

  /** Whether the flame has left no end gas to fire by itself. */
  boolean isEndGasGone() {
    return burning.isEndGasGone();
  }

  void setSpark(double advance) {
    charge.sparkAdvance = advance;
  }

  double spark() {
    return charge.sparkAdvance;
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
    return charge.phase;
  }

  /** Mass of all gas, that in the crevice with it, kg. */
  double mass() {
    return charge.mass + crevice.mass();
  }

  double energy() {
    return charge.energy - charge.evaporation + crevice.energy();
  }

  Crevice crevice() {
    return crevice;
  }

  CylinderGeometry geometry() {
    return geometry;
  }

  /** The flame as it runs now. */
  FlameNow flameNow() {
    return burning.now(
        charge.closed, charge.pressure, charge.mass, volume, geometry.depth(volume()));
  }

  /** Volume of the gas with the crevice, m³. */
  double volume() {
    return volume + crevice.volume();
  }

  @Override
  public double pressure() {
    return charge.pressure;
  }

  @Override
  public double pressureMidway() {
    return midway;
  }

  @Override
  public double temperature() {
    return charge.temperature;
  }

  @Override
  public double burned() {
    return charge.burned;
  }
}
