package grandbore.core.dyno.simulated;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.List;

/** What the engine on a simulated dyno does at some speeds, for a queue of runs. */
public record TrueCurveStudy(BuiltEngine engine, List<Double> speeds) implements Study<Curve> {
  public TrueCurveStudy {
    speeds = List.copyOf(speeds);
  }

  @Override
  public String title() {
    return "Simulated pull";
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), speeds);
  }

  @Override
  public Curve solve(Desk<Curve> desk) {
    desk.expect(speeds.size());
    return desk.curve(engine, speeds, Fidelity.PLACED);
  }
}
