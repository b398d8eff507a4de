package grandbore.desktop.weighing;

import grandbore.core.changes.Cost;
import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import java.util.Arrays;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
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
  private final TextField price = number("change-price", "price of the change");
  private final TextField labour = number("change-labour", "outside labour of the change");
  private final TextField hours = number("change-hours", "hours of work of the change");
  private final TextField supplier = Page.words("change-supplier", "who supplies it", 12);
  private final TextField needs =
      Page.words("change-needs", "what it needs beside it, apart by ;", 22);
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
    var close = Page.button("Close the change", "change-close");
    close.setOnAction(e -> close());
    var drop = Page.button("Give it up", "change-drop");
    drop.setOnAction(
        e -> {
          refusal.clear();
          list.giveUp();
          show();
        });
    var row =
        row(new Label("name"), name, new Label("supplier"), supplier, new Label("needs"), needs);
    var sums =
        row(
            new Label("price"),
            price,
            new Label("labour"),
            labour,
            new Label("hours"),
            hours,
            close,
            drop);
    getChildren()
        .addAll(
            Page.hint(
                "A change is being written: edit the build at any station, then come back and"
                    + " close it. The build then goes back to where it was."),
            row,
            sums,
            refusal);
    show();
  }

  private static TextField number(String id, String words) {
    var field = new TextField();
    field.setId(id);
    field.setPromptText("0");
    field.setAccessibleText(words);
    field.setPrefColumnCount(7);
    return field;
  }

  private static FlowPane row(Node... parts) {
    var row = new FlowPane(8, 4, parts);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private static double said(TextField field) {
    return field.getText().isBlank()
        ? 0
        : Entry.parse(field.getText(), Quantity.COST, UnitSystem.METRIC, 0);
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
      list.close(
          name.getText().strip(),
          new Cost(said(price), said(labour), said(hours)),
          supplier.getText().strip(),
          Arrays.stream(needs.getText().split(";", -1))
              .map(String::strip)
              .filter(n -> !n.isEmpty())
              .toList());
      List.of(name, price, labour, hours, supplier, needs).forEach(TextField::clear);
    } catch (IllegalArgumentException e) {
      refusal.say(e.getMessage());
    }
    show();
  }
}
