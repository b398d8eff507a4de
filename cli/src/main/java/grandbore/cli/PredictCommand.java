package grandbore.cli;

import grandbore.book.CurveCsv;
import grandbore.book.TextFile;
import grandbore.book.TraceCsv;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.Predictor;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(name = "predict", description = "Predicts the curve: one row a speed.")
final class PredictCommand implements Callable<Integer> {
  private static final int MOST_POINTS = 400;

  @Mixin private BuildOption build = new BuildOption();

  @Option(names = "--from", paramLabel = "RPM", description = "first speed, rev/min")
  private Double from;

  @Option(names = "--to", paramLabel = "RPM", description = "last speed, rev/min")
  private Double to;

  @Option(names = "--step", paramLabel = "RPM", defaultValue = "250", description = "spacing")
  private double step;

  @Mixin private FidelityOption depth;

  @Option(names = "--format", defaultValue = "csv", description = "csv or json")
  private TableFormat format;

  @Option(
      names = "--traces",
      paramLabel = "FILE",
      description =
          "writes one cycle of the cylinder that fires first, at the speed of --from, as CSV")
  private Path traces;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    var document = build.read();
    if (traces != null) {
      build.output("--traces", traces);
    }
    var engine = document.engine();
    try (var predictor = new Predictor()) {
      if (traces != null) {
        double rpm = from == null ? document.build().speeds().from() : from;
        within("--from", rpm, 500, 15_000);
        write(TraceCsv.write(predictor.trace(engine, rpm, () -> false)));
        return 0;
      }
      var curve = predictor.predict(engine, speeds(document.build().speeds()), depth.fidelity());
      var out = spec.commandLine().getOut();
      if (format == TableFormat.CSV) {
        out.print(CurveCsv.write(curve));
        out.flush();
      } else {
        Tables.print(out, curve.points().stream().map(CurveCsv::columns).toList(), format);
      }
      return 0;
    }
  }

  private void write(String table) {
    try {
      TextFile.write(traces, table);
      spec.commandLine().getErr().println("Written: " + traces);
    } catch (IOException e) {
      throw new InvalidInput(
          "--traces", traces.toString(), "a file that can be written", e.toString());
    }
  }

  private List<Double> speeds(grandbore.core.build.SpeedRange range) {
    double first = from == null ? range.from() : from;
    double last = to == null ? range.to() : to;
    within("--from", first, 500, 15_000);
    within("--to", last, first, 15_000);
    Speeds.step(step);
    if ((last - first) / step > MOST_POINTS) {
      throw new InvalidInput(
          "--step",
          String.valueOf(step),
          "at least %.0f for these speeds".formatted((last - first) / MOST_POINTS),
          "a curve holds up to 400 points");
    }
    return Predictor.speeds(first, last, step);
  }

  private static void within(String option, double value, double least, double most) {
    if (!(value >= least && value <= most)) {
      throw new InvalidInput(
          option,
          String.valueOf(value),
          "%.0f to %.0f rpm".formatted(least, most),
          "engines run there");
    }
  }
}
