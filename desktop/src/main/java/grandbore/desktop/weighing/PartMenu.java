package grandbore.desktop.weighing;

import grandbore.core.shelf.Part;
import grandbore.core.shelf.PartKind;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;

/** The parts of the shop by their kind, one to be chosen. */
final class PartMenu {
  private PartMenu() {}

  static MenuButton of(PartList parts, Consumer<Part> chosen) {
    return new OfferMenu(
        "ladder-part", "From the shelf", () -> kinds(parts, chosen), "The shelf is empty");
  }

  private static List<MenuItem> kinds(PartList parts, Consumer<Part> chosen) {
    Map<PartKind, MenuItem> kinds = new EnumMap<>(PartKind.class);
    for (var part : parts.offered()) {
      var menu = (Menu) kinds.computeIfAbsent(part.kind(), PartMenu::kind);
      menu.getItems()
          .add(
              OfferMenu.item(
                  "ladder-part-" + part.number(),
                  "%s, %s".formatted(part.name(), part.state().title()),
                  () -> chosen.accept(part)));
    }
    return new ArrayList<>(kinds.values());
  }

  private static Menu kind(PartKind kind) {
    var menu = new Menu(kind.title());
    menu.setId("ladder-part-" + kind);
    return menu;
  }
}
