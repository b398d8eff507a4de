package grandbore.book;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.flywaydb.core.api.migration.Context;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;

/**
 * Brings a book to version 3: revisions packed, every row with its checksum and its link, a row a
 * build for the list, and a name of the book's own by which its backups are known.
 */
final class CheckedRowsMigration extends BookMigration {
  private static final List<String> BEFORE =
      List.of(
          "DROP TRIGGER reading_is_kept",
          "DROP TRIGGER note_is_kept",
          "DROP TRIGGER strike_is_kept",
          "DROP TRIGGER note_strike_is_kept",
          "DROP TRIGGER revision_is_kept",
          "DROP TRIGGER revision_stays",
          "DROP INDEX revision_by_build",
          "ALTER TABLE revision RENAME TO revision_2",
          "ALTER TABLE build ADD COLUMN own BLOB",
          "ALTER TABLE reading ADD COLUMN own BLOB",
          "ALTER TABLE reading ADD COLUMN link BLOB",
          "ALTER TABLE strike ADD COLUMN own BLOB",
          "ALTER TABLE strike ADD COLUMN link BLOB",
          "ALTER TABLE note ADD COLUMN own BLOB",
          "ALTER TABLE note ADD COLUMN link BLOB",
          "ALTER TABLE note_strike ADD COLUMN own BLOB",
          "ALTER TABLE note_strike ADD COLUMN link BLOB",
          "CREATE TABLE revision (id INTEGER PRIMARY KEY, build_id INTEGER NOT NULL REFERENCES"
              + " build (id), parent_id INTEGER REFERENCES revision (id), at TEXT NOT NULL, what"
              + " TEXT NOT NULL, own BLOB NOT NULL, link BLOB NOT NULL, document BLOB NOT NULL)",
          "CREATE TABLE chain (name TEXT PRIMARY KEY, rows INTEGER NOT NULL, link BLOB NOT NULL)",
          "CREATE TABLE identity (book TEXT NOT NULL, begun TEXT NOT NULL)",
          "CREATE TABLE shelf (build_id INTEGER PRIMARY KEY REFERENCES build (id), name TEXT NOT"
              + " NULL, layout TEXT NOT NULL, displacement REAL NOT NULL, power REAL NOT NULL,"
              + " speed REAL NOT NULL, measured REAL NOT NULL DEFAULT 0, touched TEXT NOT NULL,"
              + " place TEXT NOT NULL, trouble TEXT NOT NULL, job TEXT NOT NULL DEFAULT '',"
              + " own BLOB NOT NULL)");

  private static final List<String> AFTER =
      List.of(
          "DROP TABLE revision_2",
          "CREATE INDEX revision_by_build ON revision (build_id, parent_id)",
          "CREATE INDEX strike_by_reading ON strike (reading_id)",
          "CREATE INDEX note_strike_by_note ON note_strike (note_id)",
          never("revision_is_kept", "UPDATE", "revision", "revisions are never changed"),
          never("revision_stays", "DELETE", "revision", "revisions are never deleted"),
          never("reading_is_kept", "UPDATE", "reading", "readings are never changed"),
          never("note_is_kept", "UPDATE", "note", "notes are never changed"),
          never("strike_is_kept", "UPDATE", "strike", "strikes are never changed"),
          never("note_strike_is_kept", "UPDATE", "note_strike", "strikes are never changed"));

  private static String never(String name, String what, String table, String why) {
    return "CREATE TRIGGER %s BEFORE %s ON %s BEGIN SELECT RAISE(ABORT, '%s'); END"
        .formatted(name, what, table, why);
  }

  CheckedRowsMigration() {
    super(3, "checked rows");
  }

  @Override
  public void migrate(Context context) throws SQLException {
    Connection connection = context.getConnection();
    execute(connection, BEFORE);
    // A handle over the migration's own connection, which stays open.
    try (var h = Jdbi.create(connection).open()) {
      revisions(h);
      builds(h);
      sums(
          h,
          Table.READING,
          "id, build_id, measurement, place, side, value_si, read_by, instrument, at, typed,"
              + " zero_before_si, zero_after_si, temperature, note");
      sums(h, Table.STRIKE, "id, reading_id, struck, at");
      sums(h, Table.NOTE, "id, build_id, kind, body, made_by, at");
      sums(h, Table.NOTE_STRIKE, "id, note_id, struck, at");
      h.execute(
          "INSERT INTO identity (book, begun) VALUES (?, ?)",
          UUID.randomUUID().toString(),
          Instant.now().toString());
      execute(connection, AFTER);
    }
  }

  private static void execute(Connection connection, List<String> all) throws SQLException {
    try (Statement s = connection.createStatement()) {
      for (String sql : all) {
        s.execute(sql);
      }
    }
  }

  private static void revisions(Handle h) {
    var ids = h.createQuery("SELECT id FROM revision_2 ORDER BY id").mapTo(Long.class).list();
    for (long id : ids) {
      h.createQuery("SELECT build_id, parent_id, at, what, document FROM revision_2 WHERE id = :id")
          .bind("id", id)
          .map(
              (r, c) -> {
                long parent = r.getLong(2);
                Long from = r.wasNull() ? null : parent;
                RevisionRows.insertPacked(
                    h,
                    id,
                    r.getLong(1),
                    from,
                    r.getString(3),
                    r.getString(4),
                    Packed.pack(BuildJson.compact(r.getString(5))));
                return id;
              })
          .one();
    }
  }

  /** The list of builds; one whose document can't be read stands in it with the reason. */
  private static void builds(Handle h) {
    var all =
        h.createQuery("SELECT id, current_revision FROM build ORDER BY id")
            .map((r, c) -> new long[] {r.getLong(1), r.getLong(2)})
            .list();
    for (long[] build : all) {
      BuildRows.stand(h, build[0], build[1]);
      RevisionRows.of(h, build[1])
          .ifPresent(
              row -> {
                var at = Instant.parse(row.at());
                try {
                  ShelfRows.put(h, build[0], row.build("its revision"), at);
                } catch (IllegalArgumentException e) {
                  ShelfRows.put(
                      h,
                      new Summary(
                          build[0],
                          BuildJson.nameOf(row.text("its revision"), "Build " + build[0]),
                          "",
                          0,
                          0,
                          0,
                          0,
                          0,
                          at,
                          Summary.Place.BENCH,
                          "",
                          String.valueOf(e.getMessage())));
                }
              });
    }
  }

  private static void sums(Handle h, Table table, String columns) {
    var rows =
        h.createQuery("SELECT " + columns + " FROM " + table.table() + " ORDER BY id")
            .map(
                (r, c) -> {
                  var fields = new Object[r.getMetaData().getColumnCount()];
                  for (int i = 0; i < fields.length; i++) {
                    fields[i] = r.getObject(i + 1);
                  }
                  return fields;
                })
            .list();
    for (var fields : rows) {
      byte[] own = RowSum.of(real(table, fields));
      h.createUpdate("UPDATE " + table.table() + " SET own = :own, link = :link WHERE id = :id")
          .bind("own", own)
          .bind("link", table.link(h, own))
          .bind("id", fields[0])
          .execute();
    }
  }

  /** Measured values are real numbers, also where the database keeps a whole one as such. */
  private static Object[] real(Table table, Object... fields) {
    if (table == Table.READING) {
      for (int i : new int[] {5, 10, 11, 12}) {
        fields[i] = ((Number) fields[i]).doubleValue();
      }
    }
    return fields;
  }
}
