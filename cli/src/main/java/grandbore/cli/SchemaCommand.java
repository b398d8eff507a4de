package grandbore.cli;

import grandbore.book.BuildSchema;
import grandbore.book.ChangesJson;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "schema",
    description = "Prints the JSON Schema of a build document, or of changes.")
final class SchemaCommand implements Callable<Integer> {
  @Option(names = "--changes", description = "that of a document of changes")
  private boolean changes;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    spec.commandLine().getOut().print(changes ? ChangesJson.schemaText() : BuildSchema.text());
    spec.commandLine().getOut().flush();
    return 0;
  }
}
