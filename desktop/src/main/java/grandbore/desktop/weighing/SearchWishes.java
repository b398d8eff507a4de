package grandbore.desktop.weighing;

import grandbore.core.changes.Change;
import grandbore.core.changes.DoesNotFit;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.WantedBand;
import grandbore.core.studies.Goal;
import grandbore.core.studies.SearchBounds;
import grandbore.core.studies.SearchStudy;
import grandbore.core.studies.SweepAxis;
import grandbore.core.units.Entry;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What is looked for and what has to hold: the goal, the changes that may be made, the bounds. */
final class SearchWishes extends VBox {
  private final ChangeList list;
  private final PartList parts;
  private final FlowPane changes = new FlowPane(14, 4);
  private final Label none =
      Page.hint(
          "Changes of the ladder and parts of the shelf may be tried as well; there are none.");
  private final ComboBox<Goal> goal = GoalUnit.box("search-goal", "what is looked for", "");
  private final ComboBox<Goal> against = GoalUnit.box("search-against", "second goal", "nothing");
  private final TextField money = field("search-money", "any");
  private final TextField octane = field("search-octane", "any");
  private final TextField speed = field("search-speed", "any");
  private final TextField valve = field("search-valve", "any");
  private final TextField vacuum = field("search-vacuum", "any");
  private final Label vacuumUnit = new Label();
  private final Session session;
  private final TextField candidates = field("search-candidates", "300");
  private final CheckBox follow = new CheckBox("valves follow their lobes over the band");
  private final CheckBox robust = new CheckBox("count the unlucky fifth of what spreads allow");
  private List<Change> shown = List.of();

  SearchWishes(Session session) {
    super(8);
    this.session = session;
    list = new ChangeList(session);
    parts = new PartList(session);
    goal.getItems().setAll(Goal.values());
    against.getItems().add(null);
    against.getItems().addAll(Goal.values());
    goal.setValue(Goal.BAND_POWER);
    follow.setSelected(true);
    follow.setId("search-follow");
    robust.setId("search-robust");
    candidates.setText("300");
    var aims =
        new FlowPane(
            14,
            4,
            named("Look for", goal, ""),
            named("against", against, ""),
            named("candidates", candidates, ""));
    var bounds =
        new FlowPane(
            14,
            4,
            named("Money at most", money, ""),
            named("octane to spare", octane, ""),
            named("mean piston speed at most", speed, "m/s"),
            named("piston to valve at least", valve, "mm"),
            named("vacuum at idle at least", vacuum, vacuumUnit));
    getChildren()
        .addAll(
            changes,
            none,
            Page.part("What is looked for, and what has to hold"),
            aims,
            bounds,
            new FlowPane(14, 4, follow, robust));
    show();
  }

  private static TextField field(String id, String prompt) {
    var field = new TextField();
    field.setId(id);
    field.setPromptText(prompt);
    field.setPrefColumnCount(6);
    return field;
  }

  private static Node named(String name, Node control, String unit) {
    return named(name, control, new Label(unit));
  }

  private static Node named(String name, Node control, Label after) {
    var label = new Label(name);
    control.setAccessibleText(name);
    after.getStyleClass().add("unit");
    var all = new HBox(6, label, control, after);
    all.setAlignment(Pos.CENTER_LEFT);
    return all;
  }

  /**
   * The changes of the build's ladder, and the shop's other parts that fit it: those are tried
   * where they are taken in, and of parts that set the same at most one. What was chosen stays so.
   */
  void show() {
    vacuumUnit.setText(pressure().symbol());
    List<Change> ladder;
    var now = new ArrayList<Change>();
    try {
      ladder = list.all();
      now.addAll(ladder);
      for (var part : parts.offered()) {
        boolean has = ladder.stream().anyMatch(c -> c.name().equals(part.name()));
        if (!has && fits(part.change())) {
          now.add(part.change());
        }
      }
    } catch (IllegalArgumentException e) {
      ladder = List.of();
      now.clear();
    }
    if (!now.equals(shown) || changes.getChildren().isEmpty()) {
      var chosen =
          boxes().collect(Collectors.toMap(CheckBox::getText, CheckBox::isSelected, (x, y) -> x));
      shown = List.copyOf(now);
      changes.getChildren().clear();
      for (int i = 0; i < now.size(); i++) {
        var box = new CheckBox(now.get(i).name());
        box.setId("search-change-" + (i + 1));
        box.setSelected(chosen.getOrDefault(box.getText(), i < ladder.size()));
        changes.getChildren().add(box);
      }
    }
    Page.show(changes, !now.isEmpty());
    Page.show(none, now.isEmpty());
  }

  private boolean fits(Change change) {
    try {
      change.on(session.build().combination());
      return true;
    } catch (DoesNotFit e) {
      return false;
    }
  }

  private Measure pressure() {
    return Quantity.PRESSURE.unit(session.build().units());
  }

  private Stream<CheckBox> boxes() {
    return changes.getChildren().stream()
        .filter(CheckBox.class::isInstance)
        .map(CheckBox.class::cast);
  }

  /**
   * The search that is wished for.
   *
   * @throws IllegalArgumentException naming what can't be read or be
   */
  SearchStudy study(BuiltEngine engine, WantedBand band, List<SweepAxis> free) {
    var may = new ArrayList<Change>();
    var all = boxes().toList();
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i).isSelected()) {
        may.add(shown.get(i));
      }
    }
    double millimetres = number("Piston to valve", valve, Double.NEGATIVE_INFINITY);
    var bounds =
        new SearchBounds(
            number("Money", money, Double.POSITIVE_INFINITY),
            number("Octane to spare", octane, Double.NEGATIVE_INFINITY),
            number("Mean piston speed", speed, Double.POSITIVE_INFINITY),
            1e-3 * millimetres,
            pressure().toSi(number("Vacuum at idle", vacuum, 0)),
            follow.isSelected());
    int count = (int) number("Candidates", candidates, 300);
    return new SearchStudy(
        engine,
        band,
        free,
        may,
        goal.getValue(),
        Optional.ofNullable(against.getValue()),
        bounds,
        robust.isSelected(),
        count,
        1,
        List.of());
  }

  private double number(String name, TextField field, double otherwise) {
    String typed = field.getText() == null ? "" : field.getText().strip();
    if (typed.isEmpty()) {
      return otherwise;
    }
    try {
      return Entry.parse(typed, Quantity.COST, UnitSystem.METRIC, 0);
    } catch (IllegalArgumentException e) {
      throw new InvalidInput(
          name,
          "“" + typed + "”",
          "a number, or nothing",
          String.valueOf(e.getMessage()).toLowerCase(Locale.ROOT));
    }
  }
}
