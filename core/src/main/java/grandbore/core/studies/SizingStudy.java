package grandbore.core.studies;

import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.flow.PortSizing;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** What another intake valve or port would do for the band's average. */
public record SizingStudy(BuiltEngine engine, WantedBand band)
    implements Study<List<SizingStudy.Tried>> {
  private static final int POINTS = 6;

  /**
   * The engine as it is, then each change.
   *
   * @param what in words
   * @param power average over the band, W
   */
  public record Tried(String what, double power) {}

  @Override
  public String title() {
    return "Other valves and ports";
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), band);
  }

  @Override
  public List<Tried> solve(Desk<List<Tried>> desk) {
    var c = engine.combination();
    var names = new ArrayList<String>();
    var engines = new ArrayList<BuiltEngine>();
    add(names, engines, "as it is", () -> c);
    add(
        names,
        engines,
        "intake valve 5 % larger, port flowing as much better",
        () -> PortSizing.largerValve(c, 0.05));
    add(
        names,
        engines,
        "intake port 15 % larger in section",
        () -> PortSizing.portSection(c, 0.15));
    add(
        names,
        engines,
        "intake port 15 % smaller in section",
        () -> PortSizing.portSection(c, -0.15));
    return tried(names, desk.curves(engines, band.speeds(POINTS), x -> desk.show(tried(names, x))));
  }

  private void add(
      List<String> names, List<BuiltEngine> engines, String name, Supplier<Combination> changed) {
    try {
      engines.add(new BuiltEngine(changed.get(), engine.clearances()));
      names.add(name);
    } catch (InvalidInput e) {
      // No room for it in this head.
    }
  }

  private List<Tried> tried(List<String> names, List<Curve> curves) {
    var all = new ArrayList<Tried>();
    for (int i = 0; i < curves.size(); i++) {
      all.add(new Tried(names.get(i), band.meanPower(curves.get(i))));
    }
    return List.copyOf(all);
  }
}
