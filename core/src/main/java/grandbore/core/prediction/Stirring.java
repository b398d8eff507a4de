package grandbore.core.prediction;

import grandbore.core.combustion.TurbulentFlame;

/** What stirs a charge: jets that decay, tumble that is told as it is closed in, quench. */
final class Stirring {
  private final CylinderGeometry geometry;
  private final TurbulentFlame flame;

  Stirring(CylinderGeometry geometry, TurbulentFlame flame) {
    this.geometry = geometry;
    this.flame = flame;
  }

  /** Length of the largest eddies in a volume, m. */
  double eddy(double within) {
    return Math.min(within / geometry.boreArea(), 0.5 * geometry.bore());
  }

  /** Moves it on while no flame burns; to another volume where the charge is closed in, m³. */
  void decay(Charge charge, double dt, double lost, double volume, double next) {
    double squeezed = charge.closed ? volume / next : 1;
    charge.stir.advance(dt, charge.mass, lost, eddy(volume), squeezed);
  }

  /** Once a charge has been closed in, what turns in it as a whole, at a crank speed, rad/s. */
  void tumble(Charge charge, double speed) {
    if (!charge.turns) {
      charge.turns = true;
      charge.stir.turn(charge.mass, flame.tumble() * speed * 0.5 * geometry.bore());
    }
  }

  /**
   * What the flats squeeze out as the piston rises: into the flame where one burns.
   *
   * @param whole volume above the piston, m³
   * @param next the same after the step, m³
   * @param volume of the gas, m³
   */
  void squish(Charge charge, Burning burning, double whole, double next, double dt, double volume) {
    double depth = geometry.depth(whole);
    double rise = depth - geometry.depth(next);
    double energy = flame.squish().energy(depth, rise, dt, charge.mass, volume);
    if (energy > 0 && burning.isLit()) {
      burning.stir(energy / charge.mass);
    } else {
      charge.stir.stir(energy);
    }
  }
}
