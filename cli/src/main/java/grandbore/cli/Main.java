package grandbore.cli;

import static java.nio.charset.StandardCharsets.UTF_8;

import grandbore.book.BookException;
import grandbore.book.FormatException;
import grandbore.core.combination.InvalidInput;
import java.io.PrintWriter;
import java.util.Locale;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The command line: figures and curves without the window. */
@Command(
    name = "grand-bore",
    description = "Works out and predicts engine combinations without the window.",
    mixinStandardHelpOptions = true,
    version = "Grand Bore 0.1",
    subcommands = {
      PredictCommand.class,
      FiguresCommand.class,
      TemplateCommand.class,
      CheckCommand.class,
      ChangesCommand.class,
      LossesCommand.class,
      SlowCommand.class,
      CompareCommand.class,
      LadderCommand.class,
      SweepCommand.class,
      DoubtCommand.class,
      SearchCommand.class,
      SchemaCommand.class,
      InstrumentsCommand.class,
      PullsCommand.class,
      DynoCommand.class,
      RouteCommand.class,
      OrderCommand.class,
      PartsCommand.class
    })
public final class Main {
  /** Bad input. */
  static final int REFUSED = 2;

  /** A message is a line that can be read, signs. */
  private static final int LONGEST = 298;

  Main() {}

  public static void main(String[] arguments) {
    System.exit(
        run(
            new PrintWriter(System.out, true, UTF_8),
            new PrintWriter(System.err, true, UTF_8),
            arguments));
  }

  /** Runs one command; returns the exit code. */
  public static int run(PrintWriter out, PrintWriter err, String... arguments) {
    // Numbers are written with a point, whatever the system's language.
    Locale.setDefault(Locale.Category.FORMAT, Locale.ROOT);
    var line = new CommandLine(new Main());
    line.setOut(out);
    line.setErr(err);
    line.setCaseInsensitiveEnumValuesAllowed(true);
    line.setParameterExceptionHandler(
        (e, given) -> {
          boolean command =
              e instanceof CommandLine.UnmatchedArgumentException
                  && line.equals(e.getCommandLine());
          err.println(
              command
                  ? "No command “%s”; allowed: %s"
                      .formatted(given[0], String.join(", ", line.getSubcommands().keySet()))
                  : oneLine(e.getMessage()));
          return REFUSED;
        });
    line.setExecutionExceptionHandler(
        (e, command, result) -> {
          if (e instanceof InvalidInput
              || e instanceof FormatException
              || e instanceof BookException
              || e instanceof IllegalArgumentException) {
            err.println(oneLine(e.getMessage()));
            return REFUSED;
          }
          err.println("Something went wrong inside the program: " + oneLine(String.valueOf(e)));
          return 1;
        });
    return line.execute(arguments);
  }

  private static String oneLine(String message) {
    String line = message == null ? "" : message.replaceAll("\\s*\\R\\s*", " ");
    return line.length() <= LONGEST
        ? line
        : line.substring(0, LONGEST - 62) + " … " + line.substring(line.length() - 58);
  }
}
