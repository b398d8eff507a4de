package grandbore.desktop.job;

import grandbore.book.JobJson;
import grandbore.core.clearances.OnJob;
import grandbore.core.combination.InvalidInput;
import grandbore.core.job.OrderPlans;
import grandbore.core.job.cuts.DeckPlane;
import grandbore.core.job.cuts.DeckPlane.Corner;
import grandbore.core.job.cuts.OffsetGrind;
import grandbore.core.job.facts.Operation;
import grandbore.core.job.orders.OrderLine;
import grandbore.core.job.orders.WorkOrder;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.route.Step;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.TypedNumber;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** Writes an order: heads milled or decks cut from what was measured, or any other work. */
final class OrderWriter extends VBox {
  private final JobState state;
  private final Consumer<String> written;
  private final TextField supplier = Fields.field("write-supplier", "machine shop", 16);
  private final ComboBox<Optional<Step>> step =
      Fields.choice("write-step", s -> s.map(Step::title).orElse("no step"), List.of());
  private final TextField chamber = Fields.field("write-chamber", "such as 54 cc", 9);
  private final TextField deck = Fields.field("write-deck", "such as 0.005 in", 9);
  private final TextField price = Fields.field("write-price", "0", 7);
  private final ComboBox<EnginePart> part =
      Fields.choice("write-part", EnginePart::title, List.of(EnginePart.values()));
  private final ComboBox<Operation> work =
      Fields.choice("write-work", Operation::title, List.of(Operation.values()));
  private final TextField words = Fields.field("write-words", "what exactly", 22);
  private final List<TextField> corners = new ArrayList<>();
  private final TextField height = Fields.field("write-height", "wanted", 9);
  private final TextField journal = Fields.field("write-journal", "ground to", 9);
  private final Label plan = Page.hint("");
  private final Button planned = Page.button("Into the order", "write-planned");

  OrderWriter(JobState state, Consumer<String> written) {
    super(8);
    this.state = state;
    this.written = written;
    setId("order-writer");
    getStyleClass().add("group");
    plan.setId("write-plan");
    part.setValue(EnginePart.HEAD);
    work.setValue(Operation.VALVE_JOB);
    var mill = Page.button("Mill the heads", "write-mill");
    mill.setOnAction(e -> state.tried(() -> write(plans().mill(volume(), price()))));
    var cut = Page.button("Cut the decks", "write-cut");
    cut.setOnAction(e -> state.tried(() -> write(plans().cut(length("Deck", deck), price()))));
    var other = Page.button("Order it", "write-other");
    other.setOnAction(
        e ->
            state.tried(
                () ->
                    write(
                        List.of(
                            new OrderLine(
                                part.getValue(),
                                work.getValue(),
                                words.getText().strip(),
                                "",
                                price())))));
    for (var c : Corner.values()) {
      corners.add(Fields.field("write-" + c, "", 9));
    }
    var corner = Page.row();
    for (var c : Corner.values()) {
      corner.getChildren().add(Page.named(c.title(), corners.get(c.ordinal())));
    }
    var square = Page.button("Cut at each corner", "write-square");
    square.setOnAction(e -> state.tried(this::square));
    corner.getChildren().addAll(Page.named("height wanted", height), square);
    var grind = Page.button("Stroke it gives", "write-grind");
    grind.setOnAction(e -> state.tried(this::grind));
    getChildren()
        .addAll(
            Page.part("Write an order"),
            Page.hint(
                "An order that stands and is not sent yet takes the lines; else a new one is"
                    + " begun."),
            Page.row(
                Page.named("to", supplier),
                Page.named("for the step", step),
                Page.named("price", price)),
            Page.row(Page.named("chambers wanted", chamber), mill),
            Page.row(Page.named("deck clearance wanted", deck), cut),
            Page.row(
                Page.named("part", part),
                Page.named("work", work),
                Page.named("words", words),
                other),
            Page.part("Cut plans"),
            Page.hint("Heights of a deck above the crank's axis at its corners."),
            corner,
            Page.row(Page.named("rod journals ground offset to", journal), grind),
            plan,
            planned);
    Page.show(planned, false);
    state.plannedProperty().subscribe(p -> offer());
  }

  private void offer() {
    var was = step.getValue();
    var all = new ArrayList<Optional<Step>>(List.of(Optional.empty()));
    state.job().steps().forEach(s -> all.add(Optional.of(s)));
    step.getItems().setAll(all);
    step.setValue(was != null && all.contains(was) ? was : Optional.empty());
  }

  private UnitSystem units() {
    return state.session().build().units();
  }

  private OrderPlans plans() {
    return new OrderPlans(state.session().build(), state.session().readings());
  }

  private double price() {
    return TypedNumber.plain("Price", price);
  }

  private double volume() {
    return parsed("Chambers wanted", chamber, Quantity.VOLUME);
  }

  private double length(String what, TextField field) {
    return parsed(what, field, Quantity.CLEARANCE);
  }

  private double parsed(String what, TextField field, Quantity q) {
    if (field.getText().isBlank()) {
      throw new InvalidInput(what, "empty", "a value", "something is cut by it");
    }
    return TypedNumber.of(what, field, q, units());
  }

  /** Lines go on the order to that supplier that is not sent yet, or on a new one. */
  private void write(List<OrderLine> lines) {
    String to = supplier.getText().strip();
    var open =
        state.job().orders().stream()
            .filter(o -> !o.isSent() && o.supplier().equals(to))
            .findFirst();
    var all = new ArrayList<>(open.map(WorkOrder::lines).orElse(List.of()));
    all.addAll(lines);
    String number = open.map(WorkOrder::number).orElseGet(() -> state.next(OnJob.Kind.ORDER, "W"));
    var order =
        WorkOrder.of(number, to, all, open.map(WorkOrder::written).orElseGet(Instant::now))
            .forStep(step.getValue().map(Step::id).orElse(open.map(WorkOrder::step).orElse("")));
    state.keep(JobJson.note(order));
    written.accept(number);
  }

  private void square() {
    double[] h = new double[corners.size()];
    for (var c : Corner.values()) {
      h[c.ordinal()] = length("Deck, " + c.title(), corners.get(c.ordinal()));
    }
    var deck = DeckPlane.of(h);
    double wanted = height.getText().isBlank() ? deck.cleanUp() : length("Height wanted", height);
    var says = new ArrayList<String>();
    for (var c : Corner.values()) {
      says.add("%s %s".formatted(c.title(), shown(deck.cut(c, wanted))));
    }
    plan(
        EnginePart.BLOCK,
        Operation.DECK_CUT,
        "To %s: %s off. It stands %s from end to end, %s across, twisted by %s. It cleans up at %s."
            .formatted(
                shown(wanted),
                String.join("; ", says),
                shown(2 * Math.abs(deck.along())),
                shown(2 * Math.abs(deck.across())),
                shown(Math.abs(deck.twist())),
                shown(deck.cleanUp())));
  }

  private void grind() {
    var b = state.session().build().combination().bottomEnd();
    var to = OffsetGrind.of(b.stroke().si(), b.rodJournal().si(), length("Journal", journal), 0);
    plan(
        EnginePart.CRANK,
        Operation.OFFSET_GRIND,
        "From %s to %s: up to %s more stroke, %s in all; what cleans up is lost from it twice."
            .formatted(
                shown(b.rodJournal().si()),
                shown(length("Journal", journal)),
                shown(to.gained()),
                shown(to.stroke())));
  }

  /** Says a plan, which may go into the order as a line. */
  private void plan(EnginePart of, Operation does, String says) {
    plan.setText("● " + says);
    planned.setOnAction(
        e -> state.tried(() -> write(List.of(new OrderLine(of, does, says, "", price())))));
    Page.show(planned, true);
  }

  private String shown(double si) {
    return Quantity.CLEARANCE.show(si, units());
  }
}
