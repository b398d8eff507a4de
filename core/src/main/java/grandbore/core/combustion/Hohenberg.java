package grandbore.core.combustion;

/**
 * Heat transfer from the gas to the walls of the cylinder: G. F. Hohenberg, SAE 790825: 130 V^−0.06
 * p^0.8 T^−0.4 (speed + 1.4)^0.8, volume in m³, pressure in bar; from memory. One speed for the
 * whole cycle.
 */
public final class Hohenberg implements HeatTransfer {
  private static final double SCALE = 130;
  private static final double STILL = 1.4;

  @Override
  public double coefficient(
      double pressure,
      double temperature,
      double volume,
      double meanPistonSpeed,
      boolean open,
      double combustion) {
    return SCALE
        * Math.pow(volume, -0.06)
        * Math.pow(pressure / 1e5 * (meanPistonSpeed + STILL), 0.8)
        * Math.pow(temperature, -0.4);
  }
}
