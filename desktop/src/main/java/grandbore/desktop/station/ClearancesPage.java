package grandbore.desktop.station;

import grandbore.core.clearances.Band;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.BottomEnd;
import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.CommitField;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ProvenanceMark;
import grandbore.desktop.session.Session;
import java.time.Instant;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The measured book: one measurement at a time, a row a place, readings added and never lost. */
final class ClearancesPage extends VBox {
  private static final int MARK = 1;

  private final Session session;
  private final GridPane grid = new GridPane();
  private final Label band = new Label();
  private final Label spread = new Label();
  private final Label refusal = new Label();
  private final TextField by = new TextField();
  private final TextField instrument = new TextField();
  private Measurement measurement = Measurement.DECK;
  private int nextPlace = 1;
  private Reading.Side nextSide = Reading.Side.NONE;

  ClearancesPage(Session session) {
    this.session = session;
    getStyleClass().add("page");
    setSpacing(10);
    var title = new Label("Clearances");
    title.getStyleClass().add("page-title");
    var hint =
        new Label(
            "Type a reading and press Enter: it is kept, and the next place waits. A second reading"
                + " at a place repeats the first. Measured decks and chambers go into compression"
                + " and curve at once.");
    hint.getStyleClass().add("soft");
    hint.setWrapText(true);
    var choices = new FlowPane(6, 6);
    var group = new ToggleGroup();
    for (var m : Measurement.values()) {
      var button = new ToggleButton(m.label());
      button.setId("measure-" + m.name().toLowerCase(java.util.Locale.ROOT));
      button.setToggleGroup(group);
      button.setSelected(m == measurement);
      button.setOnAction(
          e -> {
            button.setSelected(true);
            measurement = m;
            nextPlace = 1;
            nextSide = m.isTwoSided() ? Reading.Side.THRUST : Reading.Side.NONE;
            refresh();
          });
      choices.getChildren().add(button);
    }
    by.setPromptText("read by");
    by.setId("read-by");
    by.setPrefColumnCount(9);
    instrument.setPromptText("instrument");
    instrument.setId("read-with");
    instrument.setPrefColumnCount(12);
    var who = new HBox(8, new Label("Read by"), by, new Label("with"), instrument);
    who.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    grid.getStyleClass().add("readings");
    band.setWrapText(true);
    band.getStyleClass().add("soft");
    spread.setId("spread-verdict");
    spread.setWrapText(true);
    getChildren()
        .addAll(
            title,
            hint,
            choices,
            who,
            grid,
            refusal,
            spread,
            band,
            Page.caution(
                "Bands are common practice; the figure of the part's maker goes before them. Torque"
                    + " fasteners as their maker says, and have machining done by a qualified"
                    + " shop."));
    session.buildProperty().subscribe(b -> refresh());
    session.readingsProperty().subscribe(r -> refresh());
  }

  /** How many places a measurement has on an engine. */
  static int places(Measurement m, BottomEnd bottom) {
    return switch (m.place()) {
      case CYLINDER -> bottom.cylinders();
      case MAIN -> bottom.mains();
    };
  }

  private void refresh() {
    grid.getChildren().clear();
    var build = session.build();
    var bottom = build.combination().bottomEnd();
    String unit = InputField.symbol(measurement.quantity(), build.units());
    boolean sides = measurement.isTwoSided();
    String where = measurement.place() == Measurement.Place.MAIN ? "main" : "cylinder";
    row(
        0,
        head(where),
        head(""),
        head("value, " + unit),
        head("readings"),
        head(sides ? "thrust side" : "add"),
        head(sides ? "other side" : ""),
        head("verdict"),
        head(""));
    var limits = Band.of(measurement, bottom, build.application());
    int places = places(measurement, bottom);
    CommitField waiting = null;
    for (int p = 1; p <= places; p++) {
      var field = place(p, limits, sides);
      if (p == nextPlace) {
        waiting = field;
      }
    }
    band.setText(
        limits
            .map(
                b ->
                    "Band for a %s engine: %s to %s (%s)"
                        .formatted(
                            build.application().word(), show(b.least()), show(b.most()), b.rule()))
            .orElse(""));
    spread.setText(spreadText(places));
    if (waiting != null && getScene() != null && waiting != getScene().getFocusOwner()) {
      waiting.requestFocus();
    }
  }

  private String show(double si) {
    return measurement.quantity().show(si, session.build().units());
  }

  private CommitField place(int p, Optional<Band> limits, boolean sides) {
    var readings = session.readings();
    var result = readings.at(measurement, p);
    var mark = new ProvenanceMark();
    var value = new Label("—");
    value.getStyleClass().add("number");
    value.setId("value-" + p);
    var count = new Label("");
    count.getStyleClass().add("soft");
    var verdict = new Label("");
    verdict.setId("verdict-" + p);
    result.ifPresent(
        r -> {
          mark.show(r.provenance());
          value.setText(measurement.quantity().number(r.value(), session.build().units()));
          count.setText(r.count() + (r.range() > 0 ? ", apart " + show(r.range()) : ""));
          limits.ifPresent(b -> verdict(verdict, b.judge(r.value())));
        });
    if (readings.isHalfRead(measurement, p)) {
      verdict.setText("◐ read the other side too");
      verdict.getStyleClass().setAll("label", "near");
    }
    var first = entry(p, sides ? Reading.Side.THRUST : Reading.Side.NONE);
    CommitField second = sides ? entry(p, Reading.Side.OPPOSITE) : null;
    var strike = new Button("strike last");
    strike.getStyleClass().addAll("flat", "small");
    strike.setMinWidth(USE_PREF_SIZE);
    var last =
        readings.all().stream()
            .filter(r -> r.measurement() == measurement && r.place() == p && !r.struck())
            .reduce((a, b) -> b);
    strike.setDisable(last.isEmpty());
    last.ifPresent(r -> strike.setOnAction(e -> session.strike(r.id(), true)));
    row(p, new Label(String.valueOf(p)), mark, value, count, first, second, verdict, strike);
    return nextSide == Reading.Side.OPPOSITE && second != null ? second : first;
  }

  private static void verdict(Label label, Band.Verdict verdict) {
    label.setText(
        switch (verdict) {
          case INSIDE -> "● " + verdict.word();
          case NEAR_EDGE -> "◐ " + verdict.word();
          case TIGHT -> "▼ " + verdict.word();
          case WIDE -> "▲ " + verdict.word();
        });
    label
        .getStyleClass()
        .setAll(
            "label",
            switch (verdict) {
              case INSIDE -> "inside";
              case NEAR_EDGE -> "near";
              case TIGHT, WIDE -> "outside";
            });
  }

  private CommitField entry(int place, Reading.Side side) {
    var field =
        new CommitField(
            measurement.label()
                + " "
                + place
                + (side == Reading.Side.NONE ? "" : " " + side.name()),
            typed -> take(place, side, typed),
            refusal);
    field.setPrefColumnCount(5);
    field.setPromptText("add");
    return field;
  }

  private void take(int place, Reading.Side side, String typed) {
    if (typed.isBlank()) {
      return;
    }
    Quantity q = measurement.quantity();
    double value = Entry.parse(typed, q, session.build().units(), 0);
    var reading =
        new Reading(
            0,
            measurement,
            place,
            side,
            value,
            by.getText().strip(),
            instrument.getText().strip(),
            Instant.now(),
            false);
    session.read(reading);
    int places = places(measurement, session.build().combination().bottomEnd());
    nextSide = side == Reading.Side.THRUST ? Reading.Side.OPPOSITE : firstSide();
    nextPlace = side == Reading.Side.THRUST ? place : place % places + 1;
  }

  private Reading.Side firstSide() {
    return measurement.isTwoSided() ? Reading.Side.THRUST : Reading.Side.NONE;
  }

  private String spreadText(int places) {
    var results = session.readings().over(measurement, places);
    if (results.size() < 2) {
      return "";
    }
    var s = results.stream().mapToDouble(r -> r.value()).summaryStatistics();
    double range = s.getMax() - s.getMin();
    String text =
        "%d of %d places, %s to %s, apart %s"
            .formatted(results.size(), places, show(s.getMin()), show(s.getMax()), show(range));
    return Band.spreadAllowed(measurement, session.build().application())
        .map(
            allowed ->
                text
                    + (range > allowed * 1.0001
                        ? ": ▲ more than the " + show(allowed) + " practice allows"
                        : ": ● within " + show(allowed)))
        .orElse(text);
  }

  private static Label head(String text) {
    var label = new Label(text);
    label.getStyleClass().add("unit");
    label.setMinWidth(USE_PREF_SIZE);
    return label;
  }

  private void row(int at, Node... cells) {
    for (int i = 0; i < cells.length; i++) {
      if (cells[i] != null) {
        grid.add(cells[i], i, at);
      }
      if (i == MARK && cells[i] instanceof ProvenanceMark m) {
        m.setMaxSize(16, 16);
      }
    }
  }
}
