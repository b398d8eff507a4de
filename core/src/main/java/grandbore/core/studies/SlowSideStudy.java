package grandbore.core.studies;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;

/** What each of several engines does cranked, and idling at the speed of its own brief. */
public record SlowSideStudy(List<BuiltEngine> engines) implements Study<List<SlowStudy.Slow>> {
  public SlowSideStudy {
    engines = List.copyOf(engines);
  }

  @Override
  public String title() {
    return "Cranked and idling, %d engines".formatted(engines.size());
  }

  @Override
  public List<Object> key() {
    return engines.stream().<Object>map(e -> List.of(e.key(), speed(e))).toList();
  }

  private static double speed(BuiltEngine engine) {
    return IdleStudy.speed(engine.combination());
  }

  @Override
  public List<SlowStudy.Slow> solve(Desk<List<SlowStudy.Slow>> desk) {
    desk.expect(2 * engines.size());
    var all = new ArrayList<SlowStudy.Slow>();
    for (var engine : engines) {
      all.add(SlowStudy.of(engine, speed(engine), desk));
      desk.show(List.copyOf(all));
    }
    return List.copyOf(all);
  }
}
