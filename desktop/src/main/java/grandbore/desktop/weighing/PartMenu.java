package grandbore.desktop.weighing;

import grandbore.core.combination.InvalidInput;
import grandbore.core.shelf.Part;
import java.util.function.Consumer;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;

/** The parts of the shop by their kind, one to be chosen. */
final class PartMenu extends MenuButton {
  private final PartList parts;
  private final Consumer<Part> chosen;

  PartMenu(PartList parts, Consumer<Part> chosen) {
    super("From the shelf");
    this.parts = parts;
    this.chosen = chosen;
    setId("ladder-part");
    setMinWidth(USE_PREF_SIZE);
    setOnShowing(e -> offer());
    // A menu without an item does not open.
    getItems().add(new MenuItem());
  }

  private void offer() {
    getItems().clear();
    try {
      for (var part : parts.offered()) {
        kind(part).getItems().add(item(part));
      }
    } catch (grandbore.book.FormatException | InvalidInput e) {
      getItems().setAll(none("The shelf can't be read: " + e.getMessage()));
    }
    if (getItems().isEmpty()) {
      getItems().add(none("The shelf is empty"));
    }
  }

  private Menu kind(Part part) {
    String title = part.kind().title();
    return getItems().stream()
        .filter(m -> m.getText().equals(title))
        .map(Menu.class::cast)
        .findFirst()
        .orElseGet(
            () -> {
              var menu = new Menu(title);
              menu.setId("ladder-part-" + part.kind());
              getItems().add(menu);
              return menu;
            });
  }

  private MenuItem item(Part part) {
    var item = new MenuItem("%s, %s".formatted(part.name(), part.state().title()));
    item.setId("ladder-part-" + part.number());
    item.setOnAction(e -> chosen.accept(part));
    return item;
  }

  private static MenuItem none(String words) {
    var item = new MenuItem(words);
    item.setDisable(true);
    return item;
  }
}
