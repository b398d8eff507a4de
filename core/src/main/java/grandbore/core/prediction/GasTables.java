package grandbore.core.prediction;

import grandbore.core.gas.FuelKind;
import grandbore.core.gas.WorkingGas;
import java.util.concurrent.ConcurrentHashMap;

/** Gas tables by fuel, mixture and moisture: making one costs more than a step of a curve. */
final class GasTables {
  private record Key(FuelKind fuel, double lambda, double water, double nitrous) {}

  private static final int MOST = 64;
  private static final ConcurrentHashMap<Key, WorkingGas> KEPT = new ConcurrentHashMap<>();

  private GasTables() {}

  static WorkingGas of(FuelKind fuel, double lambda, double water, double nitrous) {
    if (KEPT.size() > MOST) {
      KEPT.clear();
    }
    return KEPT.computeIfAbsent(
        new Key(fuel, lambda, water, nitrous),
        k -> new WorkingGas(k.fuel, k.lambda, k.water, k.nitrous));
  }
}
