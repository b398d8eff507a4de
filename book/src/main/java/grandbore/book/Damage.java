package grandbore.book;

import java.nio.file.Path;
import java.util.Optional;

/**
 * Something of the book that does not agree with its checksum, or is missing.
 *
 * @param what and where, in words
 * @param backup the newest backup that has it sound, where one has
 */
public record Damage(String what, Optional<Path> backup) {
  /** In one line, with the way on. */
  public String line() {
    return what
        + backup
            .map(b -> "; it is sound in the backup " + b.getFileName())
            .orElse("; no backup has it sound");
  }
}
