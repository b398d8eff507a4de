package grandbore.core.job;

import grandbore.core.build.Build;
import grandbore.core.combination.BottomEnd;
import grandbore.core.job.route.Step;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;

/**
 * A job in the list of all jobs: what is shown of it without its steps being read.
 *
 * @param stage of the first step that is open, empty where there is no route
 * @param now what can be done, the most pressing first
 * @param due what is promised, by its day
 * @param waits for what the step waits that decides the dyno's day; empty for nothing
 * @param dyno first day on it, {@code null} where no route leads there
 * @param wanted the day agreed on, {@code null} for none
 * @param done steps of all {@code steps}
 * @param customer whose it is, as the shop calls them; may be empty
 * @param tags words by which the shop finds it
 * @param outline of the engine
 */
public record JobLine(
    String stage,
    List<String> now,
    List<Promise> due,
    String waits,
    LocalDate dyno,
    LocalDate wanted,
    int done,
    int steps,
    double spent,
    double committed,
    double budget,
    String customer,
    List<String> tags,
    Outline outline) {
  private static final int FEW = 5;

  /** Something that is to come by a day. */
  public record Promise(LocalDate day, String what) {}

  /**
   * What an engine's picture is drawn from.
   *
   * @param bankAngle between the banks, rad; 0 where there is one
   */
  public record Outline(
      BottomEnd.Layout layout,
      int cylinders,
      double bore,
      double stroke,
      double rod,
      double bankAngle) {
    /** Of an engine. */
    public static Outline of(Build build) {
      var c = build.combination();
      var b = c.bottomEnd();
      return new Outline(
          b.layout(),
          b.cylinders(),
          b.bore().si(),
          b.stroke().si(),
          b.rodLength().si(),
          b.banks() > 1 ? c.partSizes().bankAngle().si() : 0);
    }
  }

  public JobLine {
    now = List.copyOf(now);
    due = List.copyOf(due);
    // A line of before they were kept says nothing of them.
    customer = customer == null ? "" : customer;
    tags = tags == null ? List.of() : List.copyOf(tags);
  }

  /** Whether its customer or a tag holds words, which are in small letters. */
  public boolean answersTo(String words) {
    return customer.toLowerCase(Locale.ROOT).contains(words)
        || tags.stream().anyMatch(t -> t.toLowerCase(Locale.ROOT).contains(words));
  }

  /** Of a build that has no route yet. */
  public static JobLine begun(Build build) {
    return new JobLine(
        "", List.of(), List.of(), "", null, null, 0, 0, 0, 0, 0, "", List.of(), Outline.of(build));
  }

  /** Of a job as it stands. */
  public static JobLine of(Job job, Route route, Build build) {
    var money = Money.of(job, build.combination().bottomEnd()).sum();
    var open = route.steps().stream().filter(p -> p.state() != Route.State.DONE).toList();
    var critical = route.critical();
    return new JobLine(
        open.stream()
            .map(p -> p.step().stage())
            .min(Enum::compareTo)
            .map(s -> s.title())
            .orElse(""),
        route.now().stream().map(Route.Planned::step).map(Step::title).limit(FEW).toList(),
        route.due().stream().map(d -> new Promise(d.day(), d.what())).limit(FEW).toList(),
        critical.isEmpty() ? "" : critical.getFirst().waits().stream().findFirst().orElse(""),
        route.dyno().orElse(null),
        job.plan().wanted(),
        job.steps().size() - open.size(),
        job.steps().size(),
        money.spent(),
        money.committed(),
        build.combination().brief().budget().si(),
        job.plan().customer(),
        job.plan().tags(),
        Outline.of(build));
  }
}
