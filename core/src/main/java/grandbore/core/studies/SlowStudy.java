package grandbore.core.studies;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.SlowRunning;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.List;
import java.util.Optional;

/**
 * What a slow engine does: cranked, and idling.
 *
 * @param idleSpeed rev/min
 */
public record SlowStudy(BuiltEngine engine, double idleSpeed) implements Study<SlowStudy.Slow> {
  /**
   * @param compression gauge pressures, Pa, cylinder 1 first
   * @param idle none where no throttle holds it
   */
  public record Slow(List<Double> compression, Optional<SlowRunning.Idle> idle) {
    public Slow {
      compression = List.copyOf(compression);
    }
  }

  @Override
  public String title() {
    return "Cranking and shutting the throttle";
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), idleSpeed);
  }

  @Override
  public Slow solve(Desk<Slow> desk) {
    desk.expect(2);
    return of(engine, idleSpeed, desk);
  }

  /** Two pieces of a run. */
  static Slow of(BuiltEngine engine, double idleSpeed, Desk<?> desk) {
    var compression = desk.alone(stop -> new SlowRunning(engine, stop).compressionTest());
    desk.piece();
    var idle = desk.alone(stop -> new SlowRunning(engine, stop).idle(idleSpeed));
    desk.piece();
    return new Slow(compression, idle);
  }
}
