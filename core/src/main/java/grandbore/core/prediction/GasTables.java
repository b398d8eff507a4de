package grandbore.core.prediction;

import grandbore.core.gas.FuelKind;
import grandbore.core.gas.WorkingGas;
import java.util.concurrent.ConcurrentHashMap;

/** Gas tables by fuel, mixture and moisture: making one costs more than a step of a curve. */
final class GasTables {
  private record Key(FuelKind fuel, double lambda, double water, double nitrous, double liquid) {}

  private static final int MOST = 64;
  private static final ConcurrentHashMap<Key, WorkingGas> KEPT = new ConcurrentHashMap<>();

  private GasTables() {}

  static WorkingGas of(FuelKind fuel, double lambda, double water, double nitrous) {
    return of(fuel, lambda, water, nitrous, 0);
  }

  /**
   * @param liquid share of the fuel that is none yet
   */
  static WorkingGas of(FuelKind fuel, double lambda, double water, double nitrous, double liquid) {
    if (KEPT.size() > MOST) {
      KEPT.clear();
    }
    return KEPT.computeIfAbsent(
        new Key(fuel, lambda, water, nitrous, liquid),
        k -> new WorkingGas(k.fuel, k.lambda, k.water, k.nitrous, k.liquid));
  }
}
