package grandbore.desktop.curve;

import grandbore.book.DynoJson;
import grandbore.core.clearances.OnDyno;
import grandbore.core.combination.Combination;
import grandbore.core.dyno.calibration.Calibration;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WantedBand;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.curve.BandOfDoubt.Known;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.LastRead;
import grandbore.desktop.session.Session;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The curve, always in view, with the rpm cursor and what it reads. */
public final class CurvePane extends VBox {
  private final Session session;
  private final CurveService service;
  private final CurveChart chart;
  private final Label status = new Label();
  private final Button full = new Button("Every cylinder");
  private final Button cancel = new Button("Cancel");
  private final ToggleButton doubt = new ToggleButton("Doubt");
  private final Pins pins = new Pins();
  private final LastRead<OnDyno, Calibration> calibrated =
      new LastRead<>(notes -> DynoJson.calibration(notes.getLast().document()));
  private final Slider rpm = new Slider();
  private final FlowPane reading = new FlowPane(14, 4);
  private long shownBuild;
  private Seen drawn = Seen.NOTHING;
  private List<Object> drawnWith = List.of();

  /** What the reading was made of. */
  private List<Object> read = List.of();

  public CurvePane(Session session, CurveService service, Look look) {
    this.session = session;
    this.service = service;
    chart = new CurveChart(look, rpm::setValue);
    getStyleClass().add("curve-pane");
    var title = new Label("Curve");
    title.getStyleClass().add("pane-title");
    var space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    status.getStyleClass().add("soft");
    status.setId("curve-status");
    status.setWrapText(true);
    status.setMinHeight(Region.USE_PREF_SIZE);
    full.setId("full-run");
    full.setTooltip(new Tooltip("Solve every cylinder (Ctrl+Enter)"));
    full.setOnAction(e -> service.full());
    cancel.setId("cancel-run");
    cancel.setOnAction(e -> service.cancel());
    doubt.setId("curve-doubt");
    doubt.setTooltip(
        new Tooltip(
            "The band of doubt: where four fifths of what the inputs allow lies; paler with the"
                + " model's own"));
    doubt.selectedProperty().bindBidirectional(service.doubt().wantedProperty());
    doubt.getStyleClass().add("small");
    for (var whole : List.of(title, full, cancel, doubt)) {
      whole.setMinWidth(USE_PREF_SIZE);
    }
    var head = new HBox(8, title, space, cancel, full, chart.tools(status::setText));
    head.setAlignment(Pos.CENTER_LEFT);
    head.getStyleClass().add("side-head");
    rpm.setId("rpm-cursor");
    rpm.setAccessibleText("rpm cursor");
    rpm.setBlockIncrement(100);
    reading.setId("curve-reading");
    reading.getStyleClass().add("reading");
    reading.setMinHeight(58);
    VBox.setVgrow(chart, Priority.ALWAYS);
    HBox.setHgrow(status, Priority.ALWAYS);
    status.setMaxWidth(Double.MAX_VALUE);
    var says = new HBox(8, status, pins.button(), doubt);
    getChildren().addAll(head, says, pins, chart, rpm, reading);
    pins.button().setOnAction(e -> pin());
    pins.changed().subscribe(p -> show());
    service.stateProperty().subscribe(s -> show());
    session.buildProperty().subscribe(b -> show());
    service.overProperty().subscribe(o -> show());
    service.doubt().wantedProperty().subscribe(w -> show());
    service.doubt().knownProperty().subscribe(k -> show());
    service.doubt().modelProperty().subscribe(m -> show());
    rpm.valueProperty()
        .subscribe(
            v -> {
              chart.pointAt(v.doubleValue());
              read();
            });
  }

  /** A line between the curve's head and the curve. */
  public void put(Node line) {
    getChildren().add(getChildren().indexOf(pins), line);
  }

  /** The speed that all details follow, rev/min. */
  public ReadOnlyDoubleProperty rpmProperty() {
    return rpm.valueProperty();
  }

  /** The curve as it stands stays on the chart, whatever becomes of the build. */
  private void pin() {
    var curve = service.stateProperty().get().curve();
    if (curve != null) {
      var power = Quantity.POWER.unit(session.build().units());
      String most =
          curve
              .peakPower()
              .map(p -> ", %.0f %s".formatted(power.fromSi(p.power()), power.symbol()))
              .orElse("");
      pins.add(session.build().name() + most, curve);
    }
  }

  private void show() {
    var state = service.stateProperty().get();
    var build = session.build();
    if (session.id() != shownBuild) {
      shownBuild = session.id();
      chart.forget();
    }
    double from = build.speeds().from();
    double to = build.speeds().to();
    rpm.setMin(from);
    rpm.setMax(to);
    if (rpm.getValue() <= from) {
      rpm.setValue(from + 0.6 * (to - from));
    }
    var band = WantedBand.of(build.combination().brief());
    var seen = Seen.of(state, service.overProperty().get(), laid(), pins.changed().get());
    double wanted = build.combination().brief().power().si();
    var now = List.<Object>of(build.units(), build.speeds(), session.id(), band, wanted);
    if (!seen.equals(drawn) || !now.equals(drawnWith)) {
      drawn = seen;
      drawnWith = now;
      chart.show(seen, build.units(), from, to, band, wanted);
    }
    var pulls =
        service.doubt().wantedProperty().get() ? calibration() : Optional.<Calibration>empty();
    chart.band(
        doubt().filter(k -> k.of().equals(session.engine().key())).map(Known::doubt),
        service.doubt().model(),
        pulls);
    chart.dim(Seen.isOld(state));
    boolean fullRun = state.fidelity() == Fidelity.FULL;
    cancel.setVisible(state.isRunning() && fullRun);
    cancel.setManaged(cancel.isVisible());
    full.setDisable(state.isRunning() || session.bench().contradiction().isPresent());
    status.setText(
        status(state, build.combination(), session.overProperty().get()) + taught() + banded());
    read();
  }

  private Optional<Known> doubt() {
    return service.doubt().wantedProperty().get()
        ? service.doubt().knownProperty().get()
        : Optional.empty();
  }

  /** Whether the engine runs with what pulls taught, and which; empty where it does not. */
  private String taught() {
    return session.build().combination().learned().isAny()
        ? "; " + calibration().map(Calibration::title).orElse("calibrated")
        : "";
  }

  /** What the engine on the bench was last taught by, if it runs with it. */
  private Optional<Calibration> calibration() {
    var notes =
        session.notes(OnDyno.class).stream()
            .filter(n -> n.kind() == OnDyno.Kind.CALIBRATION)
            .toList();
    return notes.isEmpty() || !session.build().combination().learned().isAny()
        ? Optional.empty()
        : Optional.of(calibrated.of(notes));
  }

  /** What the band is, as far as it is known; empty where none is wanted. */
  private String banded() {
    if (!service.doubt().wantedProperty().get()) {
      return "";
    }
    if (calibration().isPresent()) {
      return "; band: four fifths of what those pulls leave open";
    }
    return doubt()
        .filter(k -> k.of().equals(session.engine().key()))
        .map(
            k ->
                "; band: four fifths of %d samples%s, paler with the model's own doubt of %.1f %%"
                    .formatted(
                        k.doubt().samples().size(),
                        k.isWhole() ? "" : " of " + k.doubt().wanted(),
                        100 * service.doubt().model().share()))
        .orElse("; the band of doubt is being sampled");
  }

  /** The name of the build that is laid over; empty for none. */
  private String laid() {
    var over = session.overProperty().get();
    return over == null ? "" : over.build().name();
  }

  private static String status(CurveState state, Combination c, Session.Over over) {
    String kind = kind(state, c);
    if (state.isRunning()) {
      return "computing %d of %d speeds, %s".formatted(state.done(), state.wanted(), kind);
    }
    if (!state.problem().isEmpty()) {
      return "✕ " + state.problem();
    }
    if (state.curve() == null) {
      return "no curve yet";
    }
    String failures =
        state.failures().isEmpty() ? "" : "; not converged: " + String.join("; ", state.failures());
    String thin = over == null ? "" : "; thin: " + over.build().name();
    return "%s%s%s".formatted(kind, failures, thin);
  }

  private static String kind(CurveState state, Combination c) {
    int all = c.bottomEnd().cylinders();
    var fidelity = state.fidelity();
    int solved = fidelity.solved(c);
    if (fidelity == Fidelity.FULL) {
      return "every cylinder";
    }
    if (solved == all) {
      return "every cylinder, on coarser cells";
    }
    return solved == 1
        ? "live: one cylinder solved, the others as its copies"
        : "live: %d of %d cylinders solved, the others as their copies".formatted(solved, all);
  }

  private void read() {
    var curve = service.stateProperty().get().shown();
    List<Object> now =
        curve == null ? List.of() : List.of(curve, rpm.getValue(), session.build().units());
    if (now.equals(read)) {
      return;
    }
    read = now;
    reading.getChildren().clear();
    if (curve == null) {
      return;
    }
    double at = rpm.getValue();
    var near =
        curve.settled().stream().min(Comparator.comparingDouble(p -> Math.abs(p.rpm() - at)));
    if (near.isEmpty()) {
      return;
    }
    var p = near.get();
    boolean us = session.build().units() == UnitSystem.US;
    add("rpm", "%,.0f", p.rpm());
    add(us ? "lb·ft" : "N·m", "%.0f", us ? p.torque() / Measure.POUND_FEET.toSi(1) : p.torque());
    add(us ? "hp" : "kW", "%.0f", (us ? Measure.HORSEPOWER : Measure.KILOWATTS).fromSi(p.power()));
    add("% volumetric efficiency", "%.0f", 100 * p.volumetricEfficiency());
    add("° spark", "%.0f", Math.toDegrees(p.spark()));
    add("kPa friction", "%.0f", p.fmep() / 1e3);
    add("kPa pumping", "%.0f", p.pmep() / 1e3);
    add("bar peak", "%.0f", p.peakPressure() / 1e5);
    add("g/kWh", "%.0f", p.fuelPerJoule() * 3.6e9);
    add("% residual", "%.1f", 100 * p.residual());
  }

  private void add(String unit, String pattern, double value) {
    var number = new Label(String.format(Locale.US, pattern, value));
    number.getStyleClass().add("number");
    var name = new Label(unit);
    name.getStyleClass().add("unit");
    var box = new HBox(4, number, name);
    box.setAlignment(Pos.BASELINE_LEFT);
    reading.getChildren().add(box);
  }
}
