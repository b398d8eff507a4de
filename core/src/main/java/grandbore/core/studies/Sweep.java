package grandbore.core.studies;

import java.util.List;

/**
 * A band's average power over one input, as far as it has been run.
 *
 * @param at the input's values, SI, rising
 * @param power average over the band, W; not a number where a curve did not settle
 */
public record Sweep(List<Double> at, List<Double> power) {
  public Sweep {
    at = List.copyOf(at);
    power = List.copyOf(power);
  }

  /** The place of the most power; none of an empty one. */
  public int best() {
    int best = 0;
    for (int i = 1; i < power.size(); i++) {
      best = power.get(i) > power.get(best) ? i : best;
    }
    return best;
  }
}
