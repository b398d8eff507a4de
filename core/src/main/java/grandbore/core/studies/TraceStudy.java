package grandbore.core.studies;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Trace;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.List;

/**
 * Every cylinder at one speed, one cycle written down.
 *
 * @param rpm rev/min
 */
public record TraceStudy(BuiltEngine engine, double rpm) implements Study<Trace> {
  @Override
  public String title() {
    return "Every cylinder at %,.0f rpm".formatted(rpm);
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), rpm);
  }

  @Override
  public Trace solve(Desk<Trace> desk) {
    return desk.trace(engine, rpm);
  }
}
