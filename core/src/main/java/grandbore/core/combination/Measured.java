package grandbore.core.combination;

import java.util.Collection;
import java.util.Set;

/**
 * How many of an engine's inputs were measured on it.
 *
 * @param measured with a number that was read, once or repeated
 * @param all inputs of what the engine has
 */
public record Measured(int measured, int all) {
  /** Of all inputs. */
  public static Measured of(Combination c) {
    return of(c, Set.of());
  }

  /**
   * Of some groups of inputs.
   *
   * @param groups their names, none for all
   */
  public static Measured of(Combination c, Collection<String> groups) {
    int all = 0;
    int measured = 0;
    for (var f : Specs.fields()) {
      if ((groups.isEmpty() || groups.contains(f.group())) && c.has(f.group())) {
        all++;
        measured += f.get(c).provenance().compareTo(Provenance.MEASURED) >= 0 ? 1 : 0;
      }
    }
    return new Measured(measured, all);
  }

  /** From 0 to 1. */
  public double share() {
    return all == 0 ? 0 : (double) measured / all;
  }
}
