package grandbore.book;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.sqlite.SQLiteDataSource;

/** The file of a shop book: opened by one program, brought up to date, copied aside, put back. */
final class BookFile implements AutoCloseable {
  /** The newest version of the book's tables. */
  static final int NEWEST_MIGRATION = 5;

  private static final Logger LOG = LoggerFactory.getLogger(BookFile.class);

  private final Path file;
  private final SQLiteDataSource source;
  private final Jdbi jdbi;
  private final Clock clock;
  private final BookLock lock;
  private final Backups backups;
  private String trouble = "";
  private List<String> gaps = List.of();

  private BookFile(Path file, SQLiteDataSource source, Clock clock, BookLock lock) {
    this.file = file;
    this.source = source;
    this.jdbi = Jdbi.create(source);
    this.clock = clock;
    this.lock = lock;
    backups = new Backups(file);
  }

  /**
   * Opens a book, making it where there is none, and copies it aside once a day.
   *
   * @param pages most that the file may have, as if its disk were no larger; 0 for as many as fit
   * @param anew whether a new book is wanted where one is missing that has backups
   * @throws BookMissing where it is missing or empty, has backups, and no new one is wanted
   */
  static BookFile open(Path named, Clock clock, int pages, boolean anew) {
    var file = real(named);
    prepare(file);
    boolean empty = isEmpty(file);
    var lock = BookLock.on(file);
    try {
      var book = new BookFile(file, Sqlite.written(file, pages), clock, lock);
      if (empty && !anew) {
        book.refuseToForget();
      }
      book.bringUp();
      if (!anew && book.count() == 0) {
        book.refuseToForget();
      }
      book.gaps = book.in(BookFile::gaps);
      book.backUpDaily();
      return book;
    } catch (BookException e) {
      lock.close();
      throw e;
    } catch (FlywayException | JdbiException e) {
      lock.close();
      throw trouble(file, e);
    }
  }

  /** The file that a link in its place points to. */
  private static Path real(Path named) {
    var file = named.toAbsolutePath();
    try {
      for (int i = 0; i < 32 && Files.isSymbolicLink(file); i++) {
        file = file.resolveSibling(Files.readSymbolicLink(file)).normalize();
      }
      return file;
    } catch (IOException e) {
      throw new BookException("The shop book " + named + " is a link that can't be followed", e);
    }
  }

  private static void prepare(Path file) {
    var parent = file.getParent();
    try {
      if (parent != null) {
        Files.createDirectories(parent);
      }
    } catch (IOException e) {
      throw new BookException("The folder of the shop book " + file + " can't be made", e);
    }
    if (Files.isDirectory(file)) {
      throw new BookException(
          "The shop book " + file + " is a folder: name the file in it with --book", null);
    }
    if (Files.exists(file) && !Files.isRegularFile(file)) {
      throw new BookException("The shop book " + file + " is no file: name one with --book", null);
    }
    if (Files.exists(file) && !Files.isWritable(file)) {
      throw new BookException(
          "The shop book "
              + file
              + " is read-only: nothing could be kept. Make it writable, or open another with"
              + " --book",
          null);
    }
  }

  private static boolean isEmpty(Path file) {
    try {
      return !Files.exists(file) || Files.size(file) == 0;
    } catch (IOException e) {
      throw new BookException("The shop book " + file + " can't be looked at", e);
    }
  }

  private void refuseToForget() {
    var newest = backups.newest();
    if (newest.isPresent()) {
      throw new BookMissing(
          "The shop book %s is missing or empty, and backups of it are there; the newest is %s: nothing was changed; restore it, or begin a new book"
              .formatted(file, newest.get().file()),
          newest.get());
    }
  }

  private int count() {
    return jdbi.withHandle(
        h -> h.createQuery("SELECT COUNT(*) FROM build").mapTo(Integer.class).one());
  }

  /** Rows that are missing, or do not agree with their sums, in words. */
  static List<String> gaps(Handle h) {
    var all = new ArrayList<String>();
    for (var table : Table.values()) {
      table.gaps(h).forEach(g -> all.add("missing: " + g));
    }
    ReadingRows.bad(h).forEach(b -> all.add("damaged: " + b.what()));
    NoteRows.bad(h).forEach(b -> all.add("damaged: " + b.what()));
    for (var strikes : Strikes.values()) {
      strikes.bad(h).forEach(b -> all.add("damaged: " + b.what()));
    }
    return all;
  }

  private void bringUp() {
    String sound = jdbi.withHandle(Sqlite::quickCheck);
    if (!sound.equals("ok")) {
      throw new BookException(
          "The shop book %s is damaged (%s)%s"
              .formatted(file, Lines.shortened(sound), inBackups(file)),
          null);
    }
    int migration = jdbi.withHandle(BookFile::migration);
    if (migration > NEWEST_MIGRATION) {
      throw new BookException(
          "The shop book "
              + file
              + " was written by a newer version of this program: nothing was changed; use that"
              + " one, or open another book with --book",
          null);
    }
    if (migration < NEWEST_MIGRATION) {
      if (migration > 0) {
        // What an older version wrote is kept as it was.
        backups.copy(jdbi, Backups.local(clock.instant()), Backups.Kind.BY_HAND, 0);
      }
      Flyway.configure()
          .dataSource(source)
          .locations("classpath:migrations")
          .javaMigrations(
              new CheckedRowsMigration(),
              ShelfColumnMigration.measuredShare(),
              ShelfColumnMigration.jobLine())
          .loggers("slf4j")
          .load()
          .migrate();
      if (migration > 0) {
        jdbi.useHandle(h -> h.execute("VACUUM"));
      }
    }
  }

  /** The newest migration that is in, 0 in a new file. */
  static int migration(Handle h) {
    return h.createQuery("SELECT 1 FROM sqlite_master WHERE name = 'flyway_schema_history'")
            .mapTo(Integer.class)
            .findOne()
            .isPresent()
        ? h.createQuery(
                "SELECT MAX(CAST(version AS INTEGER)) FROM flyway_schema_history"
                    + " WHERE success = 1")
            .mapTo(Integer.class)
            .findOne()
            .orElse(0)
        : 0;
  }

  /** Its dated copies. */
  Backups backups() {
    return backups;
  }

  /** Why the day's backup could not be made, empty where it was. */
  String trouble() {
    return trouble;
  }

  /** Rows that are missing or damaged, in words. */
  List<String> gaps() {
    return gaps;
  }

  /** A backup that can't be made does not keep the book from being used. */
  private void backUpDaily() {
    var now = Backups.local(clock.instant());
    try {
      if (count() > 0 && backups.isDue(now)) {
        backups.copy(jdbi, now, Backups.Kind.DAILY, NEWEST_MIGRATION);
      }
    } catch (BookException | JdbiException e) {
      trouble = e.getMessage();
      LOG.warn("The day's backup of {} failed", file, e);
    }
  }

  /** Copies the book aside now. */
  void backUp() {
    backups.copy(jdbi, Backups.local(clock.instant()), Backups.Kind.BY_HAND, NEWEST_MIGRATION);
    trouble = "";
  }

  /** Puts a backup in the book's place; returns where the book as it was lies now. */
  Path restore(Backups.Backup backup) {
    backups.verify(backup, jdbi.withHandle(BookFile::identity));
    var aside = backups.restore(backup.file(), Backups.local(clock.instant()));
    bringUp();
    gaps = in(BookFile::gaps);
    return aside;
  }

  /** The book's own name, where its version has one. */
  static Optional<String> identity(Handle h) {
    return migration(h) < NEWEST_MIGRATION
        ? Optional.empty()
        : h.createQuery("SELECT book FROM identity LIMIT 1").mapTo(String.class).findOne();
  }

  private static BookException trouble(Path file, RuntimeException e) {
    return new BookException(
        "The shop book "
            + file
            + " "
            + Sqlite.inWords(
                e, "can't be read: it may be damaged or no shop book" + inBackups(file)),
        e);
  }

  private static String inBackups(Path file) {
    return new Backups(file)
        .newest()
        .map(
            b ->
                "; the newest of its backups is %s: copy it to the book's place, or open it with --book"
                    .formatted(b.file()))
        .orElse("; there is no backup of it");
  }

  <T> T in(Function<Handle, T> work) {
    try {
      return jdbi.inTransaction(work::apply);
    } catch (JdbiException e) {
      throw trouble(file, e);
    }
  }

  /** The folder beside it in which its pictures lie. */
  Path pictures() {
    return file.resolveSibling("pictures");
  }

  Path file() {
    return file;
  }

  @Override
  public void close() {
    lock.close();
  }
}
