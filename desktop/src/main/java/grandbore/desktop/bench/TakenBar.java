package grandbore.desktop.bench;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Taken;
import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.Page;
import grandbore.desktop.session.Session;
import grandbore.instruments.Kind;
import grandbore.instruments.Link;
import grandbore.instruments.Message;
import java.time.Instant;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Who reads with what, its zero, the part's temperature; and the instruments themselves. */
final class TakenBar extends VBox {
  private final Session session;
  private final Instruments instruments;
  private final Consumer<String> takes;
  private final TextField by = Page.words("read-by", "read by", 8);
  private final TextField with = Page.words("read-with", "instrument", 10);
  private final TextField before = Page.words("zero-before", "zero before", 7);
  private final TextField after = Page.words("zero-after", "zero after", 7);
  private final TextField temperature = Page.words("part-temperature", "part's temp.", 7);
  private final TextField note = Page.words("read-note", "note", 12);
  private final Label live = new Label();
  private Kind kind = Kind.DIAL;

  TakenBar(Session session, Instruments instruments, Consumer<String> takes) {
    super(6);
    this.session = session;
    this.instruments = instruments;
    this.takes = takes;
    var fields = new FlowPane(6, 4, by, with, before, after, temperature, note);
    fields.setAlignment(Pos.CENTER_LEFT);
    var port = Page.words("instrument-port", "port or serial", 8);
    var connect = Page.button("Connect", "instrument-connect");
    var bare = new CheckBox("bare numbers");
    bare.setId("instrument-bare");
    bare.setTooltip(
        new Tooltip("the device on that line sends bare numbers, such as 0.0235 or 12,5 mm"));
    connect.setOnAction(
        e ->
            instruments.connect(
                port.getText(), bare.isSelected() ? Link.Sends.BARE_NUMBERS : Link.Sends.MESSAGES));
    var simulate = Page.button("Simulated", "instrument-simulate");
    simulate.setOnAction(e -> instruments.simulate(session.build()));
    var take = Page.button("Take", "instrument-take");
    take.setOnAction(e -> take());
    live.setId("instrument-live");
    live.getStyleClass().add("bench-live");
    var status = new Label();
    status.setId("instrument-status");
    status.getStyleClass().add("soft");
    status.textProperty().bind(instruments.statusProperty());
    var line = new FlowPane(6, 4, port, bare, connect, simulate, live, take, status);
    line.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(fields, line);
    instruments.beatsProperty().subscribe(b -> showLive());
  }

  /** What is measured now: readings of its kind of instrument are taken. */
  void show(Measurement m) {
    kind = kindFor(m.quantity());
    instruments.wants(kind, takes);
    showLive();
  }

  /** The instrument that reads a quantity. */
  static Kind kindFor(Quantity q) {
    return switch (q) {
      case VOLUME -> Kind.BURETTE;
      case FORCE -> Kind.TESTER;
      case ANGLE -> Kind.ENCODER;
      case SHARE -> Kind.LEAK;
      default -> Kind.DIAL;
    };
  }

  private void showLive() {
    live.setText(instruments.latest(kind).map(m -> kind.label() + "  " + value(m)).orElse(""));
  }

  private static String value(Message m) {
    return m.state() == Message.State.FLAT ? "battery flat" : m.typed();
  }

  private void take() {
    instruments
        .latest(kind)
        .filter(m -> m.state() != Message.State.FLAT)
        .ifPresent(m -> takes.accept(m.typed()));
  }

  /** How a reading typed now was taken. */
  Taken now(String typed, Measurement m) {
    var units = session.build().units();
    var q = m.quantity();
    return new Taken(
        by.getText().strip(),
        with.getText().strip(),
        typed.strip(),
        number(before, q),
        number(after, q),
        temperature.getText().isBlank()
            ? 0
            : Entry.parse(temperature.getText(), Quantity.TEMPERATURE, units, 0),
        note.getText().strip(),
        Instant.now());
  }

  private double number(TextField field, Quantity q) {
    return field.getText().isBlank()
        ? 0
        : Entry.parse(field.getText(), q, session.build().units(), 0);
  }
}
