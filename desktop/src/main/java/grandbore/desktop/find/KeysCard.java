package grandbore.desktop.find;

import java.util.List;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** All keys on one card. */
public final class KeysCard extends VBox {
  private static final int ROWS = 14;

  /** Keys that belong to a part of the window rather than to a command. */
  private static final String[][] WITHIN = {
    {"Enter", "keeps what was typed"},
    {"Escape", "gives the old text back; closes a sheet"},
    {"← →", "the crank by 2° on the long section, with Shift by 10°"},
    {"Space", "runs the crank on the long section, and stops it"},
    {"Tab", "to the next field"}
  };

  /**
   * @param commands those with a key are listed
   * @param close takes the card away
   */
  public KeysCard(List<Command> commands, Runnable close) {
    super(10);
    getStyleClass().addAll("page", "find");
    setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
    var title = new Label("Keys");
    title.getStyleClass().add("page-title");
    var grid = new GridPane(16, 5);
    int at = 0;
    for (var c : commands) {
      if (!c.keyName().isEmpty()) {
        row(grid, at++, c.keyName(), c.title());
      }
    }
    for (var w : WITHIN) {
      row(grid, at++, w[0], w[1]);
    }
    var done = new Button("Close");
    done.setId("keys-close");
    done.setOnAction(e -> close.run());
    getChildren().addAll(title, grid, done);
    Platform.runLater(done::requestFocus);
  }

  private static void row(GridPane grid, int at, String key, String what) {
    var name = new Label(key);
    name.getStyleClass().addAll("number", "key-cap");
    int column = 2 * (at / ROWS);
    grid.add(name, column, at % ROWS);
    grid.add(new Label(what), column + 1, at % ROWS);
  }
}
