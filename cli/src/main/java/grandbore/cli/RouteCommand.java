package grandbore.cli;

import grandbore.book.JobCalendar;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "route",
    description = "The steps of a job: what can be done now, what waits, the day of the dyno.")
final class RouteCommand implements Callable<Integer> {
  @Mixin private JobOption job = new JobOption();

  @Option(names = "--now", description = "only what can be done now")
  private boolean now;

  @Option(names = "--calendar", paramLabel = "FILE", description = "writes it as iCalendar, too")
  private Path calendar;

  @Mixin private TableOption table = new TableOption();

  @Spec private CommandSpec command;

  @Override
  public Integer call() {
    var document = job.build().read();
    var of = JobOption.job(document);
    var route = job.route(document, of);
    var rows = new ArrayList<Map<String, Object>>();
    for (var p : now ? route.now() : route.steps()) {
      var row = new LinkedHashMap<String, Object>();
      row.put("step", p.step().id());
      row.put("title", p.step().title());
      row.put("stage", p.step().stage().title());
      row.put("state", p.state().title());
      row.put("begins", p.begins().toString());
      row.put("ends", p.ends().toString());
      row.put("latest", p.latest().toString());
      row.put("slack_days", p.slack());
      row.put("decides_dyno", p.decides());
      row.put("waits", String.join("; ", p.waits()));
      rows.add(row);
    }
    if (!rows.isEmpty()) {
      table.print(rows);
    }
    if (calendar != null) {
      job.build()
          .write(
              "--calendar",
              calendar,
              JobCalendar.write(document.build().name(), route, Instant.now()));
    }
    var say = command.commandLine().getErr();
    route.dyno().ifPresent(d -> say.println("On the dyno on " + d + " at the earliest"));
    route.dynoAlone().ifPresent(d -> say.println("With one pair of hands: " + d));
    route.tooEarly().forEach(t -> say.println("Too early: " + t.says()));
    route.undated().forEach(u -> say.println("No date: " + u));
    return 0;
  }
}
