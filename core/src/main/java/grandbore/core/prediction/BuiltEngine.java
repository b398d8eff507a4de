package grandbore.core.prediction;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Specs;
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

  /**
   * As it runs at one speed: with the mixture and the spark that it has there.
   *
   * @param rpm rev/min
   */
  BuiltEngine at(double rpm) {
    var mixture = combination.mixture();
    return mixture.bySpeed().isGiven()
        ? new BuiltEngine(
            Specs.changed(combination, Map.of("mixture", mixture.at(rpm * Math.PI / 30))),
            clearances)
        : this;
  }

  /** The numbers of it that the prediction reads: alike, they run alike. */
  public EngineKey key() {
    return EngineKey.of(this);
  }

  double[] clearanceArray() {
    return clearances.stream().mapToDouble(Double::doubleValue).toArray();
  }
}
