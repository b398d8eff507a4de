package grandbore.core.changes;

import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.BuiltEngine;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A named set of inputs that may be made on an engine.
 *
 * @param sets new values by their inputs' paths
 * @param needs what has to be bought or done beside it, in words
 */
public record Change(
    String name, SortedMap<String, Object> sets, Cost cost, String supplier, List<String> needs) {
  private static final int LONGEST = 80;
  private static final int MOST = 200;

  public Change {
    if (name.isBlank() || name.length() > LONGEST) {
      throw new InvalidInput(
          "Change, name", "“" + name + "”", "1 to 80 characters", "it is told by it");
    }
    if (sets.isEmpty() || sets.size() > MOST) {
      throw new InvalidInput(
          "“" + name + "”", sets.size() + " inputs", "1 to 200 inputs", "a change changes some");
    }
    sets = Collections.unmodifiableSortedMap(new TreeMap<>(sets));
    needs = List.copyOf(needs);
  }

  /** One that costs nothing and needs nothing. */
  public Change(String name, Map<String, ?> sets) {
    this(name, new TreeMap<>(sets), Cost.NONE, "", List.of());
  }

  public Change costing(Cost now) {
    return new Change(name, sets, now, supplier, needs);
  }

  /** What leads from one engine to another. */
  public static Change between(String name, Combination from, Combination to) {
    var sets = new TreeMap<String, Object>();
    for (var d : Difference.among(List.of(from, to))) {
      sets.put(d.path(), d.values().getLast());
    }
    return new Change(name, sets);
  }

  /**
   * An engine with it.
   *
   * @throws DoesNotFit where it leads out of a bound
   */
  public Combination on(Combination c) {
    try {
      return c.with(sets);
    } catch (IllegalArgumentException e) {
      throw new DoesNotFit(name, e);
    }
  }

  /** An engine with several, made one after the other. */
  public static Combination on(Combination c, List<Change> changes) {
    for (var change : changes) {
      c = change.on(c);
    }
    return c;
  }

  /** A measured engine with several, made one after the other. */
  public static BuiltEngine on(BuiltEngine engine, List<Change> changes) {
    for (var change : changes) {
      engine = change.on(engine);
    }
    return engine;
  }

  /**
   * A measured engine with it: each cylinder's own volume moves by as much as the specified one.
   *
   * @throws DoesNotFit where it leads out of a bound
   */
  public BuiltEngine on(BuiltEngine engine) {
    var before = engine.combination();
    var after = on(before);
    if (after.bottomEnd().cylinders() != before.bottomEnd().cylinders()) {
      return BuiltEngine.asSpecified(after);
    }
    double by = after.clearanceVolume() - before.clearanceVolume();
    return new BuiltEngine(after, engine.clearances().stream().map(v -> v + by).toList());
  }
}
