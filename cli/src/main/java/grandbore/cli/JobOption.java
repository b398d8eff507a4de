package grandbore.cli;

import grandbore.book.BuildDocument;
import grandbore.book.JobBook;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.InvalidInput;
import grandbore.core.job.Job;
import grandbore.core.job.Route;
import java.time.LocalDate;
import java.time.ZoneId;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** A build with its job, on a day. */
final class JobOption {
  @Mixin private BuildOption build = new BuildOption();

  @Option(names = "--today", paramLabel = "DATE", description = "the day; usually today's")
  private LocalDate today;

  BuildOption build() {
    return build;
  }

  LocalDate today() {
    return today == null ? LocalDate.now(ZoneId.systemDefault()) : today;
  }

  /**
   * The job that hangs on a build.
   *
   * @throws InvalidInput where none does
   */
  static Job job(BuildDocument document) {
    var job = JobBook.of(document.notes()).job();
    if (job.isEmpty()) {
      throw new InvalidInput(
          "--build",
          document.build().name(),
          "a build with a route, parts or orders",
          "the Job station of the window begins them");
    }
    return job;
  }

  /** Its route on that day. */
  Route route(BuildDocument document, Job job) {
    return new Route(job, document.build(), new Readings(document.readings()), today());
  }
}
