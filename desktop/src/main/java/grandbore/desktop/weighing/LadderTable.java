package grandbore.desktop.weighing;

import grandbore.core.changes.Change;
import grandbore.core.changes.Plan;
import grandbore.core.studies.Ladder;
import grandbore.core.studies.Repeatability;
import grandbore.core.units.Measure;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javafx.css.PseudoClass;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/**
 * The rungs of a ladder: each change with what it costs and what it gives, dragged into order, with
 * a subtotal of each stage.
 */
final class LadderTable extends GridPane {
  private static final PseudoClass DRAGGED = PseudoClass.getPseudoClass("dragged");
  private static final PseudoClass ABOVE = PseudoClass.getPseudoClass("above");

  /** Column of the other engine. */
  private static final int OTHER = 7;

  /**
   * Of the button that ends a stage, whatever it says, so that those beside it stand in line, px.
   */
  private static final double STAGE = 52;

  private final ChangeList list;
  private final Measure power;
  private final List<Change> changes;
  private final List<Plan.Stage> stages;
  private final boolean beside;

  /** The place of the rung that is dragged. */
  private int dragged;

  /**
   * What is told by column of each rung, then of each stage where there are several, then of all.
   */
  private final Label[][] numbers;

  /**
   * @param otherName the other engine's; empty for none
   */
  LadderTable(ChangeList list, Plan plan, String otherName, Measure power) {
    this.list = list;
    this.power = power;
    changes = plan.changes();
    stages = plan.stages().isEmpty() ? List.of() : plan.parts();
    beside = !otherName.isEmpty();
    numbers = new Label[changes.size() + stages.size() + 1][OTHER + 1];
    setId("ladder-table");
    getStyleClass().add("side-table");
    setHgap(12);
    columns(beside);
    String unit = power.symbol();
    head(0, "Change");
    head(1, "Money");
    head(2, "Alone,\n" + unit);
    head(3, "Step,\n" + unit);
    head(4, "So far,\n" + unit);
    head(5, "Left out,\n" + unit);
    head(6, "Money\na " + unit);
    if (beside) {
      head(OTHER, "Step on " + otherName);
    }
    for (int i = 0; i < changes.size(); i++) {
      add(name(i, changes.get(i), changes.size()), 0, line(i));
      add(buttons(i, changes.size()), beside ? OTHER + 1 : OTHER, line(i));
      for (int column = 1; column < (beside ? OTHER + 1 : OTHER); column++) {
        number(i, column, line(i));
      }
      say(i, 1, "%,.0f".formatted(money(i, i + 1)));
    }
    for (int k = 0; k < stages.size(); k++) {
      stage(k);
    }
    total();
  }

  /** Fills in what was run so far; the rows stay where they are, so that no click is lost. */
  void fill(Optional<Ladder> ladder, Optional<Ladder> other) {
    for (int i = 0; i < changes.size(); i++) {
      int at = i;
      ladder.ifPresent(l -> row(at, l));
      other.ifPresent(o -> say(at, OTHER, gain(o.step(at), o.power(Set.of()))));
    }
    ladder.ifPresent(this::fillTotal);
  }

  /** The line of a rung: below it stand the subtotals of the stages that ended before it. */
  private int line(int place) {
    return 1 + place + (int) stages.stream().filter(s -> s.to() <= place).count();
  }

  private void stage(int k) {
    var stage = stages.get(k);
    int at = changes.size() + k;
    int line = line(stage.to() - 1) + 1;
    summed("Stage %d".formatted(k + 1), line);
    for (int column : new int[] {1, 3, 4, 6}) {
      number(at, column, line);
    }
    say(at, 1, "%,.0f".formatted(money(stage.from(), stage.to())));
  }

  private void summed(String words, int line) {
    var label = new Label(words);
    label.getStyleClass().add("subtotal");
    add(label, 0, line);
  }

  private void columns(boolean other) {
    for (int i = 0; i < (other ? 9 : 8); i++) {
      var c = new ColumnConstraints();
      if (i == 0) {
        c.setHgrow(Priority.ALWAYS);
        c.setMinWidth(150);
      } else {
        c.setHalignment(HPos.RIGHT);
      }
      getColumnConstraints().add(c);
    }
  }

  private void head(int column, String words) {
    var label = new Label(words);
    label.getStyleClass().add("input-label");
    if (column == OTHER) {
      label.setWrapText(true);
      label.setMaxWidth(110);
    } else {
      label.setMinWidth(Region.USE_PREF_SIZE);
    }
    add(label, column, 0);
  }

  private void row(int i, Ladder l) {
    double base = l.power(Set.of());
    var alone = l.rungs().get(Set.of(i));
    if (alone != null && !alone.refused().isEmpty()) {
      for (int column = 2; column < OTHER; column++) {
        say(i, column, column == 2 ? "does not fit" : "–");
      }
      numbers[i][2].setTooltip(new Tooltip(alone.refused()));
      return;
    }
    say(i, 2, gain(l.alone(i), base));
    say(i, 3, gain(l.step(i), base));
    say(i, 4, gain(l.upTo(i), base));
    say(i, 5, gain(l.leftOut(i), base));
    say(i, 6, each(changes.get(i).cost().money(), l.step(i), base));
  }

  private Node name(int i, Change change, int of) {
    var name = new Label("%d  %s".formatted(i + 1, change.name()));
    name.setId("rung-" + (i + 1));
    name.setWrapText(true);
    name.getStyleClass().add("rung");
    String needs =
        change.needs().isEmpty() ? "" : "\nNeeds beside it: " + String.join(", ", change.needs());
    name.setTooltip(
        new Tooltip("Drag it to another rung, or move it with Alt and the arrow keys." + needs));
    // A quick drag is told to the rung that it has reached: it was taken where it was pressed.
    name.setOnMousePressed(e -> dragged = i);
    name.setOnDragDetected(
        e -> {
          name.startFullDrag();
          name.pseudoClassStateChanged(DRAGGED, true);
          e.consume();
        });
    name.setOnMouseDragEntered(e -> name.pseudoClassStateChanged(ABOVE, true));
    name.setOnMouseDragExited(e -> name.pseudoClassStateChanged(ABOVE, false));
    name.setOnMouseDragReleased(e -> list.move(dragged, i));
    name.setOnMouseReleased(e -> name.pseudoClassStateChanged(DRAGGED, false));
    name.setFocusTraversable(true);
    name.setOnKeyPressed(
        e -> {
          int by =
              switch (e.getCode()) {
                case UP -> -1;
                case DOWN -> 1;
                default -> 0;
              };
          if (e.isAltDown() && by != 0 && i + by >= 0 && i + by < of) {
            list.move(i, i + by);
            e.consume();
          }
        });
    return name;
  }

  private Node buttons(int i, int of) {
    var up = small("▲", "rung-up-" + (i + 1), "Move it up a rung", () -> list.move(i, i - 1));
    var down = small("▼", "rung-down-" + (i + 1), "Move it down a rung", () -> list.move(i, i + 1));
    up.setDisable(i == 0);
    down.setDisable(i == of - 1);
    boolean ends = stages.stream().anyMatch(s -> s.to() == i + 1);
    var stage =
        small(
            ends ? "join" : "stage",
            "rung-stage-" + (i + 1),
            ends ? "No stage ends here" : "A stage ends here, with a subtotal",
            () -> list.stage(i));
    stage.setMinWidth(STAGE);
    stage.setVisible(i < of - 1);
    var make =
        small("Make it", "rung-make-" + (i + 1), "Make it on this build", () -> list.make(i));
    var away = small("×", "rung-away-" + (i + 1), "Take it off the ladder", () -> list.remove(i));
    var all = new HBox(2, up, down, stage, make, away);
    all.setAlignment(Pos.CENTER_RIGHT);
    return all;
  }

  private static Button small(String words, String id, String says, Runnable does) {
    var button = new Button(words);
    button.setId(id);
    button.getStyleClass().addAll("flat", "small");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setTooltip(new Tooltip(says));
    button.setAccessibleText(says);
    button.setOnAction(e -> does.run());
    return button;
  }

  private void total() {
    int at = changes.size() + stages.size();
    summed("All of it", at + 1);
    for (int column : new int[] {1, 4, 6}) {
      number(at, column, at + 1);
    }
    say(at, 1, "%,.0f".formatted(money(0, changes.size())));
  }

  private double money(int from, int to) {
    return changes.subList(from, to).stream().mapToDouble(c -> c.cost().money()).sum();
  }

  private void fillTotal(Ladder l) {
    double base = l.power(Set.of());
    for (int k = 0; k < stages.size(); k++) {
      var stage = stages.get(k);
      int at = changes.size() + k;
      double gain = l.stage(stage.from(), stage.to());
      say(at, 3, gain(gain, base));
      say(at, 4, gain(l.upTo(stage.to() - 1), base));
      say(at, 6, each(money(stage.from(), stage.to()), gain, base));
    }
    int at = changes.size() + stages.size();
    double gain = l.upTo(changes.size() - 1);
    say(at, 4, gain(gain, base));
    say(at, 6, each(money(0, changes.size()), gain, base));
  }

  private void number(int row, int column, int line) {
    var label = new Label();
    label.getStyleClass().add("number-small");
    if (row >= changes.size()) {
      label.getStyleClass().add("subtotal");
    }
    label.setMinWidth(Region.USE_PREF_SIZE);
    numbers[row][column] = label;
    add(label, column, line);
  }

  private void say(int row, int column, String words) {
    if (numbers[row][column] != null) {
      numbers[row][column].setText(words);
    }
  }

  private String gain(double watts, double base) {
    return Double.isNaN(watts)
        ? "–"
        : Repeatability.tells(watts, base)
            ? String.format(Locale.US, "%+.1f", power.fromSi(watts))
            : "none";
  }

  /** What one more costs; none where there is no gain that can be told. */
  private String each(double money, double watts, double base) {
    return watts > 0 && Repeatability.tells(watts, base)
        ? String.format(Locale.US, "%,.0f", money / power.fromSi(watts))
        : "–";
  }
}
