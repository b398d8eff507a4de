package grandbore.core.prediction;

import grandbore.core.combination.Brief;
import grandbore.core.combination.Card;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Degreed;
import grandbore.core.combination.Fits;
import grandbore.core.combination.Gear;
import grandbore.core.combination.Ratings;
import grandbore.core.combination.Specs;
import grandbore.core.combination.Worksheet;
import java.util.Collections;
import java.util.List;
import java.util.Map;

/**
 * A combination with the volumes its cylinders really have.
 *
 * @param clearances volume of each cylinder at top centre, m³, cylinder 1 first
 */
public record BuiltEngine(Combination combination, List<Double> clearances) {
  public BuiltEngine {
    clearances = List.copyOf(clearances);
    if (clearances.size() != combination.bottomEnd().cylinders()) {
      throw new IllegalArgumentException("One clearance volume a cylinder is wanted");
    }
  }

  /** All cylinders as the sum of the inputs has them. */
  public static BuiltEngine asSpecified(Combination c) {
    return new BuiltEngine(c, Collections.nCopies(c.bottomEnd().cylinders(), c.clearanceVolume()));
  }

  /** Groups that are kept with an engine and that the prediction does not read. */
  private static final List<Class<? extends Record>> ON_PAPER =
      List.of(
          Fits.class,
          Ratings.class,
          Card.class,
          Gear.class,
          Degreed.class,
          Brief.class,
          Worksheet.class);

  /** This engine with nothing said that the prediction does not read: alike, they run alike. */
  public BuiltEngine solved() {
    var c = combination;
    for (var group : ON_PAPER) {
      c = c.with(Specs.make(group, Map.of()));
    }
    return new BuiltEngine(c, clearances);
  }

  double[] clearanceArray() {
    return clearances.stream().mapToDouble(Double::doubleValue).toArray();
  }
}
