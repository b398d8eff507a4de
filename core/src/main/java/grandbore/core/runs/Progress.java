package grandbore.core.runs;

import java.time.Duration;
import java.util.Optional;

/**
 * How far a run is.
 *
 * @param done pieces done, mostly speeds solved
 * @param of pieces in all, as far as is known; none before it began
 * @param elapsed since it was asked for
 */
public record Progress(int done, int of, Duration elapsed) {
  /** Time left at the pace so far; nobody knows before a tenth is done. */
  public Optional<Duration> left() {
    if (done == 0 || of <= 0 || 10 * done < of) {
      return Optional.empty();
    }
    return Optional.of(elapsed.multipliedBy(Math.max(0, of - done)).dividedBy(done));
  }

  public double share() {
    return of <= 0 ? 0 : Math.min(1, (double) done / of);
  }
}
