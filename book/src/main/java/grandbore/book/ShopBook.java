package grandbore.book;

import grandbore.core.build.Build;
import grandbore.core.clearances.Band;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.clearances.Rule;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jdbi.v3.core.Handle;

/**
 * The shop's builds and readings in one file. Every edit is a transaction of its own; revisions and
 * readings are only ever added.
 */
public final class ShopBook implements AutoCloseable {
  /** A build's place in the book. */
  public record Entry(long id, String name) {}

  /** A build as it stands, and what undo and redo would take back or bring. */
  public record State(Build build, Optional<String> undo, Optional<String> redo) {}

  private final BookFile file;
  private final Clock clock;

  private ShopBook(BookFile file, Clock clock) {
    this.file = file;
    this.clock = clock;
  }

  /**
   * Opens a book, making it where there is none, and copies it aside once a day.
   *
   * @throws BookException where it can't be used
   */
  public static ShopBook open(Path file) {
    return open(file, Clock.systemUTC(), 0);
  }

  /**
   * @param pages most that the file may have, as if its disk were no larger; 0 for as many as fit
   */
  static ShopBook open(Path file, Clock clock, int pages) {
    return new ShopBook(BookFile.open(file, clock, pages), clock);
  }

  private <T> T in(Function<Handle, T> work) {
    return file.in(work);
  }

  /** Its dated copies. */
  public Backups backups() {
    return file.backups();
  }

  /** Copies the book aside now. */
  public void backUp() {
    file.backUp();
  }

  /** Puts a backup in the book's place; returns where the book as it was lies now. */
  public Path restore(Backups.Backup backup) {
    return file.restore(backup);
  }

  /** All builds, in the order they were begun. */
  public List<Entry> builds() {
    return in(
        h ->
            h.createQuery(
                    "SELECT b.id, r.document FROM build b"
                        + " JOIN revision r ON r.id = b.current_revision ORDER BY b.id")
                .map(
                    (row, c) ->
                        new Entry(row.getLong(1), BuildJson.read(row.getString(2)).build().name()))
                .list());
  }

  /** Begins a build; returns its number. */
  public long add(BuildDocument document) {
    return in(
        h -> {
          long id =
              h.createUpdate("INSERT INTO build (current_revision) VALUES (NULL)")
                  .executeAndReturnGeneratedKeys("id")
                  .mapTo(Long.class)
                  .one();
          insertRevision(h, id, null, "begun", document.build());
          for (var r : document.readings()) {
            long reading = ReadingRows.insert(h, id, r);
            if (r.struck()) {
              ReadingRows.strike(h, reading, true, clock.instant());
            }
          }
          for (var kept : document.notes()) {
            long note = NoteRows.insert(h, id, kept);
            if (kept.struck()) {
              NoteRows.strike(h, note, true, clock.instant());
            }
          }
          return id;
        });
  }

  private void insertRevision(Handle h, long build, Long parent, String what, Build now) {
    long revision =
        h.createUpdate(
                "INSERT INTO revision (build_id, parent_id, at, what, document)"
                    + " VALUES (:build, :parent, :at, :what, :document)")
            .bind("build", build)
            .bind("parent", parent)
            .bind("at", clock.instant().toString())
            .bind("what", what)
            .bind("document", BuildJson.write(new BuildDocument(now, List.of())))
            .executeAndReturnGeneratedKeys("id")
            .mapTo(Long.class)
            .one();
    move(h, build, revision);
  }

  private static void move(Handle h, long build, long revision) {
    h.createUpdate("UPDATE build SET current_revision = :revision WHERE id = :build")
        .bind("revision", revision)
        .bind("build", build)
        .execute();
  }

  private static long current(Handle h, long build) {
    return h.createQuery("SELECT current_revision FROM build WHERE id = :build")
        .bind("build", build)
        .mapTo(Long.class)
        .one();
  }

  /** Keeps an edit. */
  public void save(long build, Build now, String what) {
    in(
        h -> {
          insertRevision(h, build, current(h, build), what, now);
          return null;
        });
  }

  /** A build as it stands. */
  public State state(long build) {
    return in(h -> state(h, build));
  }

  private static State state(Handle h, long build) {
    long at = current(h, build);
    String document =
        h.createQuery("SELECT document FROM revision WHERE id = :at")
            .bind("at", at)
            .mapTo(String.class)
            .one();
    var undo =
        h.createQuery("SELECT what FROM revision WHERE id = :at AND parent_id IS NOT NULL")
            .bind("at", at)
            .mapTo(String.class)
            .findOne();
    var redo =
        h.createQuery("SELECT what FROM revision WHERE parent_id = :at ORDER BY id DESC LIMIT 1")
            .bind("at", at)
            .mapTo(String.class)
            .findOne();
    return new State(BuildJson.read(document).build(), undo, redo);
  }

  /** Takes the last edit back, where there is one. */
  public State undo(long build) {
    return step(build, "SELECT parent_id FROM revision WHERE id = :at AND parent_id IS NOT NULL");
  }

  /** Brings the last undone edit back, where there is one. */
  public State redo(long build) {
    return step(build, "SELECT id FROM revision WHERE parent_id = :at ORDER BY id DESC LIMIT 1");
  }

  private State step(long build, String query) {
    return in(
        h -> {
          h.createQuery(query)
              .bind("at", current(h, build))
              .mapTo(Long.class)
              .findOne()
              .ifPresent(to -> move(h, build, to));
          return state(h, build);
        });
  }

  /** All readings of a build, as they were taken. */
  public Readings readings(long build) {
    return in(h -> ReadingRows.of(h, build));
  }

  /** Keeps a reading; returns it with its number. */
  public Reading addReading(long build, Reading reading) {
    return reading.numbered(in(h -> ReadingRows.insert(h, build, reading)));
  }

  /** Strikes a reading out, or takes that back; the reading itself stays. */
  public void strike(long reading, boolean struck) {
    in(
        h -> {
          ReadingRows.strike(h, reading, struck, clock.instant());
          return null;
        });
  }

  /** A build's notes and the shop's own, the oldest first. */
  public List<Kept> notes(long build) {
    return in(h -> NoteRows.of(h, build, true));
  }

  /** Keeps a note of a build; a shop's own rule is kept for all builds. Returns its number. */
  public long addNote(long build, Kept kept) {
    boolean shops = kept.note() instanceof Rule r && r.source() == Band.Source.HOUSE;
    return in(h -> NoteRows.insert(h, shops ? null : build, kept));
  }

  /** Strikes a note out, or takes that back; the note itself stays. */
  public void strikeNote(long note, boolean struck) {
    in(
        h -> {
          NoteRows.strike(h, note, struck, clock.instant());
          return null;
        });
  }

  /** One build with its readings and notes as a document. */
  public BuildDocument document(long build) {
    return new BuildDocument(
        state(build).build(), readings(build).all(), in(h -> NoteRows.of(h, build, false)));
  }

  /** The folder beside the book in which its pictures lie. */
  public Path pictures() {
    return file.pictures();
  }

  @Override
  public void close() {
    file.close();
  }
}
