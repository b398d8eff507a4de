package grandbore.cli;

import grandbore.core.combination.InvalidInput;
import grandbore.core.job.Job;
import grandbore.core.job.Places;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.Matching;
import grandbore.core.job.parts.Together;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "parts",
    description =
        "The parts of an engine by their places, and the places at which they match best.")
final class PartsCommand implements Callable<Integer> {
  @Mixin private JobOption job = new JobOption();

  @Option(
      names = "--match",
      paramLabel = "GOAL",
      description = "weight, deck, compression or banks: parts at the places that even it best")
  private Matching.Goal match;

  @Mixin private TableOption table = new TableOption();

  @Spec private CommandSpec command;

  @Override
  public Integer call() {
    var document = job.build().read();
    var of = JobOption.job(document);
    var say = command.commandLine().getErr();
    var items = of.items();
    if (match != null) {
      var found =
          Places.matched(document.build(), document.readings(), items, match)
              .orElseThrow(
                  () ->
                      new InvalidInput(
                          "--match",
                          match.title(),
                          "as many measured parts of a kind as places",
                          "one goes to each"));
      items = found.items();
      say.println(
          "%s: spread %s as they lie, %s at these places (SI)"
              .formatted(match.title(), number(found.before()), number(found.after())));
    }
    var rows = items.stream().map(this::row).toList();
    if (!rows.isEmpty()) {
      table.print(rows);
    }
    broken(of).forEach(b -> say.println("Together: " + b.says()));
    return 0;
  }

  private static List<Together.Broken> broken(Job job) {
    return Together.broken(job.items());
  }

  private static String number(double si) {
    return "%.3g".formatted(si);
  }

  private Map<String, Object> row(Item i) {
    var row = new LinkedHashMap<String, Object>();
    row.put("id", i.id());
    row.put("part", i.part().title());
    row.put("place", i.place());
    row.put("state", i.state().title());
    row.put("condition", i.condition().title());
    row.put("reused", i.reused());
    row.put("maker", i.maker());
    row.put("number", i.number());
    row.put("supplier", i.supplier());
    row.put("price", i.price());
    row.put("promised", i.day().map(Object::toString).orElse(""));
    var measures = new ArrayList<String>();
    i.measures().forEach((m, v) -> measures.add("%s %s".formatted(m.title(), number(v))));
    row.put("measured_si", String.join("; ", measures));
    row.put("finding", i.finding());
    return row;
  }
}
