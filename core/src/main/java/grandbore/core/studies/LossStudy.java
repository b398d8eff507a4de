package grandbore.core.studies;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.LossAccount;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.List;

/**
 * The curve without each loss.
 *
 * @param speeds rev/min
 */
public record LossStudy(BuiltEngine engine, List<Double> speeds) implements Study<LossAccount> {
  public LossStudy {
    speeds = List.copyOf(speeds);
  }

  @Override
  public String title() {
    return "The curve without each loss";
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), speeds);
  }

  @Override
  public LossAccount solve(Desk<LossAccount> desk) {
    return desk.losses(engine, speeds);
  }
}
