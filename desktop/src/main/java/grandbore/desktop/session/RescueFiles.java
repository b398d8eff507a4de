package grandbore.desktop.session;

import grandbore.book.BuildDocument;
import grandbore.book.Entry;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Files beside the book, or where there is room, for what the book could not take. */
final class RescueFiles {
  private static final Logger LOG = LoggerFactory.getLogger(RescueFiles.class);
  private static final DateTimeFormatter STAMP =
      DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss").withZone(ZoneOffset.UTC);

  private RescueFiles() {}

  /** The documents that hold these entries: the build on the bench, and those that were begun. */
  static List<BuildDocument> documents(List<Entry> unstored, Bench bench) {
    var all = new ArrayList<BuildDocument>();
    if (unstored.stream().anyMatch(e -> e.build() == bench.id())) {
      all.add(bench.document());
    }
    for (var e : unstored) {
      if (e instanceof Entry.Begin b && b.build() != bench.id()) {
        all.add(b.document());
      }
    }
    return all;
  }

  /** Writes each text into a file of its own, in the first folder that takes it. */
  static List<Path> write(Path book, List<String> texts, Instant at) {
    var folders =
        List.of(
            book.toAbsolutePath().getParent(),
            Path.of(System.getProperty("user.home")),
            Path.of(System.getProperty("java.io.tmpdir")));
    var written = new ArrayList<Path>();
    for (int i = 0; i < texts.size(); i++) {
      String name = "%s-rescue-%s-%d.json".formatted(book.getFileName(), STAMP.format(at), i + 1);
      for (var folder : folders) {
        try {
          written.add(Files.writeString(folder.resolve(name), texts.get(i)));
          break;
        } catch (IOException e) {
          LOG.warn("No rescue file in {}", folder, e);
        }
      }
    }
    return written;
  }
}
