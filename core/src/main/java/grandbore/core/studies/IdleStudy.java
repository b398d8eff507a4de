package grandbore.core.studies;

import grandbore.core.combination.Combination;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.SlowRunning;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import grandbore.core.units.Measure;
import java.util.List;
import java.util.Optional;

/**
 * Idle at a speed, where there is one.
 *
 * @param rpm rev/min
 */
public record IdleStudy(BuiltEngine engine, double rpm)
    implements Study<Optional<SlowRunning.Idle>> {
  /** The speed at which an engine is wanted to idle, rev/min. */
  public static double speed(Combination c) {
    return Measure.RPM.fromSi(c.brief().idle().si());
  }

  @Override
  public String title() {
    return "Idle at %,.0f rpm".formatted(rpm);
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), rpm);
  }

  @Override
  public Optional<SlowRunning.Idle> solve(Desk<Optional<SlowRunning.Idle>> desk) {
    return desk.alone(stop -> new SlowRunning(engine, stop).idle(rpm));
  }
}
