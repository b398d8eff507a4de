package grandbore.book;

import java.util.Arrays;
import java.util.Optional;
import org.jdbi.v3.core.Handle;

/** A row a build; which of its revisions stands is the only thing about it that changes. */
final class BuildRows {
  private BuildRows() {}

  static long last(Handle h) {
    return h.createQuery("SELECT COALESCE(MAX(id), 0) FROM build").mapTo(Long.class).one();
  }

  static boolean has(Handle h, long build) {
    return h.createQuery("SELECT 1 FROM build WHERE id = :build")
        .bind("build", build)
        .mapTo(Integer.class)
        .findOne()
        .isPresent();
  }

  static void insert(Handle h, long build) {
    h.createUpdate("INSERT INTO build (id) VALUES (:build)").bind("build", build).execute();
  }

  /** Lets one of its revisions stand. */
  static void stand(Handle h, long build, long revision) {
    h.createUpdate("UPDATE build SET current_revision = :revision, own = :own WHERE id = :build")
        .bind("revision", revision)
        .bind("own", RowSum.of(build, revision))
        .bind("build", build)
        .execute();
  }

  /**
   * The revision that stands.
   *
   * @throws FormatException where its row is damaged
   */
  static long standing(Handle h, long build) {
    Optional<Long> revision =
        h.createQuery("SELECT current_revision, own FROM build WHERE id = :build")
            .bind("build", build)
            .map(
                (r, c) -> {
                  long is = r.getLong(1);
                  return Arrays.equals(RowSum.of(build, is), r.getBytes(2)) ? is : -1L;
                })
            .findOne();
    if (revision.isEmpty() || revision.get() < 0) {
      throw new FormatException(
          revision.isEmpty()
              ? "there is no build " + build
              : "which of its revisions stands does not agree with its checksum: it is damaged");
    }
    return revision.get();
  }
}
