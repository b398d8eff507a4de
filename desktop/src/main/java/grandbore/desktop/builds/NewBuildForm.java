package grandbore.desktop.builds;

import grandbore.core.beginning.Asked;
import grandbore.core.beginning.Pattern;
import grandbore.core.beginning.Said;
import grandbore.core.clearances.Application;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.ValveTrain;
import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ShownAs;
import grandbore.desktop.controls.Words;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;

/** The fields of a new build, in the order in which one knows them. */
final class NewBuildForm extends GridPane {
  /** While fields are put in from outside nothing is told; it stands before what tells. */
  private boolean filling = true;

  private final TextField name = Page.words("new-name", "name", 22);
  private final ComboBox<Pattern> pattern;
  private final ComboBox<Arrangement> arrangement;
  private final ComboBox<Integer> valves;
  private final ComboBox<ValveTrain.Follower> follower;
  private final ComboBox<Intake.Manifold> manifold;
  private final ComboBox<Intake.Fuelling> fuelling;
  private final ComboBox<Exhaust.Kind> exhaust;
  private final ComboBox<Application> use;
  private final ComboBox<UnitSystem> units;
  private final Map<Said, TextField> sizes = new EnumMap<>(Said.class);
  private final Map<Said, Label> symbols = new EnumMap<>(Said.class);
  private final TextField ratio = number("new-ratio");
  private final TextField highest = number("new-highest");
  private final TextField flowLift = number("new-flow-lift");
  private final TextField flow = number("new-flow");
  private final Label flowUnit = unit();
  private final Label liftUnit = unit();
  private final Runnable changed;
  private int row;

  /**
   * @param changed called after every change
   */
  NewBuildForm(UnitSystem first, Runnable changed) {
    this.changed = changed;
    getStyleClass().addAll("input-grid", "dense-grid");
    pattern = box("new-pattern", List.of(Pattern.values()), Pattern::label);
    arrangement = box("new-arrangement", List.of(Arrangement.values()), Arrangement::label);
    valves = box("new-valves", List.of(2, 4), v -> v + " a cylinder");
    follower = box("new-follower", List.of(ValveTrain.Follower.values()), Words::of);
    manifold = box("new-manifold", List.of(Intake.Manifold.values()), Words::of);
    fuelling = box("new-fuelling", List.of(Intake.Fuelling.values()), Words::of);
    exhaust = box("new-exhaust", List.of(Exhaust.Kind.values()), Words::of);
    use = box("new-use", List.of(Application.values()), Application::word);
    units = box("new-units", List.of(UnitSystem.values()), NewBuildForm::word);
    units.setValue(first);
    name.setMaxWidth(220);
    // What scrolls is in the scene only once it is laid out.
    name.sceneProperty()
        .subscribe(
            scene -> {
              if (scene != null) {
                Platform.runLater(name::requestFocus);
              }
            });
    put("Name", name);
    put("Start from", pattern);
    put("Units", units);
    put("Layout", arrangement);
    put("Valves", valves);
    put("Valve train", follower);
    put("Use", use);
    put("Intake", manifold);
    put("Fuel by", fuelling);
    put("Exhaust", exhaust);
    for (var size : Said.values()) {
      var field = number("new-" + size.name().toLowerCase(java.util.Locale.ROOT));
      var symbol = unit();
      field.setAccessibleText(size.label());
      field.setPromptText(size.isNeeded() ? "" : "ordinary");
      sizes.put(size, field);
      symbols.put(size, symbol);
      put(size.label(), field, symbol);
      if (size == Said.STROKE) {
        put("Compression ratio", ratio, unit("to 1"));
      }
    }
    highest.setPromptText("ordinary");
    put("Highest speed", highest, unit("rpm"));
    flow.setPromptText("?");
    flowLift.setPromptText("?");
    flowLift.setAccessibleText("Lift of the flow");
    var at = unit("at");
    at.setMinWidth(USE_PREF_SIZE);
    var through = new HBox(6, flow, flowUnit, at, flowLift, liftUnit);
    through.setAlignment(Pos.CENTER_LEFT);
    put("Intake flow, 28 inH2O", through);
    flow.setPrefColumnCount(5);
    flowLift.setPrefColumnCount(5);
    pattern.valueProperty().subscribe(p -> fill());
    units.valueProperty().subscribe((old, now) -> convert(old, now));
    for (var box : List.of(arrangement, valves, follower, manifold, fuelling, exhaust, use)) {
      box.valueProperty().subscribe(v -> tell());
    }
    name.textProperty().subscribe(t -> tell());
    pattern.setValue(Pattern.WEDGE_EIGHT);
  }

  private static String word(UnitSystem s) {
    return s == UnitSystem.US ? "US" : "metric";
  }

  private <T> ComboBox<T> box(String id, List<T> all, Function<T, String> word) {
    var box = new ComboBox<T>();
    box.setId(id);
    box.getItems().setAll(all);
    box.setPrefWidth(220);
    box.setConverter(ShownAs.of(word));
    return box;
  }

  private TextField number(String id) {
    var field = new TextField();
    field.setId(id);
    field.setPrefColumnCount(8);
    field.setMaxWidth(110);
    field.textProperty().subscribe(t -> tell());
    return field;
  }

  private static Label unit() {
    return unit("");
  }

  private static Label unit(String symbol) {
    var label = new Label(symbol);
    label.getStyleClass().add("unit");
    return label;
  }

  private void put(String label, Region field) {
    var words = new Label(label);
    words.setLabelFor(field);
    words.setMinWidth(USE_PREF_SIZE);
    field.setAccessibleText(label);
    add(words, 0, row);
    add(field, 1, row++, 2, 1);
  }

  private void put(String label, Region field, Label symbol) {
    var words = new Label(label);
    words.setLabelFor(field);
    words.setMinWidth(USE_PREF_SIZE);
    field.setAccessibleText(label);
    add(words, 0, row);
    add(field, 1, row);
    add(symbol, 2, row++);
  }

  private void tell() {
    if (!filling) {
      changed.run();
    }
  }

  /** Puts the pattern's values in; the name stays. */
  private void fill() {
    var p = pattern.getValue();
    if (p == null) {
      return;
    }
    filling = true;
    arrangement.setValue(p.arrangement());
    valves.setValue(p.valves());
    follower.setValue(p.follower());
    manifold.setValue(p.manifold());
    fuelling.setValue(p.fuelling());
    exhaust.setValue(p.exhaust());
    use.setValue(p.use());
    var system = units.getValue();
    sizes.forEach(
        (size, field) -> {
          var si = p.sizes().get(size);
          field.setText(si == null ? "" : size.quantity().number(si, system));
          symbols.get(size).setText(InputField.symbol(size.quantity(), system));
        });
    flowUnit.setText(InputField.symbol(Quantity.AIRFLOW, system));
    liftUnit.setText(InputField.symbol(Quantity.LENGTH, system));
    ratio.setText(Quantity.RATIO.number(p.ratio(), system));
    highest.setText("");
    filling = false;
    tell();
  }

  /** The same sizes in the other units. */
  private void convert(UnitSystem old, UnitSystem now) {
    if (old == null || now == null || old == now) {
      return;
    }
    filling = true;
    sizes.forEach((size, field) -> convert(field, size.quantity(), old, now));
    convert(flowLift, Quantity.LENGTH, old, now);
    convert(flow, Quantity.AIRFLOW, old, now);
    sizes.forEach((size, f) -> symbols.get(size).setText(InputField.symbol(size.quantity(), now)));
    flowUnit.setText(InputField.symbol(Quantity.AIRFLOW, now));
    liftUnit.setText(Quantity.LENGTH.unit(now).symbol());
    filling = false;
    tell();
  }

  private static void convert(TextField field, Quantity q, UnitSystem old, UnitSystem now) {
    try {
      if (!field.getText().isBlank()) {
        field.setText(q.number(Entry.parse(field.getText(), q, old, 0), now));
      }
    } catch (IllegalArgumentException e) {
      // What can't be read stays as it is; it is refused below.
    }
  }

  /**
   * What stands in the fields.
   *
   * @throws IllegalArgumentException in words, naming the field
   */
  Asked asked() {
    var system = units.getValue();
    var said = new EnumMap<Said, Double>(Said.class);
    for (var size : Said.values()) {
      read(size.label(), sizes.get(size), size.quantity(), system)
          .ifPresent(si -> said.put(size, si));
    }
    double lift = read("Lift of the flow", flowLift, Quantity.LENGTH, system).orElse(0.0);
    double through = read("Intake flow", flow, Quantity.AIRFLOW, system).orElse(0.0);
    if (lift > 0 != through > 0) {
      throw new IllegalArgumentException("Intake flow: a flow and its lift belong together");
    }
    return new Asked(
        name.getText().isBlank() ? pattern.getValue().label() : name.getText().strip(),
        system,
        arrangement.getValue(),
        valves.getValue(),
        follower.getValue(),
        manifold.getValue(),
        fuelling.getValue(),
        exhaust.getValue(),
        use.getValue(),
        read("Compression ratio", ratio, Quantity.RATIO, system).orElse(0.0),
        read("Highest speed", highest, Quantity.RATIO, system).orElse(0.0),
        said,
        new Asked.Flow(lift, through));
  }

  private static java.util.Optional<Double> read(
      String label, TextField field, Quantity q, UnitSystem system) {
    if (field.getText().isBlank()) {
      return java.util.Optional.empty();
    }
    try {
      return java.util.Optional.of(Entry.parse(field.getText(), q, system, 0));
    } catch (IllegalArgumentException e) {
      throw new IllegalArgumentException(label + ": " + e.getMessage(), e);
    }
  }
}
