package grandbore.desktop.job;

import grandbore.core.job.Route;
import grandbore.core.job.Route.State;
import grandbore.desktop.controls.Page;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The steps by how they stand: to do again and now, away, waiting, done. */
final class StepBoard extends GridPane {
  private final Consumer<String> chosen;

  StepBoard(Consumer<String> chosen) {
    this.chosen = chosen;
    setId("job-board");
    setHgap(10);
    for (int i = 0; i < 4; i++) {
      var column = new ColumnConstraints();
      column.setPercentWidth(25);
      column.setHgrow(Priority.ALWAYS);
      getColumnConstraints().add(column);
    }
  }

  void show(Route route) {
    getChildren().clear();
    add(column("Now", route.now(), false), 0, 0);
    add(column("Away", of(route, State.AWAY), true), 1, 0);
    add(column("Waits", of(route, State.WAITS), true), 2, 0);
    add(column("Done", of(route, State.DONE), false), 3, 0);
  }

  private static List<Route.Planned> of(Route route, State state) {
    return route.steps().stream().filter(p -> p.state() == state).toList();
  }

  private VBox column(String title, List<Route.Planned> steps, boolean why) {
    var box = new VBox(6, Page.part("%s, %d".formatted(title, steps.size())));
    for (var p : steps) {
      String words = TimeChart.mark(p) + " " + p.step().title();
      Optional<String> first = why ? p.waits().stream().findFirst() : Optional.empty();
      var card = new Button(first.map(f -> words + "\n" + f).orElse(words));
      card.setId("board-" + p.step().id());
      card.setWrapText(true);
      card.setMaxWidth(Double.MAX_VALUE);
      card.setMinHeight(USE_PREF_SIZE);
      card.getStyleClass().add("step");
      card.setOnAction(e -> chosen.accept(p.step().id()));
      box.getChildren().add(card);
    }
    return box;
  }
}
