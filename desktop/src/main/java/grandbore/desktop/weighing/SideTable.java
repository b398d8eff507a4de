package grandbore.desktop.weighing;

import grandbore.desktop.controls.Page;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** A table with a column a build, as wide as each other. */
class SideTable extends VBox {
  /** Share of the width that the names of the rows take. */
  private static final double NAMES = 26;

  private final GridPane grid = new GridPane();
  private final int columns;
  private int row;

  SideTable(String title, List<String> names) {
    super(4);
    columns = names.size();
    grid.getStyleClass().add("side-table");
    width(NAMES);
    names.forEach(n -> width((100 - NAMES) / columns));
    for (int i = 0; i < columns; i++) {
      var head = new Label(names.get(i));
      head.getStyleClass().add("input-label");
      head.setWrapText(true);
      grid.add(head, i + 1, 0);
    }
    row = 1;
    getChildren().addAll(Page.part(title), grid);
  }

  private void width(double percent) {
    var column = new ColumnConstraints();
    column.setPercentWidth(percent);
    grid.getColumnConstraints().add(column);
  }

  /** A row of words. */
  final void line(String name, List<String> words) {
    cells(
        name,
        words.stream()
            .map(
                w -> {
                  Label label = new Label(w);
                  label.setWrapText(true);
                  return (Node) label;
                })
            .toList());
  }

  final void cells(String name, List<Node> cells) {
    var label = new Label(name);
    label.getStyleClass().add("soft");
    label.setWrapText(true);
    grid.add(label, 0, row);
    for (int i = 0; i < cells.size(); i++) {
      grid.add(cells.get(i), i + 1, row);
    }
    row++;
  }

  final void heading(String words) {
    var label = new Label(words);
    label.getStyleClass().add("input-label");
    grid.add(label, 0, row++, columns + 1, 1);
  }
}
