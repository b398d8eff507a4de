package grandbore.book;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;

/**
 * Dated copies of a book in a folder of its own beside it, pictures with them. A copy is written
 * under a passing name, synced, opened and checked, given a {@link Seal}, and only then named; what
 * bears no seal is never counted on.
 */
public final class Backups {
  private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");
  private static final String END = ".db";
  private static final String PASSING = ".part";

  private final Path book;

  /** Why one was made. */
  public enum Kind {
    /** The day's, thinned as it grows old. */
    DAILY(""),
    /** Asked for, or before something that changes the whole book. */
    BY_HAND("-by-hand"),
    /** Of a book with damaged rows: never counted as the day's. */
    DAMAGED("-damaged");

    private final String mark;

    Kind(String mark) {
      this.mark = mark;
    }
  }

  /**
   * One of them.
   *
   * @param sealed whether it was checked when it was made and still has its size
   */
  public record Backup(Path file, LocalDateTime made, Kind kind, boolean sealed) {}

  public Backups(Path book) {
    this.book = book.toAbsolutePath();
  }

  private String name() {
    return book.getFileName().toString();
  }

  private Path folder() {
    return book.resolveSibling(name() + "-backups");
  }

  /** Where versions before the third kept them, for books of one name before the dot. */
  private Optional<Path> olderFolder() {
    int dot = name().lastIndexOf('.');
    var older = book.resolveSibling((dot > 0 ? name().substring(0, dot) : name()) + "-backups");
    return older.equals(folder()) || !Files.isDirectory(older)
        ? Optional.empty()
        : Optional.of(older);
  }

  /** All there are, the newest first. */
  public List<Backup> all() {
    var found = new ArrayList<Backup>(in(folder(), name() + "-"));
    olderFolder()
        .ifPresent(
            f -> {
              String stem = f.getFileName().toString();
              found.addAll(in(f, stem.substring(0, stem.length() - "backups".length())));
            });
    found.sort(Comparator.comparing(Backup::made).reversed());
    return found;
  }

  private List<Backup> in(Path folder, String before) {
    var found = new ArrayList<Backup>();
    if (!Files.isDirectory(folder)) {
      return found;
    }
    try (var files = Files.newDirectoryStream(folder)) {
      for (var file : files) {
        String name = file.getFileName().toString();
        if (name.startsWith(before) && name.endsWith(END)) {
          dated(file, name.substring(before.length(), name.length() - END.length()))
              .ifPresent(found::add);
        }
      }
    } catch (IOException e) {
      throw new BookException("The backups of " + book + " can't be listed", e);
    }
    return found;
  }

  private static Optional<Backup> dated(Path file, String stamp) {
    var kind = Kind.DAILY;
    for (var k : Kind.values()) {
      kind = !k.mark.isEmpty() && stamp.endsWith(k.mark) ? k : kind;
    }
    try {
      String day = stamp.substring(0, stamp.length() - kind.mark.length());
      return Optional.of(new Backup(file, LocalDateTime.parse(day, STAMP), kind, Seal.holds(file)));
    } catch (DateTimeParseException e) {
      // Not one of ours: it is left alone.
      return Optional.empty();
    }
  }

  /** The newest that can be counted on; where none can, the newest that holds anything. */
  public Optional<Backup> newest() {
    var all = all();
    return all.stream()
        .filter(b -> b.sealed() && b.kind() != Kind.DAMAGED)
        .findFirst()
        .or(() -> all.stream().filter(b -> Seal.looksLikeABook(b.file())).findFirst());
  }

  /** Whether no sound one was made in this day yet. */
  boolean isDue(LocalDateTime now) {
    return all().stream()
        .noneMatch(
            b ->
                b.sealed()
                    && b.kind() == Kind.DAILY
                    && b.made().toLocalDate().equals(now.toLocalDate()));
  }

  /**
   * Copies the book aside.
   *
   * @param version of the tables the copy has to have, 0 for any
   */
  Backup copy(Jdbi jdbi, LocalDateTime now, Kind kind, int version) {
    var part = folder().resolve(name() + "-" + STAMP.format(now) + PASSING);
    try {
      Files.createDirectories(folder());
      clear();
      jdbi.useHandle(h -> h.execute("VACUUM INTO ?", part.toString()));
      sync(part);
      var look = Seal.look(part, version);
      var become = look.damaged().isEmpty() ? kind : Kind.DAMAGED;
      var file = free(now, become);
      Pictures.copyAside(look.pictures(), book.resolveSibling("pictures"), pictures());
      Seal.put(part, file, look);
      Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
      var made = new Backup(file, now, become, true);
      thin(now);
      if (become == Kind.DAMAGED) {
        throw new BookException(
            "The book %s has damaged rows (%s): its copy %s is kept apart, and no sound backup was put aside for it"
                .formatted(book, look.damaged().getFirst(), file.getFileName()),
            null);
      }
      return made;
    } catch (IOException | JdbiException e) {
      throw new BookException(
          "A backup of %s could not be made in %s: it %s"
              .formatted(book, folder(), Sqlite.inWords(e, "could not be written")),
          e);
    }
  }

  /** A name that no other has: two in one second are two. */
  private Path free(LocalDateTime now, Kind kind) {
    var at = now;
    var file = folder().resolve(name() + "-" + STAMP.format(at) + kind.mark + END);
    while (Files.exists(file)) {
      at = at.plusSeconds(1);
      file = folder().resolve(name() + "-" + STAMP.format(at) + kind.mark + END);
    }
    return file;
  }

  /** The folder in which pictures lie beside the copies, each once. */
  private Path pictures() {
    return folder().resolve("pictures");
  }

  /** What a copy that was broken off left behind. */
  private void clear() throws IOException {
    try (var files = Files.newDirectoryStream(folder())) {
      for (var file : files) {
        String name = file.getFileName().toString();
        if (name.startsWith(name() + "-")
            && (name.endsWith(PASSING) || name.endsWith(PASSING + "-journal"))) {
          Files.deleteIfExists(file);
        }
      }
    }
  }

  private static void sync(Path file) throws IOException {
    try (var channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
      channel.force(true);
    }
  }

  /** Deletes those that are too many. */
  void thin(LocalDateTime now) {
    var all = all();
    var kept = Thinning.kept(all, now);
    for (var b : all) {
      if (!kept.contains(b)) {
        try {
          Files.deleteIfExists(b.file());
          Files.deleteIfExists(Seal.of(b.file()));
        } catch (IOException e) {
          throw new BookException("The old backup " + b.file() + " can't be deleted", e);
        }
      }
    }
  }

  /**
   * Opens a backup and checks it whole, before anything is replaced by it.
   *
   * @param identity of the book that it would replace, where that is known
   * @throws BookException where it is no sound backup of this book
   */
  void verify(Backup backup, Optional<String> identity) {
    try {
      var look = Seal.look(backup.file(), 0);
      if (look.builds() == 0) {
        throw refused(backup, "holds no build");
      }
      if (identity.isPresent()
          && look.identity().isPresent()
          && !look.identity().equals(identity)) {
        throw refused(backup, "belongs to another book");
      }
      if (!look.damaged().isEmpty() && backup.kind() != Kind.DAMAGED) {
        throw refused(backup, "has damaged rows (" + look.damaged().getFirst() + ")");
      }
      Seal.check(backup.file());
    } catch (IOException | JdbiException e) {
      throw new BookException(
          "The backup %s %s: nothing was changed"
              .formatted(backup.file(), Sqlite.inWords(e, "is damaged or no shop book")),
          e);
    }
  }

  private static BookException refused(Backup backup, String why) {
    return new BookException(
        "The backup %s %s: nothing was changed".formatted(backup.file(), why), null);
  }

  /**
   * Puts a backup in the book's place; what was there is kept beside it under a dated name, its
   * journal with it.
   */
  Path restore(Path backup, LocalDateTime now) {
    try {
      var aside = book.resolveSibling(name() + "-replaced-" + STAMP.format(now) + END);
      var fresh = book.resolveSibling(name() + "-restoring" + PASSING);
      Files.copy(backup, fresh, StandardCopyOption.REPLACE_EXISTING);
      sync(fresh);
      var journal = book.resolveSibling(name() + "-journal");
      if (Files.exists(journal)) {
        Files.move(journal, aside.resolveSibling(aside.getFileName() + "-journal"));
      }
      if (Files.exists(book)) {
        Files.move(book, aside, StandardCopyOption.REPLACE_EXISTING);
      }
      Files.move(fresh, book, StandardCopyOption.ATOMIC_MOVE);
      Pictures.bringBack(pictures(), book.resolveSibling("pictures"));
      return aside;
    } catch (IOException e) {
      throw new BookException(
          "The backup " + backup + " can't be put in the place of " + book + ": nothing was lost",
          e);
    }
  }

  /** Puts a backup in the place of a book that is missing or can't be opened. */
  public Path bringBack(Backup backup, LocalDateTime now) {
    verify(backup, Optional.empty());
    try (var _ = BookLock.on(book)) {
      return restore(backup.file(), now);
    }
  }

  static LocalDateTime local(java.time.Instant at) {
    return LocalDateTime.ofInstant(at, ZoneOffset.UTC);
  }
}
