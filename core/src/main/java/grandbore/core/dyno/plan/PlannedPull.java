package grandbore.core.dyno.plan;

import grandbore.core.changes.Change;
import java.util.Optional;

/**
 * One pull, or what stands between two.
 *
 * @param kind what it is for
 * @param what is done, in a line
 * @param why it is worth its time
 * @param change upon the engine as it was frozen; empty for none
 * @param minutes that it takes
 * @param expected what the model expects of the band's average against the first pull, as a share;
 *     not a number where it is not run
 * @param counts the least difference that is no chance, as a share; not a number likewise
 */
public record PlannedPull(
    Kind kind,
    String what,
    String why,
    Optional<Change> change,
    double minutes,
    double expected,
    double counts) {
  /** What a pull is for. */
  public enum Kind {
    WARM_UP("warm-up"),
    FIRST("first"),
    REPEAT("repeat"),
    SPARK("spark"),
    MIXTURE("mixture"),
    SPACER("spacer"),
    CAM("cam"),
    LASH("lash");

    private final String word;

    Kind(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /** Whether the model expects more than chance; where it does not, the pull may be left out. */
  public boolean isWorth() {
    return Math.abs(expected) > counts;
  }

  /**
   * @param rate of the dyno, money an hour
   */
  public double cost(double rate) {
    return rate * minutes / 60;
  }
}
