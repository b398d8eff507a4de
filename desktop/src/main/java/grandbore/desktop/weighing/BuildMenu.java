package grandbore.desktop.weighing;

import grandbore.book.Summary;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Predicate;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;

/** The other builds of the book, one to be chosen; it comes with its measured values in place. */
final class BuildMenu {
  private final Session session;
  private final String items;
  private final Predicate<Summary> offered;
  private final Consumer<Session.Over> chosen;
  private final Consumer<String> trouble;

  private BuildMenu(
      Session session,
      String items,
      Predicate<Summary> offered,
      Consumer<Session.Over> chosen,
      Consumer<String> trouble) {
    this.session = session;
    this.items = items;
    this.offered = offered;
    this.chosen = chosen;
    this.trouble = trouble;
  }

  /**
   * Of a session's book.
   *
   * @param items begins the items' ids, which end in the builds' numbers
   * @param offered which of the others
   * @param trouble told why one can't be opened
   */
  static MenuButton of(
      Session session,
      String words,
      String id,
      String items,
      Predicate<Summary> offered,
      Consumer<Session.Over> chosen,
      Consumer<String> trouble) {
    var menu = new BuildMenu(session, items, offered, chosen, trouble);
    return new OfferMenu(id, words, menu::items, "The book has no other build");
  }

  private List<MenuItem> items() {
    return session.books().builds().stream()
        .filter(b -> b.isSound() && b.id() != session.id() && offered.test(b))
        .map(b -> OfferMenu.item(items + b.id(), b.name(), () -> open(b.id())))
        .toList();
  }

  private void open(long build) {
    var _ =
        session
            .books()
            .other(build)
            .whenComplete(
                (is, wrong) -> {
                  if (wrong != null) {
                    trouble.accept(Books.words(wrong));
                  } else {
                    chosen.accept(is);
                  }
                });
  }
}
