package grandbore.cli;

import grandbore.core.checks.Check;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(name = "check", description = "Is each pull good? What each doubt points to.")
final class PullsCheckCommand implements Callable<Integer> {
  @Mixin private BuildOption build = new BuildOption();

  @Option(names = "--all", description = "those that hold, too")
  private boolean all;

  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    var rows = new ArrayList<Map<String, Object>>();
    for (var kept : PullsOption.pulls(build.read()).pulls()) {
      for (var c : kept.checks()) {
        if (all || c.verdict() != Check.Verdict.GOOD) {
          rows.add(row(kept.pull().number(), kept.isGood(), c));
        }
      }
    }
    if (rows.isEmpty()) {
      rows.add(row(0, true, new Check("none", "All pulls", Check.Verdict.GOOD, "good", "", 0)));
    }
    table.print(rows);
    return 0;
  }

  private static Map<String, Object> row(int pull, boolean good, Check c) {
    var row = new LinkedHashMap<String, Object>();
    row.put("pull", pull);
    row.put("good", good);
    row.put("suspect", c.name());
    row.put("verdict", c.verdict().word());
    row.put("says", c.says());
    row.put("working", c.working());
    return row;
  }
}
