package grandbore.cli;

import grandbore.core.asked.Question;
import grandbore.core.prediction.WantedBand;
import grandbore.core.studies.Ladder;
import grandbore.core.studies.Repeatability;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "ladder",
    description =
        "What each of several changes gives: alone, on top of those before it, and left out of the"
            + " whole; power on the average of the band.")
final class LadderCommand implements Callable<Integer> {
  @Mixin private BuildOption build = new BuildOption();

  @Mixin private SpeedsOption at = new SpeedsOption();

  @Option(
      names = "--changes",
      paramLabel = "FILE",
      required = true,
      description = "a document of changes, or the word demo")
  private String changes;

  @Option(
      names = "--pairs",
      description = "prints each two together instead: their gain beyond the sum of both alone")
  private boolean pairs;

  @Mixin private KeepOption keep = new KeepOption();

  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    var document = build.read();
    var asked =
        new Question.OfLadder(
            ChangesOption.read(changes),
            at.all(
                document.build().speeds(), WantedBand.of(document.build().combination().brief())),
            WantedBand.of(document.build().combination().brief()),
            pairs);
    var ladder = keep.run(build, document, asked.to(document.engine()), asked);
    table.print(pairs ? pairs(ladder) : rungs(ladder));
    return 0;
  }

  private static List<Map<String, Object>> rungs(Ladder ladder) {
    double base = ladder.power(Set.of());
    var rows = new ArrayList<Map<String, Object>>();
    for (int i = 0; i < ladder.changes().size(); i++) {
      var change = ladder.changes().get(i);
      var row = new LinkedHashMap<String, Object>();
      row.put("change", change.name());
      row.put("money", change.cost().money());
      row.put("hours", change.cost().hours());
      row.put("alone_kw", kilowatts(ladder.alone(i)));
      row.put("step_kw", kilowatts(ladder.step(i)));
      row.put("step_can_be_told", Repeatability.tells(ladder.step(i), base));
      row.put("so_far_kw", kilowatts(ladder.upTo(i)));
      row.put("left_out_kw", kilowatts(ladder.leftOut(i)));
      row.put("money_so_far", ladder.cost(i).money());
      row.put("money_per_step_kw", perKilowatt(change.cost().money(), ladder.step(i), base));
      row.put("refused", ladder.rungs().get(Set.of(i)).refused());
      rows.add(row);
    }
    return rows;
  }

  /** What a kilowatt costs; none where there is no gain that can be told. */
  private static Double perKilowatt(double money, double gain, double base) {
    return gain > 0 && Repeatability.tells(gain, base)
        ? StudyRun.round(money / (gain / 1e3), 2)
        : null;
  }

  private static List<Map<String, Object>> pairs(Ladder ladder) {
    var rows = new ArrayList<Map<String, Object>>();
    for (int i = 0; i < ladder.changes().size(); i++) {
      for (int j = 0; j < i; j++) {
        var row = new LinkedHashMap<String, Object>();
        row.put("one", ladder.changes().get(j).name());
        row.put("other", ladder.changes().get(i).name());
        row.put("one_alone_kw", kilowatts(ladder.alone(j)));
        row.put("other_alone_kw", kilowatts(ladder.alone(i)));
        row.put("beyond_the_sum_kw", kilowatts(ladder.interaction(j, i)));
        rows.add(row);
      }
    }
    return rows.isEmpty() ? List.of(Map.of("one", "a pair wants two changes")) : rows;
  }

  private static Double kilowatts(double watts) {
    return StudyRun.round(watts / 1e3, 3);
  }
}
