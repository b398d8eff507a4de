package grandbore.core.job;

import grandbore.core.build.Build;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.BottomEnd;
import grandbore.core.job.orders.WorkOrder;
import grandbore.core.job.parts.Condition;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.ItemState;
import grandbore.core.job.route.CriticalPath;
import grandbore.core.job.route.CriticalPath.Activity;
import grandbore.core.job.route.CriticalPath.Span;
import grandbore.core.job.route.Step;
import grandbore.core.job.route.WorkDays;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * The route of a job on a day: what can be done now, what waits for what, when each step can be
 * done, what decides the day of the dyno.
 */
public final class Route {
  /** How a step stands. */
  public enum State {
    DONE("done"),
    AGAIN("to be done again"),
    NOW("can be done now"),
    AWAY("away"),
    WAITS("waits");

    private final String title;

    State(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  /**
   * A step with its dates.
   *
   * @param begins the first day on which it can be begun
   * @param ends the first day on which it can be done
   * @param latest the last day on which it can be done without putting the end off
   * @param slack days that it may be put off; 0 on the critical path
   * @param waits for what it waits, in words
   */
  public record Planned(
      Step step,
      State state,
      LocalDate begins,
      LocalDate ends,
      LocalDate latest,
      int slack,
      boolean decides,
      List<String> waits) {
    public Planned {
      waits = List.copyOf(waits);
    }
  }

  private final Job job;
  private final Build build;
  private final Proved proved;
  private final LocalDate today;
  private final WorkDays days;
  private final Map<String, Integer> numbers = new HashMap<>();
  private final List<Set<String>> waits = new ArrayList<>();
  private final List<String> undated = new ArrayList<>();
  private final CriticalPath path;
  private final List<Planned> planned;

  /**
   * @throws grandbore.core.combination.InvalidInput where steps wait for one another in a ring
   */
  public Route(Job job, Build build, Readings readings, LocalDate today) {
    this.job = job;
    this.build = build;
    this.today = today;
    days = job.plan().days();
    proved = new Proved(job, build, readings);
    for (int i = 0; i < job.steps().size(); i++) {
      numbers.put(job.steps().get(i).id(), i);
    }
    path = new CriticalPath(job.steps().stream().map(this::activity).toList());
    planned = plan();
  }

  private Activity activity(Step step) {
    var before =
        step.after().stream().filter(numbers::containsKey).map(numbers::get).distinct().toList();
    var why = new java.util.LinkedHashSet<String>();
    waits.add(why);
    if (proved.stands(step)) {
      return new Activity(step.title(), before, days.opening(today), Span.of(0));
    }
    long ready = days.opening(today);
    if (step.notBefore() != null && step.notBefore().isAfter(today)) {
      ready = days.opening(step.notBefore());
      why.add("not before " + step.notBefore());
    }
    for (var part : step.parts().stream().sorted().toList()) {
      ready = Math.max(ready, parts(part, why));
    }
    var order = job.orderOf(step).filter(WorkOrder::isSent);
    if (order.isEmpty()) {
      return new Activity(step.title(), before, ready, days.span(step.hours(), step.days()));
    }
    if (order.get().isBack()) {
      return new Activity(step.title(), before, ready, Span.of(0));
    }
    why.add("order %s, %s".formatted(order.get().number(), promise(order.get().day())));
    long until = order.get().day().map(this::there).orElse(ready);
    return new Activity(step.title(), before, Math.max(ready, until), Span.of(0));
  }

  /** When all parts of a kind are there; what they are waited for goes into the words. */
  private long parts(EnginePart part, Set<String> why) {
    BottomEnd b = build.combination().bottomEnd();
    long ready = days.opening(today);
    var usable =
        job.items(part).stream()
            .filter(i -> i.state() != ItemState.SOLD && i.condition() != Condition.REJECT)
            .toList();
    if (usable.size() < part.places(b)) {
      String words =
          part.places(b) == 1
              ? part.title() + " is not in the list of parts"
              : "%d of %d %s are in the list of parts"
                  .formatted(
                      usable.size(), part.places(b), part.title().toLowerCase(Locale.ROOT) + "s");
      why.add(words);
      undated.add(words);
    }
    for (var item : usable) {
      if (!item.state().isHere()) {
        ready = Math.max(ready, item(item, b, why));
      }
    }
    return ready;
  }

  private long item(Item item, BottomEnd b, Set<String> why) {
    String name = item.part().at(item.place(), b);
    if (item.state() == ItemState.AT_SHOP) {
      var order =
          job.orders().stream()
              .filter(o -> o.isSent() && !o.isBack())
              .filter(o -> o.lines().stream().anyMatch(l -> l.part() == item.part()))
              .reduce((x, y) -> y);
      why.add("%s at the shop, %s".formatted(name, promise(order.flatMap(WorkOrder::day))));
      return order.flatMap(WorkOrder::day).map(this::there).orElse(days.opening(today));
    }
    var day =
        item.state() == ItemState.ORDERED && item.day().isPresent()
            ? item.day()
            : Optional.of(today.plusDays(item.lead())).filter(d -> item.lead() > 0);
    why.add(
        item.state() == ItemState.ORDERED
            ? "%s, %s".formatted(name, promise(day))
            : item.lead() > 0
                ? "%s not ordered, %s".formatted(name, Days.words(item.lead()))
                : name + " not ordered, nobody knows how long");
    if (day.isEmpty()) {
      undated.add(name + " has no date");
    }
    return day.map(this::there).orElse(days.opening(today));
  }

  /** When something promised is there: what is late comes tomorrow at the earliest. */
  private long there(LocalDate day) {
    return days.opening(day.isAfter(today) ? day : today.plusDays(1));
  }

  private String promise(Optional<LocalDate> day) {
    return day.map(
            d ->
                d.isBefore(today)
                    ? "late by " + Days.words(today.toEpochDay() - d.toEpochDay())
                    : "promised for " + d)
        .orElse("no date");
  }

  private List<Planned> plan() {
    var decides = new HashSet<Integer>();
    dynoStep().ifPresent(s -> decides.addAll(path.decide(numbers.get(s.id()))));
    var all = new ArrayList<Planned>();
    for (int i = 0; i < job.steps().size(); i++) {
      var step = job.steps().get(i);
      var done = proved.stands(step) ? day(step) : Optional.<LocalDate>empty();
      var begins = done.orElse(days.begins(path.start(i)));
      var ends = done.orElse(days.ends(path.finish(i)));
      boolean tight = days.moment(path.latestStart(i)) == days.moment(path.start(i));
      var latest = tight || done.isPresent() ? ends : days.ends(path.latestFinish(i));
      var words = new ArrayList<>(waits.get(i));
      words.addAll(proved.again(step));
      for (var before : step.after()) {
        job.step(before)
            .filter(s -> !proved.stands(s))
            .ifPresent(s -> words.add("after “%s”".formatted(s.title())));
      }
      boolean open = !proved.stands(step);
      all.add(
          new Planned(
              step,
              state(step, i),
              begins,
              ends.isBefore(begins) ? begins : ends,
              latest,
              Math.toIntExact(Math.max(0, latest.toEpochDay() - ends.toEpochDay())),
              open && decides.contains(i),
              words));
    }
    return List.copyOf(all);
  }

  /** The day on which a step was done. */
  private static Optional<LocalDate> day(Step step) {
    return Optional.ofNullable(step.done())
        .map(d -> LocalDate.ofInstant(d.at(), ZoneId.systemDefault()));
  }

  private State state(Step step, int i) {
    if (proved.stands(step)) {
      return State.DONE;
    }
    var order = job.orderOf(step).filter(WorkOrder::isSent);
    if (order.isPresent() && !order.get().isBack()) {
      return State.AWAY;
    }
    if (!proved.again(step).isEmpty()) {
      return State.AGAIN;
    }
    boolean held = path.start(i) > days.opening(today) || !waits.get(i).isEmpty();
    boolean after =
        step.after().stream().flatMap(s -> job.step(s).stream()).anyMatch(s -> !proved.stands(s));
    return held || after ? State.WAITS : State.NOW;
  }

  /** All steps with their dates, in the job's order. */
  public List<Planned> steps() {
    return planned;
  }

  /** What can be done now, and what has to be done again; the most pressing first. */
  public List<Planned> now() {
    return planned.stream()
        .filter(p -> p.state() == State.NOW || p.state() == State.AGAIN)
        .sorted(Comparator.comparing(Planned::latest).thenComparingInt(Planned::slack))
        .toList();
  }

  /** The steps that decide when the engine is on the dyno, in their order. */
  public List<Planned> critical() {
    return planned.stream()
        .filter(Planned::decides)
        .sorted(Comparator.comparing(Planned::begins).thenComparing(Planned::ends))
        .toList();
  }

  private Optional<Step> dynoStep() {
    return job.steps().stream().filter(Step::dyno).findFirst();
  }

  /** The first day on which it can be on the dyno; none where no step is there. */
  public Optional<LocalDate> dyno() {
    return dynoStep().map(s -> planned.get(numbers.get(s.id())).begins());
  }

  /**
   * The first day on the dyno where one pair of hands does all of the shop's own work: steps are
   * taken one after the other, always the one that presses most.
   */
  public Optional<LocalDate> dynoAlone() {
    return dynoStep().map(s -> days.begins(alone()[numbers.get(s.id())]));
  }

  /** When each step begins with one pair of hands. */
  private long[] alone() {
    int n = job.steps().size();
    var order =
        IntStream.range(0, n)
            .boxed()
            .sorted(
                Comparator.<Integer>comparingLong(path::latestStart).thenComparingLong(path::start))
            .toList();
    long[] begins = new long[n];
    long[] ends = new long[n];
    boolean[] set = new boolean[n];
    long free = days.opening(today);
    for (int k = 0; k < n; k++) {
      // The most pressing of those whose steps before are all set.
      int i =
          order.stream()
              .filter(j -> !set[j] && before(j).allMatch(p -> set[p]))
              .findFirst()
              .orElseThrow();
      var step = job.steps().get(i);
      long start = Math.max(path.start(i), before(i).mapToLong(p -> ends[p]).max().orElse(0));
      boolean own = step.who().isBlank() && step.hours() > 0 && !proved.stands(step);
      start = own ? Math.max(start, free) : start;
      begins[i] = start;
      boolean away = job.orderOf(step).filter(WorkOrder::isSent).isPresent();
      ends[i] =
          proved.stands(step) || away ? start : days.span(step.hours(), step.days()).finish(start);
      if (own) {
        free = days.span(step.hours(), 0).finish(start);
      }
      set[i] = true;
    }
    return begins;
  }

  private IntStream before(int i) {
    return job.steps().get(i).after().stream().filter(numbers::containsKey).mapToInt(numbers::get);
  }

  /** Hours of the shop's own work that are left. */
  public double hoursLeft() {
    return job.steps().stream()
        .filter(s -> s.who().isBlank() && !proved.stands(s))
        .mapToDouble(Step::hours)
        .sum();
  }

  /** What has no date, so that the dates reckoned are too early. */
  public List<String> undated() {
    return List.copyOf(new java.util.LinkedHashSet<>(undated));
  }

  /** What was ordered before it could be known. */
  public List<TooEarly> tooEarly() {
    return TooEarly.of(job, proved);
  }

  public Proved proved() {
    return proved;
  }

  public LocalDate today() {
    return today;
  }

  /** The shop's days of work. */
  public WorkDays workDays() {
    return days;
  }

  /** What is promised by others and is late, or comes next: the words and the day. */
  public record Due(LocalDate day, String what, boolean late) {}

  /** Deliveries, orders and the dyno that are to come, by their days. */
  public List<Due> due() {
    var all = new ArrayList<Due>();
    BottomEnd b = build.combination().bottomEnd();
    for (var i : job.items()) {
      if (i.state() == ItemState.ORDERED && i.promised() != null) {
        all.add(
            due(
                i.promised(),
                "%s from %s".formatted(i.part().at(i.place(), b), who(i.supplier()))));
      }
    }
    for (var o : job.orders()) {
      if (o.isSent() && !o.isBack() && o.promised() != null) {
        all.add(due(o.promised(), "order %s back from %s".formatted(o.number(), o.supplier())));
      }
    }
    for (var s : job.steps()) {
      if (s.notBefore() != null && !s.isDone()) {
        all.add(due(s.notBefore(), s.title()));
      }
    }
    all.sort(Comparator.comparing(Due::day));
    return List.copyOf(all);
  }

  private Due due(LocalDate day, String what) {
    return new Due(day, what, day.isBefore(today));
  }

  private static String who(String supplier) {
    return supplier.isBlank() ? "nobody named" : supplier;
  }
}
