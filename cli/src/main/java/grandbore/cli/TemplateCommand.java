package grandbore.cli;

import grandbore.book.BuildJson;
import grandbore.book.ChangesJson;
import grandbore.core.demo.DemoChanges;
import grandbore.core.units.UnitSystem;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "template",
    description = "Prints a whole example to start from: a build, or changes.")
final class TemplateCommand implements Callable<Integer> {
  @Option(names = "--changes", description = "a document of changes")
  private boolean changes;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    spec.commandLine()
        .getOut()
        .print(
            changes
                ? ChangesJson.write(DemoChanges.hillClimbEight(), UnitSystem.US)
                : BuildJson.write(BuildOption.demo()));
    spec.commandLine().getOut().flush();
    return 0;
  }
}
