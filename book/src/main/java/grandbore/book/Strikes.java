package grandbore.book;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jdbi.v3.core.Handle;

/** What was struck out of a table, and what was taken back: rows of their own, the last counts. */
enum Strikes {
  READINGS(Table.STRIKE, Table.READING, "reading_id"),
  NOTES(Table.NOTE_STRIKE, Table.NOTE, "note_id");

  private final Table table;
  private final Table struck;
  private final String column;

  Strikes(Table table, Table struck, String column) {
    this.table = table;
    this.struck = struck;
    this.column = column;
  }

  /** The last word on each row, and rows that are damaged. */
  record Last(Map<Long, Boolean> words, List<Checked.Bad> bad) {
    boolean isStruck(long row) {
      return words.getOrDefault(row, false);
    }
  }

  /** Those of one build and, for notes, of the shop's own. */
  Last of(Handle h, long build) {
    var words = new HashMap<Long, Boolean>();
    var bad = new ArrayList<Checked.Bad>();
    h.createQuery(
            "SELECT s.id, s.%s, s.struck, s.at, s.own FROM %s s JOIN %s t ON t.id = s.%s WHERE +t.build_id = :build OR t.build_id IS NULL ORDER BY s.id"
                .formatted(column, table.table(), struck.table(), column))
        .bind("build", build)
        .map(
            (r, c) -> {
              long id = r.getLong(1);
              long row = r.getLong(2);
              long is = r.getLong(3);
              if (Arrays.equals(RowSum.of(id, row, is, r.getString(4)), r.getBytes(5))) {
                words.put(row, is != 0);
              } else {
                bad.add(
                    new Checked.Bad(
                        table, id, "%s %d, of number %d".formatted(table.row(), id, row)));
              }
              return id;
            })
        .list();
    return new Last(words, bad);
  }

  /** Rows that do not agree with their sums. */
  List<Checked.Bad> bad(Handle h) {
    return h
        .createQuery(
            "SELECT id, %s, struck, at, own FROM %s ORDER BY id".formatted(column, table.table()))
        .map(
            (r, c) -> {
              long id = r.getLong(1);
              long row = r.getLong(2);
              byte[] own = RowSum.of(id, row, r.getLong(3), r.getString(4));
              return Arrays.equals(own, r.getBytes(5))
                  ? null
                  : new Checked.Bad(
                      table, id, "%s %d, of number %d".formatted(table.row(), id, row));
            })
        .stream()
        .filter(Objects::nonNull)
        .toList();
  }

  /** Whether a row of this number is there and agrees with its sum. */
  static boolean hasSound(Handle h, Table table, long id) {
    String column = table == Table.STRIKE ? "reading_id" : "note_id";
    return h.createQuery(
            "SELECT id, %s, struck, at, own FROM %s WHERE id = :id"
                .formatted(column, table.table()))
        .bind("id", id)
        .map(
            (r, c) ->
                Arrays.equals(
                    RowSum.of(r.getLong(1), r.getLong(2), r.getLong(3), r.getString(4)),
                    r.getBytes(5)))
        .findOne()
        .orElse(false);
  }

  /** Strikes one out, or takes that back. */
  void insert(Handle h, long row, boolean is, Instant at) {
    long id = table.last(h) + 1;
    byte[] own = RowSum.of(id, row, is ? 1 : 0, at.toString());
    h.createUpdate(
            "INSERT INTO %s (id, %s, struck, at, own, link) VALUES (:id, :row, :struck, :at, :own, :link)"
                .formatted(table.table(), column))
        .bind("id", id)
        .bind("row", row)
        .bind("struck", is ? 1 : 0)
        .bind("at", at.toString())
        .bind("own", own)
        .bind("link", table.link(h, own))
        .execute();
  }
}
