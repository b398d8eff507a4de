package grandbore.desktop.session;

import grandbore.book.Opened;
import grandbore.book.ShopBook;
import grandbore.book.Summary;
import java.util.Comparator;
import java.util.List;

/** What is needed to begin, read before there is a window: a build to open, and the list. */
public record Beginning(Opened opened, List<Summary> builds) {
  /**
   * Opens the build that was touched last and can be opened.
   *
   * @throws IllegalArgumentException where none of the book's builds can be opened
   */
  public static Beginning of(ShopBook book) {
    var builds = book.builds();
    var inTurn =
        builds.stream()
            .filter(b -> b.place() == Summary.Place.BENCH)
            .sorted(
                Comparator.comparing(Summary::isSound).thenComparing(Summary::touched).reversed())
            .toList();
    IllegalArgumentException last = null;
    for (var b : inTurn.isEmpty() ? builds : inTurn) {
      try {
        return new Beginning(book.open(b.id()), builds);
      } catch (IllegalArgumentException e) {
        last = e;
      }
    }
    throw last == null ? new IllegalArgumentException("The book holds no build") : last;
  }
}
