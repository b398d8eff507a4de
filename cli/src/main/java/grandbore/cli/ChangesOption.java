package grandbore.cli;

import grandbore.book.ChangesJson;
import grandbore.book.FormatException;
import grandbore.book.TextFile;
import grandbore.core.changes.Change;
import grandbore.core.demo.DemoChanges;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;

/** Changes as a command line names them: a document, or the demo's. */
final class ChangesOption {
  private ChangesOption() {}

  static List<Change> read(String said) {
    if (said.equals("demo")) {
      return DemoChanges.hillClimbEight();
    }
    try {
      return ChangesJson.read(TextFile.read(Path.of(said)));
    } catch (InvalidPathException e) {
      throw new FormatException("--changes: " + e.getReason());
    } catch (FormatException e) {
      throw new FormatException("--changes " + e.getMessage());
    }
  }
}
