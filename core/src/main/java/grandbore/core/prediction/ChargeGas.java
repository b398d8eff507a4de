package grandbore.core.prediction;

import grandbore.core.gas.WorkingGas;

/**
 * What a cylinder holds: while a valve is open a charge part of whose fuel is a liquid yet, which
 * takes no room; once it is closed in all of it a vapour, which has its heat of vaporisation still
 * to take, evenly over the angle up to the spark or to the top. No energy comes or goes by it.
 *
 * @param wet what flows in and out
 * @param dry what burns
 */
record ChargeGas(WorkingGas wet, WorkingGas dry) {
  /** What is in it now. */
  WorkingGas of(Charge charge) {
    return charge.closed ? dry : wet;
  }

  void close(Charge charge, double volume) {
    charge.closed = true;
    double have = charge.energy;
    charge.energy = charge.mass * dry.energy(charge.temperature, charge.burned);
    charge.evaporation = charge.energy - have;
    press(charge, volume);
  }

  void open(Charge charge, double volume) {
    charge.closed = false;
    charge.energy -= charge.evaporation;
    charge.evaporation = 0;
    charge.temperature =
        wet.temperature(charge.energy / charge.mass, charge.burned, charge.temperature);
    press(charge, volume);
  }

  private void press(Charge charge, double volume) {
    double constant = of(charge).hotConstant(charge.temperature, charge.burned);
    charge.pressure = charge.mass * constant * charge.temperature / volume;
  }

  /**
   * Evaporates what is a liquid yet.
   *
   * @param fromTop phase from the firing top centre, rad
   */
  static void evaporate(Charge charge, double fromTop, double angle) {
    if (charge.evaporation == 0) {
      return;
    }
    double left = -Math.max(0, charge.sparkAdvance) - fromTop;
    double takes = left <= angle ? charge.evaporation : charge.evaporation * angle / left;
    charge.evaporation -= takes;
    charge.energy -= takes;
  }
}
