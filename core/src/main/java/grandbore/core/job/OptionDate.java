package grandbore.core.job;

import grandbore.core.build.Build;
import grandbore.core.clearances.Readings;
import grandbore.core.job.route.Step;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * When the engine is on the dyno with one of several ways to go on.
 *
 * @param dyno the first day; none where the route does not lead there
 */
public record OptionDate(Option option, Optional<LocalDate> dyno) {
  /** Of all options of a job, in their order. */
  public static List<OptionDate> of(Job job, Build build, Readings readings, LocalDate today) {
    return job.options().stream()
        .map(o -> new OptionDate(o, new Route(with(job, o), build, readings, today).dyno()))
        .toList();
  }

  /** The job with the option's days before its step, and its hours on it. */
  private static Job with(Job job, Option o) {
    var steps = job.steps().stream().map(s -> s.id().equals(o.step()) ? later(s, o) : s).toList();
    return new Job(job.plan(), job.items(), job.orders(), steps, List.of());
  }

  private static Step later(Step s, Option o) {
    return s.with(Map.of("days", s.days() + o.days(), "hours", s.hours() + o.hours()));
  }
}
