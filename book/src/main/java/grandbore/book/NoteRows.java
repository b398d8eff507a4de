package grandbore.book;

import grandbore.core.clearances.Kept;
import java.time.Instant;
import java.util.List;
import org.jdbi.v3.core.Handle;

/** Notes as rows of the book; those of no build are the shop's own. */
final class NoteRows {
  private NoteRows() {}

  /** A build's notes and the shop's own, the oldest first. */
  static List<Kept> of(Handle h, long build, boolean shops) {
    return h.createQuery(
            "SELECT n.*, (SELECT struck FROM note_strike s WHERE s.note_id = n.id"
                + " ORDER BY s.id DESC LIMIT 1) AS struck"
                + " FROM note n WHERE build_id = :build OR (:shops AND build_id IS NULL)"
                + " ORDER BY id")
        .bind("build", build)
        .bind("shops", shops)
        .map(
            (row, c) ->
                new Kept(
                    row.getLong("id"),
                    NoteJson.read(row.getString("kind"), row.getString("body")),
                    row.getString("made_by"),
                    Instant.parse(row.getString("at")),
                    row.getInt("struck") != 0))
        .list();
  }

  /**
   * @param build null for the shop's own
   */
  static long insert(Handle h, Long build, Kept kept) {
    return h.createUpdate(
            "INSERT INTO note (build_id, kind, body, made_by, at)"
                + " VALUES (:build, :kind, :body, :by, :at)")
        .bind("build", build)
        .bind("kind", NoteJson.kind(kept.note()))
        .bind("body", NoteJson.write(kept.note()))
        .bind("by", kept.by())
        .bind("at", kept.at().toString())
        .executeAndReturnGeneratedKeys("id")
        .mapTo(Long.class)
        .one();
  }

  static void strike(Handle h, long note, boolean struck, Instant at) {
    h.createUpdate("INSERT INTO note_strike (note_id, struck, at) VALUES (:note, :struck, :at)")
        .bind("note", note)
        .bind("struck", struck ? 1 : 0)
        .bind("at", at.toString())
        .execute();
  }
}
