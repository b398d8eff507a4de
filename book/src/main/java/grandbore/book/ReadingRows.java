package grandbore.book;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.clearances.Taken;
import java.time.Instant;
import org.jdbi.v3.core.Handle;

/** Readings as rows of the book: only ever added, and struck out by rows of their own. */
final class ReadingRows {
  private ReadingRows() {}

  static Readings of(Handle h, long build) {
    return new Readings(
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
                        new Taken(
                            row.getString("read_by"),
                            row.getString("instrument"),
                            row.getString("typed"),
                            row.getDouble("zero_before_si"),
                            row.getDouble("zero_after_si"),
                            row.getDouble("temperature"),
                            row.getString("note"),
                            Instant.parse(row.getString("at"))),
                        row.getInt("struck") != 0))
            .list());
  }

  static long insert(Handle h, long build, Reading r) {
    var t = r.taken();
    return h.createUpdate(
            "INSERT INTO reading (build_id, measurement, place, side, value_si, read_by,"
                + " instrument, at, typed, zero_before_si, zero_after_si, temperature, note)"
                + " VALUES (:build, :measurement, :place, :side, :value, :by, :instrument, :at,"
                + " :typed, :before, :after, :temperature, :note)")
        .bind("build", build)
        .bind("measurement", r.measurement().name())
        .bind("place", r.place())
        .bind("side", r.side().name())
        .bind("value", r.value())
        .bind("by", t.by())
        .bind("instrument", t.instrument())
        .bind("at", t.at().toString())
        .bind("typed", t.typed())
        .bind("before", t.zeroBefore())
        .bind("after", t.zeroAfter())
        .bind("temperature", t.temperature())
        .bind("note", t.note())
        .executeAndReturnGeneratedKeys("id")
        .mapTo(Long.class)
        .one();
  }

  static void strike(Handle h, long reading, boolean struck, Instant at) {
    h.createUpdate("INSERT INTO strike (reading_id, struck, at) VALUES (:reading, :struck, :at)")
        .bind("reading", reading)
        .bind("struck", struck ? 1 : 0)
        .bind("at", at.toString())
        .execute();
  }
}
