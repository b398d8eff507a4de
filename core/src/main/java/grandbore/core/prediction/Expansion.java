package grandbore.core.prediction;

/**
 * Changes the volume that a charge has, its pressure and energy together,
 *
 * <pre>
 * E = E₀ − ½ (p₀ + p) ΔV,   p = p(E, V)
 * </pre>
 *
 * <p>by going round: a pass leaves some thousandths of what p was out, and begins from what the
 * last step's rise tells of it.
 */
final class Expansion {
  private static final int PASSES = 3;

  /** Of the pressure: a pass that moves it by less leaves too little to count. */
  private static final double SETTLED = 1e-4;

  /** Of the pressure: a rise that is told to be more begins from none. */
  private static final double TRUSTED = 0.1;

  private final ChargeGas gas;
  private final Burning burning;

  Expansion(ChargeGas gas, Burning burning) {
    this.gas = gas;
    this.burning = burning;
  }

  /**
   * Returns the work done, J.
   *
   * @param volume m³
   * @param next after it, m³
   * @param likely pressure after it as far as can be told, Pa
   */
  double to(Charge charge, double volume, double next, double likely) {
    double dv = next - volume;
    double before = charge.pressure;
    double energyBefore = charge.energy;
    double unburnedBefore = burning.unburnedTemperature();
    charge.burned = Math.clamp(charge.burnedMass / charge.mass, 0, 1);
    double p = Math.abs(likely - before) < TRUSTED * before ? likely : before;
    double moved = Double.POSITIVE_INFINITY;
    for (int pass = 0; pass < PASSES && !(moved < SETTLED * p); pass++) {
      charge.energy = energyBefore - 0.5 * (before + p) * dv;
      double now = pressure(charge, next, p / before, unburnedBefore);
      moved = Math.abs(now - p);
      p = now;
    }
    if (burning.isLit() && !burning.hasTwoZones(charge.mass)) {
      burning.compress(p / before);
    }
    charge.pressure = p;
    return energyBefore - charge.energy;
  }

  /** Pressure at a volume for the energy now; sets the temperatures. */
  private double pressure(Charge charge, double volume, double ratio, double unburnedBefore) {
    if (burning.hasTwoZones(charge.mass)) {
      double sum = burning.expansion(charge.energy, charge.mass, ratio, unburnedBefore);
      charge.temperature = burning.meanTemperature(charge.mass);
      return sum / volume;
    }
    charge.temperature =
        gas.of(charge).temperature(charge.energy / charge.mass, charge.burned, charge.temperature);
    return charge.mass
        * gas.of(charge).hotConstant(charge.temperature, charge.burned)
        * charge.temperature
        / volume;
  }
}
