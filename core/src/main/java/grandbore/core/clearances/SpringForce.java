package grandbore.core.clearances;

import grandbore.core.combination.Combination;
import java.util.Optional;

/**
 * A seat force read on the tester at the spring sheet's height, brought to the height at which this
 * spring is really installed: force + rate × (sheet's height − installed height).
 */
public final class SpringForce {
  private SpringForce() {}

  /** By how much the force differs at the height measured, N; none where either is not known. */
  public static Optional<Double> change(
      Combination c, Readings readings, int place, Reading.Side side) {
    var sheet = c.gear().installedHeight();
    if (!sheet.isSaid()) {
      return Optional.empty();
    }
    return readings
        .at(Measurement.INSTALLED_HEIGHT, place, side)
        .map(h -> c.valveTrain().springRate().si() * (sheet.si() - h.value()));
  }
}
