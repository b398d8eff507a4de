package grandbore.cli;

import grandbore.core.dyno.effects.Effect;
import grandbore.core.dyno.effects.Repeats;
import grandbore.core.prediction.WantedBand;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "compare",
    description = "What each change gave over the band, and whether it is no chance.")
final class PullsCompareCommand implements Callable<Integer> {
  @Mixin private PullsOption pulls = new PullsOption();

  @Option(names = "--from", description = "of the band, rpm; that of the brief")
  private Double from;

  @Option(names = "--to", description = "its end, rpm")
  private Double to;

  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    var document = pulls.build().read();
    var book = PullsOption.pulls(document);
    var band = WantedBand.of(document.build().combination().brief());
    double first = from == null ? band.from() : from;
    double last = to == null ? band.to() : to;
    var good = book.good();
    var repeats = Repeats.of(good, pulls.standard(), first, last);
    var rows = new ArrayList<Map<String, Object>>();
    for (var e : Effect.of(good, pulls.standard(), first, last)) {
      var row = new LinkedHashMap<String, Object>();
      row.put("from_pull", e.before().pulls().getFirst().number());
      row.put("to_pull", e.after().pulls().getFirst().number());
      row.put("changed", e.after().setting().words());
      row.put("gain_percent", StudyRun.round(100 * e.share(), 2));
      row.put("counts_percent", StudyRun.round(100 * e.counts(), 2));
      row.put("chance", StudyRun.round(e.chance(), 4));
      row.put("told", e.told().word());
      row.put("repeats_percent", StudyRun.round(100 * repeats.deviation(), 3));
      row.put("repeats_freedom", repeats.freedom());
      rows.add(row);
    }
    if (rows.isEmpty()) {
      throw new grandbore.core.combination.InvalidInput(
          "--build",
          good.size() + " good pulls of one setting",
          "two settings",
          "a change is told by what was before it");
    }
    table.print(rows);
    return 0;
  }
}
