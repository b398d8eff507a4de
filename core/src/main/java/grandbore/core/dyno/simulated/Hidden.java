package grandbore.core.dyno.simulated;

import grandbore.core.changes.Change;
import grandbore.core.dyno.calibration.Coefficient;
import grandbore.core.prediction.BuiltEngine;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;

/**
 * How the engine on a simulated dyno really is.
 *
 * @param factors upon the model's numbers; those that are not there are one
 * @param seed of all that is drawn
 */
public record Hidden(Map<Coefficient, Double> factors, long seed) {
  /** No further from one than so many standard deviations. */
  private static final double FURTHEST = 2;

  public Hidden {
    var all = new EnumMap<Coefficient, Double>(Coefficient.class);
    all.putAll(factors);
    factors = Collections.unmodifiableMap(all);
  }

  /** Drawn from what is believed before any pull. */
  public static Hidden drawn(Set<Coefficient> which, long seed) {
    var random = new Random(seed);
    var factors = new EnumMap<Coefficient, Double>(Coefficient.class);
    for (var c : Coefficient.values()) {
      // Drawn for all of them, so that one more does not change the others.
      double z = Math.max(-FURTHEST, Math.min(FURTHEST, random.nextGaussian()));
      if (which.contains(c)) {
        factors.put(c, 1 + c.prior() * z);
      }
    }
    return new Hidden(factors, seed);
  }

  /** The engine as it really is. */
  public BuiltEngine on(BuiltEngine engine) {
    if (factors.isEmpty()) {
      return engine;
    }
    var sets = new TreeMap<String, Object>();
    factors.forEach((c, f) -> sets.put(c.path(), c.given(c.of(engine.combination()) * f)));
    return new Change("As it really is", sets).on(engine);
  }
}
