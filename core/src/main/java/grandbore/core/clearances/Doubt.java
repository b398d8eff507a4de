package grandbore.core.clearances;

/**
 * A reading that cannot be right, or that contradicts another.
 *
 * @param place 0 where it concerns all
 * @param kind for machines
 * @param says what is odd
 * @param cause what usually makes it so
 * @param ask the one reading that would settle it
 */
public record Doubt(
    Measurement measurement,
    int place,
    Reading.Side side,
    Kind kind,
    String says,
    String cause,
    String ask) {
  /** What is wrong. */
  public enum Kind {
    OUTLIER,
    REPEATS_DIFFER,
    ZERO_DRIFT,
    PLUG_LEFT_OUT,
    TIGHTER_ASSEMBLED,
    ONE_SIDE_ONLY,
    AGAINST_THE_SUM;

    /** Whether it makes the reading of its own place one that cannot be right. */
    public boolean isOfTheReading() {
      return this == OUTLIER
          || this == PLUG_LEFT_OUT
          || this == TIGHTER_ASSEMBLED
          || this == REPEATS_DIFFER;
    }
  }

  /** Whether it says that what was read at a place cannot be right. */
  public boolean isAbout(Measurement m, int at, Reading.Side where) {
    return kind.isOfTheReading()
        && measurement == m
        && place == at
        && (m.isTwoSided() || side == where || side == Reading.Side.NONE);
  }
}
