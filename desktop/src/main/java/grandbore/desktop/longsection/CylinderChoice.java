package grandbore.desktop.longsection;

import grandbore.core.combination.Combination;
import grandbore.desktop.controls.Page;
import java.util.List;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;

/** Which cylinder is seen: chosen from the firing order, or gone through by key. */
final class CylinderChoice extends MenuButton {
  private final IntegerProperty place = new SimpleIntegerProperty();
  private List<Integer> order = List.of();

  CylinderChoice() {
    setId("section-cylinder");
    getStyleClass().add("small");
    setMinWidth(USE_PREF_SIZE);
    place.subscribe(p -> name());
  }

  /** The chosen place in the firing order, from 0. */
  IntegerProperty placeProperty() {
    return place;
  }

  /** An engine's firing order is chosen from. */
  void of(Combination c) {
    if (!c.bottomEnd().firingOrder().equals(order)) {
      order = c.bottomEnd().firingOrder();
      getItems().setAll(order.stream().map(this::item).toList());
      place.set(Math.min(place.get(), order.size() - 1));
      name();
      Page.show(this, order.size() > 1);
    }
  }

  private MenuItem item(int cylinder) {
    var item = new MenuItem("Cylinder " + cylinder);
    item.setId("section-cylinder-" + cylinder);
    item.setOnAction(e -> place.set(order.indexOf(cylinder)));
    return item;
  }

  private void name() {
    if (!order.isEmpty()) {
      setText("Cylinder " + order.get(place.get()));
    }
  }

  /** Goes on in the firing order. */
  void go(int by) {
    place.set(Math.floorMod(place.get() + by, Math.max(1, order.size())));
  }

  /** Of an engine: with fewer cylinders the last to fire. */
  int cylinder(Combination c) {
    var fires = c.bottomEnd().firingOrder();
    return fires.get(Math.min(place.get(), fires.size() - 1));
  }
}
