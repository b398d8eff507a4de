package grandbore.core.studies;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Trace;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.List;

/**
 * One speed, one cycle written down.
 *
 * @param rpm rev/min
 * @param fidelity which cylinders are solved
 */
public record TraceStudy(BuiltEngine engine, double rpm, Fidelity fidelity)
    implements Study<Trace> {
  /** Every cylinder solved. */
  public TraceStudy(BuiltEngine engine, double rpm) {
    this(engine, rpm, Fidelity.FULL);
  }

  @Override
  public String title() {
    return "One cycle at %,.0f rpm".formatted(rpm);
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), rpm, fidelity);
  }

  @Override
  public Trace solve(Desk<Trace> desk) {
    return desk.trace(engine, rpm, fidelity);
  }
}
