package grandbore.desktop.compression;

import grandbore.core.clearances.Measurement;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.Page;
import grandbore.desktop.session.Session;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** Compression by cylinder, from what is measured at each. */
final class RatiosTable extends VBox {
  private final Session session;
  private final GridPane grid = new GridPane();
  private final Label spread = new Label();

  RatiosTable(Session session) {
    this.session = session;
    setSpacing(6);
    var title = new Label("Compression by cylinder");
    title.getStyleClass().add("pane-title");
    grid.getStyleClass().add("ratios");
    spread.getStyleClass().add("soft");
    var working =
        Page.hint(
            "ratio = (swept + volume) ÷ volume; volume = chamber + gasket + deck + dish + land,"
                + " each cylinder's own where it was measured, the means of both sides of the pin"
                + " for decks.");
    getChildren().addAll(title, grid, spread, working);
    session.buildProperty().subscribe(b -> refresh());
    session.readingsProperty().subscribe(r -> refresh());
  }

  private void refresh() {
    grid.getChildren().clear();
    var engine = session.engine();
    var units = session.build().units();
    double swept = engine.combination().bottomEnd().sweptVolume();
    row(0, "cylinder", "unit");
    row(1, "volume at top, cc", "unit");
    row(2, "ratio", "unit");
    row(3, "measured", "unit");
    double least = Double.MAX_VALUE;
    double most = 0;
    for (int i = 0; i < engine.clearances().size(); i++) {
      double v = engine.clearances().get(i);
      double ratio = (swept + v) / v;
      least = Math.min(least, ratio);
      most = Math.max(most, ratio);
      boolean chamber = session.readings().at(Measurement.CHAMBER, i + 1).isPresent();
      boolean deck = session.readings().at(Measurement.DECK, i + 1).isPresent();
      String what = chamber && deck ? "both" : chamber ? "chamber" : deck ? "deck" : "no";
      cell(0, i + 1, String.valueOf(i + 1), "number");
      cell(1, i + 1, Quantity.VOLUME.number(v, units), "number");
      cell(2, i + 1, Quantity.RATIO.number(ratio, units), "number");
      cell(3, i + 1, what, "unit");
    }
    spread.setText(
        "from %s to %s"
            .formatted(Quantity.RATIO.show(least, units), Quantity.RATIO.show(most, units)));
  }

  private void row(int at, String text, String style) {
    cell(at, 0, text, style);
  }

  private void cell(int row, int column, String text, String style) {
    var label = new Label(text);
    label.getStyleClass().add(style);
    label.setMinWidth(USE_PREF_SIZE);
    grid.add(label, column, row);
  }
}
