package grandbore.core.studies;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.SlowRunning;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.List;

/** A compression test: each cylinder cranked, gauge pressures, Pa, cylinder 1 first. */
public record CrankingStudy(BuiltEngine engine) implements Study<List<Double>> {
  @Override
  public String title() {
    return "Each cylinder cranked";
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key());
  }

  @Override
  public List<Double> solve(Desk<List<Double>> desk) {
    return desk.alone(stop -> new SlowRunning(engine, stop).compressionTest());
  }
}
