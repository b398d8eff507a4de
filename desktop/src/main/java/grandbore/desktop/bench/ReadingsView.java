package grandbore.desktop.bench;

import grandbore.core.clearances.Bands;
import grandbore.core.clearances.Doubt;
import grandbore.core.clearances.Ledger;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Plausibility;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.clearances.ToDo;
import grandbore.core.units.Entry;
import grandbore.desktop.controls.CommitField;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.Overlay;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.drawing.PlanDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * One measurement at a time on the drawing of its part, a row a place, readings only ever added.
 */
final class ReadingsView extends VBox {
  /** What is written before a reading that is taken by one. */
  private static final String BRIDGE = "bridge";

  private final Session session;
  private final GridPane grid = new GridPane();
  private final VBox choices = new VBox(1);
  private final Refusal refusal = new Refusal();
  private final Label bridge =
      Page.hint(
          "By a bridge along the pin it is one reading: type “bridge .050+.010”, or “bridge .500 -"
              + " .438” where the bridge is .500 high.");
  private final Label spread = new Label();
  private final Label said = new Label();
  private final TakenBar taken;
  private final RuleRow rule;
  private final PlanDrawing plan;
  private final PartsChooser parts;
  private final Runnable benchMode;
  private BenchMode mode;
  private Measurement measurement = Measurement.DECK;
  private int nextPlace = 1;
  private Side nextSide = Side.THRUST;
  private CommitField waiting;
  private List<Doubt> doubts = List.of();

  ReadingsView(
      Session session, CurveService curves, Look look, Instruments instruments, Overlay overlay) {
    super(8);
    benchMode = () -> benchMode(look, instruments, overlay);
    this.session = session;
    taken = new TakenBar(session, instruments, this::fromInstrument);
    rule = new RuleRow(session);
    plan = new PlanDrawing(session, look, this::go);
    grid.getStyleClass().addAll("readings", "bench");
    spread.setId("spread-verdict");
    said.setId("bench-doubts");
    for (var label : new Label[] {spread, said}) {
      label.setWrapText(true);
    }
    parts = new PartsChooser(look, g -> choose(g.measurements().getFirst()));
    var large = Page.button("Bench mode", "bench-mode");
    large.setTooltip(
        new Tooltip("The whole window for the place that waits, read from two metres"));
    large.setOnAction(e -> benchMode.run());
    choices.getStyleClass().add("measurements");
    var chooser = new VBox(6, parts, choices, large);
    chooser.setMinWidth(Region.USE_PREF_SIZE);
    var work = new VBox(8);
    work.setMinWidth(0);
    HBox.setHgrow(work, Priority.ALWAYS);
    getChildren().add(new HBox(14, chooser, work));
    work.getChildren()
        .addAll(
            plan,
            grid,
            bridge,
            refusal,
            said,
            spread,
            new ChangeLine(session, curves),
            rule,
            taken,
            Page.caution(
                "Bands are common practice; the figure of the part's maker goes before them. Torque"
                    + " values come from the maker of the fastener. Springs under compression throw"
                    + " parts: eyes covered."));
    WhenSeen.refresh(
        this,
        this::refresh,
        session.readingsProperty(),
        session.buildProperty(),
        session.notesProperty());
  }

  /** The whole window for the place that waits, until it is closed; made once. */
  private void benchMode(Look look, Instruments instruments, Overlay overlay) {
    if (mode == null) {
      mode =
          new BenchMode(
              session,
              look,
              instruments,
              (typed, place) -> taken.now(typed, place.measurement()),
              place -> {
                overlay.close();
                nextPlace = place.place();
                nextSide = place.side();
                taken.show(measurement);
                refresh();
              });
    }
    overlay.show(mode);
    mode.open(new NextPlace(measurement, nextPlace, nextSide));
  }

  /** Measures something else, from its first place on. */
  void choose(Measurement m) {
    measurement = m;
    nextPlace = 1;
    nextSide = m.sides().all().getFirst();
    refresh();
  }

  private void go(int place, Side side) {
    nextPlace = place;
    nextSide = side;
    refresh();
  }

  private void refresh() {
    var ledger = session.ledger();
    var build = session.build();
    choices.getChildren().clear();
    var group = new ToggleGroup();
    for (var m : measurement.group().measurements()) {
      var button =
          new ToggleButton("%s  %d/%d".formatted(m.label(), ledger.filled(m), ledger.wanted(m)));
      button.setId("measure-" + m.name().toLowerCase(Locale.ROOT));
      button.setToggleGroup(group);
      button.setSelected(m == measurement);
      button.getStyleClass().addAll("measure", "small");
      button.setMaxWidth(Double.MAX_VALUE);
      button.setOnAction(e -> choose(m));
      choices.getChildren().add(button);
    }
    doubts = Plausibility.of(ledger, build.units());
    parts.show(measurement);
    plan.show(ledger, doubts, measurement, nextPlace, nextSide);
    taken.show(measurement);
    rule.show(measurement, ledger);
    table(ledger);
    Page.show(bridge, measurement.isTwoSided());
    doubts(ledger);
    spread.setText(spreadText(ledger));
    if (waiting != null && getScene() != null && waiting != getScene().getFocusOwner()) {
      waiting.requestFocus();
    }
    refusal.setMaxWidth(Math.max(250, getWidth() - 40));
    spread.setVisible(!spread.getText().isEmpty());
    spread.setManaged(spread.isVisible());
    plan.setAccessibleText("%s on the drawing, %s".formatted(measurement.label(), build.name()));
  }

  /** A row a place; a row a valve where each has its own value. */
  private void table(Ledger ledger) {
    grid.getChildren().clear();
    waiting = null;
    String unit = InputField.symbol(measurement.quantity(), session.build().units());
    int column = 0;
    grid.add(head(measurement.place().name().toLowerCase(Locale.ROOT)), column++, 0);
    for (var side : columns()) {
      String word = measurement.isTwoSided() ? side.word() : "reading";
      grid.add(head("%s, %s".formatted(word, unit)), column++, 0);
    }
    grid.add(head(measurement.isTwoSided() ? "mean" : "comes to"), column, 0);
    int row = 1;
    for (int p = 1; p <= ledger.places(measurement); p++) {
      for (var side : measurement.valueSides()) {
        row(ledger, p, side, row++);
      }
    }
  }

  /** The sides that stand beside each other in a row. */
  private List<Side> columns() {
    return measurement.isTwoSided() ? measurement.sides().all() : List.of(Side.NONE);
  }

  private void row(Ledger ledger, int place, Side value, int row) {
    int column = 0;
    boolean valves = measurement.sides() == Measurement.Sides.INTAKE_EXHAUST;
    var where = new Label(valves ? place + " " + value.word() : "" + place);
    where.setMinWidth(USE_PREF_SIZE);
    grid.add(where, column++, row);
    for (var side : measurement.isTwoSided() ? measurement.sides().all() : List.of(value)) {
      var entry = entry(place, side);
      if (place == nextPlace && side == nextSide) {
        waiting = entry;
      }
      grid.add(entry, column++, row);
    }
    String suffix = valves ? place + "-" + value.name().toLowerCase(Locale.ROOT) : "" + place;
    grid.add(new PlaceCell(session, ledger, measurement, place, value, suffix), column++, row);
    grid.add(verdict(ledger, place, value, suffix), column, row);
  }

  private Node verdict(Ledger ledger, int place, Side side, String suffix) {
    var label = new VerdictLabel();
    label.setId("verdict-" + suffix);
    ledger.verdict(measurement, place, side).ifPresent(label::show);
    if (doubts.stream().anyMatch(d -> d.isAbout(measurement, place, side))) {
      label.show("✕ cannot be right", "outside");
    }
    if (ledger.readings().isHalfRead(measurement, place)) {
      label.show("◐ read the other side too", "near");
    }
    return label;
  }

  private CommitField entry(int place, Side side) {
    var field =
        new CommitField(
            measurement.label() + " " + place + (side == Side.NONE ? "" : " " + side.name()),
            typed -> take(place, side, typed),
            refusal);
    field.setColumns(6);
    field.setPromptText("add");
    return field;
  }

  private void fromInstrument(String typed) {
    try {
      take(nextPlace, nextSide, typed);
    } catch (IllegalArgumentException e) {
      session.refuse(e.getMessage());
    }
  }

  private void take(int place, Side side, String typed) {
    if (typed.isBlank()) {
      return;
    }
    // A bridge along the pin reads both of its sides at once.
    boolean bridged = measurement.isTwoSided() && typed.strip().startsWith(BRIDGE);
    String numbers = bridged ? typed.strip().substring(BRIDGE.length()) : typed;
    double value = Entry.sum(numbers, measurement.quantity(), session.build().units());
    var at = bridged ? Side.NONE : side;
    var reading =
        new Reading(0, measurement, place, at, value, taken.now(typed, measurement), false);
    int wasPlace = nextPlace;
    var wasSide = nextSide;
    var last = bridged ? measurement.sides().all().getLast() : side;
    var next = new NextPlace(measurement, place, last).next(session.ledger().places(measurement));
    nextSide = next.side();
    nextPlace = next.place();
    try {
      session.read(reading);
    } catch (IllegalArgumentException e) {
      nextPlace = wasPlace;
      nextSide = wasSide;
      throw e;
    }
  }

  private void doubts(Ledger ledger) {
    var units = session.build().units();
    var words = new StringBuilder();
    for (var d : doubts) {
      if (d.measurement() == measurement) {
        words.append(
            "%s✕ can't be right: %s: %s. Usual cause: %s. Take %s."
                .formatted(
                    words.isEmpty() ? "" : "\n",
                    d.place() == 0 ? "all" : d.measurement().at(d.place(), d.side()),
                    d.says(),
                    d.cause(),
                    d.ask()));
      }
    }
    said.getStyleClass().setAll("label", words.isEmpty() ? "soft" : "outside");
    if (words.isEmpty()) {
      for (var t : ToDo.of(ledger, units)) {
        if (t.measurement() == measurement) {
          words.append(
              "%s→ %s: %s"
                  .formatted(
                      words.isEmpty() ? "" : "\n", measurement.at(t.place(), t.side()), t.words()));
        }
      }
    }
    said.setText(words.toString());
    said.setVisible(!words.isEmpty());
    said.setManaged(!words.isEmpty());
  }

  private String show(double si) {
    return measurement.quantity().show(si, session.build().units());
  }

  private String spreadText(Ledger ledger) {
    var results = ledger.over(measurement, measurement.valueSides().getFirst());
    if (results.size() < 2) {
      return "";
    }
    var s = results.stream().mapToDouble(r -> r.value().si()).summaryStatistics();
    double range = s.getMax() - s.getMin();
    String text =
        "%d of %d places, %s to %s, apart %s"
            .formatted(
                results.size(),
                ledger.places(measurement),
                show(s.getMin()),
                show(s.getMax()),
                show(range));
    return Bands.spreadAllowed(measurement, ledger.application())
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
}
