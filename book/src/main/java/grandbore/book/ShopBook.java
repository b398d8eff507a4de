package grandbore.book;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;

/**
 * The shop's builds and readings in one file. Every edit is a transaction of its own; revisions and
 * readings are only ever added.
 */
public final class ShopBook implements AutoCloseable {
  /** A build's place in the book. */
  public record Entry(long id, String name) {}

  /** A build as it stands, and what undo and redo would take back or bring. */
  public record State(Build build, Optional<String> undo, Optional<String> redo) {}

  /** The highest number among the files in migrations/. */
  private static final int NEWEST_MIGRATION = 1;

  private static final int BUSY_MILLISECONDS = 1500;

  private final Path file;
  private final Jdbi jdbi;
  private final Clock clock;

  private ShopBook(Path file, Jdbi jdbi, Clock clock) {
    this.file = file;
    this.jdbi = jdbi;
    this.clock = clock;
  }

  /**
   * Opens a book, making it where there is none.
   *
   * @throws BookException where it can't be used
   */
  public static ShopBook open(Path file) {
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
    var source = new SQLiteDataSource(config);
    source.setUrl("jdbc:sqlite:" + file.toAbsolutePath());
    var book = new ShopBook(file, Jdbi.create(source), Clock.systemUTC());
    try {
      book.jdbi.useHandle(h -> h.execute("PRAGMA user_version"));
      if (!book.isCurrent()) {
        Flyway.configure()
            .dataSource(source)
            .locations("classpath:migrations")
            .loggers("slf4j")
            .load()
            .migrate();
      }
    } catch (FlywayException | JdbiException e) {
      throw book.trouble(e);
    }
    return book;
  }

  /** Whether the newest migration is in: a book that is up to date opens without the tool. */
  private boolean isCurrent() {
    return jdbi.withHandle(
        h ->
            h.createQuery("SELECT 1 FROM sqlite_master WHERE name = 'flyway_schema_history'")
                    .mapTo(Integer.class)
                    .findOne()
                    .isPresent()
                && h.createQuery(
                        "SELECT MAX(CAST(version AS INTEGER)) FROM flyway_schema_history"
                            + " WHERE success = 1")
                    .mapTo(Integer.class)
                    .findOne()
                    .filter(v -> v == NEWEST_MIGRATION)
                    .isPresent());
  }

  private BookException trouble(RuntimeException e) {
    String why = "can't be read: it may be damaged or no shop book";
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof SQLException sql) {
        String said = String.valueOf(sql.getMessage());
        if (said.contains("SQLITE_BUSY") || said.contains("locked")) {
          why = "is in use by another program: nothing was changed; close that one and try again";
        } else if (said.contains("READONLY") || said.contains("CANTOPEN")) {
          why = "is read-only: nothing was changed";
        } else if (said.contains("FULL")) {
          why = "has no room left on its disk: nothing was changed";
        }
      }
    }
    return new BookException("The shop book " + file + " " + why, e);
  }

  private <T> T in(Function<Handle, T> work) {
    try {
      return jdbi.inTransaction(work::apply);
    } catch (JdbiException e) {
      throw trouble(e);
    }
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
            long reading = insertReading(h, id, r);
            if (r.struck()) {
              insertStrike(h, reading, true);
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
    return in(
        h ->
            new Readings(
                h.createQuery(
                        "SELECT r.*, (SELECT struck FROM strike s WHERE s.reading_id = r.id"
                            + " ORDER BY s.id DESC LIMIT 1) AS struck"
                            + " FROM reading r WHERE build_id = :build ORDER BY id")
                    .bind("build", build)
                    .map(
                        (row, c) ->
                            new Reading(
                                row.getLong("id"),
                                Measurement.valueOf(row.getString("measurement")),
                                row.getInt("place"),
                                Reading.Side.valueOf(row.getString("side")),
                                row.getDouble("value_si"),
                                row.getString("read_by"),
                                row.getString("instrument"),
                                Instant.parse(row.getString("at")),
                                row.getInt("struck") != 0))
                    .list()));
  }

  private static long insertReading(Handle h, long build, Reading r) {
    return h.createUpdate(
            "INSERT INTO reading (build_id, measurement, place, side, value_si, read_by,"
                + " instrument, at) VALUES (:build, :measurement, :place, :side, :value, :by,"
                + " :instrument, :at)")
        .bind("build", build)
        .bind("measurement", r.measurement().name())
        .bind("place", r.place())
        .bind("side", r.side().name())
        .bind("value", r.value())
        .bind("by", r.by())
        .bind("instrument", r.instrument())
        .bind("at", r.at().toString())
        .executeAndReturnGeneratedKeys("id")
        .mapTo(Long.class)
        .one();
  }

  private void insertStrike(Handle h, long reading, boolean struck) {
    h.createUpdate("INSERT INTO strike (reading_id, struck, at) VALUES (:reading, :struck, :at)")
        .bind("reading", reading)
        .bind("struck", struck ? 1 : 0)
        .bind("at", clock.instant().toString())
        .execute();
  }

  /** Keeps a reading; returns it with its number. */
  public Reading addReading(long build, Reading reading) {
    return reading.numbered(in(h -> insertReading(h, build, reading)));
  }

  /** Strikes a reading out, or takes that back; the reading itself stays. */
  public void strike(long reading, boolean struck) {
    in(
        h -> {
          insertStrike(h, reading, struck);
          return null;
        });
  }

  /** Builds and readings of one build as a document. */
  public BuildDocument document(long build) {
    return new BuildDocument(state(build).build(), readings(build).all());
  }

  @Override
  public void close() {
    // Connections live no longer than their transactions.
  }
}
