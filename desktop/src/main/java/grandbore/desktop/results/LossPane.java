package grandbore.desktop.results;

import grandbore.core.prediction.LossAccount;
import grandbore.core.prediction.RemovedLoss;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Locale;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** The loss account: what each loss costs, by speed, from runs without it. */
public final class LossPane extends VBox {
  private static final int DRAWN = 5;

  private final PlotPane plot;
  private final GridPane table = new GridPane();

  public LossPane(Look look) {
    super(10);
    plot = new PlotPane(look, "plot-losses", "Torque each loss costs, taken away alone", "%.1f");
    table.getStyleClass().add("result-grid");
    table.setId("loss-table");
    getChildren().addAll(plot, table);
  }

  public void show(LossAccount account, double rpm, Shown shown) {
    var unit = shown.torque();
    var x = account.base().points().stream().mapToDouble(p -> p.rpm()).toArray();
    var lines =
        Arrays.stream(RemovedLoss.values())
            .map(r -> new Line(r.label(), x, torque(account, r, x.length, shown)))
            .sorted(Comparator.comparingDouble(LossPane::mean).reversed())
            .toList();
    plot.show("rpm", unit.symbol(), lines.subList(0, Math.min(DRAWN, lines.size())));
    int at = 0;
    for (int i = 1; i < x.length; i++) {
      at = Math.abs(x[i] - rpm) < Math.abs(x[at] - rpm) ? i : at;
    }
    table.getChildren().clear();
    row(0, "At %,.0f rpm".formatted(x[at]), unit.symbol(), shown.power().symbol());
    int here = at;
    var rows = new ArrayList<>(lines);
    rows.sort(Comparator.comparingDouble((Line l) -> l.y()[here]).reversed());
    for (int i = 0; i < rows.size(); i++) {
      numbers(i + 1, rows.get(i).name(), rows.get(i).y()[at], x[at], shown);
    }
    numbers(
        lines.size() + 1, "All together", unit.fromSi(account.torqueTogether(at)), x[at], shown);
  }

  private static double mean(Line l) {
    return Arrays.stream(l.y()).filter(Double::isFinite).average().orElse(0);
  }

  private static double[] torque(LossAccount account, RemovedLoss relief, int n, Shown shown) {
    var y = new double[n];
    for (int i = 0; i < n; i++) {
      y[i] = shown.torque().fromSi(account.torque(relief, i));
    }
    return y;
  }

  private void numbers(int row, String name, double torque, double rpm, Shown shown) {
    double power = shown.power().fromSi(shown.torque().toSi(torque) * rpm * Math.PI / 30);
    row(
        row,
        name,
        String.format(Locale.US, "%.1f", torque),
        String.format(Locale.US, "%.0f", power));
  }

  private void row(int row, String... cells) {
    for (int k = 0; k < cells.length; k++) {
      var label = new Label(cells[k]);
      label.getStyleClass().add(row == 0 ? "unit" : k == 0 ? "input-label" : "number");
      GridPane.setHalignment(label, k == 0 ? HPos.LEFT : HPos.RIGHT);
      table.add(label, k, row);
    }
  }
}
