package grandbore.cli;

import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.book.FormatException;
import grandbore.core.demo.DemoBuilds;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import picocli.CommandLine.Option;

/** Which build a command is about. */
final class BuildOption {
  private static final long LARGEST = 8_000_000;

  @Option(
      names = "--build",
      required = true,
      paramLabel = "FILE",
      description = "a build document, or the word demo")
  private String build;

  BuildDocument read() {
    if (build.equals("demo")) {
      return demo();
    }
    try {
      var file = Path.of(build);
      if (Files.isRegularFile(file) && Files.size(file) > LARGEST) {
        throw new FormatException(
            "--build %s is larger than 8 MB: no build document is".formatted(build));
      }
      return BuildJson.read(Files.readString(file));
    } catch (NoSuchFileException e) {
      throw new FormatException("--build " + build + ": there is no such file");
    } catch (CharacterCodingException e) {
      throw new FormatException("--build " + build + ": not text in UTF-8");
    } catch (IOException e) {
      throw new FormatException("--build " + build + " can't be read: " + e.getMessage());
    }
  }

  static BuildDocument demo() {
    return new BuildDocument(
        DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings(), DemoBuilds.hillClimbNotes());
  }
}
