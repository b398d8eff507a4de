package grandbore.core.studies;

import grandbore.core.changes.DoesNotFit;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.runs.Base;
import grandbore.core.runs.Desk;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Engines that are run together, each named by what it is of; those that can't be built are kept in
 * their places.
 *
 * @param <K> what an engine is of
 */
final class Batch<K> {
  /** Engines run together: enough that no worker waits, few enough that results come soon. */
  static final int AT_ONCE = 6;

  /**
   * @param engine empty where it can't be built
   * @param curve empty where it can't be built
   * @param refused why it can't be built
   */
  record Ran<K>(
      K of, Optional<BuiltEngine> engine, Optional<Curve> curve, Optional<DoesNotFit> refused) {}

  private record Asked<K>(K of, Optional<BuiltEngine> engine, Optional<DoesNotFit> refused) {}

  private final List<Asked<K>> asked = new ArrayList<>();

  /** One engine more; one that does not fit counts as refused. */
  void add(K of, Supplier<BuiltEngine> maker) {
    try {
      asked.add(new Asked<>(of, Optional.of(maker.get()), Optional.empty()));
    } catch (DoesNotFit e) {
      asked.add(new Asked<>(of, Optional.empty(), Optional.of(e)));
    }
  }

  boolean isFull() {
    return asked.size() >= AT_ONCE;
  }

  /** Runs all of them from one base, in the order in which they came. */
  List<Ran<K>> run(Desk<?> desk, Base base) {
    var engines = asked.stream().flatMap(a -> a.engine.stream()).toList();
    var curves = desk.curves(base, engines).iterator();
    var all = new ArrayList<Ran<K>>();
    for (var a : asked) {
      if (a.engine.isPresent()) {
        all.add(new Ran<>(a.of, a.engine, Optional.of(curves.next()), a.refused));
      } else {
        base.curve().points().forEach(p -> desk.piece());
        all.add(new Ran<>(a.of, a.engine, Optional.empty(), a.refused));
      }
    }
    asked.clear();
    return all;
  }
}
