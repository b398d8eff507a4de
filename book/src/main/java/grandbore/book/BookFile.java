package grandbore.book;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.util.function.Function;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;

/** The file of a shop book: opened by one program, brought up to date, copied aside, put back. */
final class BookFile implements AutoCloseable {
  /** The highest number among the files in migrations/. */
  private static final int NEWEST_MIGRATION = 2;

  private static final int BUSY_MILLISECONDS = 1500;

  private final Path file;
  private final Jdbi jdbi;
  private final Clock clock;
  private final BookLock lock;

  private BookFile(Path file, Jdbi jdbi, Clock clock, BookLock lock) {
    this.file = file;
    this.jdbi = jdbi;
    this.clock = clock;
    this.lock = lock;
  }

  /**
   * Opens a book, making it where there is none, and copies it aside once a day.
   *
   * @param pages most that the file may have, as if its disk were no larger; 0 for as many as fit
   */
  static BookFile open(Path file, Clock clock, int pages) {
    try {
      var parent = file.toAbsolutePath().getParent();
      if (parent != null) {
        Files.createDirectories(parent);
      }
    } catch (IOException e) {
      throw new BookException("The folder of the shop book " + file + " can't be made", e);
    }
    if (Files.exists(file) && !Files.isWritable(file)) {
      throw new BookException(
          "The shop book "
              + file
              + " is read-only: nothing could be kept. Make it writable, or open another with"
              + " --book",
          null);
    }
    var config = new SQLiteConfig();
    config.enforceForeignKeys(true);
    config.setBusyTimeout(BUSY_MILLISECONDS);
    config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
    if (pages > 0) {
      config.setMaxPageCount(pages);
    }
    var source = new SQLiteDataSource(config);
    source.setUrl("jdbc:sqlite:" + file.toAbsolutePath());
    var lock = BookLock.on(file);
    var book = new BookFile(file, Jdbi.create(source), clock, lock);
    try {
      book.bringUp(source);
      book.backUpDaily();
      return book;
    } catch (FlywayException | JdbiException e) {
      lock.close();
      throw book.trouble(e);
    } catch (BookException e) {
      lock.close();
      throw e;
    }
  }

  private void bringUp(SQLiteDataSource source) {
    String sound =
        jdbi.withHandle(h -> h.createQuery("PRAGMA quick_check(1)").mapTo(String.class).one());
    if (!sound.equals("ok")) {
      throw new BookException(
          "The shop book %s is damaged (%s)%s".formatted(file, sound, backupsInWords()), null);
    }
    int migration = migration();
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
        backUp();
      }
      Flyway.configure()
          .dataSource(source)
          .locations("classpath:migrations")
          .loggers("slf4j")
          .load()
          .migrate();
    }
  }

  /** The newest migration that is in, 0 in a new file. */
  private int migration() {
    return jdbi.withHandle(
        h ->
            h.createQuery("SELECT 1 FROM sqlite_master WHERE name = 'flyway_schema_history'")
                    .mapTo(Integer.class)
                    .findOne()
                    .isPresent()
                ? h.createQuery(
                        "SELECT MAX(CAST(version AS INTEGER)) FROM flyway_schema_history"
                            + " WHERE success = 1")
                    .mapTo(Integer.class)
                    .findOne()
                    .orElse(0)
                : 0);
  }

  private String backupsInWords() {
    var all = backups().all();
    return all.isEmpty()
        ? "; there is no backup of it"
        : "; the newest of its backups is %s: copy it to the book's place, or open it with --book"
            .formatted(all.getFirst().file());
  }

  /** Its dated copies. */
  Backups backups() {
    return new Backups(file);
  }

  private void backUpDaily() {
    var now = Backups.local(clock.instant());
    boolean hasBuilds =
        jdbi.withHandle(
            h -> h.createQuery("SELECT COUNT(*) FROM build").mapTo(Integer.class).one() > 0);
    if (hasBuilds && backups().isDue(now)) {
      backUp();
    }
  }

  /** Copies the book aside now. */
  void backUp() {
    var to = backups().next(Backups.local(clock.instant()));
    try {
      Files.deleteIfExists(to);
      jdbi.useHandle(h -> h.execute("VACUUM INTO ?", to.toString()));
    } catch (IOException | JdbiException e) {
      throw new BookException("A backup of " + file + " could not be made at " + to, e);
    }
    backups().thin();
  }

  /** Puts a backup in the book's place; returns where the book as it was lies now. */
  Path restore(Backups.Backup backup) {
    var check = new SQLiteDataSource();
    check.setUrl("jdbc:sqlite:" + backup.file().toAbsolutePath());
    String sound =
        Jdbi.create(check)
            .withHandle(h -> h.createQuery("PRAGMA quick_check(1)").mapTo(String.class).one());
    if (!sound.equals("ok")) {
      throw new BookException(
          "The backup %s is damaged (%s): nothing was changed".formatted(backup.file(), sound),
          null);
    }
    return backups().restore(backup.file(), Backups.local(clock.instant()));
  }

  private BookException trouble(RuntimeException e) {
    String why = "can't be read: it may be damaged or no shop book" + backupsInWords();
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof SQLException sql) {
        String said = String.valueOf(sql.getMessage());
        if (said.contains("SQLITE_BUSY") || said.contains("locked")) {
          why = "is in use by another program: nothing was changed; close that one and try again";
        } else if (said.contains("READONLY") || said.contains("CANTOPEN")) {
          why = "is read-only: nothing was changed";
        } else if (said.contains("FULL") || said.contains("IOERR")) {
          why = "has no room left on its disk: nothing was changed; make room and try again";
        }
      }
    }
    return new BookException("The shop book " + file + " " + why, e);
  }

  <T> T in(Function<Handle, T> work) {
    try {
      return jdbi.inTransaction(work::apply);
    } catch (JdbiException e) {
      throw trouble(e);
    }
  }

  /** The folder beside it in which its pictures lie. */
  Path pictures() {
    return file.toAbsolutePath().resolveSibling("pictures");
  }

  @Override
  public void close() {
    lock.close();
  }
}
