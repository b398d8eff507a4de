package grandbore.core.combustion;

/** Heat transfer from the gas to the walls of the cylinder. */
@FunctionalInterface
public interface HeatTransfer {
  /**
   * Coefficient of heat transfer, W/(m² K).
   *
   * @param pressure pressure of the gas
   * @param temperature mean temperature of the gas
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
