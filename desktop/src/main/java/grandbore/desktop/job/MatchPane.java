package grandbore.desktop.job;

import grandbore.book.JobJson;
import grandbore.core.asked.Answer;
import grandbore.core.job.Places;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.Matching;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.AnswerTable;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Which piston, pin and rod goes to which cylinder, and what that evens. */
final class MatchPane extends VBox {
  private final JobState state;
  private final Label says = Page.hint("");
  private final VBox table = new VBox();
  private final Button set = Page.button("Put them there", "match-set");
  private Matching.Matched found;

  MatchPane(JobState state) {
    super(8);
    this.state = state;
    setId("match-pane");
    says.setId("match-says");
    var goals = new FlowPane(6, 6);
    for (var goal : Matching.Goal.values()) {
      var button = Page.button("Even " + goal.title(), "match-" + goal);
      button.setOnAction(e -> match(goal));
      goals.getChildren().add(button);
    }
    goals.getChildren().add(set);
    set.setOnAction(e -> put());
    Page.show(set, false);
    getChildren().addAll(Page.part("Which goes where"), goals, says, table);
  }

  private static Quantity quantity(Matching.Goal goal) {
    return switch (goal) {
      case WEIGHT -> Quantity.MASS;
      case DECK -> Quantity.CLEARANCE;
      case COMPRESSION, BANKS -> Quantity.VOLUME;
    };
  }

  private void match(Matching.Goal goal) {
    var build = state.session().build();
    var items = state.job().items();
    Optional<Matching.Matched> matched =
        Places.matched(build, state.session().readings().all(), items, goal);
    table.getChildren().clear();
    Page.show(set, matched.isPresent());
    found = matched.orElse(null);
    if (matched.isEmpty()) {
      says.setText(
          switch (goal) {
            case WEIGHT ->
                "○ It takes weights of as many pistons and pins, or small ends of rods, as there"
                    + " are cylinders.";
            case DECK, COMPRESSION ->
                "○ It takes pin to crown of as many pistons, or lengths of as many rods, as there"
                    + " are cylinders.";
            case BANKS -> "○ It takes the mean chamber of as many heads as there are banks.";
          });
      return;
    }
    var q = quantity(goal);
    says.setText(
        "● %s: spread %s as they lie, %s at these places"
            .formatted(
                Words.capital(goal.title()),
                q.show(found.before(), build.units()),
                q.show(found.after(), build.units())));
    var rows = new ArrayList<List<String>>();
    int places = found.at().values().stream().mapToInt(i -> i).max().orElse(0);
    for (int n = 1; n <= places; n++) {
      rows.add(row(n));
    }
    var columns = new ArrayList<String>(List.of(goal == Matching.Goal.BANKS ? "Bank" : "Cylinder"));
    found.items().stream().map(i -> i.part().title()).distinct().forEach(columns::add);
    table.getChildren().add(new AnswerTable(new Answer.Table("number of the part", columns, rows)));
  }

  private List<String> row(int cylinder) {
    var row = new ArrayList<String>(List.of("" + cylinder));
    found.at().entrySet().stream()
        .filter(e -> e.getValue() == cylinder)
        .map(java.util.Map.Entry::getKey)
        .sorted(java.util.Comparator.comparing(Item::part))
        .forEach(i -> row.add(i.id() + (i.place() == cylinder ? "" : ", from " + i.place())));
    return row;
  }

  private void put() {
    state.keep(found.items().stream().map(JobJson::note).toList());
    says.setText("● They are there; undo puts them back.");
    Page.show(set, false);
  }
}
