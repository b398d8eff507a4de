package grandbore.core.studies;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.CylinderPoint;
import grandbore.core.prediction.Fidelity;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import grandbore.core.studies.Starving.Cause;
import grandbore.core.studies.Starving.Share;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Which cylinder fills least at a speed, and why: the engine is run with every cylinder solved,
 * then with each thing that sets cylinders apart evened out, alone and all together.
 *
 * @param rpm rev/min
 */
public record StarvingStudy(BuiltEngine engine, double rpm) implements Study<Starving> {
  @Override
  public String title() {
    return "Why a cylinder starves at %,.0f rpm".formatted(rpm);
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), rpm);
  }

  @Override
  public Starving solve(Desk<Starving> desk) {
    var evened = evened(engine);
    desk.expect(evened.size() + (evened.isEmpty() ? 1 : 2));
    var base = filled(desk, engine);
    int least = Collections.min(base.entrySet(), Map.Entry.comparingByValue()).getKey();
    double lack = lack(base, least);
    var shares = new ArrayList<Share>();
    evened.forEach(
        (cause, other) -> shares.add(new Share(cause, lack - lack(filled(desk, other), least))));
    double rest = evened.isEmpty() ? lack : lack(filled(desk, alike(engine)), least);
    shares.sort((a, b) -> Double.compare(b.lack(), a.lack()));
    return new Starving(least, lack, shares, rest);
  }

  /** Fresh charge of each cylinder by its number, kg. */
  private Map<Integer, Double> filled(Desk<Starving> desk, BuiltEngine of) {
    var point = desk.curve(of, List.of(rpm), Fidelity.FULL).points().getFirst();
    var all = new TreeMap<Integer, Double>();
    for (CylinderPoint c : point.cylinders()) {
      all.put(c.number(), c.fresh());
    }
    return all;
  }

  private static double lack(Map<Integer, Double> filled, int cylinder) {
    double mean = filled.values().stream().mapToDouble(f -> f).average().orElseThrow();
    return 1 - filled.get(cylinder) / mean;
  }

  /** The engine with each cause evened alone; only what sets its cylinders apart. */
  private static Map<Cause, BuiltEngine> evened(BuiltEngine engine) {
    var all = new EnumMap<Cause, BuiltEngine>(Cause.class);
    for (var cause : Cause.values()) {
      var other = even(engine, cause);
      if (!other.key().equals(engine.key())) {
        all.put(cause, other);
      }
    }
    return all;
  }

  private static BuiltEngine alike(BuiltEngine engine) {
    var all = engine;
    for (var cause : Cause.values()) {
      all = even(all, cause);
    }
    return all;
  }

  private static BuiltEngine even(BuiltEngine engine, Cause cause) {
    var c = engine.combination();
    var changed =
        switch (cause) {
          case CHAMBER -> c;
          case RUNNER -> c.with("intake.runnerChanges", even(c.intake().runnerChanges()));
          case PORT ->
              c.with("heads.intakeShares", even(c.heads().intakeShares()))
                  .with("heads.exhaustShares", even(c.heads().exhaustShares()));
          case PLACE ->
              c.with(
                  "intake.boxLength",
                  c.intake().boxLength().with(0, c.intake().boxLength().provenance()));
        };
    return new BuiltEngine(
        changed, cause == Cause.CHAMBER ? even(engine.clearances()) : engine.clearances());
  }

  private static List<Double> even(List<Double> each) {
    double mean = each.stream().mapToDouble(r -> r).average().orElse(0);
    boolean alike = each.stream().distinct().count() <= 1;
    return alike ? each : Collections.nCopies(each.size(), mean);
  }
}
