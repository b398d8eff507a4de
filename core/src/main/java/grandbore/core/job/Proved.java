package grandbore.core.job;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Readings;
import grandbore.core.job.facts.Fact;
import grandbore.core.job.facts.Operation;
import grandbore.core.job.orders.WorkOrder;
import grandbore.core.job.route.Step;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What is proved on an engine, and what no longer is: because an input on which it rests is not as
 * it was, or because something was done to a part since.
 */
public final class Proved {
  private final Job job;
  private final Build build;
  private final Readings readings;
  private final Map<String, List<String>> again = new LinkedHashMap<>();

  public Proved(Job job, Build build, Readings readings) {
    this.job = job;
    this.build = build;
    this.readings = readings;
    for (var step : job.steps()) {
      if (step.isDone()) {
        var why = why(step);
        if (!why.isEmpty()) {
          again.put(step.id(), why);
        }
      }
    }
  }

  /** Why a step has to be done again, each reason in words; none where it stands. */
  public List<String> again(Step step) {
    return again.getOrDefault(step.id(), List.of());
  }

  /** Whether a step is done and stands. */
  public boolean stands(Step step) {
    return step.isDone() && !again.containsKey(step.id());
  }

  private List<String> why(Step step) {
    var all = new ArrayList<String>();
    for (var fact : step.proves().stream().sorted().toList()) {
      var moved = Fact.moved(build.combination(), Set.of(fact), step.done().inputs());
      if (!moved.isEmpty()) {
        all.add("%s: %s changed".formatted(fact.title(), list(moved)));
      }
      for (var order : job.orders()) {
        if (order.isBack()) {
          upset(fact, order.operations(), step.done().at(), order.back())
              .forEach(
                  o ->
                      all.add("%s: %s, order %s".formatted(fact.title(), word(o), order.number())));
        }
      }
      for (var other : job.steps()) {
        if (other.isDone() && !other.id().equals(step.id())) {
          upset(fact, other.does(), step.done().at(), other.done().at())
              .forEach(o -> all.add("%s: %s".formatted(fact.title(), word(o))));
        }
      }
    }
    return List.copyOf(all);
  }

  private static List<Operation> upset(Fact fact, Set<Operation> done, Instant proved, Instant at) {
    return at.isAfter(proved)
        ? done.stream().filter(o -> o.upsets().contains(fact)).sorted().toList()
        : List.of();
  }

  private static String word(Operation o) {
    return o.title().substring(0, 1).toLowerCase(java.util.Locale.ROOT) + o.title().substring(1);
  }

  private static String list(List<String> names) {
    return names.stream().distinct().limit(3).collect(Collectors.joining(", "))
        + (names.size() > 3 ? " and %d more".formatted(names.size() - 3) : "");
  }

  /**
   * Whether a fact is proved: by a step that stands, or, where no step of this route proves it, by
   * all of its readings taken.
   */
  public boolean is(Fact fact) {
    var steps = job.steps().stream().filter(s -> s.proves().contains(fact)).toList();
    if (!steps.isEmpty()) {
      return steps.stream().allMatch(this::stands);
    }
    return !fact.readings().isEmpty() && fact.readings().stream().allMatch(m -> isRead(m));
  }

  /** Whether something was read at every place since no work made it old. */
  public boolean isRead(Measurement m) {
    Readings standing = readings;
    for (WorkOrder order : job.orders()) {
      standing = order.standing(standing);
    }
    int places = m.places(build.combination().bottomEnd());
    for (var side : m.valueSides()) {
      if (standing.over(m, places, side).size() < places) {
        return false;
      }
    }
    return true;
  }
}
