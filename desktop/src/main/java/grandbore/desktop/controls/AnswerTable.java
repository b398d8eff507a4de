package grandbore.desktop.controls;

import grandbore.core.asked.Answer;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A table of an answer as it was told. */
public final class AnswerTable extends VBox {
  /** A cell of more signs is words. */
  private static final int LONG = 22;

  /** Signs of a line of a head. */
  private static final int HEAD = 16;

  public AnswerTable(Answer.Table table) {
    super(4);
    var grid = new GridPane();
    grid.getStyleClass().add("side-table");
    for (int k = 0; k < table.columns().size(); k++) {
      int at = k;
      boolean isWords = table.rows().stream().anyMatch(r -> r.get(at).length() > LONG);
      var column = new ColumnConstraints();
      column.setHgrow(isWords ? Priority.ALWAYS : Priority.SOMETIMES);
      column.setHalignment(k == 0 || isWords ? HPos.LEFT : HPos.RIGHT);
      grid.getColumnConstraints().add(column);
      String head = table.columns().get(k);
      grid.add(label(isWords ? head : broken(head), "input-label", isWords), k, 0);
      for (int i = 0; i < table.rows().size(); i++) {
        grid.add(label(table.rows().get(i).get(k), "number-small", isWords), k, i + 1);
      }
    }
    getChildren().addAll(Page.hint(table.title()), grid);
  }

  /** In lines that are little wider than a number. */
  private static String broken(String head) {
    var lines = new StringBuilder();
    int line = 0;
    for (var word : head.split(" ", -1)) {
      boolean fits = line + word.length() < HEAD;
      lines.append(line == 0 ? "" : fits ? " " : "\n").append(word);
      line = fits ? line + word.length() + 1 : word.length();
    }
    return lines.toString();
  }

  /** Numbers keep their width; words are broken into lines. */
  private static Label label(String words, String style, boolean wraps) {
    var label = new Label(words);
    label.getStyleClass().add(style);
    label.setWrapText(wraps);
    label.setMinWidth(wraps ? 0 : USE_PREF_SIZE);
    return label;
  }
}
