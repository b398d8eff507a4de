package grandbore.desktop.bench;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Plausibility;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.clearances.Taken;
import grandbore.core.units.Entry;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.Page;
import grandbore.desktop.drawing.PlanDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import grandbore.instruments.Message;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * One place at a time over the whole window: the plan, the place in large, the reading in numerals
 * that are read from two metres, the verdict, the next place. Keys: digits, Enter keeps, minus
 * takes back, star reads the place once more, slash goes on.
 */
final class BenchMode extends VBox {
  /** A digit is three quarters of its type's size; 12 mm are 45 pixels at 96 dpi. */
  private static final double SMALLEST = 64;

  private static final double LARGEST = 230;
  private static final double PLAN = 190;

  private final Session session;
  private final Instruments instruments;
  private final BiFunction<String, NextPlace, Taken> taken;
  private final Consumer<NextPlace> close;
  private final PlanDrawing plan;
  private final BandLine band;
  private final Label head = new Label();
  private final Label source = new Label();
  private final Label where = new Label();
  private final Label other = new Label();
  private final Label numeral = new Label();
  private final Label unit = new Label();
  private final VerdictLabel verdict = new VerdictLabel();
  private final Label next = new Label();
  private final StringBuilder typed = new StringBuilder();
  private NextPlace at = NextPlace.first(Measurement.DECK);
  private NextPlace before;
  private double kept;
  private String refused = "";

  /**
   * @param taken how a reading typed now was taken
   * @param close takes it away, told the place that waits
   */
  BenchMode(
      Session session,
      Look look,
      Instruments instruments,
      BiFunction<String, NextPlace, Taken> taken,
      Consumer<NextPlace> close) {
    super(8);
    this.session = session;
    this.instruments = instruments;
    this.taken = taken;
    this.close = close;
    plan = new PlanDrawing(session, look, PLAN, this::go);
    band = new BandLine(look);
    getStyleClass().add("bench-mode");
    numeral.setId("bench-numeral");
    numeral.getStyleClass().add("numeral");
    numeral.setMinWidth(0);
    where.setId("bench-place");
    where.getStyleClass().add("bench-large");
    next.setId("bench-next");
    next.getStyleClass().add("bench-middle");
    verdict.setId("bench-verdict");
    verdict.getStyleClass().add("bench-middle");
    unit.setId("bench-unit");
    unit.getStyleClass().add("bench-middle");
    other.getStyleClass().add("bench-small");
    head.getStyleClass().add("bench-small");
    source.getStyleClass().add("bench-small");
    for (var label : new Label[] {where, other, next, unit}) {
      label.setWrapText(true);
    }
    var done = new Button("Back to the window");
    done.setId("bench-done");
    done.setFocusTraversable(false);
    done.setMinWidth(USE_PREF_SIZE);
    done.setOnAction(e -> close.accept(at));
    var space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    source.setMinWidth(0);
    var top = new HBox(14, head, space, source, done);
    top.setAlignment(Pos.CENTER_LEFT);
    var keys =
        Page.hint("Enter keeps · − takes back · * reads it once more · / next place · Escape back");
    keys.getStyleClass().setAll("label", "bench-small");
    var gap = new Region();
    VBox.setVgrow(gap, Priority.ALWAYS);
    var pad = new NumberPad(this::press);
    var words = new VBox(8, verdict, band, next, keys);
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMinWidth(0);
    var foot = new HBox(24, words, pad);
    foot.setAlignment(Pos.BOTTOM_LEFT);
    var value = new VBox(0, numeral, unit);
    value.setAlignment(Pos.CENTER_RIGHT);
    getChildren().addAll(top, plan, where, other, value, gap, foot);
    setFocusTraversable(true);
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    addEventFilter(KeyEvent.KEY_TYPED, this::character);
    widthProperty().subscribe(w -> size());
    heightProperty().subscribe(h -> size());
    instruments.beatsProperty().subscribe(b -> show());
    session.benchProperty().subscribe(b -> show());
  }

  /** Begins at a place, once it lies over the window. */
  void open(NextPlace from) {
    at = from;
    before = null;
    refused = "";
    typed.setLength(0);
    instruments.wants(TakenBar.kindFor(at.measurement().quantity()), this::take);
    show();
    Platform.runLater(this::requestFocus);
  }

  private void size() {
    double size = Math.clamp(Math.min(getWidth() / 5.2, getHeight() / 7), SMALLEST, LARGEST);
    numeral.setStyle("-fx-font-size: %.0fpx;".formatted(size));
  }

  private void go(int place, Side side) {
    at = new NextPlace(at.measurement(), place, side);
    typed.setLength(0);
    show();
    requestFocus();
  }

  private void key(KeyEvent e) {
    switch (e.getCode()) {
      case ENTER -> press("⏎");
      case BACK_SPACE, DELETE -> press("←");
      case ESCAPE -> close.accept(at);
      default -> {
        return;
      }
    }
    e.consume();
  }

  private void character(KeyEvent e) {
    String c = e.getCharacter();
    if (c.matches("[0-9.,*/+-]")) {
      press("-".equals(c) ? "−" : c);
      e.consume();
    }
  }

  /** A key of the keyboard, the pad or a pedal. */
  private void press(String sign) {
    refused = "";
    switch (sign) {
      case "⏎" -> keep();
      case "←" -> typed.setLength(Math.max(0, typed.length() - 1));
      case "−" -> {
        if (typed.isEmpty()) {
          takeBack();
        } else {
          typed.append('-');
        }
      }
      case "*" -> before().ifPresent(this::again);
      case "/" -> {
        at = at.next(places());
        typed.setLength(0);
      }
      default -> typed.append(sign);
    }
    show();
  }

  private int places() {
    return session.ledger().places(at.measurement());
  }

  private Optional<NextPlace> before() {
    return Optional.ofNullable(before);
  }

  /** The place read last waits once more: a second reading repeats the first. */
  private void again(NextPlace place) {
    at = place;
    typed.setLength(0);
  }

  private void keep() {
    if (!typed.isEmpty()) {
      take(typed.toString());
    } else {
      live().ifPresent(m -> take(m.typed()));
    }
  }

  private Optional<Message> live() {
    return instruments
        .latest(TakenBar.kindFor(at.measurement().quantity()))
        .filter(m -> m.state() != Message.State.FLAT);
  }

  /** A reading for the place that waits, typed or sent. */
  private void take(String words) {
    try {
      double si = Entry.sum(words, at.measurement().quantity(), session.build().units());
      session.read(
          new Reading(
              0, at.measurement(), at.place(), at.side(), si, taken.apply(words, at), false));
      before = at;
      kept = si;
      at = at.next(places());
      typed.setLength(0);
    } catch (IllegalArgumentException e) {
      refused = e.getMessage();
    }
    show();
  }

  private void takeBack() {
    if (before != null) {
      session.undo();
      at = before;
      before = null;
    } else {
      refused = "nothing to take back here";
    }
  }

  private void show() {
    if (getScene() == null) {
      return;
    }
    var ledger = session.ledger();
    var m = at.measurement();
    var units = session.build().units();
    plan.show(ledger, Plausibility.of(ledger, units), m, at.place(), at.side());
    head.setText("%s · %d of %d".formatted(m.label(), ledger.filled(m), ledger.wanted(m)));
    source.setText(instruments.statusProperty().get());
    where.setText(at.words());
    String symbol = InputField.symbol(m.quantity(), units);
    var live = live();
    var shown = before == null ? at : before;
    var last = ledger.value(m, shown.place(), valueSide(shown), units).map(v -> v.si());
    if (!typed.isEmpty()) {
      numeral.setText(typed.toString());
      unit.setText(symbol + ", typed; Enter keeps it");
    } else if (live.isPresent()) {
      numeral.setText(live.get().typed().replaceAll("[^0-9.,+-].*$", "").strip());
      unit.setText(symbol + ", live");
    } else if (before != null) {
      numeral.setText(m.quantity().number(kept, units));
      unit.setText(
          "%s, kept at %s%s"
              .formatted(
                  symbol,
                  before.words(),
                  last.map(v -> "; the place comes to " + m.quantity().number(v, units))
                      .orElse("")));
    } else if (last.isPresent()) {
      numeral.setText(m.quantity().number(last.get(), units));
      unit.setText(symbol + ", the book has for " + shown.words());
    } else {
      numeral.setText("–");
      unit.setText(symbol + ", not read yet");
    }
    other.setText(otherSide(shown));
    var judged = ledger.verdict(m, shown.place(), valueSide(shown));
    verdict.setText("");
    judged.ifPresent(verdict::show);
    if (!refused.isEmpty()) {
      verdict.show("✕ " + refused, "outside");
    } else if (judged.isPresent()) {
      verdict.setText(verdict.getText() + ", " + shown.words());
    }
    band.show(ledger.band(m, valueSide(shown)), last.orElse(Double.NaN), m.quantity(), units);
    next.setText("Enter keeps it and goes to %s.".formatted(at.next(places()).words()));
  }

  /** What the other side of a place says that is read on two. */
  private String otherSide(NextPlace p) {
    if (!p.measurement().isTwoSided()) {
      return "";
    }
    var units = session.build().units();
    var words = new StringBuilder();
    for (var side : p.measurement().sides().all()) {
      session
          .ledger()
          .readings()
          .side(p.measurement(), at.place(), side)
          .ifPresent(
              v ->
                  words.append(
                      "%s%s read %s"
                          .formatted(
                              words.isEmpty() ? "" : "; ",
                              side.word(),
                              p.measurement().quantity().show(v.value(), units))));
    }
    return words.toString();
  }

  private static Side valueSide(NextPlace p) {
    return p.measurement().isTwoSided() ? Side.NONE : p.side();
  }
}
