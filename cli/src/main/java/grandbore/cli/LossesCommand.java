package grandbore.cli;

import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.LossAccount;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.RemovedLoss;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "losses",
    description = "What torque each loss costs, from runs of the window's curve without it.")
final class LossesCommand implements Callable<Integer> {
  @Mixin private BuildOption build = new BuildOption();

  @Option(names = "--points", defaultValue = "8", description = "how many speeds, 2 to 60")
  private int points;

  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    if (points < 2 || points > 60) {
      throw new InvalidInput(
          "--points", String.valueOf(points), "2 to 60", "each is solved ten times");
    }
    var document = build.read();
    var engine = document.engine();
    try (var predictor = new Predictor()) {
      var speeds = document.build().speeds().points(points);
      var account = predictor.losses(engine, speeds, r -> {}, () -> false);
      var rows = new ArrayList<Map<String, Object>>();
      for (int i = 0; i < speeds.size(); i++) {
        rows.add(row(account, i));
      }
      table.print(rows);
    }
    return 0;
  }

  private static Map<String, Object> row(LossAccount account, int point) {
    var row = new LinkedHashMap<String, Object>();
    var base = account.base().points().get(point);
    row.put("rpm", base.rpm());
    row.put("brake_torque_nm", round(base.torque()));
    for (var relief : RemovedLoss.values()) {
      String name = relief.name().toLowerCase(Locale.ROOT);
      row.put("without_" + name + "_gain_nm", round(account.torque(relief, point)));
    }
    row.put("without_all_gain_nm", round(account.torqueTogether(point)));
    return row;
  }

  private static Double round(double newtonMetres) {
    return Double.isFinite(newtonMetres) ? Math.rint(100 * newtonMetres) / 100 : null;
  }
}
