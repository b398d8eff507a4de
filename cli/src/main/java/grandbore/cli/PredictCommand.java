package grandbore.cli;

import grandbore.book.CurveCsv;
import grandbore.book.TextFile;
import grandbore.book.TraceCsv;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.Predictor;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(name = "predict", description = "Predicts the curve: one row a speed.")
final class PredictCommand implements Callable<Integer> {
  @Mixin private BuildOption build = new BuildOption();

  @Mixin private SpeedsOption at = new SpeedsOption();

  @Mixin private FidelityOption depth;

  @Mixin private TableOption table = new TableOption();

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
        double rpm = at.first(document.build().speeds());
        write(TraceCsv.write(predictor.trace(engine, rpm, () -> false)));
        return 0;
      }
      var curve = predictor.predict(engine, at.all(document.build().speeds()), depth.fidelity());
      var out = spec.commandLine().getOut();
      if (table.isCsv()) {
        out.print(CurveCsv.write(curve));
        out.flush();
      } else {
        table.print(curve.points().stream().map(CurveCsv::columns).toList());
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
}
