package grandbore.desktop.controls;

import grandbore.core.beginning.Ordinary;
import grandbore.desktop.session.Session;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The pieces that stations' pages are made of. */
public final class Page {
  private Page() {}

  /** A page: its title, what it is for, its parts. */
  public static VBox of(String title, String hint, Node... parts) {
    var name = new Label(title);
    name.getStyleClass().add("page-title");
    var box = new VBox(10, name, hint(hint));
    box.getChildren().addAll(parts);
    box.getStyleClass().add("page");
    return box;
  }

  /** Words beside the work, soft. */
  public static Label hint(String words) {
    var label = new Label(words);
    label.getStyleClass().add("soft");
    label.setWrapText(true);
    return label;
  }

  /** A field for words, not numbers. */
  public static TextField words(String id, String prompt, int columns) {
    var field = new TextField();
    field.setId(id);
    field.setPromptText(prompt);
    field.setAccessibleText(prompt);
    field.setPrefColumnCount(columns);
    field.getStyleClass().add("words");
    return field;
  }

  /** A button that never gives up its words for room. */
  public static Button button(String words, String id) {
    var button = new Button(words);
    button.setId(id);
    button.setMinWidth(Region.USE_PREF_SIZE);
    return button;
  }

  /** Fields and buttons beside one another, their feet on one line. */
  public static FlowPane row(Node... nodes) {
    var row = new FlowPane(10, 6, nodes);
    row.setRowValignment(VPos.BOTTOM);
    row.setAlignment(Pos.BOTTOM_LEFT);
    return row;
  }

  /** A field under its name. */
  public static VBox named(String words, Node field) {
    var label = new Label(words);
    label.getStyleClass().add("input-label");
    field.setAccessibleText(words);
    return new VBox(1, label, field);
  }

  /** Shows a node, or takes it away with the room it has and the mouse's clicks. */
  public static void show(Node node, boolean is) {
    node.setVisible(is);
    node.setManaged(is);
  }

  public static Label part(String title) {
    var label = new Label(title);
    label.getStyleClass().add("pane-title");
    label.setWrapText(true);
    return label;
  }

  /** Parts that belong together under a title. */
  public static VBox group(String title, Node... parts) {
    var box = new VBox(6, part(title));
    box.getChildren().addAll(parts);
    box.getStyleClass().add("group");
    return box;
  }

  public static Label caution(String words) {
    var label = new Label("⚠  " + words);
    label.getStyleClass().add("caution");
    label.setWrapText(true);
    return label;
  }

  /** A choice that is a component of the combination. */
  public static <T extends Enum<T>> ChoiceField<T> choice(
      Session session, String label, String path, Class<T> type) {
    return new ChoiceField<>(
        session,
        label,
        type.getEnumConstants(),
        Words::of,
        b -> type.cast(b.combination().at(path)),
        (b, v) -> Ordinary.choose(b, path, v));
  }
}
