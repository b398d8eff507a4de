package grandbore.cli;

import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.book.TextFile;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.OnDyno;
import grandbore.core.combination.InvalidInput;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import picocli.CommandLine.Option;

/** Where a build is written with what was added to it. */
final class OutOption {
  @Option(
      names = "--out",
      paramLabel = "FILE",
      description = "writes the build with what was added to it")
  private Path file;

  boolean isWanted() {
    return file != null;
  }

  /** Says early where the file can't be written. */
  void check(BuildOption from) {
    if (file != null) {
      from.output("--out", file);
    }
  }

  /** A build with some more of its days at the dyno. */
  static BuildDocument with(BuildDocument of, List<OnDyno> more) {
    var notes = new ArrayList<>(of.notes());
    var now = Instant.now().truncatedTo(ChronoUnit.SECONDS);
    more.forEach(n -> notes.add(new Kept(0, n, "", now, false)));
    return new BuildDocument(of.build(), of.readings(), notes);
  }

  void write(BuildDocument document) {
    if (file == null) {
      return;
    }
    try {
      TextFile.write(file, BuildJson.write(document));
    } catch (IOException e) {
      throw new InvalidInput("--out", file.toString(), "a file that can be written", e.toString());
    }
  }
}
