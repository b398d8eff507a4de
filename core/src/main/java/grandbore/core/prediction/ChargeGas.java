package grandbore.core.prediction;

import grandbore.core.gas.WorkingGas;

/**
 * What a cylinder holds: while a valve is open a charge part of whose fuel is a liquid yet, which
 * takes no room; once it is closed in all of it a vapour, which has its heat of vaporisation still
 * to take, evenly over the angle up to the spark or to the top. No energy comes or goes by it.
 *
 * <p>A cylinder whose mixture is another than the engine's mean takes it when it is closed in and
 * gives the mean's back when it opens, as hot as it is: between cylinders the pipes' gas is one.
 *
 * @param wet what flows in and out
 * @param liquid the same of this cylinder's own mixture
 * @param dry what burns
 */
record ChargeGas(WorkingGas wet, WorkingGas liquid, WorkingGas dry) {
  /** Of a cylinder that gets the engine's mean mixture. */
  ChargeGas(WorkingGas wet, WorkingGas dry) {
    this(wet, wet, dry);
  }

  /** What is in it now. */
  WorkingGas of(Charge charge) {
    return charge.closed ? dry : wet;
  }

  /** What stands in a cylinder at first: a charge with little burned gas, as warm as usual. */
  void fill(Charge charge, double volume, double pressure) {
    charge.temperature = 330;
    charge.burned = 0.05;
    charge.mass = pressure * volume / (wet.gasConstant(charge.burned) * charge.temperature);
    charge.burnedMass = charge.burned * charge.mass;
    charge.energy = charge.mass * wet.energy(charge.temperature, charge.burned);
    charge.pressure = pressure;
  }

  void close(Charge charge, double volume) {
    charge.closed = true;
    if (liquid != wet) {
      // As much air as came in, with this cylinder's fuel.
      double fresh = (1 - wet.fuelMassFraction()) / (1 - liquid.fuelMassFraction());
      charge.dosed = charge.burned + (1 - charge.burned) * fresh;
      weigh(charge, charge.dosed);
      charge.energy = charge.mass * liquid.energy(charge.temperature, charge.burned);
    }
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
        liquid.temperature(charge.energy / charge.mass, charge.burned, charge.temperature);
    if (liquid != wet) {
      weigh(charge, 1 / charge.dosed);
      charge.dosed = 1;
      charge.energy = charge.mass * wet.energy(charge.temperature, charge.burned);
    }
    press(charge, volume);
  }

  private static void weigh(Charge charge, double times) {
    charge.mass *= times;
    charge.burnedMass *= times;
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
