package grandbore.book;

import grandbore.core.combination.Specs;
import grandbore.core.job.JobLine;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;

/**
 * A build in the list of builds, without its document.
 *
 * @param displacement m³
 * @param power peak predicted, W, 0 where none was yet
 * @param speed of that peak, rad/s
 * @param measured share of its inputs that were measured on it, 0 to 1, as at the last prediction
 * @param readings how many were taken of it, struck ones too
 * @param touched when it was last changed
 * @param job how it stands as a job, as text; empty where that was never reckoned
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
    String job,
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
    return Specs.changed(this, Map.of("trouble", wrong));
  }

  /** The same build somewhere else. */
  public Summary with(Place now, Instant at) {
    return Specs.changed(this, Map.of("place", now, "touched", at));
  }

  /** The same build with its predicted peak and how much of it is measured. */
  public Summary predicted(double watts, double radiansPerSecond, double share) {
    return Specs.changed(
        this, Map.of("power", watts, "speed", radiansPerSecond, "measured", share));
  }

  /** The same build as it stands as a job. */
  public Summary standing(JobLine line) {
    return Specs.changed(this, Map.of("job", JobJson.write(line)));
  }

  /** How it stands as a job; nothing where that was never reckoned, or can't be read. */
  public Optional<JobLine> line() {
    try {
      return job.isEmpty() ? Optional.empty() : Optional.of(JobJson.read(job, JobLine.class));
    } catch (FormatException e) {
      return Optional.empty();
    }
  }
}
