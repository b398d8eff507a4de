package grandbore.core.studies;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Trace;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.List;

/**
 * One speed, one cycle written down.
 *
 * @param rpm rev/min
 * @param cylinder whose cycle it is, by number
 */
public record TraceStudy(BuiltEngine engine, double rpm, int cylinder) implements Study<Trace> {
  /** The first to fire written down. */
  public TraceStudy(BuiltEngine engine, double rpm) {
    this(engine, rpm, engine.combination().bottomEnd().firingOrder().getFirst());
  }

  @Override
  public String title() {
    return "One cycle at %,.0f rpm".formatted(rpm);
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), rpm, cylinder);
  }

  @Override
  public Trace solve(Desk<Trace> desk) {
    return desk.trace(engine, rpm, cylinder);
  }
}
