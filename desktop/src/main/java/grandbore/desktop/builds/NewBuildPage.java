package grandbore.desktop.builds;

import grandbore.core.beginning.Ordinary;
import grandbore.core.build.Build;
import grandbore.core.combination.Specs;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A new build from nothing: what one knows at the left, what follows from it at the right. */
public final class NewBuildPage extends VBox {
  private final BiConsumer<Build, Boolean> begin;
  private final Label size = new Label();
  private final Refusal refusal = new Refusal();
  private final GridPane filled = new GridPane();
  private final javafx.scene.control.Button go = Page.button("Begin (Enter)", "new-begin");
  private final CheckBox guided = new CheckBox("and be led through it, a question at a time");
  private final NewBuildForm form;
  private Build build;

  /**
   * @param begin is given the build once it is wanted, and whether to lead through it
   * @param cancel leads back
   */
  public NewBuildPage(UnitSystem units, BiConsumer<Build, Boolean> begin, Runnable cancel) {
    super(10);
    this.begin = begin;
    setId("new-build");
    getStyleClass().add("page");
    size.setId("new-size");
    size.getStyleClass().add("pane-title");
    filled.setId("new-filled");
    filled.getStyleClass().add("input-grid");
    var rules = new ColumnConstraints();
    rules.setHgrow(Priority.ALWAYS);
    rules.setMinWidth(120);
    filled.getColumnConstraints().setAll(fixed(), fixed(), rules);
    go.setDefaultButton(true);
    guided.setId("new-guided");
    guided.setMinWidth(USE_PREF_SIZE);
    go.setOnAction(e -> go());
    form = new NewBuildForm(units, this::refresh);
    var back = Page.button("Cancel (Esc)", "new-cancel");
    back.setCancelButton(true);
    back.setOnAction(e -> cancel.run());
    var buttons = new HBox(8, go, guided, back, refusal);
    buttons.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(refusal, Priority.ALWAYS);
    var left = scroll(form);
    left.setMinWidth(430);
    left.setPrefWidth(430);
    var list = scroll(filled);
    VBox.setVgrow(list, Priority.ALWAYS);
    var hint =
        Page.hint(
            "All that nobody said is filled with what is ordinary for such an engine and marked"
                + " assumed. The rule stands beside each number, later in the tip of its mark."
                + " Change any of it afterwards.");
    hint.setMinHeight(USE_PREF_SIZE);
    var right = new VBox(8, size, hint, list);
    HBox.setHgrow(right, Priority.ALWAYS);
    var both = new HBox(24, left, right);
    VBox.setVgrow(both, Priority.ALWAYS);
    var title = new Label("New build");
    title.getStyleClass().add("page-title");
    getChildren().addAll(title, both, buttons);
    refresh();
  }

  private static ColumnConstraints fixed() {
    var column = new ColumnConstraints();
    column.setMinWidth(USE_PREF_SIZE);
    return column;
  }

  private static ScrollPane scroll(javafx.scene.Node content) {
    var scroll = new ScrollPane(content);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.getStyleClass().add("flat-scroll");
    return scroll;
  }

  private void refresh() {
    if (form == null) {
      return;
    }
    try {
      build = Ordinary.build(form.asked());
      refusal.clear();
      show();
    } catch (IllegalArgumentException e) {
      build = null;
      refusal.say(e.getMessage());
    }
    go.setDisable(build == null);
  }

  private void show() {
    var b = build.combination().bottomEnd();
    size.setText(
        "%s, %s, %.2f to 1, %,.0f to %,.0f rpm"
            .formatted(
                Quantity.DISPLACEMENT.show(b.cylinders() * b.sweptVolume(), build.units()),
                b.cylinders() == 1 ? "one cylinder" : b.cylinders() + " cylinders",
                build.combination().staticRatio(),
                build.speeds().from(),
                build.speeds().to()));
    filled.getChildren().clear();
    int row = 0;
    var rules = Ordinary.rules(build);
    for (var field : Specs.fields()) {
      var rule = rules.get(field.path());
      if (rule != null && build.combination().isFitted(field.path())) {
        var given = field.get(build.combination());
        var number = new Label(given.quantity().show(given.si(), build.units()));
        number.getStyleClass().add("number");
        var words = new Label(rule);
        words.setWrapText(true);
        words.getStyleClass().add("soft");
        filled.addRow(row++, new Label(field.spec().label()), number, words);
      }
    }
  }

  private void go() {
    if (build != null) {
      begin.accept(build, guided.isSelected());
    }
  }
}
