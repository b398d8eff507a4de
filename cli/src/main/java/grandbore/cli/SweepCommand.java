package grandbore.cli;

import grandbore.core.asked.Question;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.prediction.WantedBand;
import grandbore.core.studies.InputSweep;
import grandbore.core.studies.SweepAxis;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "sweep",
    description = "One input over a range, or two as a map; power on the average of the band.")
final class SweepCommand implements Callable<Integer> {
  @Mixin private BuildOption build = new BuildOption();

  @Mixin private SpeedsOption at = new SpeedsOption();

  @Option(
      names = "--input",
      required = true,
      paramLabel = "PATH=FROM..TO",
      description =
          "exhaust.primaryLength=28..36, with units where they are not the build's; alone the path"
              + " spans a fifth up and down; twice for a map")
  private List<String> inputs = List.of();

  @Option(names = "--steps", defaultValue = "9", description = "values of each input, 2 to 41")
  private int steps;

  @Option(names = "--idle", description = "each is idled too: the vacuum at the brief's speed")
  private boolean idle;

  @Mixin private KeepOption keep = new KeepOption();

  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    var document = build.read();
    var engine = document.engine();
    var units = document.build().units();
    if (steps < 2 || steps > 41) {
      throw new InvalidInput("--steps", String.valueOf(steps), "2 to 41", "each is a curve");
    }
    var axes = new ArrayList<SweepAxis>();
    for (String said : inputs) {
      axes.add(AxisOption.parse(said, engine.combination(), units, steps));
    }
    var asked =
        new Question.OfSweep(
            axes,
            at.all(
                document.build().speeds(), WantedBand.of(document.build().combination().brief())),
            WantedBand.of(document.build().combination().brief()),
            idle);
    var sweep = keep.run(build, document, asked.to(engine), asked);
    table.print(rows(sweep, units));
    return 0;
  }

  private List<Map<String, Object>> rows(InputSweep sweep, UnitSystem units) {
    var rows = new ArrayList<Map<String, Object>>();
    for (int i = 0; i < sweep.rungs().size(); i++) {
      var row = new LinkedHashMap<String, Object>();
      for (int k = 0; k < sweep.axes().size(); k++) {
        String path = sweep.axes().get(k).path();
        var unit = Specs.field(path).spec().quantity().unit(units);
        row.put(path, StudyRun.round(unit.fromSi(sweep.value(k, i)), 4));
        row.put(path + "_unit", unit.symbol());
      }
      var rung = sweep.rungs().get(i);
      row.put("band_power_kw", StudyRun.round(rung.power() / 1e3, 3));
      row.put("band_torque_nm", StudyRun.round(rung.torque(), 2));
      var figures = rung.figures();
      row.put(
          "peak_power_kw",
          figures.map(f -> StudyRun.round(f.power().power() / 1e3, 3)).orElse(null));
      row.put("peak_power_rpm", figures.map(f -> StudyRun.round(f.power().rpm(), 0)).orElse(null));
      row.put("piston_to_valve_mm", StudyRun.round(1e3 * rung.pistonToValve(), 2));
      if (idle) {
        row.put("idle_vacuum_kpa", StudyRun.round(rung.vacuum() / 1e3, 1));
      }
      row.put("best", i == sweep.best());
      row.put("refused", rung.refused());
      rows.add(row);
    }
    return rows;
  }
}
