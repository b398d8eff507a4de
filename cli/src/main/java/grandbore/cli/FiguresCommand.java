package grandbore.cli;

import grandbore.core.clearances.Readings;
import grandbore.core.working.Figure;
import grandbore.core.working.Figures;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

@Command(name = "figures", description = "Works out the figures, each with its working.")
final class FiguresCommand implements Callable<Integer> {
  @Mixin private BuildOption build = new BuildOption();

  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    var document = build.read();
    var units = document.build().units();
    var rows =
        Figures.of(document.build(), new Readings(document.readings())).stream()
            .map(f -> row(f, f.quantity().unit(units)))
            .toList();
    table.print(rows);
    return 0;
  }

  private static Map<String, Object> row(Figure f, grandbore.core.units.Measure unit) {
    var row = new LinkedHashMap<String, Object>();
    row.put("name", f.name());
    row.put("value", Math.rint(unit.fromSi(f.si()) * 1e5) / 1e5);
    row.put("unit", unit.symbol());
    row.put("provenance", f.provenance().word());
    row.put("formula", f.formula());
    row.put("source", f.source());
    row.put("label", f.label());
    row.put("put_in", f.putIn());
    return row;
  }
}
