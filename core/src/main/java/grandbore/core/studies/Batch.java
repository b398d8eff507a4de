package grandbore.core.studies;

import grandbore.core.changes.DoesNotFit;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.runs.Base;
import grandbore.core.runs.Desk;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Runs engines together from one base; those that can't be built are kept in their places. */
final class Batch {
  /** Engines run together: enough that no worker waits, few enough that results come soon. */
  private static final int AT_ONCE = 6;

  private Batch() {}

  /**
   * One that was run, or could not be built.
   *
   * @param of what it is an engine of
   * @param engine empty where it can't be built
   * @param curve empty where it can't be built
   * @param refused why it can't be built
   * @param <K> what engines are of
   */
  record Ran<K>(
      K of, Optional<BuiltEngine> engine, Optional<Curve> curve, Optional<DoesNotFit> refused) {}

  /** Runs one engine of each, all together; told in their order. */
  static <K> List<Ran<K>> run(
      Desk<?> desk, Base base, List<K> all, Function<K, BuiltEngine> maker) {
    var asked = all.stream().map(k -> made(k, maker)).toList();
    var engines = asked.stream().flatMap(a -> a.engine.stream()).toList();
    var curves = desk.curves(base, engines).iterator();
    var ran = new ArrayList<Ran<K>>();
    for (var a : asked) {
      if (a.engine.isPresent()) {
        ran.add(new Ran<>(a.of, a.engine, Optional.of(curves.next()), a.refused));
      } else {
        base.curve().points().forEach(p -> desk.piece());
        ran.add(a);
      }
    }
    return ran;
  }

  private static <K> Ran<K> made(K of, Function<K, BuiltEngine> maker) {
    try {
      return new Ran<>(of, Optional.of(maker.apply(of)), Optional.empty(), Optional.empty());
    } catch (DoesNotFit e) {
      return new Ran<>(of, Optional.empty(), Optional.empty(), Optional.of(e));
    }
  }

  /** All of them, a few after the other, so that results come soon. */
  static <K> List<List<K>> few(List<K> all) {
    var few = new ArrayList<List<K>>();
    for (int from = 0; from < all.size(); from += AT_ONCE) {
      few.add(all.subList(from, Math.min(all.size(), from + AT_ONCE)));
    }
    return few;
  }
}
