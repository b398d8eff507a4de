package grandbore.desktop.job;

import grandbore.book.JobBook;
import grandbore.book.JobJson;
import grandbore.core.asked.Answer;
import grandbore.core.changes.Difference;
import grandbore.core.clearances.OnJob;
import grandbore.core.combination.InvalidInput;
import grandbore.desktop.controls.AnswerTable;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.controls.Words;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** States of the build under names: “as mocked up”, “as raced”; compared, and gone back to. */
final class StatesView extends VBox {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm").withZone(ZoneId.systemDefault());

  private final JobState state;
  private final TextField name = Fields.field("state-name", "as mocked up", 20);
  private final VBox rows = new VBox(6);
  private final VBox differences = new VBox(4);
  private String compared = "";

  StatesView(JobState state) {
    super(10);
    this.state = state;
    setId("states-view");
    rows.setId("states");
    differences.setId("state-differences");
    var keep = Page.button("Name the build as it stands", "state-keep");
    keep.setOnAction(e -> state.tried(this::keep));
    getChildren()
        .addAll(
            Page.hint(
                "What the build is specified as now, under a name. Readings are not part of it:"
                    + " they stand in the book. Going back is an edit that undo takes back."),
            Page.row(name, keep),
            rows,
            differences);
    WhenSeen.refresh(this, this::refresh, state.plannedProperty(), state.session().buildProperty());
  }

  private void keep() {
    String words = name.getText().strip();
    if (words.isEmpty() || words.length() > 60) {
      throw new InvalidInput(
          "Name of the state", "“" + words + "”", "1 to 60 characters", "it is found by it");
    }
    state.keep(JobJson.version(words, state.session().build()));
    name.clear();
  }

  private void refresh() {
    var planned = state.plannedProperty().get();
    rows.getChildren().clear();
    differences.getChildren().clear();
    if (planned == null) {
      return;
    }
    var all = planned.book().versions();
    if (all.isEmpty()) {
      rows.getChildren().add(Page.hint("No state of this build has a name yet."));
    }
    for (int i = 0; i < all.size(); i++) {
      rows.getChildren().add(row(all.get(i), i));
    }
    all.stream().filter(v -> v.name().equals(compared)).findFirst().ifPresent(this::compare);
  }

  private javafx.scene.layout.FlowPane row(JobBook.Version v, int i) {
    var compare = Page.button("What differs", "state-compare-" + i);
    compare.setOnAction(
        e -> {
          compared = v.name();
          refresh();
        });
    var back = Page.button("Go back to it", "state-back-" + i);
    back.setOnAction(
        e ->
            state.tried(
                () -> {
                  var was = v.build();
                  state.session().edit("Back to “%s”".formatted(v.name()), b -> was);
                }));
    var remove = Page.button("Forget it", "state-remove-" + i);
    remove.setOnAction(e -> state.remove(OnJob.Kind.VERSION, v.name()));
    return Page.row(
        new Label("%s, %s".formatted(v.name(), DAY.format(v.at()))), compare, back, remove);
  }

  private void compare(JobBook.Version v) {
    state.tried(
        () -> {
          var build = state.session().build();
          var all = Difference.among(List.of(v.build().combination(), build.combination()));
          differences
              .getChildren()
              .setAll(
                  all.isEmpty()
                      ? Page.hint("● The build stands as “%s”.".formatted(v.name()))
                      : new AnswerTable(
                          new Answer.Table(
                              "“%s” and now".formatted(v.name()),
                              List.of("Input", "Then", "Now"),
                              all.stream()
                                  .map(
                                      d ->
                                          List.of(
                                              d.label(),
                                              Words.value(d.values().getFirst(), build.units()),
                                              Words.value(d.values().getLast(), build.units())))
                                  .toList())));
        });
  }
}
