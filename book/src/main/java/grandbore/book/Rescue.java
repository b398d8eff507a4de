package grandbore.book;

import java.nio.file.Path;
import java.util.List;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.JdbiException;

/** What can be had of a build that can't be opened: its raw text, and its older revisions. */
public final class Rescue {
  private final BookFile file;
  private final long build;
  private final Backups backups;

  Rescue(BookFile file, long build, Backups backups) {
    this.file = file;
    this.build = build;
    this.backups = backups;
  }

  /**
   * One of its revisions.
   *
   * @param trouble why it can't be opened, empty where it can
   */
  public record Step(long revision, String at, String what, String trouble) {}

  /** Its revisions, the newest first. */
  public List<Step> steps() {
    return file.in(
        h ->
            RevisionRows.all(h, build).stream()
                .map(r -> new Step(r.id(), r.at(), r.what(), trouble(r)))
                .toList());
  }

  private static String trouble(RevisionRows.Row row) {
    try {
      row.build("revision " + row.id());
      return "";
    } catch (IllegalArgumentException e) {
      return String.valueOf(e.getMessage());
    }
  }

  /** The text of its newest revision as it lies in the book, sound or not. */
  public String raw() {
    return file.in(
        h ->
            RevisionRows.all(h, build).stream()
                .findFirst()
                .map(RevisionRows.Row::raw)
                .orElseThrow(
                    () -> new FormatException("Build %d has no revision".formatted(build))));
  }

  /** In one line: file, build, why, the backup that has it, the way on. */
  public String line(String why) {
    long standing = file.in(this::standing);
    var sound =
        backups.all().stream()
            .filter(Backups.Backup::sealed)
            .filter(b -> hasSound(b.file(), Table.REVISION, standing))
            .findFirst();
    return "Build %d of %s can't be opened: %s. %s; an older revision can be restored, and its document sent out as it is."
        .formatted(
            build,
            file.file().getFileName(),
            why,
            sound
                .map(b -> "The backup " + b.file().getFileName() + " has it sound")
                .orElse("No backup has it sound"));
  }

  private long standing(Handle h) {
    return h.createQuery("SELECT current_revision FROM build WHERE id = :build")
        .bind("build", build)
        .mapTo(Long.class)
        .findOne()
        .orElse(-1L);
  }

  /** Lets an older revision stand. */
  public void restore(long revision) {
    file.in(
        h -> {
          var row =
              RevisionRows.of(h, revision)
                  .filter(r -> r.build() == build)
                  .orElseThrow(() -> new FormatException("There is no revision " + revision));
          var was = row.build("revision " + revision);
          BuildRows.stand(h, build, revision);
          ShelfRows.put(h, build, was, java.time.Instant.now());
          return null;
        });
  }

  /** Whether a backup has a row of this number that agrees with its sum. */
  static boolean hasSound(Path backup, Table table, long id) {
    try {
      return Sqlite.read(backup)
          .withHandle(
              h ->
                  switch (table) {
                    case READING -> ReadingRows.sound(h, id).isPresent();
                    case NOTE -> NoteRows.sound(h, id).isPresent();
                    case REVISION ->
                        RevisionRows.of(h, id).filter(RevisionRows.Row::isSound).isPresent();
                    case STRIKE, NOTE_STRIKE -> Strikes.hasSound(h, table, id);
                  });
    } catch (JdbiException e) {
      return false;
    }
  }
}
