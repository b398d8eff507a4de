package grandbore.cli;

import grandbore.book.DynoBook;
import grandbore.book.DynoJson;
import grandbore.book.FormatException;
import grandbore.book.PullImport;
import grandbore.book.PullLayout;
import grandbore.book.TextFile;
import grandbore.core.clearances.OnDyno;
import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.Standard;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "import",
    description = "Reads a recorder's file into a build; prints how its columns were taken.")
final class PullsImportCommand implements Callable<Integer> {
  @Mixin private BuildOption build = new BuildOption();

  @Parameters(paramLabel = "FILE", description = "columns parted by comma, semicolon, tab or blank")
  private Path file;

  @Option(
      names = "--map",
      paramLabel = "HEADING=CHANNEL:UNIT",
      description =
          "how a column is to be taken, such as “Load=torque:N·m” or “EGT"
              + " A=exhaust_temperature_1:°F”")
  private List<String> maps = List.of();

  @Option(names = "--day", description = "name of the session; the date where it is not said")
  private String day;

  @Option(names = "--air", paramLabel = "KPA,CELSIUS,PERCENT", description = "98.5,26,45")
  private String air;

  @Option(names = "--carries", defaultValue = "none", description = "correction that it has")
  private String carries;

  @Option(names = "--spark", description = "as read, degrees before top centre")
  private Double spark;

  @Option(names = "--changed", defaultValue = "", description = "since the pull before, in words")
  private String changed;

  @Mixin private OutOption out = new OutOption();
  @Mixin private TableOption table = new TableOption();
  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    var document = build.read();
    out.check(build);
    if (!Files.isReadable(file)) {
      throw new InvalidInput("FILE", file.toString(), "a file that can be read", "it is not there");
    }
    var read = PullImport.of(TextFile.read(file), document.build().combination().mixture().fuel());
    var layout = mapped(read.guess(String.valueOf(file.getFileName())));
    var imported = read.read(layout);
    var rows = new ArrayList<Map<String, Object>>();
    for (var m : layout.columns()) {
      var row = new LinkedHashMap<String, Object>();
      row.put("heading", m.heading());
      row.put("channel", m.channel().map(Channel::word).orElse("time"));
      row.put("place", m.place());
      row.put("unit", m.unit());
      rows.add(row);
    }
    table.print(rows);
    imported.says().forEach(s -> spec.commandLine().getErr().println(s));
    int number = DynoBook.of(document.notes(), document).nextNumber();
    var notes = new ArrayList<OnDyno>();
    for (var r : imported.pulls()) {
      notes.add(
          new OnDyno(
              OnDyno.Kind.PULL,
              DynoJson.write(
                  new Pull(
                      number + notes.size(),
                      day == null ? LocalDate.now(ZoneOffset.UTC).toString() : day,
                      Instant.now(),
                      r.seconds().isEmpty() ? Pull.How.STEP : Pull.How.SWEEP,
                      0,
                      0,
                      air(),
                      Standard.of(carries)
                          .orElseThrow(
                              () ->
                                  new InvalidInput(
                                      "--carries", carries, "a standard's word", "see --standard")),
                      spark == null ? Double.NaN : Math.toRadians(spark),
                      changed,
                      Optional.empty(),
                      layout.source(),
                      "",
                      r))));
    }
    spec.commandLine()
        .getErr()
        .println("%d pull%s read".formatted(notes.size(), notes.size() == 1 ? "" : "s"));
    out.write(OutOption.with(document, notes));
    return 0;
  }

  private PullLayout mapped(PullLayout layout) {
    for (String map : maps) {
      int is = map.indexOf('=');
      int colon = map.lastIndexOf(':');
      if (is < 1 || colon < is) {
        throw new InvalidInput("--map", map, "HEADING=CHANNEL:UNIT", "such as Load=torque:N·m");
      }
      String word = map.substring(is + 1, colon);
      var place = word.matches(".*_\\d+") ? word.substring(word.lastIndexOf('_') + 1) : "0";
      var channel =
          Channel.of(word)
              .or(() -> Channel.of(word.replaceAll("_\\d+$", "")))
              .orElseThrow(
                  () -> new FormatException("--map: no channel is called “%s”".formatted(word)));
      layout =
          layout.with(
              new PullLayout.Mapped(
                  map.substring(0, is),
                  Optional.of(channel),
                  Integer.parseInt(place),
                  map.substring(colon + 1)));
    }
    return layout;
  }

  private Optional<DayAir> air() {
    if (air == null) {
      return Optional.empty();
    }
    var parts = air.split(",", -1);
    try {
      return Optional.of(
          new DayAir(
              1e3 * Double.parseDouble(parts[0]),
              273.15 + Double.parseDouble(parts[1]),
              Double.parseDouble(parts[2]) / 100));
    } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
      throw new InvalidInput("--air", air, "three numbers: kPa, °C, %", "such as 98.5,26,45");
    }
  }
}
