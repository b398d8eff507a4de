package grandbore.book;

import grandbore.core.build.Build;
import grandbore.core.combination.Arrangement;
import grandbore.core.job.JobLine;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jdbi.v3.core.Handle;

/** The list of builds: a row a build with what is shown of it, so that no document is read. */
final class ShelfRows {
  private static final String COLUMNS =
      "s.build_id, s.name, s.layout, s.displacement, s.power, s.speed, s.touched, s.place,"
          + " s.trouble, s.own, s.measured, s.job";

  private ShelfRows() {}

  /**
   * The row's sum. Where nothing is measured it is that of a book in which nobody asked how much
   * is.
   */
  private static byte[] own(Summary s) {
    var fields =
        new ArrayList<Object>(
            List.of(
                s.id(),
                s.name(),
                s.layout(),
                s.displacement(),
                s.power(),
                s.speed(),
                s.touched().toString(),
                s.place().name(),
                s.trouble()));
    if (s.measured() != 0) {
      fields.add(s.measured());
    }
    if (!s.job().isEmpty()) {
      fields.add(s.job());
    }
    return RowSum.of(fields.toArray());
  }

  /** All of them in the order they were begun; damaged rows are told of by their trouble. */
  static List<Summary> all(Handle h) {
    return h.createQuery(
            "SELECT "
                + COLUMNS
                + ", (SELECT COUNT(*) FROM reading g WHERE g.build_id = s.build_id) AS readings,"
                + " b.current_revision, b.own, r.build_id, r.parent_id, r.at, r.what, r.own,"
                + " r.document FROM shelf s LEFT JOIN build b ON b.id = s.build_id"
                + " LEFT JOIN revision r ON r.id = b.current_revision ORDER BY s.build_id")
        .map((r, c) -> checked(r))
        .list();
  }

  /** A row, and whether the revision it stands for agrees with its sum. */
  private static Summary checked(ResultSet r) throws SQLException {
    var s = row(r, r.getInt(13));
    if (!s.isSound()) {
      return s;
    }
    long revision = r.getLong(14);
    if (!Arrays.equals(RowSum.of(s.id(), revision), r.getBytes(15))) {
      return s.with("which of its revisions stands does not agree with its checksum");
    }
    long parent = r.getLong(17);
    Long from = r.wasNull() ? null : parent;
    byte[] own =
        RowSum.of(revision, r.getLong(16), from, r.getString(18), r.getString(19), r.getBytes(21));
    return Arrays.equals(own, r.getBytes(20))
        ? s
        : s.with("revision " + revision + " does not agree with its checksum: it is damaged");
  }

  private static Summary row(ResultSet r, int readings) throws SQLException {
    long id = r.getLong(1);
    try {
      var s =
          new Summary(
              id,
              r.getString(2),
              r.getString(3),
              r.getDouble(4),
              r.getDouble(5),
              r.getDouble(6),
              r.getDouble(11),
              readings,
              Instant.parse(r.getString(7)),
              Summary.Place.valueOf(r.getString(8)),
              r.getString(12),
              r.getString(9));
      if (Arrays.equals(own(s), r.getBytes(10))) {
        return s;
      }
    } catch (IllegalArgumentException | SQLException | DateTimeException | NullPointerException e) {
      // Told of below, as a row that does not agree.
    }
    return new Summary(
        id,
        "Build " + id,
        "",
        0,
        0,
        0,
        0,
        readings,
        Instant.EPOCH,
        Summary.Place.BENCH,
        "",
        "its row in the list does not agree with its checksum");
  }

  static Optional<Summary> of(Handle h, long build) {
    return h.createQuery("SELECT " + COLUMNS + " FROM shelf s WHERE s.build_id = :build")
        .bind("build", build)
        .map((r, c) -> row(r, 0))
        .findOne();
  }

  static void put(Handle h, Summary s) {
    h.createUpdate(
            "INSERT OR REPLACE INTO shelf (build_id, name, layout, displacement, power, speed,"
                + " measured, touched, place, trouble, job, own) VALUES (:id, :name, :layout,"
                + " :displacement, :power, :speed, :measured, :touched, :place, :trouble, :job,"
                + " :own)")
        .bind("id", s.id())
        .bind("name", s.name())
        .bind("layout", s.layout())
        .bind("displacement", s.displacement())
        .bind("power", s.power())
        .bind("speed", s.speed())
        .bind("measured", s.measured())
        .bind("touched", s.touched().toString())
        .bind("place", s.place().name())
        .bind("trouble", s.trouble())
        .bind("job", s.job())
        .bind("own", own(s))
        .execute();
  }

  /** A build as it is listed now; its predicted peak and its place stay until they change. */
  static void put(Handle h, long id, Build build, Instant touched) {
    var was = of(h, id).filter(Summary::isSound);
    var bottom = build.combination().bottomEnd();
    put(
        h,
        new Summary(
            id,
            build.name(),
            Arrangement.of(bottom)
                .map(Arrangement::label)
                .orElse("%d cylinders".formatted(bottom.cylinders())),
            bottom.cylinders() * bottom.sweptVolume(),
            was.map(Summary::power).orElse(0.0),
            was.map(Summary::speed).orElse(0.0),
            was.map(Summary::measured).orElse(0.0),
            0,
            touched,
            was.map(Summary::place).orElse(Summary.Place.BENCH),
            was.map(Summary::job)
                .filter(j -> !j.isEmpty())
                .orElseGet(() -> JobJson.write(JobLine.begun(build))),
            ""));
  }
}
