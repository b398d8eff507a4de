package grandbore.cli;

import grandbore.book.BuildSchema;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

@Command(name = "schema", description = "Prints the JSON Schema of a build document.")
final class SchemaCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    spec.commandLine().getOut().print(BuildSchema.text());
    spec.commandLine().getOut().flush();
    return 0;
  }
}
