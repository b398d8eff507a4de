package grandbore.core.combustion;

/** Heat transfer from the gas to the walls of the cylinder. */
@FunctionalInterface
public interface HeatTransfer {
  /**
   * Coefficient of heat transfer, W/(m² K).
   *
   * @param pressure of the gas, Pa
   * @param temperature of the gas, mean, K
   * @param meanPistonSpeed m/s
   * @param open whether a valve is open
   * @param volume of the gas, m³
   * @param combustion swept volume × reference temperature over reference pressure and volume,
   *     times firing less motored pressure, K: zero before the spark
   */
  double coefficient(
      double pressure,
      double temperature,
      double volume,
      double meanPistonSpeed,
      boolean open,
      double combustion);
}
