package grandbore.book;

import java.time.Instant;

/**
 * A build in the list of builds, without its document.
 *
 * @param displacement m³
 * @param power peak predicted, W, 0 where none was yet
 * @param speed of that peak, rad/s
 * @param measured share of its inputs that were measured on it, 0 to 1, as at the last prediction
 * @param readings how many were taken of it, struck ones too
 * @param touched when it was last changed
 * @param trouble why it can't be opened, empty where nothing is known to be wrong
 */
public record Summary(
    long id,
    String name,
    String layout,
    double displacement,
    double power,
    double speed,
    double measured,
    int readings,
    Instant touched,
    Place place,
    String trouble) {
  /** Where a build stands. */
  public enum Place {
    /** In the list. */
    BENCH,
    /** Put away: found when it is looked for. */
    ARCHIVE,
    /** Thrown away: kept, and brought back by undo or from the list of what was. */
    BIN
  }

  public boolean isSound() {
    return trouble.isEmpty();
  }

  /** The same build with something wrong. */
  public Summary with(String wrong) {
    return new Summary(
        id, name, layout, displacement, power, speed, measured, readings, touched, place, wrong);
  }

  /** The same build somewhere else. */
  public Summary with(Place now, Instant at) {
    return new Summary(
        id, name, layout, displacement, power, speed, measured, readings, at, now, trouble);
  }

  /** The same build with its predicted peak and how much of it is measured. */
  public Summary predicted(double watts, double radiansPerSecond, double share) {
    return new Summary(
        id,
        name,
        layout,
        displacement,
        watts,
        radiansPerSecond,
        share,
        readings,
        touched,
        place,
        trouble);
  }
}
