package grandbore.desktop.find;

import java.util.List;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The field that finds anything, and what it has found. */
public final class FindSheet extends VBox {
  private static final double WIDTH = 760;
  private static final double HEIGHT = 520;

  private final TextField typed = new TextField();
  private final ListView<Target> found = new ListView<>();
  private final Runnable close;
  private List<Target> all = List.of();

  /**
   * @param close takes the sheet away
   */
  public FindSheet(Runnable close) {
    super(8);
    this.close = close;
    getStyleClass().addAll("page", "find");
    setMaxSize(WIDTH, HEIGHT);
    typed.setId("find-text");
    typed.setPromptText("deck, rod bolt, lash, spark, theme …");
    typed.setAccessibleText("find an input, figure, reading, view or command");
    typed.getStyleClass().addAll("words", "find-text");
    found.setId("find-list");
    found.setAccessibleText("found");
    found.setCellFactory(l -> new TargetCell());
    found.setPlaceholder(new Label("Type the beginning of a name."));
    found.setFocusTraversable(false);
    VBox.setVgrow(found, Priority.ALWAYS);
    var hint =
        new Label("Enter goes there and puts the cursor in it; Escape leaves all as it was.");
    hint.getStyleClass().add("soft");
    getChildren().addAll(typed, found, hint);
    typed.textProperty().subscribe(this::find);
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    found.setOnMouseClicked(
        e -> {
          if (found.getSelectionModel().getSelectedItem() != null) {
            go();
          }
        });
  }

  /** Begins anew among what can be found now. */
  public void begin(Supplier<List<Target>> targets) {
    all = targets.get();
    typed.clear();
    Platform.runLater(typed::requestFocus);
  }

  private void find(String words) {
    found.getItems().setAll(Matches.of(all, words));
    if (!found.getItems().isEmpty()) {
      found.getSelectionModel().select(0);
      found.scrollTo(0);
    }
    var none =
        new Label(words.isBlank() ? "Type the beginning of a name." : "Nothing is called so.");
    none.getStyleClass().add("soft");
    found.setPlaceholder(none);
  }

  private void key(KeyEvent e) {
    var chosen = found.getSelectionModel();
    KeyCode code = e.getCode();
    switch (code) {
      case ESCAPE -> close.run();
      case ENTER -> go();
      case DOWN ->
          chosen.select(Math.min(found.getItems().size() - 1, chosen.getSelectedIndex() + 1));
      case UP -> chosen.select(Math.max(0, chosen.getSelectedIndex() - 1));
      default -> {
        return;
      }
    }
    found.scrollTo(Math.max(0, chosen.getSelectedIndex() - 4));
    e.consume();
  }

  private void go() {
    var target = found.getSelectionModel().getSelectedItem();
    if (target != null) {
      close.run();
      Platform.runLater(target.go());
    }
  }

  /** A line: what it is, its name and place, its value, its keys. */
  private static final class TargetCell extends ListCell<Target> {
    @Override
    protected void updateItem(Target t, boolean empty) {
      super.updateItem(t, empty);
      setText(null);
      if (empty || t == null) {
        setGraphic(null);
        return;
      }
      var kind = label(t.kind().word(), "soft");
      kind.setMinWidth(64);
      var title = new Label(t.title());
      var where = label(t.where(), "soft");
      var space = new Region();
      HBox.setHgrow(space, Priority.ALWAYS);
      var value = label(t.value(), "number");
      value.setMinWidth(USE_PREF_SIZE);
      var keys = label(t.key(), "soft");
      var line = new HBox(10, kind, title, where, space, value, keys);
      line.setAlignment(Pos.BASELINE_LEFT);
      setGraphic(line);
      setAccessibleText("%s %s, %s %s".formatted(t.kind().word(), t.title(), t.where(), t.value()));
    }

    private static Label label(String words, String style) {
      var label = new Label(words);
      label.getStyleClass().add(style);
      return label;
    }
  }
}
