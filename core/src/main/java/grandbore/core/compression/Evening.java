package grandbore.core.compression;

import grandbore.core.prediction.BuiltEngine;
import java.util.ArrayList;
import java.util.List;

/** How far cylinders and banks are apart in volume at top centre, and what evens them. */
public record Evening(List<Bank> banks, List<Double> shims) {
  /**
   * One bank.
   *
   * @param mean volume at top centre, m³
   * @param least volume of its cylinders, m³
   * @param most volume of its cylinders, m³
   * @param mill to take off its head so that its mean comes down to the tighter bank's, m; not a
   *     number where the chamber's plan area is not known
   * @param deck to take off its deck for the same, m
   */
  public record Bank(double mean, double least, double most, double mill, double deck) {}

  /**
   * Shims are what separate barrels want, cylinder 1 first: each cylinder is let down to the
   * largest volume, m.
   */
  public static Evening of(BuiltEngine engine) {
    var c = engine.combination();
    var b = c.bottomEnd();
    var volumes = engine.clearances();
    double[] sum = new double[b.banks()];
    double[] least = new double[b.banks()];
    double[] most = new double[b.banks()];
    java.util.Arrays.fill(least, Double.MAX_VALUE);
    for (int i = 0; i < volumes.size(); i++) {
      int bank = b.bank(i + 1);
      double v = volumes.get(i);
      sum[bank] += v * b.banks() / volumes.size();
      least[bank] = Math.min(least[bank], v);
      most[bank] = Math.max(most[bank], v);
    }
    double tight = java.util.Arrays.stream(sum).min().orElseThrow();
    var plan = c.compression().planArea();
    var banks = new ArrayList<Bank>();
    for (int k = 0; k < sum.length; k++) {
      double over = sum[k] - tight;
      banks.add(
          new Bank(
              sum[k],
              least[k],
              most[k],
              plan.isKnown() ? over / plan.si() : Double.NaN,
              over / b.boreArea()));
    }
    double largest = volumes.stream().mapToDouble(v -> v).max().orElseThrow();
    var shims = volumes.stream().map(v -> (largest - v) / b.boreArea()).toList();
    return new Evening(List.copyOf(banks), shims);
  }
}
