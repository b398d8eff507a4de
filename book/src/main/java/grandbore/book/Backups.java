package grandbore.book;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Dated copies of a book in a folder beside it: one a day is made, and kept are the newest of each
 * of the last seven days, of each of the last five weeks, and of each of the last twelve months
 * that have one.
 */
public final class Backups {
  private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");
  private static final int DAYS = 7;
  private static final int WEEKS = 5;
  private static final int MONTHS = 12;

  private final Path book;

  /** One of them. */
  public record Backup(Path file, LocalDateTime made) {}

  public Backups(Path book) {
    this.book = book.toAbsolutePath();
  }

  private Path folder() {
    return book.resolveSibling(stem() + "-backups");
  }

  private String stem() {
    String name = book.getFileName().toString();
    int dot = name.lastIndexOf('.');
    return dot > 0 ? name.substring(0, dot) : name;
  }

  /** All there are, the newest first. */
  public List<Backup> all() {
    var found = new ArrayList<Backup>();
    if (!Files.isDirectory(folder())) {
      return found;
    }
    try (var files = Files.newDirectoryStream(folder(), stem() + "-*.db")) {
      for (var file : files) {
        String name = file.getFileName().toString();
        String stamp = name.substring(stem().length() + 1, name.length() - 3);
        try {
          found.add(new Backup(file, LocalDateTime.parse(stamp, STAMP)));
        } catch (DateTimeParseException e) {
          // Not one of ours: it is left alone.
        }
      }
    } catch (IOException e) {
      throw new BookException("The backups of " + book + " can't be listed", e);
    }
    found.sort(Comparator.comparing(Backup::made).reversed());
    return found;
  }

  /** Where the next one goes. */
  Path next(LocalDateTime now) {
    try {
      Files.createDirectories(folder());
    } catch (IOException e) {
      throw new BookException("The folder of backups of " + book + " can't be made", e);
    }
    return folder().resolve(stem() + "-" + STAMP.format(now) + ".db");
  }

  /** Whether none was made in this day yet. */
  boolean isDue(LocalDateTime now) {
    return all().stream().noneMatch(b -> b.made().toLocalDate().equals(now.toLocalDate()));
  }

  /** Which of them are kept, out of all, the newest first. */
  static List<Backup> kept(List<Backup> newestFirst) {
    var kept = new ArrayList<Backup>();
    var days = new HashSet<Object>();
    var weeks = new HashSet<Object>();
    var months = new HashSet<Object>();
    for (var b : newestFirst) {
      var date = b.made().toLocalDate();
      Object week =
          date.get(IsoFields.WEEK_BASED_YEAR) * 100 + date.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR);
      Object month = date.getYear() * 100 + date.getMonthValue();
      boolean keep = isNew(days, date, DAYS);
      keep |= isNew(weeks, week, WEEKS);
      keep |= isNew(months, month, MONTHS);
      if (keep) {
        kept.add(b);
      }
    }
    return kept;
  }

  private static boolean isNew(Set<Object> seen, Object what, int most) {
    return seen.size() < most && seen.add(what);
  }

  /** Deletes those that are too many. */
  void thin() {
    var all = all();
    var kept = kept(all);
    for (var b : all) {
      if (!kept.contains(b)) {
        try {
          Files.deleteIfExists(b.file());
        } catch (IOException e) {
          throw new BookException("The old backup " + b.file() + " can't be deleted", e);
        }
      }
    }
  }

  /** Puts a backup in the book's place; what was there is kept beside it under a dated name. */
  Path restore(Path backup, LocalDateTime now) {
    try {
      var aside = book.resolveSibling(stem() + "-replaced-" + STAMP.format(now) + ".db");
      var fresh = book.resolveSibling(stem() + "-restoring.db");
      Files.copy(backup, fresh, StandardCopyOption.REPLACE_EXISTING);
      if (Files.exists(book)) {
        Files.move(book, aside);
      }
      Files.deleteIfExists(book.resolveSibling(book.getFileName() + "-journal"));
      Files.move(fresh, book, StandardCopyOption.ATOMIC_MOVE);
      return aside;
    } catch (IOException e) {
      throw new BookException(
          "The backup " + backup + " can't be put in the place of " + book + ": nothing was lost",
          e);
    }
  }

  static LocalDateTime local(java.time.Instant at) {
    return LocalDateTime.ofInstant(at, ZoneOffset.UTC);
  }
}
