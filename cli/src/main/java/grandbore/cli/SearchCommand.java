package grandbore.cli;

import grandbore.core.asked.Question;
import grandbore.core.changes.Change;
import grandbore.core.combination.Specs;
import grandbore.core.prediction.WantedBand;
import grandbore.core.studies.Goal;
import grandbore.core.studies.Search;
import grandbore.core.studies.SearchBounds;
import grandbore.core.studies.SweepAxis;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "search",
    description =
        "Looks for the best engine within bounds: free inputs over ranges, changes made or not.")
final class SearchCommand implements Callable<Integer> {
  /** What is printed. */
  enum Show {
    /** The best, and those next to it that differ in kind. */
    best,
    /** Those of which none other is better in both goals. */
    trade,
    /** Every candidate, in the order of the asking. */
    all
  }

  private static final int SHOWN = 5;

  @Mixin private BuildOption build = new BuildOption();

  @Option(
      names = "--free",
      paramLabel = "PATH=FROM..TO",
      description = "an input and its range; alone the path spans a fifth up and down")
  private List<String> free = List.of();

  @Option(
      names = "--changes",
      paramLabel = "FILE",
      description = "changes that may be made or not: a document, or the word demo")
  private String changes;

  @Option(
      names = "--goal",
      defaultValue = "band_power",
      description =
          "band_power, band_torque, peak_power, least_torque, octane,"
              + " piston_to_valve, idle_vacuum or thrift")
  private Goal goal;

  @Option(names = "--against", description = "a second goal, for the trade between both")
  private Goal against;

  @Option(names = "--money", description = "at most, for the changes")
  private Double money;

  @Option(names = "--octane", description = "to spare in the band, at least")
  private Double octane;

  @Option(names = "--piston-speed", description = "mean, at most, m/s")
  private Double pistonSpeed;

  @Option(names = "--piston-to-valve", description = "at the closest, at least, mm")
  private Double pistonToValve;

  @Option(names = "--vacuum", description = "at the idle speed of the brief, at least, kPa")
  private Double vacuum;

  @Option(names = "--may-float", description = "valves need not follow their lobes in the band")
  private boolean mayFloat;

  @Option(
      names = "--robust",
      description = "counts the fifth part of what the spreads of the inputs allow")
  private boolean robust;

  @Option(names = "--candidates", defaultValue = "300", description = "10 to 20,000")
  private int candidates;

  @Option(names = "--seed", defaultValue = "1", description = "of all random draws")
  private long seed;

  @Option(names = "--show", defaultValue = "best", description = "best, trade or all")
  private Show show;

  @Mixin private KeepOption keep = new KeepOption();

  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    var document = build.read();
    var engine = document.engine();
    var units = document.build().units();
    var axes = new ArrayList<SweepAxis>();
    for (var said : free) {
      axes.add(AxisOption.parse(said, engine.combination(), units, 2));
    }
    var none = SearchBounds.NONE;
    var bounds =
        new SearchBounds(
            money == null ? none.money() : money,
            octane == null ? none.octane() : octane,
            pistonSpeed == null ? none.pistonSpeed() : pistonSpeed,
            pistonToValve == null ? none.pistonToValve() : 1e-3 * pistonToValve,
            vacuum == null ? none.vacuum() : 1e3 * vacuum,
            !mayFloat);
    var asked =
        new Question.OfSearch(
            WantedBand.of(document.build().combination().brief()),
            axes,
            changes == null ? List.of() : ChangesOption.read(changes),
            goal,
            Optional.ofNullable(against),
            bounds,
            robust,
            candidates,
            seed);
    var found = keep.run(build, document, asked.to(engine), asked);
    var shown =
        switch (show) {
          case best -> found.best(SHOWN);
          case trade -> found.trade();
          case all -> found.candidates();
        };
    var rows = new ArrayList<Map<String, Object>>();
    shown.forEach(c -> rows.add(row(c, found, axes, units)));
    if (shown.isEmpty()) {
      found.nearestMiss().ifPresent(c -> rows.add(row(c, found, axes, units)));
    }
    table.print(rows);
    return 0;
  }

  private Map<String, Object> row(
      Search.Candidate c, Search found, List<SweepAxis> axes, UnitSystem units) {
    var row = new LinkedHashMap<String, Object>();
    row.put("holds", c.judged().isFeasible());
    row.put("goal", goal.name().toLowerCase(java.util.Locale.ROOT));
    row.put("goal_si", StudyRun.round(c.goal(), 3));
    row.put("second_si", StudyRun.round(c.second(), 3));
    for (int i = 0; i < axes.size(); i++) {
      var unit = Specs.field(axes.get(i).path()).spec().quantity().unit(units);
      row.put(axes.get(i).path(), StudyRun.round(unit.fromSi(c.values().get(i)), 4));
      row.put(axes.get(i).path() + "_unit", unit.symbol());
    }
    row.put("changes", c.chosen().stream().map(Change::name).collect(Collectors.joining("; ")));
    row.put("money", c.money());
    row.put("broken", String.join("; ", c.broken()));
    row.put("candidates", found.candidates().size());
    row.put("seed", found.seed());
    boolean best = found.best().filter(c::equals).isPresent();
    row.put(
        "every_cylinder_kw",
        best ? found.verified().map(v -> StudyRun.round(v.best() / 1e3, 3)).orElse(null) : null);
    row.put(
        "as_it_stands_kw",
        best ? found.verified().map(v -> StudyRun.round(v.base() / 1e3, 3)).orElse(null) : null);
    return row;
  }
}
