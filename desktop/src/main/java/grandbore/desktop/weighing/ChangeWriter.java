package grandbore.desktop.weighing;

import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Writes a change: edits of the build are recorded until it is closed with a name and a price. */
final class ChangeWriter extends VBox {
  private final ChangeList list;
  private final Button begin = Page.button("Write a change", "change-begin");
  private final TextField name = new TextField();
  private final TextField price = new TextField();
  private final Refusal refusal = new Refusal();

  ChangeWriter(ChangeList list) {
    super(6);
    this.list = list;
    setId("change-writer");
    begin.setOnAction(
        e -> {
          list.begin();
          show();
        });
    name.setId("change-name");
    name.setPromptText("what it is called");
    name.setAccessibleText("name of the change");
    name.setPrefColumnCount(20);
    price.setId("change-price");
    price.setPromptText("0");
    price.setAccessibleText("price of the change");
    price.setPrefColumnCount(7);
    var close = Page.button("Close the change", "change-close");
    close.setOnAction(e -> close());
    var drop = Page.button("Give it up", "change-drop");
    drop.setOnAction(
        e -> {
          refusal.clear();
          list.giveUp();
          show();
        });
    var row = new FlowPane(8, 4, new Label("name"), name, new Label("price"), price, close, drop);
    row.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            Page.hint(
                "A change is being written: edit the build at any station, then come back and"
                    + " close it. The build then goes back to where it was."),
            row,
            refusal);
    show();
  }

  Button beginButton() {
    return begin;
  }

  void show() {
    begin.setDisable(list.isWriting());
    Page.show(this, list.isWriting());
  }

  private void close() {
    refusal.clear();
    try {
      double money =
          price.getText().isBlank()
              ? 0
              : Entry.parse(price.getText(), Quantity.COST, UnitSystem.METRIC, 0);
      list.close(name.getText().strip(), money);
      name.clear();
      price.clear();
    } catch (IllegalArgumentException e) {
      refusal.say(e.getMessage());
    }
    show();
  }
}
