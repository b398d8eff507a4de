package grandbore.book;

import java.time.Instant;

/**
 * A build in the list of builds, without its document.
 *
 * @param displacement m³
 * @param power peak predicted, W, 0 where none was yet
 * @param speed of that peak, rad/s
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
        id, name, layout, displacement, power, speed, readings, touched, place, wrong);
  }

  /** The same build somewhere else. */
  public Summary with(Place now, Instant at) {
    return new Summary(id, name, layout, displacement, power, speed, readings, at, now, trouble);
  }

  /** The same build with its predicted peak. */
  public Summary peaking(double watts, double radiansPerSecond) {
    return new Summary(
        id, name, layout, displacement, watts, radiansPerSecond, readings, touched, place, trouble);
  }
}
