package grandbore.core.studies;

import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * A base and its changes, as far as they were run: each alone, each on top of those before it, each
 * left out of the whole, each two together. Gains are averages over the band.
 *
 * @param changes in the order of the ladder
 * @param rungs by the places of the changes made, from 0; the base has none
 */
public record Ladder(List<Change> changes, Map<Set<Integer>, Rung> rungs) {
  public Ladder {
    changes = List.copyOf(changes);
    rungs = Map.copyOf(rungs);
  }

  /** The ladder with one rung more. */
  Ladder with(Set<Integer> made, Rung rung) {
    var all = new HashMap<>(rungs);
    all.put(Set.copyOf(made), rung);
    return new Ladder(changes, all);
  }

  /** The places of the first so many changes. */
  static Set<Integer> first(int count) {
    return new TreeSet<>(IntStream.range(0, count).boxed().toList());
  }

  /** All changes but one. */
  static Set<Integer> without(int count, int place) {
    var all = first(count);
    all.remove(place);
    return all;
  }

  /** Average power over the band with some changes, W; not a number where it was not run. */
  public double power(Set<Integer> made) {
    var rung = rungs.get(made);
    return rung == null ? Double.NaN : rung.power();
  }

  private double base() {
    return power(Set.of());
  }

  /** What a change gives alone, W. */
  public double alone(int place) {
    return power(Set.of(place)) - base();
  }

  /** What a change gives on top of those before it, W. */
  public double step(int place) {
    return power(first(place + 1)) - power(first(place));
  }

  /** What a change and those before it give together, W. */
  public double upTo(int place) {
    return power(first(place + 1)) - base();
  }

  /**
   * What some changes in a row give together on top of those before them, W.
   *
   * @param from place of the first, from 0
   * @param to place after the last
   */
  public double stage(int from, int to) {
    return power(first(to)) - power(first(from));
  }

  /** What the whole loses without a change, W. */
  public double leftOut(int place) {
    return power(first(changes.size())) - power(without(changes.size(), place));
  }

  /**
   * What two changes give together beyond the sum of what each gives alone, W: more than nothing
   * where one needs the other, less where both mend the same.
   */
  public double interaction(int one, int other) {
    return power(Set.of(one, other)) - base() - alone(one) - alone(other);
  }

  /** What the ladder costs up to a change, that one with it. */
  public Cost cost(int place) {
    return changes.subList(0, place + 1).stream().map(Change::cost).reduce(Cost.NONE, Cost::plus);
  }
}
