package grandbore.core.studies;

import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;

/**
 * Curves of two to six engines over the same speeds, each from a cold start, so that none hangs on
 * the others.
 *
 * @param speeds rev/min
 */
public record CompareStudy(List<BuiltEngine> engines, List<Double> speeds, Fidelity fidelity)
    implements Study<List<Curve>> {
  private static final int LEAST = 2;
  private static final int MOST = 6;

  public CompareStudy {
    engines = List.copyOf(engines);
    speeds = List.copyOf(speeds);
    if (engines.size() < LEAST || engines.size() > MOST) {
      throw new InvalidInput(
          "Side by side, engines",
          String.valueOf(engines.size()),
          "2 to 6",
          "one has no other and more can't be read");
    }
  }

  @Override
  public String title() {
    return engines.size() + " engines side by side";
  }

  @Override
  public List<Object> key() {
    return List.of(engines.stream().map(BuiltEngine::key).toList(), speeds, fidelity);
  }

  @Override
  public List<Curve> solve(Desk<List<Curve>> desk) {
    desk.expect(engines.size() * speeds.size());
    var curves = new ArrayList<Curve>();
    for (var engine : engines) {
      curves.add(desk.curve(engine, speeds, fidelity));
      desk.show(List.copyOf(curves));
    }
    return List.copyOf(curves);
  }
}
