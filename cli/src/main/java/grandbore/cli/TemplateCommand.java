package grandbore.cli;

import grandbore.book.BuildJson;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

@Command(name = "template", description = "Prints a whole example build to start from.")
final class TemplateCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    spec.commandLine().getOut().print(BuildJson.write(BuildOption.demo()));
    spec.commandLine().getOut().flush();
    return 0;
  }
}
