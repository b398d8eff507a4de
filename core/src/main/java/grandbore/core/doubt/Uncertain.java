package grandbore.core.doubt;

import grandbore.core.changes.Change;
import grandbore.core.combination.Combination;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.EngineKey;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * An input of an engine that is not known for sure and that the prediction reads.
 *
 * @param path of it; that of a flow sheet stands for all its rows, which move together
 * @param value SI; 1 for a flow sheet
 * @param spread one standard deviation, in the same unit
 */
public record Uncertain(
    String path, String label, double value, double spread, Provenance provenance) {
  /** The day that a curve is for is chosen; the doubt of what pulls taught is with the pulls. */
  private static final Set<String> SETTLED = Set.of("weather", "learned");

  /** No further from what is likely, standard deviations. */
  private static final double FURTHEST = 3;

  /** All of an engine's, in the order of its inputs. */
  public static List<Uncertain> of(BuiltEngine engine) {
    var c = engine.combination();
    var all = new ArrayList<Uncertain>();
    var key = engine.key();
    for (var f : Specs.fields()) {
      var given = f.get(c);
      double spread = Spreads.of(f.path(), given);
      if (given.isKnown() && spread > 0 && c.has(f.group()) && !SETTLED.contains(f.group())) {
        keep(
            new Uncertain(f.path(), f.spec().label(), given.si(), spread, given.provenance()),
            engine,
            key,
            all);
      }
    }
    keep(
        sheet("heads.intakeFlow", "Intake flow, all lifts", c.heads().intakeFlow()),
        engine,
        key,
        all);
    keep(
        sheet("heads.exhaustFlow", "Exhaust flow, all lifts", c.heads().exhaustFlow()),
        engine,
        key,
        all);
    return List.copyOf(all);
  }

  private static Uncertain sheet(String path, String label, FlowSheet sheet) {
    return new Uncertain(path, label, 1, sheet.spread(), sheet.provenance());
  }

  /** Only what moves a number that the prediction reads, up or down. */
  private static void keep(Uncertain one, BuiltEngine engine, EngineKey key, List<Uncertain> all) {
    for (double z : new double[] {1, -1}) {
      try {
        if (!one.on(engine, z).key().equals(key)) {
          all.add(one);
          return;
        }
      } catch (IllegalArgumentException e) {
        // At a bound: the other way is tried.
      }
    }
  }

  /**
   * An engine with it this many standard deviations from what is likely, no further than its bounds
   * and three of them.
   *
   * @throws grandbore.core.changes.DoesNotFit where no such engine can be built
   */
  public BuiltEngine on(BuiltEngine engine, double deviations) {
    return on(engine, List.of(this), new double[] {deviations});
  }

  /** An engine with several so, made at once. */
  public static BuiltEngine on(BuiltEngine engine, List<Uncertain> inputs, double[] deviations) {
    var c = engine.combination();
    var sets = new java.util.TreeMap<String, Object>();
    for (int i = 0; i < inputs.size(); i++) {
      sets.put(inputs.get(i).path, inputs.get(i).moved(c, deviations[i]));
    }
    return new Change("Drawn from the spreads", sets).on(engine);
  }

  private Object moved(Combination c, double deviations) {
    double z = Math.max(-FURTHEST, Math.min(FURTHEST, deviations));
    return switch (c.at(path)) {
      case FlowSheet sheet -> sheet.scaled(1 + z * spread);
      case Given given -> {
        var spec = Specs.field(path).spec();
        double si = Math.max(spec.min(), Math.min(spec.max(), value + z * spread));
        yield new Given(si, given.quantity(), given.provenance(), given.spread());
      }
      default -> throw new IllegalStateException(path + " is no number");
    };
  }

  /** The same by a share of the value either way, whatever is known of it. */
  public Uncertain byShare(double share) {
    return new Uncertain(path, label, value, Math.abs(share * value), provenance);
  }

  /** Whether an instrument has read it on this engine. */
  public boolean isMeasured() {
    return provenance.compareTo(Provenance.MEASURED) >= 0;
  }
}
