package grandbore.cli;

import grandbore.book.DynoBook;
import grandbore.core.dyno.PullCurve;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "correct",
    description = "Torque and power of each pull under a standard; what it carried is taken back.")
final class PullsCorrectCommand implements Callable<Integer> {
  @Mixin private PullsOption pulls = new PullsOption();

  @Option(
      names = "--smooth",
      defaultValue = "250",
      description = "half width of the smoothing, 1 to 1000 rpm")
  private double width;

  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    var book = PullsOption.pulls(pulls.build().read());
    var rows = new ArrayList<Map<String, Object>>();
    for (DynoBook.KeptPull kept : book.pulls()) {
      if (kept.struck()) {
        continue;
      }
      double factor = kept.pull().factor(pulls.standard());
      boolean allowed =
          kept.pull()
              .breathed()
              .map(a -> pulls.standard().allows(pulls.standard().factor(a)))
              .orElse(true);
      for (var p : PullCurve.torque(kept.pull(), pulls.standard(), width).points()) {
        var row = new LinkedHashMap<String, Object>();
        row.put("pull", kept.pull().number());
        row.put("rpm", StudyRun.round(p.rpm(), 0));
        row.put("torque_nm", StudyRun.round(p.value(), 2));
        row.put("power_kw", StudyRun.round(p.value() * p.rpm() * Math.PI / 30e3, 2));
        row.put("factor", StudyRun.round(factor, 5));
        row.put("allowed", allowed);
        rows.add(row);
      }
    }
    table.print(rows);
    return 0;
  }
}
