package grandbore.cli;

import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.SlowRunning;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "slow",
    description = "Compression test by cylinder, and idle: throttle, manifold vacuum, residual.")
final class SlowCommand implements Callable<Integer> {
  @Mixin private BuildOption build = new BuildOption();

  @Option(
      names = "--idle",
      paramLabel = "RPM",
      defaultValue = "850",
      description = "idle speed, 400 to 2000 rpm")
  private double idle;

  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    if (!(idle >= 400 && idle <= 2000)) {
      throw new InvalidInput(
          "--idle", String.valueOf(idle), "400 to 2000 rpm", "engines idle there");
    }
    var slow = new SlowRunning(build.read().engine());
    var rows = new ArrayList<Map<String, Object>>();
    var test = slow.compressionTest();
    for (int i = 0; i < test.size(); i++) {
      rows.add(row("compression_test_cylinder_" + (i + 1), round(test.get(i) / 1e3, 10), "kPa"));
    }
    slow.idle(idle)
        .ifPresent(
            i ->
                rows.addAll(
                    List.of(
                        row("idle_speed", i.rpm(), "rpm"),
                        row("idle_vacuum", round(i.vacuum() / 1e3, 100), "kPa"),
                        row("idle_throttle_share", round(i.throttle(), 1e5), ""),
                        row("idle_residual_fraction", round(i.residual(), 1e4), ""),
                        row("idle_steady", i.steady(), ""))));
    table.print(rows);
    return 0;
  }

  private static Map<String, Object> row(String name, Object value, String unit) {
    var row = new LinkedHashMap<String, Object>();
    row.put("name", name);
    row.put("value", value);
    row.put("unit", unit);
    return row;
  }

  private static double round(double value, double parts) {
    return Math.rint(parts * value) / parts;
  }
}
