package grandbore.core.studies;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.limits.Limits;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.SlowRunning;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What bites first of each of several builds: margins take the valve train's motion over all
 * speeds, and the idle where its vacuum is wanted.
 */
public record LimitsStudy(List<One> all) implements Study<List<List<Check>>> {
  /** A build with what was solved of it. */
  public record One(Build build, BuiltEngine engine, Curve curve) {}

  public LimitsStudy {
    all = List.copyOf(all);
  }

  @Override
  public String title() {
    return "What bites first";
  }

  @Override
  public List<List<Check>> solve(Desk<List<List<Check>>> desk) {
    var found = new ArrayList<List<Check>>();
    for (var one : all) {
      var c = one.build.combination();
      found.add(
          desk.alone(
              stop ->
                  Limits.of(
                      one.build,
                      one.engine,
                      one.curve,
                      c.brief().vacuum().isKnown()
                          ? new SlowRunning(one.engine, stop).idle(IdleStudy.speed(c))
                          : Optional.empty())));
    }
    return found;
  }
}
