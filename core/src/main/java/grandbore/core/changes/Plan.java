package grandbore.core.changes;

import grandbore.core.combination.InvalidInput;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.TreeSet;

/**
 * The changes that are thought of for a build, in the order of its ladder, and where its stages
 * end.
 *
 * @param stages after how many changes each stage but the last ends, rising
 */
public record Plan(List<Change> changes, List<Integer> stages) {
  public static final Plan NONE = new Plan(List.of(), List.of());

  /**
   * Changes that are made, paid and tried together.
   *
   * @param from place of the first, from 0
   * @param to place after the last
   */
  public record Stage(int from, int to) {}

  public Plan {
    changes = List.copyOf(changes);
    stages = List.copyOf(stages);
    int last = 0;
    for (int end : stages) {
      if (end <= last || end >= changes.size()) {
        throw new InvalidInput(
            "Stages of the ladder",
            "one that ends after %d of %d changes".formatted(end, changes.size()),
            "more than the one before, fewer than all",
            "each holds a change");
      }
      last = end;
    }
  }

  /** One stage. */
  public Plan(List<Change> changes) {
    this(changes, List.of());
  }

  /** Where a stage would hold nothing, or end with the ladder, there is none. */
  private static Plan of(List<Change> changes, Collection<Integer> stages) {
    var ends = new TreeSet<>(stages);
    ends.removeIf(end -> end <= 0 || end >= changes.size());
    return new Plan(changes, List.copyOf(ends));
  }

  /** With more at its end. */
  public Plan with(List<Change> more) {
    var all = new ArrayList<>(changes);
    all.addAll(more);
    return new Plan(all, stages);
  }

  /** Without the one at a place; stages after it close up. */
  public Plan without(int place) {
    var all = new ArrayList<>(changes);
    all.remove(place);
    return of(all, stages.stream().map(end -> end > place ? end - 1 : end).toList());
  }

  /** With one moved to where another stands, those between closing up; stages stay in place. */
  public Plan moved(int from, int to) {
    if (to < 0 || to >= changes.size()) {
      return this;
    }
    var all = new ArrayList<>(changes);
    all.add(to, all.remove(from));
    return new Plan(all, stages);
  }

  /** In another order: places from 0. */
  public Plan ordered(List<Integer> places) {
    return new Plan(places.stream().map(changes::get).toList(), stages);
  }

  /** With a stage that ends after a place, or without where one does. */
  public Plan staged(int place) {
    var ends = new TreeSet<>(stages);
    if (!ends.remove(place + 1)) {
      ends.add(place + 1);
    }
    return of(changes, ends);
  }

  /** All of them, the last ends with the ladder; none where there is no change. */
  public List<Stage> parts() {
    var all = new ArrayList<Stage>();
    int from = 0;
    for (int end : stages) {
      all.add(new Stage(from, end));
      from = end;
    }
    if (from < changes.size()) {
      all.add(new Stage(from, changes.size()));
    }
    return all;
  }
}
