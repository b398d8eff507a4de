package grandbore.core.prediction;

import grandbore.core.combustion.FlameSpeed;
import grandbore.core.combustion.Knock;
import grandbore.core.combustion.TurbulentFlame;
import grandbore.core.gas.WorkingGas;

/**
 * The charge while it burns: two zones at one pressure, the unburned one compressed without loss,
 * and how near it is to firing by itself.
 */
final class Burning {
  private static final double SMALLEST_ZONE = 0.002;

  /** A kernel's temperature, K. */
  private static final double HOT = 2400;

  /**
   * Beyond this share burned too little end gas is left to knock: so that the research test's
   * engine knocks at the ratios that its fuels are known by (ASTM D2699, from memory).
   */
  private static final double END_GAS_GONE = 0.88;

  private final WorkingGas gas;
  private final TurbulentFlame model;
  private final double delayScale;
  private Flame flame = new Flame();

  /** Its state, copied whole from one charge to another. */
  private static final class Flame implements Cloneable {
    private boolean lit;
    private TurbulentFlame.State front = new TurbulentFlame.State();

    /** Angle until the spark, rad: it falls within the next step. */
    private double wait;

    private double massAtSpark;
    private double residual;
    private double inTheEnd = 1;
    private double share;
    private double shareBefore;
    private double zone;
    private double unburned;
    private double hot;
    private double knock;

    @Override
    protected Flame clone() {
      try {
        var clone = (Flame) super.clone();
        clone.front = front.clone();
        return clone;
      } catch (CloneNotSupportedException e) {
        throw new AssertionError(e);
      }
    }
  }

  Burning(WorkingGas gas, TurbulentFlame model, double octane) {
    this.gas = gas;
    this.model = model;
    delayScale = Knock.scale(octane);
  }

  /** Takes over the state of another charge's burning. */
  void startFrom(Burning o) {
    flame = o.flame.clone();
  }

  /** Energy of the charge were it another gas, as hot, less what it has, J. */
  double energyOver(WorkingGas other, double mass, double temperature, double burnedShare) {
    return hasTwoZones(mass)
        ? flame.zone * other.energyOver(gas, flame.hot, 1)
            + (mass - flame.zone) * other.energyOver(gas, flame.unburned, flame.residual)
        : mass * other.energyOver(gas, temperature, burnedShare);
  }

  /** A new charge, of this burned share, has been closed in. */
  void trap(double burnedShare) {
    flame.residual = burnedShare;
    flame.inTheEnd = model.laminar().complete() * FlameSpeed.firingShare(burnedShare);
    flame.share = 0;
    flame.shareBefore = 0;
    flame.zone = 0;
    flame.knock = 0;
  }

  /**
   * Leaves a kernel in the charge.
   *
   * @param wait angle until the spark, rad
   * @param intensity of the turbulence, m/s
   * @param turning energy of what turns yet as a whole, J/kg
   * @param length of its eddies, m
   * @param mass in the cylinder, that in the crevice with it, kg
   * @param density of it, kg/m³
   */
  void light(
      double wait,
      double intensity,
      double turning,
      double length,
      double mass,
      double density,
      double pressure,
      double temperature) {
    flame.hot = HOT;
    double burned = pressure / (gas.hotConstant(HOT, 1) * HOT);
    double kernel = burned * TurbulentFlame.kernelVolume() / mass;
    model.light(flame.front, intensity, turning, length, flame.residual, density, kernel);
    flame.share = flame.inTheEnd * kernel;
    flame.zone = kernel * mass;
    flame.lit = true;
    flame.wait = wait;
    flame.massAtSpark = mass;
    flame.unburned = temperature;
  }

  void end() {
    flame.lit = false;
  }

  boolean isLit() {
    return flame.lit;
  }

  boolean isSpent() {
    return flame.share > 0;
  }

  double residual() {
    return flame.residual;
  }

  double unburnedTemperature() {
    return flame.unburned;
  }

  /** Share burned of what burns. */
  private double shareBurned() {
    return flame.share / flame.inTheEnd;
  }

  /** Time over delay, summed: one where the end gas fires. */
  double knock() {
    return flame.knock;
  }

  /** Jets of so much energy over the charge's mass, J/kg, stir what the flame runs into. */
  void stir(double energy) {
    TurbulentFlame.stir(flame.front, energy);
  }

  /**
   * Burns on by a time and an angle.
   *
   * @param mass in the cylinder, kg
   * @param volume that it has, m³
   * @param depth of the piston below its top, m
   */
  void advance(double dt, double angle, double pressure, double mass, double volume, double depth) {
    flame.shareBefore = flame.share;
    double part = Math.clamp(1 - flame.wait / angle, 0, 1);
    flame.wait = 0;
    model.advance(flame.front, part * dt, ahead(pressure, mass, volume, depth));
    flame.share = flame.inTheEnd * flame.front.burned();
  }

  /** What the flame runs into. */
  private TurbulentFlame.Ahead ahead(double pressure, double mass, double volume, double depth) {
    return new TurbulentFlame.Ahead(
        pressure,
        flame.unburned,
        pressure / (gas.gasConstant(flame.residual) * flame.unburned),
        mass,
        volume,
        depth,
        flame.zone,
        zoneVolume(pressure));
  }

  /**
   * The flame as it runs now.
   *
   * @param closed whether a charge is closed in
   */
  FlameNow now(boolean closed, double pressure, double mass, double volume, double depth) {
    boolean runs = flame.lit && flame.front.entrained() < 0.999;
    return new FlameNow(
        closed ? shareBurned() : Double.NaN,
        runs ? model.radius(flame.front, ahead(pressure, mass, volume, depth)) : Double.NaN,
        flame.lit ? flame.unburned : Double.NaN,
        hasTwoZones(mass) ? flame.hot : Double.NaN);
  }

  /** Part of the last step at which a share of all that burns was burned; NaN where not in it. */
  double crossed(double share) {
    double limit = share * flame.inTheEnd;
    return flame.shareBefore < limit && flame.share >= limit ? partBefore(limit) : Double.NaN;
  }

  /** Part of the last step in which less than this share was burned. */
  private double partBefore(double limit) {
    return flame.share <= limit
        ? 1
        : flame.shareBefore >= limit
            ? 0
            : (limit - flame.shareBefore) / (flame.share - flame.shareBefore);
  }

  boolean isOver() {
    return flame.share >= flame.inTheEnd * 0.9995
        && flame.zone >= 0.999 * flame.share * flame.massAtSpark;
  }

  /** Volume of what has burned up at a pressure, m³. */
  private double zoneVolume(double pressure) {
    return flame.zone * gas.hotConstant(flame.hot, 1) * flame.hot / pressure;
  }

  /** Whether the flame that is lit has burned this share of all that it will. */
  boolean isReached(double share) {
    return flame.lit && flame.share >= share * flame.inTheEnd;
  }

  /** Burned mass in the cylinder, with so much gas in it, kg. */
  double burnedMass(double mass) {
    flame.zone = Math.min(flame.share * flame.massAtSpark, 0.9995 * mass);
    return flame.zone + (mass - flame.zone) * flame.residual;
  }

  boolean hasTwoZones(double mass) {
    return flame.lit && flame.zone > SMALLEST_ZONE * mass;
  }

  /** Compresses what has not burned, before the flame has made a zone of its own. */
  void compress(double ratio) {
    flame.unburned = compressed(flame.unburned, ratio);
  }

  private double compressed(double temperature, double ratio) {
    double g = gas.gamma(temperature, flame.residual);
    return temperature * Math.pow(ratio, (g - 1) / g);
  }

  /** Product of mass, gas constant and temperature of both zones, J, at a pressure. */
  double expansion(double energy, double mass, double ratio, double unburnedBefore) {
    double mu = mass - flame.zone;
    flame.unburned = compressed(unburnedBefore, ratio);
    double eu = gas.energy(flame.unburned, flame.residual);
    flame.hot = gas.temperature((energy - mu * eu) / flame.zone, 1, flame.hot);
    return mu * gas.gasConstant(flame.residual) * flame.unburned
        + flame.zone * gas.hotConstant(flame.hot, 1) * flame.hot;
  }

  /** Mass mean of both temperatures, K. */
  double meanTemperature(double mass) {
    return ((mass - flame.zone) * flame.unburned + flame.zone * flame.hot) / mass;
  }

  private double endGasGone() {
    return END_GAS_GONE * model.laminar().complete();
  }

  /** Whether so much has burned that no end gas is left to fire by itself. */
  boolean isEndGasGone() {
    return flame.shareBefore >= endGasGone();
  }

  /** Adds a time at a state to the sum that ends in knock. */
  void feel(double pressure, double temperature, double dt) {
    double part = partBefore(endGasGone());
    if (part > 0 && !Knock.isIdle(pressure, temperature)) {
      flame.knock += part * dt * Knock.rate(delayScale, pressure, temperature);
    }
  }
}
