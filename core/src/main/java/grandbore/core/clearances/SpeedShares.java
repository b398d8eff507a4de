package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;
import java.util.List;

/**
 * Where the engine of a build spends its time; the newest note of it stands.
 *
 * @param rpm speeds, rev/min; none where no share is known any more
 * @param share of the time at each, in any unit
 */
public record SpeedShares(List<Double> rpm, List<Double> share) implements Note {
  private static final int MOST = 400;

  public SpeedShares {
    if (rpm == null || share == null || rpm.size() != share.size() || rpm.size() > MOST) {
      throw new InvalidInput(
          "Time at speed",
          "not as many shares as speeds, or more than 400",
          "up to 400 of each",
          "each speed has its share");
    }
    rpm = List.copyOf(rpm);
    share = List.copyOf(share);
  }
}
