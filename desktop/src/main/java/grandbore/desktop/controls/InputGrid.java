package grandbore.desktop.controls;

import grandbore.desktop.session.Session;
import javafx.geometry.HPos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;

/** Inputs in two columns, label before field. */
public final class InputGrid extends GridPane {
  private static final int COLUMNS = 2;

  private final Session session;
  private int count;

  public InputGrid(Session session) {
    this.session = session;
    getStyleClass().add("input-grid");
    for (int i = 0; i < COLUMNS; i++) {
      var label = new ColumnConstraints();
      label.setMinWidth(120);
      var field = new ColumnConstraints();
      field.setMinWidth(150);
      getColumnConstraints().addAll(label, field);
    }
  }

  /** Adds inputs by their paths. */
  public InputGrid with(String... paths) {
    for (var path : paths) {
      var field = new InputField(session, path);
      put(field.label(), field);
    }
    return this;
  }

  /** Adds any control under a label. */
  public InputGrid put(String label, Node control) {
    var name = new Label(label);
    name.getStyleClass().add("input-label");
    name.setWrapText(true);
    name.setMaxWidth(130);
    GridPane.setValignment(name, VPos.CENTER);
    GridPane.setHalignment(name, HPos.LEFT);
    add(name, 2 * (count % COLUMNS), count / COLUMNS);
    add(control, 2 * (count % COLUMNS) + 1, count / COLUMNS);
    count++;
    return this;
  }
}
