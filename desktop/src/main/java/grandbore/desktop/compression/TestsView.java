package grandbore.desktop.compression;

import grandbore.core.clearances.Measurement;
import grandbore.core.compression.CrankingVerdict;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.CrankingStudy;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.session.Session;
import java.util.List;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** Compression test and leak-down: predicted beside measured, and what the pattern says. */
final class TestsView extends VBox {
  private final Session session;
  private final GridPane table = new GridPane();
  private final CheckRows checks = new CheckRows();
  private final Label status = new Label();
  private final ResultService service;
  private final Asking asking;
  private List<Double> predicted = List.of();

  TestsView(Session session, CurveService curves) {
    super(10);
    this.session = session;
    service = new ResultService(curves.runs(), Urgency.SEEN, status::setText);
    table.getStyleClass().add("result-grid");
    status.getStyleClass().add("soft");
    status.setId("tests-status");
    status.setWrapText(true);
    getChildren()
        .addAll(
            status,
            table,
            checks,
            Page.hint(
                "Readings are entered at the Clearances station, under Compression test, the same"
                    + " oiled, and Leak-down. Warm engine, plugs out, throttle held open, the same"
                    + " number of strokes for each cylinder."),
            Page.caution(
                "Ground the coil and shut the fuel off before cranking; an engine under leak-down"
                    + " air can turn over by itself: keep hands and tools off the crank."));
    WhenSeen.refresh(this, this::refresh, session.buildProperty(), session.readingsProperty());
    asking =
        new Asking(this, this::crank).when(session.buildProperty(), session.readingsProperty());
  }

  private void crank() {
    if (!asking.isNew(session.engine().key())) {
      return;
    }
    predicted = List.of();
    status.setText("Cranking each cylinder");
    service.ask(
        new CrankingStudy(session.engine()),
        p -> {
          predicted = p;
          status.setText(
              "Predicted for tight rings and valves, 200 rpm, throttle open; a gauge's hose takes"
                  + " some off.");
          refresh();
        });
  }

  private void refresh() {
    var readings = session.readings();
    var build = session.build();
    int n = build.combination().bottomEnd().cylinders();
    table.getChildren().clear();
    var units = build.units();
    String unit = Quantity.CYLINDER_PRESSURE.unit(units).symbol();
    String[] heads = {
      "cyl.", "predicted, " + unit, "measured, " + unit, "oiled, " + unit, "leak-down, %"
    };
    for (int k = 0; k < heads.length; k++) {
      cell(k, 0, heads[k], "unit");
    }
    for (int i = 1; i <= n; i++) {
      cell(0, i, String.valueOf(i), "number");
      cell(
          1,
          i,
          predicted.size() < i
              ? "—"
              : Quantity.CYLINDER_PRESSURE.number(predicted.get(i - 1), units),
          "number");
      int column = 2;
      for (var m : List.of(Measurement.COMPRESSION, Measurement.COMPRESSION_OILED)) {
        cell(
            column++,
            i,
            readings
                .at(m, i)
                .map(r -> Quantity.CYLINDER_PRESSURE.number(r.value(), units))
                .orElse("—"),
            "number");
      }
      cell(
          column,
          i,
          readings
              .at(Measurement.LEAK_DOWN, i)
              .map(r -> "%.0f".formatted(Measure.PERCENT.fromSi(r.value())))
              .orElse("—"),
          "number");
    }
    checks.show(CrankingVerdict.of(build, readings, predicted));
  }

  private void cell(int column, int row, String text, String style) {
    var label = new Label(text);
    label.getStyleClass().add(style);
    label.setMinWidth(USE_PREF_SIZE);
    GridPane.setHalignment(label, HPos.RIGHT);
    table.add(label, column, row);
  }
}
