package grandbore.desktop.controls;

import grandbore.core.combination.Combination;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import javafx.geometry.HPos;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;

/**
 * Inputs in two columns, label before field; those that do not concern this engine are left out.
 */
public final class InputGrid extends GridPane {
  /** The most pairs of name and input beside one another that are read with ease. */
  private static final int MOST = 4;

  private static final double NAME = 116;

  /** A name is broken into lines where it is wider than this, by the room there is. */
  private static final double NARROW = 126;

  private static final double WIDE = 230;
  private static final double FIELD = 148;
  private static final double BETWEEN = 10;

  /** Size of the letters of a name where text is neither large nor for the bench. */
  private static final double USUAL = 13;

  private record Cell(Label label, Node control, Predicate<Combination> concerns) {}

  private final Session session;
  private final int most;
  private int columns;
  private double name = NARROW;
  private final List<Cell> cells = new ArrayList<>();
  private Predicate<Combination> concerns = c -> true;
  private List<Cell> shown = List.of();

  /** As many columns as there is room for. */
  public InputGrid(Session session) {
    this(session, MOST);
  }

  /**
   * @param most columns
   */
  public InputGrid(Session session, int most) {
    this.session = session;
    this.most = most;
    columns = Math.min(2, most);
    getStyleClass().add("input-grid");
    session.buildProperty().subscribe(b -> arrange());
    widthProperty().subscribe(w -> fit(w.doubleValue()));
  }

  /** More columns where there is room, at least two unless one is wanted. */
  private void fit(double width) {
    if (width <= 0) {
      return;
    }
    double letters = letters();
    double each = letters * (NAME + FIELD) + 2 * getHgap() + BETWEEN;
    int room = Math.clamp((int) ((width + getHgap()) / each), Math.min(2, most), most);
    if (room != columns) {
      columns = room;
      shown = List.of();
      arrange();
    }
    double left = width / columns - letters * FIELD - 2 * getHgap() - BETWEEN;
    name = Math.clamp(left, letters * NARROW, letters * WIDE);
    cells.forEach(c -> c.label.setMaxWidth(name));
  }

  /** How large its text is against the usual size. */
  private double letters() {
    return cells.isEmpty() ? 1 : cells.getFirst().label.getFont().getSize() / USUAL;
  }

  /** What is added from here on is shown only where this holds. */
  public InputGrid when(Predicate<Combination> holds) {
    concerns = holds;
    return this;
  }

  /** What is added from here on is always shown. */
  public InputGrid always() {
    return when(c -> true);
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
    var words = new Label(label);
    words.getStyleClass().add("input-label");
    words.setWrapText(true);
    words.setMaxWidth(name);
    GridPane.setValignment(words, VPos.CENTER);
    GridPane.setHalignment(words, HPos.LEFT);
    // Beside the middle of a name of two lines.
    GridPane.setFillHeight(control, false);
    cells.add(new Cell(words, control, concerns));
    if (cells.size() == 1) {
      words.fontProperty().subscribe(f -> fit(getWidth()));
    }
    arrange();
    return this;
  }

  private static ColumnConstraints column(double least) {
    var column = new ColumnConstraints();
    column.setMinWidth(least);
    return column;
  }

  private void arrange() {
    var c = session.build().combination();
    var now = cells.stream().filter(cell -> cell.concerns.test(c)).toList();
    if (now.equals(shown)) {
      return;
    }
    shown = now;
    getChildren().clear();
    getColumnConstraints().clear();
    for (int i = 0; i < columns; i++) {
      getColumnConstraints().addAll(column(NAME), column(FIELD));
    }
    for (int i = 0; i < now.size(); i++) {
      GridPane.setMargin(now.get(i).label, new Insets(0, 0, 0, i % columns * BETWEEN));
      add(now.get(i).label, 2 * (i % columns), i / columns);
      add(now.get(i).control, 2 * (i % columns) + 1, i / columns);
    }
  }
}
