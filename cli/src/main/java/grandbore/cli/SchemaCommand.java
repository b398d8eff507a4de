package grandbore.cli;

import grandbore.book.BuildSchema;
import grandbore.book.ChangesJson;
import grandbore.book.DynoJson;
import grandbore.book.PartsJson;
import grandbore.book.StudyJson;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "schema",
    description =
        "Prints the JSON Schema of a build document, of changes, of parts, of a study, or of a dyno"
            + " record.")
final class SchemaCommand implements Callable<Integer> {
  @Option(names = "--changes", description = "that of a document of changes")
  private boolean changes;

  @Option(names = "--parts", description = "that of a document of parts")
  private boolean parts;

  @Option(names = "--study", description = "that of a kept study")
  private boolean study;

  @Option(names = "--dyno", description = "that of a dyno record")
  private boolean dyno;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    spec.commandLine().getOut().print(text());
    spec.commandLine().getOut().flush();
    return 0;
  }

  private String text() {
    if (dyno) {
      return DynoJson.schemaText();
    }
    if (study) {
      return StudyJson.schemaText();
    }
    if (parts) {
      return PartsJson.schemaText();
    }
    return changes ? ChangesJson.schemaText() : BuildSchema.text();
  }
}
