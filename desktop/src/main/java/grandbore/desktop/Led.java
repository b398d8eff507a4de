package grandbore.desktop;

import grandbore.core.beginning.Question;
import grandbore.core.prediction.Curve;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.Page;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.session.Session;
import grandbore.desktop.station.Station;
import java.util.List;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * Leads through a build: one question at each station, and what its answer did to the curve. What
 * nobody answers stays assumed.
 */
final class Led extends VBox {
  private final Session session;
  private final CurveService curves;
  private final Consumer<Station> choose;
  private final Label asks = Page.part("");
  private final Label how = Page.hint("");
  private final Label did = Page.hint("");
  private final HBox answer = new HBox();
  private List<Question> open = List.of();
  private int at;
  private long build;

  /** The curve before an answer, and whether one was given. */
  private Curve before;

  private Object was;

  /**
   * @param choose goes to a station
   */
  Led(Session session, CurveService curves, Consumer<Station> choose) {
    super(4);
    this.session = session;
    this.curves = curves;
    this.choose = choose;
    setId("led");
    getStyleClass().add("led");
    asks.setId("led-asks");
    did.setId("led-did");
    did.textProperty().subscribe(t -> Page.show(did, !t.isEmpty()));
    how.textProperty().subscribe(t -> Page.show(how, !t.isEmpty()));
    var next = Page.button("Next", "led-next");
    next.setOnAction(e -> ask(at + 1));
    var back = Page.button("Back", "led-back");
    back.setOnAction(e -> ask(at - 1));
    var end = Page.button("Enough", "led-end");
    end.setOnAction(e -> end());
    var row = new FlowPane(10, 4, asks, answer, next, back, end);
    row.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(row, how, did);
    Page.show(this, false);
    curves.stateProperty().subscribe(s -> answered());
    session.benchProperty().subscribe(b -> moved());
  }

  /** Asks what nobody has answered on the build on the bench; says so where that is nothing. */
  void begin() {
    open = Question.open(session.build().combination());
    build = session.id();
    did.setText("");
    Page.show(this, true);
    ask(0);
  }

  private void end() {
    open = List.of();
    answer.getChildren().clear();
    Page.show(this, false);
  }

  /** Another build on the bench was not asked about. */
  private void moved() {
    if (!open.isEmpty() && session.id() != build) {
      end();
    }
  }

  private void ask(int number) {
    answer.getChildren().clear();
    if (open.isEmpty() || number >= open.size()) {
      asks.setText(
          open.isEmpty()
              ? "Nothing is left to ask: all of it was said."
              : "That is all. Measure next what the curve hangs on: Weighing up, Doubt.");
      how.setText("");
      at = open.size();
      return;
    }
    at = Math.max(0, number);
    var q = open.get(at);
    asks.setText("%d of %d: %s".formatted(at + 1, open.size(), q.asks()));
    how.setText("From: %s. What nobody knows yet stays assumed.".formatted(q.how()));
    var field = new InputField(session, q.path());
    answer.getChildren().setAll(field);
    choose.accept(Station.ofGroup(q.path().substring(0, q.path().indexOf('.'))));
    before = curves.curve().getValue();
    was = session.build().combination().at(q.path());
    Platform.runLater(
        () -> field.lookupAll(".text-field").stream().findFirst().ifPresent(Node::requestFocus));
  }

  /** Once the curve of an answer stands, what it did is told. */
  private void answered() {
    var s = curves.stateProperty().get();
    if (open.isEmpty() || at >= open.size() || s.isRunning() || s.curve() == null) {
      return;
    }
    var q = open.get(at);
    var is = session.build().combination().at(q.path());
    if (before == null) {
      before = s.curve();
      return;
    }
    if (!is.equals(was) && !s.curve().equals(before)) {
      did.setText(says(before, s.curve()));
      before = s.curve();
      was = is;
    }
  }

  private String says(Curve then, Curve now) {
    var units = session.build().units();
    if (then.peakPower().isEmpty() || now.peakPower().isEmpty()) {
      return "";
    }
    var power = Quantity.POWER.unit(units);
    var torque = Quantity.TORQUE.unit(units);
    double by =
        power.differenceFromSi(now.peakPower().get().power() - then.peakPower().get().power());
    double more =
        now.peakTorque().isEmpty() || then.peakTorque().isEmpty()
            ? 0
            : torque.differenceFromSi(
                now.peakTorque().get().torque() - then.peakTorque().get().torque());
    return "→ Peak %s at %,.0f rpm, %+.0f %s; torque %+.0f %s"
        .formatted(
            Quantity.POWER.show(now.peakPower().get().power(), units),
            10 * Math.rint(now.peakPower().get().rpm() / 10),
            by + 0.0,
            power.symbol(),
            more + 0.0,
            torque.symbol());
  }
}
