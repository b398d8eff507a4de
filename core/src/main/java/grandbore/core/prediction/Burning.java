package grandbore.core.prediction;

import grandbore.core.combustion.Burn;
import grandbore.core.combustion.FlameSpeed;
import grandbore.core.combustion.Knock;
import grandbore.core.gas.WorkingGas;

/**
 * The charge while it burns: two zones at one pressure, the unburned one compressed without loss,
 * and how near it is to firing by itself.
 */
final class Burning {
  /** Share of the fuel that burns; the rest leaves from quench and oil (Heywood, fig. 3-9). */
  private static final double BURNED_IN_THE_END = 0.97;

  private static final double SMALLEST_ZONE = 0.002;

  /** Beyond this burned share too little end gas is left to knock. */
  private static final double END_GAS_GONE = 0.95;

  private final WorkingGas gas;
  private final double delayScale;
  private boolean lit;
  private Burn burn = new Burn(0.4, 0.4);
  private double afterSpark;
  private double massAtSpark;
  private double residual;
  private double inTheEnd = BURNED_IN_THE_END;
  private double share;
  private double shareBefore;
  private double zone;
  private double unburned;
  private double hot;
  private double knock;

  Burning(WorkingGas gas, double octane) {
    this.gas = gas;
    delayScale = Knock.scale(octane);
  }

  void copyFrom(Burning o) {
    lit = o.lit;
    burn = o.burn;
    afterSpark = o.afterSpark;
    massAtSpark = o.massAtSpark;
    residual = o.residual;
    inTheEnd = o.inTheEnd;
    share = o.share;
    shareBefore = o.shareBefore;
    zone = o.zone;
    unburned = o.unburned;
    hot = o.hot;
    knock = o.knock;
  }

  /** Energy of the charge were it another gas, as hot, less what it has, J. */
  double energyOver(WorkingGas other, double mass, double temperature, double burnedShare) {
    return hasTwoZones(mass)
        ? zone * other.energyOver(gas, hot, 1)
            + (mass - zone) * other.energyOver(gas, unburned, residual)
        : mass * other.energyOver(gas, temperature, burnedShare);
  }

  /** A new charge, of this burned share, has been closed in. */
  void trap(double burnedShare) {
    residual = burnedShare;
    inTheEnd = BURNED_IN_THE_END * FlameSpeed.firingShare(burnedShare);
    share = 0;
    shareBefore = 0;
    zone = 0;
    knock = 0;
  }

  void light(Burn how, double sinceSpark, double mass, double temperature) {
    burn = how;
    lit = true;
    afterSpark = sinceSpark;
    massAtSpark = mass;
    unburned = temperature;
    hot = 2400;
  }

  void end() {
    lit = false;
  }

  boolean isLit() {
    return lit;
  }

  boolean isSpent() {
    return share > 0;
  }

  double residual() {
    return residual;
  }

  double unburnedTemperature() {
    return unburned;
  }

  /** Time over delay, summed: one where the end gas fires. */
  double knock() {
    return knock;
  }

  /**
   * Burns on by an angle.
   *
   * @return the angle, from where it was before, at which half was burned; NaN where not in it
   */
  double advance(double angle) {
    shareBefore = share;
    afterSpark += angle;
    share = inTheEnd * burn.at(afterSpark);
    double half = 0.5 * inTheEnd;
    return shareBefore < half && share >= half ? angle * partBefore(half) : Double.NaN;
  }

  /** Part of the last step in which less than this share was burned. */
  private double partBefore(double limit) {
    return share <= limit
        ? 1
        : shareBefore >= limit ? 0 : (limit - shareBefore) / (share - shareBefore);
  }

  boolean isOver() {
    return share >= inTheEnd * 0.9995 && zone >= 0.999 * share * massAtSpark;
  }

  /** Burned mass in the cylinder, with so much gas in it, kg. */
  double burnedMass(double mass) {
    zone = Math.min(share * massAtSpark, 0.9995 * mass);
    return zone + (mass - zone) * residual;
  }

  boolean hasTwoZones(double mass) {
    return lit && zone > SMALLEST_ZONE * mass;
  }

  /** Compresses what has not burned, before the flame has made a zone of its own. */
  void compress(double ratio) {
    unburned = compressed(unburned, ratio);
  }

  private double compressed(double temperature, double ratio) {
    double g = gas.gamma(temperature, residual);
    return temperature * Math.pow(ratio, (g - 1) / g);
  }

  /** Product of mass, gas constant and temperature of both zones, J, at a pressure. */
  double expansion(double energy, double mass, double ratio, double unburnedBefore) {
    double mu = mass - zone;
    unburned = compressed(unburnedBefore, ratio);
    double eu = gas.energy(unburned, residual);
    hot = gas.temperature((energy - mu * eu) / zone, 1, hot);
    return mu * gas.gasConstant(residual) * unburned + zone * gas.hotConstant(hot, 1) * hot;
  }

  /** Mass mean of both temperatures, K. */
  double meanTemperature(double mass) {
    return ((mass - zone) * unburned + zone * hot) / mass;
  }

  /** Adds a time at a state to the sum that ends in knock. */
  void feel(double pressure, double temperature, double dt) {
    double part = partBefore(END_GAS_GONE * BURNED_IN_THE_END);
    if (part > 0 && !Knock.isIdle(pressure, temperature)) {
      knock += part * dt * Knock.rate(delayScale, pressure, temperature);
    }
  }
}
