package grandbore.desktop;

import grandbore.book.Backups;
import grandbore.book.BookException;
import grandbore.book.BookMissing;
import grandbore.book.ShopBook;
import grandbore.desktop.session.Beginning;
import java.nio.file.Path;
import java.util.Optional;

/** The way into a book: what is found when it is opened. */
sealed interface Door {
  /**
   * A book with a build to put on the bench.
   *
   * @param led whether its builder wants to be led through it
   */
  record Ready(ShopBook book, Beginning beginning, boolean led) implements Door {}

  /** A new book, or one none of whose builds can be opened. */
  record Empty(ShopBook book, String why) implements Door {}

  /** No book that can be used: missing, or damaged. */
  record Shut(Path book, String why, Optional<Backups.Backup> backup, boolean missing)
      implements Door {}

  /** Opens a book; called before there is a window, or off its thread. */
  static Door open(Path path) {
    try {
      return of(ShopBook.open(path));
    } catch (BookMissing e) {
      return new Shut(path, e.getMessage(), Optional.of(e.newest()), true);
    } catch (BookException e) {
      return new Shut(path, e.getMessage(), new Backups(path).newest(), false);
    }
  }

  /** What an open book offers. */
  static Door of(ShopBook book) {
    try {
      return new Ready(book, Beginning.of(book), false);
    } catch (IllegalArgumentException e) {
      return new Empty(book, book.builds().isEmpty() ? "" : String.valueOf(e.getMessage()));
    }
  }

  /** The same, its builder led through the build. */
  static Door led(Door door) {
    return door instanceof Ready r ? new Ready(r.book(), r.beginning(), true) : door;
  }
}
