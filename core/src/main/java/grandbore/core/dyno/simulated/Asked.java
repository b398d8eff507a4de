package grandbore.core.dyno.simulated;

import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.Pull;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A pull that is asked for.
 *
 * @param sets inputs that differ from the build's
 * @param spark as it is set at the pointer, rad before top centre
 * @param from first speed, rev/min
 * @param to last speed
 * @param how the brake is run
 * @param rate of a sweep, rev/min a second
 * @param rows recorded a second; of steps one for each speed
 */
public record Asked(
    SortedMap<String, Object> sets,
    double spark,
    double from,
    double to,
    Pull.How how,
    double rate,
    double rows) {
  public Asked {
    sets = java.util.Collections.unmodifiableSortedMap(new TreeMap<>(sets));
    if (!(from >= 500 && to >= from + 500 && to <= 20_000)) {
      throw new InvalidInput(
          "Pull, speeds", "%.0f to %.0f".formatted(from, to), "500 rpm apart", "it is pulled up");
    }
    if (!(rate >= 50 && rate <= 2000)) {
      throw new InvalidInput("Pull, rate", rate + " rpm/s", "50 to 2,000", "the brake holds it");
    }
    if (!(rows >= 1 && rows <= 200)) {
      throw new InvalidInput("Pull, rows", rows + " a second", "1 to 200", "it records so many");
    }
  }

  /** A sweep of 300 rev/min a second, ten rows a second. */
  public static Asked sweep(SortedMap<String, Object> sets, double spark, double from, double to) {
    return new Asked(sets, spark, from, to, Pull.How.SWEEP, 300, 10);
  }
}
