package grandbore.desktop.weighing;

import java.util.List;
import java.util.function.Supplier;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;

/** A menu that is filled when it is opened; where nothing is offered it says so. */
final class OfferMenu extends MenuButton {
  /**
   * @param offered the items now; an {@link IllegalArgumentException} says why there are none
   * @param none what is said where there is no item
   */
  OfferMenu(String id, String words, Supplier<List<MenuItem>> offered, String none) {
    super(words);
    setId(id);
    setMinWidth(USE_PREF_SIZE);
    setOnShowing(e -> fill(offered, none));
    // A menu without an item does not open.
    getItems().add(new MenuItem());
  }

  private void fill(Supplier<List<MenuItem>> offered, String none) {
    String words = none;
    try {
      getItems().setAll(offered.get());
    } catch (IllegalArgumentException e) {
      getItems().clear();
      words = e.getMessage();
    }
    if (getItems().isEmpty()) {
      var item = new MenuItem(words);
      item.setDisable(true);
      getItems().add(item);
    }
  }

  static MenuItem item(String id, String words, Runnable chosen) {
    var item = new MenuItem(words);
    item.setId(id);
    item.setOnAction(e -> chosen.run());
    return item;
  }
}
