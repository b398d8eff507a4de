package grandbore.desktop.controls;

import grandbore.core.units.UnitSystem;
import grandbore.core.working.Figure;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A line that opens its working. */
public final class FigureRow extends VBox {
  /**
   * A figure with its number.
   *
   * @param open names of the rows that stand open, kept by who shows them
   */
  public FigureRow(Figure f, UnitSystem units, Set<String> open) {
    var mark = new ProvenanceMark();
    mark.show(f.provenance());
    var name = new Label(f.label());
    name.setWrapText(true);
    var space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    var value = new Label(f.quantity().show(f.si(), units));
    value.getStyleClass().add("number");
    value.setId("figure-" + f.name());
    value.setMinWidth(USE_PREF_SIZE);
    build(
        f.name(),
        f.label() + " " + value.getText(),
        "%s%n= %s%n%s".formatted(f.formula(), f.putIn(), f.source()),
        open,
        mark,
        name,
        space,
        value);
  }

  /** A row of other words, its working below. */
  FigureRow(String name, String spoken, String working, Set<String> open, Node... line) {
    build(name, spoken, working, open, line);
  }

  private void build(String name, String spoken, String words, Set<String> open, Node... cells) {
    var line = new HBox(6, cells);
    line.setAlignment(Pos.CENTER_LEFT);
    line.setId("open-" + name);
    line.setAccessibleRole(AccessibleRole.BUTTON);
    line.setAccessibleText(spoken);
    line.setFocusTraversable(true);
    line.getStyleClass().add("figure-button");
    var working = new Label(words);
    working.setId("working-" + name);
    working.setWrapText(true);
    working.getStyleClass().add("working");
    getChildren().add(line);
    if (open.contains(name)) {
      getChildren().add(working);
    }
    Runnable turn =
        () -> {
          if (open.remove(name)) {
            getChildren().remove(working);
          } else {
            open.add(name);
            getChildren().add(working);
          }
        };
    line.setOnMouseClicked(e -> turn.run());
    line.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
            turn.run();
            e.consume();
          }
        });
  }
}
