package grandbore.desktop.bench;

import grandbore.core.clearances.Plausibility;
import grandbore.core.clearances.ToDo;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.session.Session;
import java.util.LinkedHashMap;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What cannot be right, and what there is to do, over the whole book. */
final class ToDoView extends VBox {
  private final Session session;
  private final VBox doubts = new VBox(6);
  private final VBox tasks = new VBox(6);

  ToDoView(Session session) {
    super(10);
    this.session = session;
    doubts.setId("todo-doubts");
    tasks.setId("todo-tasks");
    getChildren()
        .addAll(
            Page.part("Cannot be right"),
            doubts,
            Page.part("To do, then measure again"),
            tasks,
            Page.hint(
                "An outlier is found among its brothers by Grubbs' test, one false alarm in a"
                    + " thousand clean sets; the amounts bring a value to the middle of its band,"
                    + " or just past its least."),
            Page.caution(
                "Machining and balancing belong to a qualified shop; the figures of the parts'"
                    + " makers go before common practice."));
    WhenSeen.refresh(
        this,
        this::refresh,
        session.readingsProperty(),
        session.buildProperty(),
        session.notesProperty());
  }

  private void refresh() {
    var ledger = session.ledger();
    var units = session.build().units();
    doubts.getChildren().clear();
    for (var d : Plausibility.of(ledger, units)) {
      String where = d.place() == 0 ? "all" : d.measurement().at(d.place(), d.side());
      var head = words("✕ %s, %s: %s".formatted(d.measurement().label(), where, d.says()));
      head.getStyleClass().add("outside");
      doubts
          .getChildren()
          .add(
              new VBox(
                  1, head, Page.hint("Usual cause: %s. Take %s.".formatted(d.cause(), d.ask()))));
    }
    if (doubts.getChildren().isEmpty()) {
      doubts.getChildren().add(Page.hint("● Nothing in the book contradicts itself."));
    }
    tasks.getChildren().clear();
    Map<String, VBox> groups = new LinkedHashMap<>();
    for (var t : ToDo.of(ledger, units)) {
      var group =
          groups.computeIfAbsent(
              t.measurement().label(),
              label -> {
                var title = words(label);
                title.getStyleClass().add("input-label");
                var box = new VBox(2, title);
                tasks.getChildren().add(box);
                return box;
              });
      var where = words(t.measurement().at(t.place(), t.side()));
      where.setMinWidth(150);
      group.getChildren().add(new HBox(8, words("→"), where, words(t.words())));
    }
    var own = OwnView.tasks(session);
    if (!own.isEmpty()) {
      var title = words("The shop's own");
      title.getStyleClass().add("input-label");
      var box = new VBox(2, title);
      own.forEach(t -> box.getChildren().add(words("→ " + t)));
      tasks.getChildren().add(box);
    }
    if (tasks.getChildren().isEmpty()) {
      tasks.getChildren().add(Page.hint("● All that was read lies inside its band."));
    }
  }

  private static Label words(String text) {
    var label = new Label(text);
    label.setWrapText(true);
    return label;
  }
}
