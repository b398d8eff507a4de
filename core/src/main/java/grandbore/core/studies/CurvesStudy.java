package grandbore.core.studies;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.List;

/**
 * The curves of several engines, each from where the one before it ended.
 *
 * @param title as the progress is headed
 * @param speeds rev/min
 */
public record CurvesStudy(String title, List<BuiltEngine> engines, List<Double> speeds)
    implements Study<List<Curve>> {
  public CurvesStudy {
    engines = List.copyOf(engines);
    speeds = List.copyOf(speeds);
  }

  @Override
  public List<Object> key() {
    return List.of(engines.stream().map(BuiltEngine::key).toList(), speeds);
  }

  @Override
  public List<Curve> solve(Desk<List<Curve>> desk) {
    return desk.curves(engines, speeds, desk::show);
  }
}
