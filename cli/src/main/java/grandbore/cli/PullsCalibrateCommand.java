package grandbore.cli;

import grandbore.book.BuildDocument;
import grandbore.book.DynoBook;
import grandbore.book.DynoJson;
import grandbore.book.FrozenBuild;
import grandbore.core.clearances.OnDyno;
import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.calibration.Believed;
import grandbore.core.dyno.calibration.Calibration;
import grandbore.core.dyno.calibration.CalibrationStudy;
import grandbore.core.dyno.calibration.Coefficient;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "calibrate",
    description = "What all good pulls together teach of the engine, and how sure that is.")
final class PullsCalibrateCommand implements Callable<Integer> {
  /** Those that torque and air of a few pulls can usually tell. */
  private static final String USUAL =
      "intake_flow,exhaust_flow,intake_length,exhaust_length,wall_heat,burn_speed,friction,"
          + "friction_growth";

  @Mixin private BuildOption build = new BuildOption();

  @Option(
      names = "--coefficients",
      split = ",",
      defaultValue = USUAL,
      description =
          "intake_flow, exhaust_flow, meter_flow, intake_length, exhaust_length, mixture,"
              + " wall_heat, burn_speed, friction, friction_growth")
  private List<String> coefficients;

  @Option(
      names = "--shop",
      split = ",",
      paramLabel = "FILE",
      description = "builds with calibrations of this shop: what they taught is believed before")
  private List<String> shop = List.of();

  @Option(
      names = "--profile",
      description =
          "each is held off its best by one and two standard errors, the others following")
  private boolean profile;

  @Option(
      names = "--apply",
      description = "the build that is written has what was learned set on it")
  private boolean apply;

  @Mixin private OutOption out = new OutOption();
  @Mixin private TableOption table = new TableOption();
  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    var document = build.read();
    out.check(build);
    var book = PullsOption.pulls(document);
    var engine = book.frozen().map(FrozenBuild::of).orElse(document).engine();
    var asked = coefficients.stream().map(PullsCalibrateCommand::coefficient).toList();
    var found =
        StudyRun.of(
            new CalibrationStudy(engine, book.good(), asked, believed(), book.pointer(), profile));
    var rows = new ArrayList<Map<String, Object>>();
    for (var l : found.learnt()) {
      var row = new LinkedHashMap<String, Object>();
      row.put("coefficient", l.coefficient().word());
      row.put("value", StudyRun.round(l.value(), 4));
      row.put("error", StudyRun.round(l.error(), 4));
      row.put("believed", StudyRun.round(l.believed(), 4));
      row.put("told", l.told().word());
      found.profiles().stream()
          .filter(p -> p.coefficient() == l.coefficient())
          .forEach(
              p ->
                  p.points()
                      .forEach(
                          at ->
                              row.put(
                                  "rise_at_%+.0f".formatted(at.errors()),
                                  StudyRun.round(at.rise(), 2))));
      rows.add(row);
    }
    table.print(rows);
    var err = spec.commandLine().getErr();
    err.printf(
        "%s: torque off by %.2f %% before, %.2f %% after%n",
        found.title(), 100 * found.before(), 100 * found.after());
    found
        .leftOut()
        .forEach(
            o ->
                err.printf(
                    "left out: %s: %.2f %% before, %.2f %% by the others%n",
                    o.what(), 100 * o.before(), 100 * o.after()));
    found
        .together()
        .forEach(
            p ->
                err.printf(
                    "not told apart: %s and %s (%.2f)%n",
                    p.one().label(), p.other().label(), p.correlation()));
    var with =
        OutOption.with(
            document, List.of(new OnDyno(OnDyno.Kind.CALIBRATION, DynoJson.write(found))));
    if (apply && found.change().isPresent()) {
      var changed = found.change().get().on(with.build().combination());
      with = new BuildDocument(with.build().with(changed), with.readings(), with.notes());
    }
    out.write(with);
    return 0;
  }

  /** What every shop believes, with what this one's own engines taught. */
  private Map<Coefficient, Believed> believed() {
    var own = new ArrayList<Calibration>();
    for (String file : shop) {
      DynoBook.taught(BuildOption.read("--shop", file).notes()).ifPresent(own::add);
    }
    return Believed.ofShop(own);
  }

  private static Coefficient coefficient(String word) {
    return Arrays.stream(Coefficient.values())
        .filter(c -> c.word().equals(word.strip().toLowerCase(Locale.ROOT)))
        .findFirst()
        .orElseThrow(
            () ->
                new InvalidInput(
                    "--coefficients",
                    word,
                    Arrays.stream(Coefficient.values())
                        .map(Coefficient::word)
                        .collect(Collectors.joining(", ")),
                    "those are known"));
  }
}
