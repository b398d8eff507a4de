package grandbore.desktop.weighing;

import grandbore.book.Summary;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.Session;
import java.util.function.Consumer;
import java.util.function.Predicate;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;

/** The other builds of the book, one to be chosen; it comes with its measured values in place. */
final class BuildMenu extends MenuButton {
  private final Session session;
  private final String items;
  private final Predicate<Summary> offered;
  private final Consumer<Session.Over> chosen;
  private final Consumer<String> trouble;

  /**
   * @param items begins the items' ids, which end in the builds' numbers
   * @param offered which of the others
   * @param trouble told why one can't be opened
   */
  BuildMenu(
      Session session,
      String words,
      String id,
      String items,
      Predicate<Summary> offered,
      Consumer<Session.Over> chosen,
      Consumer<String> trouble) {
    super(words);
    this.session = session;
    this.items = items;
    this.offered = offered;
    this.chosen = chosen;
    this.trouble = trouble;
    setId(id);
    setMinWidth(USE_PREF_SIZE);
    setOnShowing(e -> offer());
    // A menu without an item does not open.
    getItems().add(new MenuItem());
  }

  private void offer() {
    getItems().clear();
    for (var b : session.books().builds()) {
      if (b.isSound() && b.id() != session.id() && offered.test(b)) {
        var item = new MenuItem(b.name());
        item.setId(items + b.id());
        item.setOnAction(e -> open(b.id()));
        getItems().add(item);
      }
    }
    if (getItems().isEmpty()) {
      var none = new MenuItem("The book has no other build");
      none.setDisable(true);
      getItems().add(none);
    }
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
