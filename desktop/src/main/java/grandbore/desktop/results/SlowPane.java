package grandbore.desktop.results;

import grandbore.core.studies.SlowStudy;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.Locale;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** Idle and cranking in words and numbers. */
final class SlowPane extends VBox {
  private static final double BRAKE_LEAST = Measure.INCHES_OF_MERCURY.toSi(10);
  private static final double BRAKE_MORE = Measure.INCHES_OF_MERCURY.toSi(12);

  SlowPane() {
    super(8);
    setId("slow-results");
  }

  void show(SlowStudy.Slow slow, double idleSpeed, UnitSystem units) {
    getChildren().clear();
    var gauge = units == UnitSystem.US ? Measure.PSI : Measure.BAR;
    head("Compression test");
    say("Warm, every throttle held open, 200 rpm, " + gauge.symbol() + " on the gauge.");
    var table = grid();
    for (int i = 0; i < slow.compression().size(); i++) {
      put(table, i, 0, "unit", String.valueOf(i + 1));
      String pattern = units == UnitSystem.US ? "%.0f" : "%.1f";
      double shown = gauge.fromSi(slow.compression().get(i));
      put(table, i, 1, "number", String.format(Locale.US, pattern, shown));
    }
    say(
        "Tight valves and rings are taken for granted: a gauge reads less by what leaks and by the"
            + " volume of its hose. Cylinders that differ from one another are the finding.");
    head("Idle");
    if (slow.idle().isEmpty()) {
      say(
          "None to tell. Either every runner has its own throttle, so that there is no common"
              + " vacuum, or no throttle opening holds %,.0f rpm.".formatted(idleSpeed));
      return;
    }
    var idle = slow.idle().get();
    var facts = grid();
    fact(facts, 0, "Speed", "%,.0f rpm".formatted(idle.rpm()));
    fact(facts, 1, "Manifold vacuum", Quantity.PRESSURE.show(idle.vacuum(), units));
    fact(facts, 2, "Throttle open", "%.1f %% of its area".formatted(100 * idle.throttle()));
    fact(
        facts,
        3,
        "Burned gas in the charge",
        "%.0f %%%s".formatted(100 * idle.residual(), idle.steady() ? "" : ": it idles rough"));
    fact(facts, 4, "Power brakes", brakes(idle.vacuum()));
    say("Power brakes want 10 inHg by one school and 12 by the other (common practice).");
  }

  private static String brakes(double vacuum) {
    if (vacuum >= BRAKE_MORE) {
      return "enough vacuum by both schools";
    }
    return vacuum >= BRAKE_LEAST
        ? "enough vacuum by one school, not by the other"
        : "too little vacuum: a canister or a pump";
  }

  private void fact(GridPane grid, int row, String name, String value) {
    put(grid, 0, row, "input-label", name);
    put(grid, 1, row, "number", value);
    GridPane.setHalignment(grid.getChildren().getLast(), HPos.LEFT);
  }

  private GridPane grid() {
    var grid = new GridPane();
    grid.getStyleClass().add("result-grid");
    getChildren().add(grid);
    return grid;
  }

  private static void put(GridPane grid, int column, int row, String style, String words) {
    var label = new Label(words);
    label.getStyleClass().add(style);
    GridPane.setHalignment(label, style.equals("input-label") ? HPos.LEFT : HPos.RIGHT);
    grid.add(label, column, row);
  }

  private void head(String title) {
    var label = new Label(title);
    label.getStyleClass().add("pane-title");
    getChildren().add(label);
  }

  private void say(String words) {
    var label = new Label(words);
    label.getStyleClass().add("soft");
    label.setWrapText(true);
    getChildren().add(label);
  }
}
