package grandbore.desktop.bench;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Measurement.Group;
import grandbore.desktop.drawing.Pen;
import grandbore.desktop.look.Look;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.Pane;

/**
 * A small engine with its parts called out: a part is chosen, and with it what is measured on it.
 */
final class PartsChooser extends Pane {

  /** Room for the names at the usual size of text. */
  private static final double LETTERS = 162;

  private static final double ROW = 25;
  private static final double HEIGHT = 6 * ROW + 8;
  private static final double NAMES = 74;
  private static final double AXIS = 36;

  /** Where each part lies on the drawing, from the top down. */
  private static final Map<Group, double[]> AT =
      new EnumMap<>(
          Map.of(
              Group.GEAR, new double[] {10, 20},
              Group.VALVES, new double[] {AXIS + 10, 24},
              Group.DECKS, new double[] {AXIS + 18, 54},
              Group.PISTONS, new double[] {AXIS + 14, 82},
              Group.ENDS, new double[] {AXIS + 14, 126},
              Group.TESTS, new double[] {AXIS + 26, 148}));

  private final Look look;
  private final Canvas canvas = new Canvas(NAMES, HEIGHT);
  private final Map<Group, ToggleButton> buttons = new EnumMap<>(Group.class);

  /**
   * @param chosen told the part
   */
  PartsChooser(Look look, Consumer<Group> chosen) {
    this.look = look;
    getStyleClass().addAll("parts-chooser");
    setMinHeight(HEIGHT);
    setPrefHeight(HEIGHT);
    setMaxHeight(HEIGHT);
    getChildren().add(canvas);
    var toggles = new ToggleGroup();
    int row = 0;
    for (var g :
        new Group[] {
          Group.GEAR, Group.VALVES, Group.DECKS, Group.PISTONS, Group.ENDS, Group.TESTS
        }) {
      var button = new ToggleButton(g.label());
      button.setId("group-" + g.name().toLowerCase(Locale.ROOT));
      button.getStyleClass().addAll("call-out", "small");
      button.setToggleGroup(toggles);
      button.setOnAction(
          e -> {
            button.setSelected(true);
            chosen.accept(g);
          });
      button.setLayoutX(NAMES);
      button.setLayoutY(4 + ROW * row++);
      // Its words take what room they need in letters of this size.
      button.prefWidthProperty().bind(widthProperty().subtract(NAMES));
      buttons.put(g, button);
      getChildren().add(button);
    }
    look.drawn(
        () -> {
          double wide = NAMES + LETTERS * look.text();
          setMinWidth(wide);
          setPrefWidth(wide);
          setMaxWidth(wide);
          draw();
        });
  }

  void show(Measurement m) {
    buttons.get(m.group()).setSelected(true);
    draw();
  }

  private void draw() {
    var g = canvas.getGraphicsContext2D();
    g.clearRect(0, 0, NAMES, HEIGHT);
    var p = look.palette();
    var pen = new Pen(g, look);
    pen.axis(AXIS, 4, AXIS, HEIGHT - 2);
    pen.cut(AXIS - 24, 58, 7, 58);
    pen.cut(AXIS + 17, 58, 7, 58);
    pen.cut(AXIS - 24, 36, 48, 21);
    pen.outline(p.panel(), AXIS - 12, 57, AXIS - 8, 47, AXIS + 8, 47, AXIS + 12, 57);
    for (int side = -1; side <= 1; side += 2) {
      pen.line(p.ink(), 1.6, AXIS + 7.0 * side, 12, AXIS + 7.0 * side, 46);
      pen.line(p.ink(), 2, AXIS + 7.0 * side - 5, 47, AXIS + 7.0 * side + 5, 47);
    }
    pen.circle(p.metal(), 10, 20, 6);
    pen.box(p.metal(), AXIS - 16, 68, 32, 24);
    pen.line(p.ink(), 1, AXIS - 16, 73, AXIS + 16, 73);
    pen.line(p.ink(), 1, AXIS - 16, 77, AXIS + 16, 77);
    pen.line(p.ink(), 3, AXIS, 84, AXIS + 10, 122);
    pen.faint(AXIS, 130, 20);
    pen.circle(p.metal(), AXIS, 130, 8);
    pen.circle(p.metal(), AXIS + 10, 122, 6);
    buttons.forEach(
        (group, button) -> {
          var at = AT.get(group);
          double y = button.getLayoutY() + 11;
          var color = button.isSelected() ? p.dye() : p.soft();
          pen.line(color, button.isSelected() ? 1.6 : 0.8, at[0], at[1], NAMES - 2, y);
          pen.dot(color, at[0], at[1], 2.4);
        });
  }
}
