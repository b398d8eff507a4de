package grandbore.cli;

import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

@Command(
    name = "pulls",
    description = "Pulls on a dyno: read, corrected, judged, compared, learned from.",
    subcommands = {
      PullsImportCommand.class,
      PullsCorrectCommand.class,
      PullsCheckCommand.class,
      PullsCompareCommand.class,
      PullsDaysCommand.class,
      PullsCalibrateCommand.class
    })
final class PullsCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    spec.commandLine().usage(spec.commandLine().getErr());
    return Main.REFUSED;
  }
}
