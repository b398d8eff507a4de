package grandbore.desktop;

import grandbore.desktop.controls.InputField;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.ContextMenuEvent;

/** The menu of every input: to sweep it from where it stands, the usual one, what a text has. */
final class InputMenu {
  private final Guide guide;
  private ContextMenu shown;

  private InputMenu(Guide guide) {
    this.guide = guide;
  }

  /** Gives all inputs of a window their menu. */
  static void on(Scene scene, Guide guide) {
    var menu = new InputMenu(guide);
    scene.addEventFilter(ContextMenuEvent.CONTEXT_MENU_REQUESTED, menu::asked);
  }

  private void asked(ContextMenuEvent e) {
    for (Node n = (Node) e.getTarget(); n != null; n = n.getParent()) {
      if (n instanceof InputField input) {
        show(input, e);
        e.consume();
        return;
      }
    }
  }

  private void show(InputField input, ContextMenuEvent e) {
    if (shown != null) {
      shown.hide();
    }
    shown = new ContextMenu(item("Sweep this input", "input-sweep", () -> guide.toSweep(input)));
    input
        .usual()
        .ifPresent(
            u ->
                shown.getItems().add(item("Take the usual " + u, "input-usual", input::takeUsual)));
    var text = input.lookup("#" + input.path().replace('.', '-') + "-text");
    if (text instanceof TextInputControl words) {
      shown
          .getItems()
          .addAll(
              new SeparatorMenuItem(),
              item("Copy", "input-copy", words::copy),
              item("Paste", "input-paste", words::paste));
    }
    shown.show(input, e.getScreenX(), e.getScreenY());
  }

  private static MenuItem item(String name, String id, Runnable does) {
    var item = new MenuItem(name);
    item.setId(id);
    item.setOnAction(e -> does.run());
    return item;
  }
}
