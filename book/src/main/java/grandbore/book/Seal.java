package grandbore.book;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import grandbore.core.clearances.Note;
import grandbore.core.clearances.OnDyno;
import grandbore.core.clearances.OnJob;
import grandbore.core.clearances.Photo;
import grandbore.core.clearances.Stocked;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.jdbi.v3.core.Handle;

/**
 * What stands beside a backup once it was opened and checked: its size, its SHA-256, which book it
 * is of, how many builds it holds.
 */
final class Seal {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private Seal() {}

  /**
   * What was found in a backup.
   *
   * @param damaged rows that do not agree with their sums, in words
   */
  record Look(
      int version,
      int builds,
      Optional<String> identity,
      List<String> damaged,
      List<Photo> pictures) {}

  static Path of(Path backup) {
    return backup.resolveSibling(backup.getFileName() + ".seal");
  }

  /** Whether it has a seal and its size is the one sealed. */
  static boolean holds(Path backup) {
    try {
      return Files.size(backup) == read(backup).path("size").asLong(-1);
    } catch (IOException e) {
      return false;
    }
  }

  private static JsonNode read(Path backup) throws IOException {
    var seal = of(backup);
    if (!Files.isRegularFile(seal)) {
      return MAPPER.createObjectNode();
    }
    try {
      var node = MAPPER.readTree(Files.readString(seal));
      return node == null ? MAPPER.createObjectNode() : node;
    } catch (JsonProcessingException e) {
      // A torn seal is none.
      return MAPPER.createObjectNode();
    }
  }

  /** Whether a file begins as a database does and is as long as it says. */
  static boolean looksLikeABook(Path file) {
    try (InputStream in = Files.newInputStream(file)) {
      var head = in.readNBytes(Sqlite.MAGIC.length());
      return new String(head, StandardCharsets.ISO_8859_1).equals(Sqlite.MAGIC);
    } catch (IOException e) {
      return false;
    }
  }

  /** Seals a checked file that is about to be named. */
  static void put(Path checked, Path named, Look look) throws IOException {
    var node = MAPPER.createObjectNode();
    node.put("size", Files.size(checked))
        .put("sha256", sha256(checked))
        .put("builds", look.builds())
        .put("book", look.identity().orElse(""))
        .put("damaged", look.damaged().size());
    Files.writeString(of(named), node.toPrettyString());
  }

  /**
   * Checks a sealed file byte by byte; one without a seal, of an older version, passes.
   *
   * @throws BookException where it is not as it was sealed
   */
  static void check(Path backup) throws IOException {
    String sealed = read(backup).path("sha256").asText("");
    if (!sealed.isEmpty() && !sealed.equals(sha256(backup))) {
      throw new BookException(
          "The backup %s is not as it was made: nothing was changed".formatted(backup), null);
    }
  }

  static String sha256(Path file) throws IOException {
    var digest = RowSum.digest();
    try (InputStream in = Files.newInputStream(file)) {
      var buffer = new byte[1 << 16];
      int count = in.read(buffer);
      while (count >= 0) {
        digest.update(buffer, 0, count);
        count = in.read(buffer);
      }
    }
    return HexFormat.of().formatHex(digest.digest());
  }

  /**
   * Opens a file and goes through all of it.
   *
   * @param version of the tables it has to have, 0 for any that is known
   * @throws BookException where it is no shop book or its structure is damaged
   */
  static Look look(Path file, int version) {
    if (!looksLikeABook(file)) {
      throw new BookException(
          "The file %s is no shop book: nothing was changed".formatted(file), null);
    }
    return Sqlite.read(file)
        .withHandle(
            h -> {
              String sound = h.createQuery("PRAGMA integrity_check(1)").mapTo(String.class).one();
              if (!sound.equals("ok")) {
                throw new BookException(
                    "The file %s is damaged (%s): nothing was changed"
                        .formatted(file, Lines.shortened(sound)),
                    null);
              }
              int is = BookFile.migration(h);
              if (is < 1 || is > BookFile.NEWEST_MIGRATION || version > 0 && is != version) {
                throw new BookException(
                    is < 1
                        ? "The file %s is no shop book: nothing was changed".formatted(file)
                        : "The file %s is of another version of this program: nothing was changed"
                            .formatted(file),
                    null);
              }
              return look(h, is);
            });
  }

  private static Look look(Handle h, int version) {
    int builds = h.createQuery("SELECT COUNT(*) FROM build").mapTo(Integer.class).one();
    if (version < BookFile.NEWEST_MIGRATION) {
      return new Look(version, builds, Optional.empty(), List.of(), List.of());
    }
    var damaged = new ArrayList<>(BookFile.gaps(h));
    var pictures = new ArrayList<Photo>();
    for (long build : h.createQuery("SELECT id FROM build").mapTo(Long.class).list()) {
      NoteRows.of(h, build, false).rows().forEach(k -> pictures.addAll(pictures(k.note())));
    }
    NoteRows.of(h, 0, true).rows().forEach(k -> pictures.addAll(pictures(k.note())));
    h.createQuery(
            "SELECT id, build_id, parent_id, at, what, own, document FROM revision ORDER BY id")
        .map((r, c) -> RevisionRows.row(r))
        .forEach(
            row -> {
              if (!row.isSound()) {
                damaged.add("Revision %d of build %d".formatted(row.id(), row.build()));
              }
            });
    return new Look(version, builds, BookFile.identity(h), damaged, pictures);
  }

  private static List<Photo> pictures(Note note) {
    return switch (note) {
      case Photo p -> List.of(p);
      case Stocked s -> s.pictures();
      case OnDyno d -> d.pictures();
      case OnJob j -> j.pictures();
      default -> List.of();
    };
  }
}
