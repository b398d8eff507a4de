package grandbore.core.studies;

import grandbore.core.doubt.Uncertain;
import java.util.Comparator;
import java.util.List;

/**
 * What each input does to the band's average, changed alone, as far as they were run.
 *
 * @param stands average power over the band of the engine as it stands, W
 * @param effects in the order of the inputs
 */
public record Effects(double stands, List<Effect> effects) {
  public Effects {
    effects = List.copyOf(effects);
  }

  /**
   * @param low average power with the input lower, less that of the engine as it stands, W; not a
   *     number where it can't be built or did not settle
   * @param high with the input higher
   */
  public record Effect(Uncertain input, double low, double high) {
    /** The larger of both, W. */
    public double size() {
      double down = Double.isNaN(low) ? 0 : Math.abs(low);
      double up = Double.isNaN(high) ? 0 : Math.abs(high);
      return Math.max(down, up);
    }
  }

  /** Those that can be told from none, the largest first. */
  public List<Effect> told() {
    return effects.stream()
        .filter(e -> Repeatability.tells(e.size(), stands))
        .sorted(Comparator.comparingDouble(Effect::size).reversed())
        .toList();
  }
}
