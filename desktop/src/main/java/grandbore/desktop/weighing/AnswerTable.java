package grandbore.desktop.weighing;

import grandbore.core.asked.Answer;
import grandbore.desktop.controls.Page;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A table of an answer as it was told. */
final class AnswerTable extends VBox {
  AnswerTable(Answer.Table table) {
    super(4);
    var grid = new GridPane();
    grid.getStyleClass().add("side-table");
    for (int k = 0; k < table.columns().size(); k++) {
      var column = new ColumnConstraints();
      column.setHgrow(Priority.SOMETIMES);
      column.setHalignment(k == 0 ? HPos.LEFT : HPos.RIGHT);
      grid.getColumnConstraints().add(column);
      grid.add(label(table.columns().get(k), "input-label"), k, 0);
      for (int i = 0; i < table.rows().size(); i++) {
        grid.add(label(table.rows().get(i).get(k), "number-small"), k, i + 1);
      }
    }
    getChildren().addAll(Page.hint(table.title()), grid);
  }

  private static Label label(String words, String style) {
    var label = new Label(words);
    label.getStyleClass().add(style);
    label.setWrapText(true);
    return label;
  }
}
