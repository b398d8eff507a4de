package grandbore.core.prediction;

import grandbore.core.combustion.Burn;
import grandbore.core.combustion.BurnAngles;
import grandbore.core.combustion.HeatTransfer;
import grandbore.core.gas.WorkingGas;
import grandbore.core.waves.Reservoir;

/**
 * The gas in one cylinder: mass, energy and composition in the true slider-crank volume; two zones
 * while the charge burns, at one pressure, the unburned one compressed without loss. Phase in
 * radians after the firing top centre, 0 to 4π.
 */
final class Cylinder implements Reservoir {
  static final double CYCLE = 4 * Math.PI;

  /** Share of the fuel that burns; the rest leaves from crevices and quench (Heywood, fig. 3-9). */
  private static final double BURNED_IN_THE_END = 0.97;

  private static final double SMALLEST_ZONE = 0.002;
  private static final double POLYTROPIC = 1.33;

  private final WorkingGas gas;
  private final CylinderGeometry geometry;
  private final BurnAngles burnAngles;
  private final HeatTransfer heat;

  private double phase;
  private double volume;
  private double mass;
  private double energy;
  private double burnedMass;
  private double pressure;
  private double temperature;
  private double burned;

  private boolean closed;
  private boolean burning;
  private double sparkAdvance;
  private double afterSpark;
  private Burn burn = new Burn(0.4, 0.4);
  private double shareBurned;
  private double residual;
  private double freshAtSpark;
  private double unburnedTemperature;
  private double burnedZoneTemperature;

  // At intake closing.
  private double referencePressure;
  private double referenceTemperature;
  private double referenceVolume;

  private double work;
  private double heatLost;
  private CycleTotals totals = new CycleTotals();
  private CycleTotals last = new CycleTotals();

  Cylinder(
      WorkingGas gas,
      CylinderGeometry geometry,
      BurnAngles burnAngles,
      HeatTransfer heat,
      double phase,
      double p) {
    this.gas = gas;
    this.geometry = geometry;
    this.burnAngles = burnAngles;
    this.heat = heat;
    this.phase = phase;
    sparkAdvance = Math.toRadians(28);
    volume = geometry.volume(phase);
    temperature = 330;
    burned = 0.05;
    mass = p * volume / (gas.gasConstant(burned) * temperature);
    burnedMass = burned * mass;
    energy = mass * gas.energy(temperature, burned);
    pressure = p;
  }

  /** Takes over another cylinder's gas, phase and state of burning. */
  void copyFrom(Cylinder o) {
    phase = o.phase;
    volume = geometry.volume(phase);
    mass = o.mass;
    energy = o.energy;
    burnedMass = o.burnedMass;
    pressure = o.pressure;
    temperature = o.temperature;
    burned = o.burned;
    closed = o.closed;
    burning = o.burning;
    sparkAdvance = o.sparkAdvance;
    afterSpark = o.afterSpark;
    burn = o.burn;
    shareBurned = o.shareBurned;
    residual = o.residual;
    freshAtSpark = o.freshAtSpark;
    unburnedTemperature = o.unburnedTemperature;
    burnedZoneTemperature = o.burnedZoneTemperature;
    referencePressure = o.referencePressure;
    referenceTemperature = o.referenceTemperature;
    referenceVolume = o.referenceVolume;
  }

  /** A twin that can be run on its own, its valves shut. */
  Cylinder twin() {
    var twin = new Cylinder(gas, geometry, burnAngles, heat, phase, pressure);
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
    referencePressure = pressure;
    referenceTemperature = temperature;
    referenceVolume = volume;
    residual = burned;
    totals.trapped = mass;
    totals.residual = residual;
  }

  boolean isClosed() {
    return closed;
  }

  void open() {
    if (burning) {
      endBurn();
    }
    closed = false;
  }

  /** Moves the crank on by a step, after the step's flows are in. */
  void advance(double dt, double angle, double meanPistonSpeed) {
    double next = phase + angle;
    if (closed && !burning && shareBurned == 0 && next >= CYCLE - sparkAdvance && phase > Math.PI) {
      light(meanPistonSpeed, next - (CYCLE - sparkAdvance) - angle);
    }
    double q = heatLoss(meanPistonSpeed) * dt;
    energy -= q;
    heatLost += q;
    if (burning) {
      afterSpark += angle;
      double share = BURNED_IN_THE_END * burn.at(afterSpark);
      burnedMass += (share - shareBurned) * freshAtSpark;
      note(share, next);
      shareBurned = share;
    }
    double newVolume = geometry.volume(next);
    double dv = newVolume - volume;
    double before = pressure;
    double energyBefore = energy;
    double unburnedBefore = unburnedTemperature;
    burned = Math.clamp(burnedMass / mass, 0, 1);
    double p = before;
    for (int pass = 0; pass < 3; pass++) {
      energy = energyBefore - 0.5 * (before + p) * dv;
      p = solve(newVolume, p, before, unburnedBefore);
    }
    double done = energyBefore - energy;
    work += done;
    pressure = p;
    volume = newVolume;
    boolean gasExchange = next > Math.PI && next <= 3 * Math.PI;
    totals.add(done, gasExchange, pressure, next);
    if (burning && (shareBurned > BURNED_IN_THE_END * 0.9995 || next > CYCLE + 2.4)) {
      endBurn();
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
    if (!burning && phase > Math.PI && phase < 2 * Math.PI) {
      shareBurned = 0;
    }
  }

  private void note(double share, double at) {
    double half = 0.5 * BURNED_IN_THE_END;
    if (shareBurned < half && share >= half) {
      totals.halfBurned = at > Math.PI ? at - CYCLE : at;
    }
  }

  private void light(double meanPistonSpeed, double sinceSpark) {
    burning = true;
    afterSpark = sinceSpark;
    shareBurned = 0;
    freshAtSpark = mass - burnedMass;
    unburnedTemperature = temperature;
    burnedZoneTemperature = 2400;
    burn =
        burnAngles.at(meanPistonSpeed, geometry.meanHeightAtTop(), temperature, pressure, residual);
    totals.spark = sparkAdvance;
  }

  private void endBurn() {
    burning = false;
  }

  /** Pressure at a volume for the energy now; sets the temperatures. */
  private double solve(double newVolume, double guess, double before, double unburnedBefore) {
    double burnedZone = shareBurned * freshAtSpark / Math.max(1e-12, 1 - residual);
    if (!burning || burnedZone < SMALLEST_ZONE * mass) {
      temperature = gas.temperature(energy / mass, burned, temperature);
      if (burning) {
        unburnedTemperature = temperature;
      }
      return mass * constant(temperature, burned) * temperature / newVolume;
    }
    double mb = Math.min(burnedZone, mass * 0.9999);
    double mu = mass - mb;
    double g = gas.gamma(unburnedBefore, residual);
    double ratio = Math.pow(guess / before, (g - 1) / g);
    unburnedTemperature = unburnedBefore * ratio;
    double eu = gas.energy(unburnedTemperature, residual);
    double yb = Math.min(1, (burnedMass - mu * residual) / mb);
    burnedZoneTemperature = gas.temperature((energy - mu * eu) / mb, yb, burnedZoneTemperature);
    double sum =
        mu * gas.gasConstant(residual) * unburnedTemperature
            + mb * constant(burnedZoneTemperature, yb) * burnedZoneTemperature;
    temperature = (mu * unburnedTemperature + mb * burnedZoneTemperature) / mass;
    return sum / newVolume;
  }

  /** Gas constant with dissociation. */
  private double constant(double kelvin, double share) {
    return kelvin < 1500
        ? gas.gasConstant(share)
        : gas.freshR() + share * (gas.burnedR(kelvin) - gas.freshR());
  }

  private double heatLoss(double meanPistonSpeed) {
    double combustion = 0;
    if (closed && (burning || phase < Math.PI)) {
      double motored = referencePressure * Math.pow(referenceVolume / volume, POLYTROPIC);
      combustion =
          geometry.sweptVolume()
              * referenceTemperature
              / (referencePressure * referenceVolume)
              * (pressure - motored);
    }
    double h = heat.coefficient(pressure, temperature, meanPistonSpeed, !closed, combustion);
    return h * geometry.wallTerm(volume, temperature);
  }

  /** Runs the closed part on its own with this spark; returns its work, J. */
  double closedWork(double advance, double speed, double meanPistonSpeed) {
    var twin = twin();
    twin.sparkAdvance = advance;
    double step = Math.toRadians(1);
    while (twin.phase > Math.PI || twin.phase < geometry.exhaustOpens() - step) {
      twin.advance(step / speed, step, meanPistonSpeed);
    }
    return twin.work;
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
    return heatLost;
  }

  double phase() {
    return phase;
  }

  double mass() {
    return mass;
  }

  double energy() {
    return energy;
  }

  CylinderGeometry geometry() {
    return geometry;
  }

  @Override
  public double pressure() {
    return pressure;
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
