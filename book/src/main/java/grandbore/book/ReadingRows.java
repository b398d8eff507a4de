package grandbore.book;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Taken;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jdbi.v3.core.Handle;

/** Readings as rows of the book: only ever added, and struck out by rows of their own. */
final class ReadingRows {
  private static final String COLUMNS =
      "SELECT id, build_id, measurement, place, side, value_si, read_by, instrument, at, typed,"
          + " zero_before_si, zero_after_si, temperature, note, own FROM reading ";

  private ReadingRows() {}

  /** Rows of all builds that do not agree with their sums, whichever build they now name. */
  static List<Checked.Bad> bad(Handle h) {
    var bad = new ArrayList<Checked.Bad>();
    h.createQuery(COLUMNS + "ORDER BY id").map((r, c) -> row(r, bad)).forEach(r -> {});
    return bad;
  }

  /** A build's readings; the table itself is read, since an index can be damaged unseen. */
  static Checked<Reading> of(Handle h, long build) {
    var strikes = Strikes.READINGS.of(h, build);
    var bad = new ArrayList<>(strikes.bad());
    var rows = new ArrayList<Reading>();
    h.createQuery(COLUMNS + "WHERE +build_id = :build ORDER BY id")
        .bind("build", build)
        .map((r, c) -> row(r, bad))
        .forEach(
            r -> r.map(x -> strikes.isStruck(x.id()) ? x.struck(true) : x).ifPresent(rows::add));
    return new Checked<>(rows, bad);
  }

  /** One row where it is sound; else it is told of. */
  private static Optional<Reading> row(ResultSet r, List<Checked.Bad> bad) throws SQLException {
    long id = r.getLong("id");
    String where = "Reading " + id;
    try {
      String measurement = r.getString("measurement");
      where = "Reading %d (%s, place %s)".formatted(id, measurement, r.getString("place"));
      byte[] own =
          RowSum.of(
              id,
              r.getLong("build_id"),
              measurement,
              r.getLong("place"),
              r.getString("side"),
              r.getDouble("value_si"),
              r.getString("read_by"),
              r.getString("instrument"),
              r.getString("at"),
              r.getString("typed"),
              r.getDouble("zero_before_si"),
              r.getDouble("zero_after_si"),
              r.getDouble("temperature"),
              r.getString("note"));
      if (Arrays.equals(own, r.getBytes("own"))) {
        return Optional.of(reading(r, id));
      }
    } catch (IllegalArgumentException | SQLException | java.time.DateTimeException e) {
      where += ": " + Lines.shortened(String.valueOf(e.getMessage()));
    }
    bad.add(new Checked.Bad(Table.READING, id, where));
    return Optional.empty();
  }

  private static Reading reading(ResultSet r, long id) throws SQLException {
    return new Reading(
        id,
        Measurement.valueOf(r.getString("measurement")),
        r.getInt("place"),
        Reading.Side.valueOf(r.getString("side")),
        number(r, "value_si"),
        new Taken(
            r.getString("read_by"),
            r.getString("instrument"),
            r.getString("typed"),
            number(r, "zero_before_si"),
            number(r, "zero_after_si"),
            number(r, "temperature"),
            r.getString("note"),
            Instant.parse(r.getString("at"))),
        false);
  }

  /** Zero has one sign in the book, whatever a flipped bit makes of it. */
  private static double number(ResultSet r, String column) throws SQLException {
    return r.getDouble(column) + 0.0;
  }

  /** The row of this number where it is there and sound. */
  static Optional<Reading> sound(Handle h, long id) {
    return h.createQuery(COLUMNS + "WHERE id = :id")
        .bind("id", id)
        .map((r, c) -> row(r, new ArrayList<>()))
        .findOne()
        .flatMap(r -> r);
  }

  /** Adds some under their numbers, once, together. */
  static void insert(Handle h, long build, List<Reading> readings) {
    var fresh = readings.stream().filter(r -> sound(h, r.id()).isEmpty()).toList();
    if (fresh.isEmpty()) {
      return;
    }
    try (var chain = Table.READING.chain(h);
        var batch =
            h.prepareBatch(
                "INSERT INTO reading (id, build_id, measurement, place, side, value_si, read_by,"
                    + " instrument, at, typed, zero_before_si, zero_after_si, temperature, note,"
                    + " own, link) VALUES (:id, :build, :measurement, :place, :side, :value, :by,"
                    + " :instrument, :at, :typed, :before, :after, :temperature, :note, :own,"
                    + " :link)")) {
      for (var r : fresh) {
        byte[] own = own(build, r);
        var t = r.taken();
        batch
            .bind("id", r.id())
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
            .bind("own", own)
            .bind("link", chain.link(own))
            .add();
      }
      batch.execute();
    }
  }

  private static byte[] own(long build, Reading r) {
    var t = r.taken();
    return RowSum.of(
        r.id(),
        build,
        r.measurement().name(),
        r.place(),
        r.side().name(),
        r.value(),
        t.by(),
        t.instrument(),
        t.at().toString(),
        t.typed(),
        t.zeroBefore(),
        t.zeroAfter(),
        t.temperature(),
        t.note());
  }
}
