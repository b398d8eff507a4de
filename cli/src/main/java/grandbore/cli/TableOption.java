package grandbore.cli;

import java.util.List;
import java.util.Map;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** In what form a command prints its table. */
final class TableOption {
  @Option(names = "--format", defaultValue = "csv", description = "csv or json")
  private TableFormat format;

  @Spec(Spec.Target.MIXEE)
  private CommandSpec command;

  boolean isCsv() {
    return format == TableFormat.CSV;
  }

  /** Prints rows to where the command prints. */
  void print(List<? extends Map<String, ?>> rows) {
    Tables.print(command.commandLine().getOut(), rows, format);
  }
}
