package grandbore.cli;

import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.book.FormatException;
import grandbore.book.PlannedChanges;
import grandbore.book.TextFile;
import grandbore.core.combination.InvalidInput;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import picocli.CommandLine.Option;

/** Which build a command is about. */
final class BuildOption {
  @Option(
      names = "--build",
      required = true,
      paramLabel = "FILE",
      description = "a build document, or the word demo")
  private String build;

  BuildDocument read() {
    return read("--build", build);
  }

  /** A build as it was said, told of by the option's name where it can't be read. */
  static BuildDocument read(String option, String said) {
    if (said.equals("demo")) {
      return demo();
    }
    try {
      return BuildJson.read(TextFile.read(Path.of(said)));
    } catch (InvalidPathException e) {
      throw new FormatException(option + ": " + e.getReason());
    } catch (FormatException e) {
      throw new FormatException(option + " " + e.getMessage());
    }
  }

  /**
   * Where a command may write: never over what it reads, nor anything but a plain file.
   *
   * @throws InvalidInput where it may not
   */
  Path output(String option, Path file) {
    try {
      if (Files.exists(file)
          && !build.equals("demo")
          && Files.exists(Path.of(build))
          && Files.isSameFile(file, Path.of(build))) {
        throw new InvalidInput(
            option, file.toString(), "another file than that of --build", "it would be lost");
      }
    } catch (IOException e) {
      throw new InvalidInput(
          option, file.toString(), "a file that can be written", String.valueOf(e.getMessage()));
    }
    return file;
  }

  /**
   * Writes a file, where a command may.
   *
   * @throws InvalidInput where it may not, or it can't be written
   */
  void write(String option, Path file, String text) {
    try {
      TextFile.write(output(option, file), text);
    } catch (IOException e) {
      throw new InvalidInput(option, file.toString(), "a file that can be written", e.toString());
    }
  }

  static BuildDocument demo() {
    return PlannedChanges.demo();
  }
}
