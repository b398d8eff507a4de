package grandbore.desktop.weighing;

import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import grandbore.core.changes.Difference;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.shelf.Part;
import grandbore.core.shelf.PartKind;
import grandbore.core.shelf.PartState;
import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.controls.TypedNumber;
import grandbore.desktop.controls.Words;
import grandbore.desktop.session.Session;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Writes a part of the shop: what it is called, costs and needs, and what it sets. */
final class PartForm extends VBox {
  private static final double LABEL = 150;

  private final Session session;
  private final PartList parts;
  private final Runnable closed;
  private final TextField number = Page.words("part-number", "number", 8);
  private final TextField name = Page.words("part-name", "what it is called", 22);
  private final TextField price = Page.words("part-price", "0", 7);
  private final TextField labour = Page.words("part-labour", "0", 7);
  private final TextField hours = Page.words("part-hours", "0", 5);
  private final TextField supplier = Page.words("part-supplier", "who has it", 14);
  private final TextField needs = Page.words("part-needs", "gaskets; springs", 22);
  private final TextField condition = Page.words("part-condition", "new, used, what was seen", 34);
  private final Label title = Page.part("");
  private final FlowPane inputs = new FlowPane(12, 4);
  private final Refusal refusal = new Refusal();

  /** Fields of single numbers by path, and boxes of all else. */
  private final Map<String, TextInputControl> numbers = new LinkedHashMap<>();

  private final Map<String, CheckBox> others = new LinkedHashMap<>();

  /** What the fields were filled with. */
  private Part from;

  private Map<String, String> filled = Map.of();

  PartForm(Session session, PartList parts, Runnable closed) {
    super(8);
    this.session = session;
    this.parts = parts;
    this.closed = closed;
    setId("part-form");
    getStyleClass().add("group");
    var keep = Page.button("Keep", "part-keep");
    keep.setOnAction(e -> keep());
    var drop = Page.button("Leave it", "part-drop");
    drop.setOnAction(e -> close());
    var first =
        row(labelled("number", number), labelled("name", name), labelled("supplier", supplier));
    var money =
        row(
            labelled("price", price),
            labelled("outside labour", labour),
            labelled("own hours", hours),
            labelled("needs", needs));
    inputs.setRowValignment(VPos.BOTTOM);
    getChildren()
        .addAll(
            title,
            first,
            money,
            row(labelled("condition", condition)),
            Page.hint("What it sets; a blank one is left as it is on the engine."),
            inputs,
            refusal,
            row(keep, drop));
    Page.show(this, false);
  }

  private static FlowPane row(javafx.scene.Node... nodes) {
    var row = new FlowPane(10, 4, nodes);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private static VBox labelled(String words, TextField field) {
    var label = new Label(words);
    label.getStyleClass().add("input-label");
    field.setAccessibleText(words + " of the part");
    return new VBox(1, label, field);
  }

  /** A new part of a kind, as the engine on the bench has it. */
  void begin(PartKind kind) {
    var engine = session.build().combination();
    open(
        new Part(
            parts.nextNumber(),
            kind,
            PartState.SHELF,
            new Change(kind.title(), kind.on(engine)),
            "",
            List.of()),
        false);
  }

  void edit(Part part) {
    open(part, true);
  }

  private void open(Part part, boolean known) {
    from = part;
    refusal.clear();
    title.setText(part.kind().title());
    number.setText(part.number());
    number.setEditable(!known);
    name.setText(part.name());
    var cost = part.change().cost();
    price.setText(plain(cost.price()));
    labour.setText(plain(cost.labour()));
    hours.setText(plain(cost.hours()));
    supplier.setText(part.change().supplier());
    needs.setText(String.join("; ", part.change().needs()));
    condition.setText(part.condition());
    fill();
    Page.show(this, true);
    name.requestFocus();
    name.selectAll();
  }

  private static String plain(double value) {
    return value == 0 ? "" : Quantity.COST.number(value, UnitSystem.METRIC).replace(",", "");
  }

  private void fill() {
    numbers.clear();
    others.clear();
    inputs.getChildren().clear();
    var units = session.build().units();
    var shown = new LinkedHashMap<String, String>();
    var paths = new TreeSet<>(from.change().sets().keySet());
    if (from.kind() != PartKind.OTHER) {
      Difference.paths().stream().filter(from.kind()::sets).forEach(paths::add);
    }
    for (var path : paths) {
      var value = from.change().sets().get(path);
      if (session.build().combination().at(path) instanceof Given) {
        String text = value == null ? "" : Words.value(value, units);
        shown.put(path, text);
        var field = Page.words("part-sets-" + path.replace('.', '-'), "", 9);
        field.setText(text);
        numbers.put(path, field);
        inputs.getChildren().add(cell(path, field));
      } else {
        var box = new CheckBox(value == null ? "as on the engine" : Words.value(value, units));
        box.setId("part-sets-" + path.replace('.', '-'));
        box.setSelected(value != null);
        others.put(path, box);
        inputs.getChildren().add(cell(path, box));
      }
    }
    filled = shown;
  }

  private static VBox cell(String path, javafx.scene.control.Control control) {
    String words = new Difference(path, List.of()).label();
    var label = new Label(words);
    label.getStyleClass().add("input-label");
    label.setWrapText(true);
    label.setPrefWidth(LABEL);
    control.setAccessibleText(words);
    control.setPrefWidth(LABEL);
    return new VBox(1, label, control);
  }

  private void keep() {
    refusal.clear();
    try {
      var part =
          new Part(
              number.getText().strip(),
              from.kind(),
              from.state(),
              new Change(
                  name.getText().strip(),
                  sets(),
                  new Cost(
                      TypedNumber.plain("Price", price),
                      TypedNumber.plain("Labour", labour),
                      TypedNumber.plain("Hours", hours)),
                  supplier.getText().strip(),
                  Arrays.stream(needs.getText().split(";"))
                      .map(String::strip)
                      .filter(n -> !n.isEmpty())
                      .toList()),
              condition.getText().strip(),
              from.pictures());
      if (number.isEditable()
          && parts.all().stream().anyMatch(p -> p.number().equals(part.number()))) {
        throw new InvalidInput(
            "Part, number", part.number(), "a number that no part has", "it is told by that");
      }
      parts.put(part);
      close();
    } catch (IllegalArgumentException e) {
      refusal.say(e.getMessage());
    }
  }

  private SortedMap<String, Object> sets() {
    var sets = new TreeMap<String, Object>();
    numbers.forEach(
        (path, field) -> {
          String text = field.getText().strip();
          var was = from.change().sets().get(path);
          if (text.equals(filled.get(path)) && was != null && !text.isEmpty()) {
            sets.put(path, was);
          } else if (!text.isEmpty()) {
            sets.put(path, typed(path, text, was));
          }
        });
    others.forEach(
        (path, box) -> {
          if (box.isSelected()) {
            var was = from.change().sets().get(path);
            sets.put(path, was == null ? session.build().combination().at(path) : was);
          }
        });
    return sets;
  }

  private Given typed(String path, String text, Object was) {
    var spec = Specs.field(path).spec();
    try {
      double si =
          Entry.parse(
              text, spec.quantity(), session.build().units(), was instanceof Given g ? g.si() : 0);
      double spread = Given.usualSpread(si, spec.quantity(), Provenance.CARD);
      return new Given(si, spec.quantity(), Provenance.CARD, spread).as(text);
    } catch (IllegalArgumentException e) {
      throw new IllegalArgumentException(spec.label() + ": " + e.getMessage(), e);
    }
  }

  private void close() {
    Page.show(this, false);
    closed.run();
  }
}
