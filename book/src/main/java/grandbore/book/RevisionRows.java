package grandbore.book;

import grandbore.core.build.Build;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jdbi.v3.core.Handle;

/** Revisions of builds as rows of the book, each whole in itself and only ever added. */
final class RevisionRows {
  /** How many steps back, and forth, are at hand when a build is opened. */
  private static final int AT_HAND = 200;

  private RevisionRows() {}

  static void insert(
      Handle h, long id, long build, Long parent, Instant at, String what, String document) {
    insertPacked(h, id, build, parent, at.toString(), what, Packed.pack(document));
  }

  static void insertPacked(
      Handle h, long id, long build, Long parent, String at, String what, byte[] packed) {
    byte[] own = RowSum.of(id, build, parent, at, what, packed);
    h.createUpdate(
            "INSERT INTO revision (id, build_id, parent_id, at, what, own, link, document)"
                + " VALUES (:id, :build, :parent, :at, :what, :own, :link, :document)")
        .bind("id", id)
        .bind("build", build)
        .bind("parent", parent)
        .bind("at", at)
        .bind("what", what)
        .bind("own", own)
        .bind("link", Table.REVISION.link(h, own))
        .bind("document", packed)
        .execute();
  }

  /** Whether this very row is in. */
  static boolean has(Handle h, long id) {
    return h.createQuery("SELECT 1 FROM revision WHERE id = :id")
        .bind("id", id)
        .mapTo(Integer.class)
        .findOne()
        .isPresent();
  }

  /** One revision. */
  static final class Row {
    private final long id;
    private final long build;
    private final Long parent;
    private final String at;
    private final String what;
    private final byte[] packed;
    private final boolean sound;

    private Row(ResultSet r) throws SQLException {
      id = r.getLong(1);
      build = r.getLong(2);
      long from = r.getLong(3);
      parent = r.wasNull() ? null : from;
      at = r.getString(4);
      what = r.getString(5);
      packed = r.getBytes(7);
      sound = Arrays.equals(RowSum.of(id, build, parent, at, what, packed), r.getBytes(6));
    }

    long id() {
      return id;
    }

    long build() {
      return build;
    }

    /** The revision that it changes, {@code null} for the first. */
    Long parent() {
      return parent;
    }

    String at() {
      return at;
    }

    String what() {
      return what;
    }

    /** Whether the row agrees with its sum. */
    boolean isSound() {
      return sound;
    }

    /** The document's text, sound or not. */
    String raw() {
      try {
        return Packed.unpack(packed);
      } catch (FormatException e) {
        return "%s, as bytes: %s".formatted(e.getMessage(), HexFormat.of().formatHex(packed));
      }
    }

    /**
     * @throws FormatException where the row is damaged or does not hold a build
     */
    Build build(String where) {
      return BuildJson.stored(text(where));
    }

    String text(String where) {
      if (!sound) {
        throw new FormatException(where + " does not agree with its checksum: it is damaged");
      }
      return Packed.unpack(packed);
    }
  }

  private static final String COLUMNS =
      "SELECT r.id, r.build_id, r.parent_id, r.at, r.what, r.own, r.document FROM revision r ";

  static Optional<Row> of(Handle h, long id) {
    return h.createQuery(COLUMNS + "WHERE r.id = :id")
        .bind("id", id)
        .map((r, c) -> row(r))
        .findOne();
  }

  static Row row(ResultSet r) throws SQLException {
    return new Row(r);
  }

  /** The revisions that led to this one, the nearest first. */
  static List<Row> past(Handle h, Row of) {
    return walk(of, r -> r.parent() == null ? Optional.empty() : of(h, r.parent()));
  }

  /** The revisions that redo would bring, the nearest first. */
  static List<Row> future(Handle h, Row of) {
    return walk(
        of,
        r ->
            h.createQuery(
                    COLUMNS
                        + "WHERE r.build_id = :build AND r.parent_id = :at"
                        + " ORDER BY r.id DESC LIMIT 1")
                .bind("build", r.build())
                .bind("at", r.id())
                .map((row, c) -> row(row))
                .findOne());
  }

  private static List<Row> walk(Row from, Function<Row, Optional<Row>> next) {
    var all = new ArrayList<Row>();
    var row = next.apply(from);
    while (row.isPresent() && all.size() < AT_HAND) {
      all.add(row.get());
      row = next.apply(row.get());
    }
    return all;
  }

  /** Every revision of a build, the newest first, damaged ones too. */
  static List<Row> all(Handle h, long build) {
    return h.createQuery(COLUMNS + "WHERE r.build_id = :build ORDER BY r.id DESC")
        .bind("build", build)
        .map((r, c) -> row(r))
        .list();
  }
}
