package grandbore.book;

import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Note;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jdbi.v3.core.Handle;

/** Notes as rows of the book; those of no build are the shop's own. */
final class NoteRows {
  private static final String COLUMNS =
      "SELECT id, build_id, kind, body, made_by, at, own FROM note ";

  private NoteRows() {}

  /** Rows of all builds that do not agree with their sums. */
  static List<Checked.Bad> bad(Handle h) {
    var bad = new ArrayList<Checked.Bad>();
    var none = new Strikes.Last(java.util.Map.of(), List.of());
    h.createQuery(COLUMNS + "ORDER BY id").map((r, c) -> row(r, none, bad)).forEach(k -> {});
    return bad;
  }

  /** A build's notes and the shop's own, the oldest first. */
  static Checked<Kept> of(Handle h, long build, boolean shops) {
    var strikes = Strikes.NOTES.of(h, build);
    var bad = new ArrayList<>(strikes.bad());
    var rows = new ArrayList<Kept>();
    h.createQuery(COLUMNS + "WHERE +build_id = :build OR (:shops AND build_id IS NULL) ORDER BY id")
        .bind("build", build)
        .bind("shops", shops)
        .map((r, c) -> row(r, strikes, bad))
        .forEach(k -> k.ifPresent(rows::add));
    return new Checked<>(rows, bad);
  }

  /** The builds that have a note of a kind, in their order. */
  static List<Long> buildsWith(Handle h, Class<? extends Note> kind) {
    return h.createQuery(
            "SELECT DISTINCT build_id FROM note WHERE kind = :kind AND build_id IS NOT NULL"
                + " ORDER BY build_id")
        .bind("kind", NoteJson.kind(kind))
        .mapTo(Long.class)
        .list();
  }

  private static Optional<Kept> row(ResultSet r, Strikes.Last strikes, List<Checked.Bad> bad)
      throws SQLException {
    long id = r.getLong(1);
    String where = "Note " + id;
    try {
      long build = r.getLong(2);
      Long of = r.wasNull() ? null : build;
      String kind = r.getString(3);
      where = "Note %d (%s)".formatted(id, kind);
      String body = r.getString(4);
      String by = r.getString(5);
      String at = r.getString(6);
      if (Arrays.equals(RowSum.of(id, of, kind, body, by, at), r.getBytes(7))) {
        return Optional.of(
            new Kept(id, NoteJson.read(kind, body), by, Instant.parse(at), strikes.isStruck(id)));
      }
    } catch (IllegalArgumentException | SQLException | java.time.DateTimeException e) {
      where += ": " + Lines.shortened(String.valueOf(e.getMessage()));
    }
    bad.add(new Checked.Bad(Table.NOTE, id, where));
    return Optional.empty();
  }

  /** The row of this number where it is there and sound. */
  static Optional<Kept> sound(Handle h, long id) {
    return h.createQuery(COLUMNS + "WHERE id = :id")
        .bind("id", id)
        .map((r, c) -> row(r, new Strikes.Last(java.util.Map.of(), List.of()), new ArrayList<>()))
        .findOne()
        .flatMap(k -> k);
  }

  /**
   * Adds one under its number, once.
   *
   * @param build null for the shop's own
   */
  static void insert(Handle h, Long build, Kept kept) {
    if (sound(h, kept.id()).isPresent()) {
      return;
    }
    String kind = NoteJson.kind(kept.note());
    String body = NoteJson.write(kept.note());
    byte[] own = RowSum.of(kept.id(), build, kind, body, kept.by(), kept.at().toString());
    h.createUpdate(
            "INSERT INTO note (id, build_id, kind, body, made_by, at, own, link)"
                + " VALUES (:id, :build, :kind, :body, :by, :at, :own, :link)")
        .bind("id", kept.id())
        .bind("build", build)
        .bind("kind", kind)
        .bind("body", body)
        .bind("by", kept.by())
        .bind("at", kept.at().toString())
        .bind("own", own)
        .bind("link", Table.NOTE.link(h, own))
        .execute();
  }
}
