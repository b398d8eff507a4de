package grandbore.core.prediction;

import grandbore.core.combustion.HeatTransfer;

/**
 * Heat from a cylinder's gas to its walls.
 *
 * @param model its coefficient
 */
record WallHeat(HeatTransfer model, CylinderGeometry geometry) {
  private static final double POLYTROPIC = 1.33;

  /**
   * Heat to the walls, W. What burning adds to the gas's motion goes with the pressure over that of
   * the same charge motored, on a polytrope from where it was closed in.
   *
   * @param volume of the gas, m³
   * @param all that with the crevice, m³
   * @param burns whether a flame is there, or the charge is past its top
   */
  double loss(Charge c, double volume, double all, boolean burns, double meanPistonSpeed) {
    double combustion = 0;
    if (c.closed && burns) {
      double motored = c.referencePressure * Math.pow(c.referenceVolume / volume, POLYTROPIC);
      combustion =
          geometry.sweptVolume()
              * c.referenceTemperature
              / (c.referencePressure * c.referenceVolume)
              * (c.pressure - motored);
    }
    double h =
        model.coefficient(
            c.pressure, c.temperature, volume, meanPistonSpeed, !c.closed, combustion);
    return h * geometry.wallTerm(all, c.temperature);
  }
}
