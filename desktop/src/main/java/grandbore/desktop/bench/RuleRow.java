package grandbore.desktop.bench;

import grandbore.core.clearances.Band;
import grandbore.core.clearances.Ledger;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.clearances.Rule;
import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.session.Session;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The bands that hold for a measurement, and a place to state the maker's or the shop's. */
final class RuleRow extends VBox {
  private final Session session;
  private final Label bands = new Label();
  private final TextField least = new TextField();
  private final TextField most = new TextField();
  private final TextField said = new TextField();
  private final Refusal refusal = new Refusal();
  private final Label unit = new Label();
  private final CheckBox perBore = new CheckBox("for each inch of bore");
  private Measurement measurement = Measurement.DECK;

  RuleRow(Session session) {
    super(4);
    this.session = session;
    bands.setWrapText(true);
    bands.setId("bench-bands");
    bands.getStyleClass().add("soft");
    least.setPromptText("least");
    least.setId("rule-least");
    most.setPromptText("most");
    most.setId("rule-most");
    said.setPromptText("maker and sheet");
    said.setId("rule-said");
    least.setAccessibleText("least of the band");
    most.setAccessibleText("most of the band, if any");
    said.setAccessibleText("maker and sheet");
    least.setPrefColumnCount(5);
    most.setPrefColumnCount(5);
    said.setPrefColumnCount(12);
    said.getStyleClass().add("words");
    unit.getStyleClass().add("unit");
    var maker = new Button("Maker's figure");
    maker.setId("rule-maker");
    maker.setOnAction(e -> state(Band.Source.MAKER));
    var house = new Button("Our own rule");
    house.setId("rule-house");
    house.setOnAction(e -> state(Band.Source.HOUSE));
    maker.setMinWidth(USE_PREF_SIZE);
    house.setMinWidth(USE_PREF_SIZE);
    perBore.setId("rule-per-bore");
    var entry = new FlowPane(6, 4, least, most, unit, perBore, said, maker, house);
    entry.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(bands, entry, refusal);
  }

  void show(Measurement m, Ledger ledger) {
    if (m != measurement) {
      refusal.clear();
    }
    measurement = m;
    var units = session.build().units();
    unit.setText(InputField.symbol(m.quantity(), units));
    boolean grows = m.quantity() == Quantity.CLEARANCE;
    perBore.setText(
        units == UnitSystem.US ? "for each inch of bore" : "for each millimetre of bore");
    perBore.setSelected(perBore.isSelected() && grows);
    Page.show(perBore, grows);
    var words = new StringBuilder();
    for (var side : m.valueSides()) {
      boolean first = true;
      for (var b : ledger.bands().all(m, side)) {
        words.append(
            "%s%s%s%s%s (%s)"
                .formatted(
                    words.isEmpty() ? "" : "\n",
                    first ? "Band: " : "also said: ",
                    side == Side.INTAKE || side == Side.EXHAUST ? side.word() + " " : "",
                    b.show(m.quantity(), units),
                    b.rule().isEmpty() ? "" : "; " + b.rule(),
                    b.source().words()));
        first = false;
      }
    }
    bands.setText(
        words.isEmpty()
            ? "No band is built in for this: state its maker's figure, or your own."
            : words.toString());
  }

  private void state(Band.Source source) {
    try {
      var q = perBore.isSelected() ? Quantity.FACTOR : measurement.quantity();
      var units = session.build().units();
      double low = Entry.parse(least.getText(), q, units, 0);
      double high = most.getText().isBlank() ? 0 : Entry.parse(most.getText(), q, units, 0);
      for (var side : measurement.valueSides()) {
        session.keep(
            new Rule(
                measurement,
                side,
                source,
                low,
                high,
                said.getText().isBlank()
                    ? source.words().toLowerCase(Locale.ROOT)
                    : said.getText().strip(),
                perBore.isSelected()),
            "");
      }
      least.clear();
      most.clear();
      refusal.clear();
    } catch (IllegalArgumentException e) {
      refusal.say(e.getMessage());
    }
  }
}
