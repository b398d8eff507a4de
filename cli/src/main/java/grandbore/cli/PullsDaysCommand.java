package grandbore.cli;

import grandbore.core.dyno.effects.Day;
import grandbore.core.dyno.effects.Effect;
import grandbore.core.prediction.WantedBand;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

@Command(
    name = "days",
    description =
        "Each day at the dyno: its best pull, how it drifted, and what it has over the last.")
final class PullsDaysCommand implements Callable<Integer> {
  @Mixin private PullsOption pulls = new PullsOption();
  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    var document = pulls.build().read();
    var band = WantedBand.of(document.build().combination().brief());
    var rows = new ArrayList<Map<String, Object>>();
    Day before = null;
    for (var day : PullsOption.pulls(document).days()) {
      var row = new LinkedHashMap<String, Object>();
      row.put("day", day.name());
      row.put("from", day.from().toString());
      row.put("to", day.to().toString());
      row.put("pulls", day.pulls().size());
      row.put("good", day.good().size());
      var best = day.best(pulls.standard(), band.from(), band.to());
      row.put("best_pull", best.map(b -> (Object) b.pull().number()).orElse(""));
      row.put("torque_nm", number(best.map(b -> b.torque().value()), 1));
      row.put("torque_rpm", number(best.map(b -> b.torque().rpm()), 0));
      row.put("power_kw", number(best.map(b -> b.power().value() / 1e3), 1));
      row.put("power_rpm", number(best.map(b -> b.power().rpm()), 0));
      row.put("band_torque_nm", number(best.map(Day.Best::mean), 1));
      var drift = day.drift(pulls.standard(), band.from(), band.to());
      row.put("drift_percent", number(drift.map(d -> 100 * d.share()), 2));
      var last = before;
      var over =
          last == null
              ? Optional.<Effect>empty()
              : day.over(last, pulls.standard(), band.from(), band.to());
      row.put("over_last_percent", number(over.map(e -> 100 * e.share()), 2));
      row.put("counts_percent", number(over.map(e -> 100 * e.counts()), 2));
      row.put("told", over.map(e -> e.told().word()).orElse(""));
      rows.add(row);
      before = day;
    }
    table.print(rows);
    return 0;
  }

  private static Object number(Optional<Double> value, int digits) {
    return value.<Object>map(v -> StudyRun.round(v, digits)).orElse("");
  }
}
