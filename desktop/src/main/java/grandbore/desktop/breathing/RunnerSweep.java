package grandbore.desktop.breathing;

import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.WantedBand;
import grandbore.core.units.Quantity;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.Line;
import grandbore.desktop.results.PlotPane;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.Shown;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Average over the brief's band by runner length, from the wave model. */
final class RunnerSweep extends VBox {
  private static final double[] SHARES = {0.6, 0.8, 1, 1.25, 1.55, 1.9};
  private static final int POINTS = 6;

  private final Session session;
  private final PlotPane plot;
  private final Label found = new Label();
  private final ResultService service = new ResultService(found::setText);
  private final Asking asking;

  RunnerSweep(Session session, CurveService curves, Look look) {
    super(6);
    this.session = session;
    plot =
        new PlotPane(look, "plot-runner-sweep", "Average over the band, by runner length", "%.1f");
    found.setId("runner-found");
    found.setWrapText(true);
    found.getStyleClass().add("soft");
    getChildren().addAll(found, plot);
    asking =
        new Asking(this, curves, this::sweep)
            .when(session.buildProperty(), session.readingsProperty());
  }

  private void sweep() {
    var engine = session.engine();
    var band = WantedBand.of(engine.combination().brief());
    if (!asking.isNew(engine.solved(), band, session.build().units())) {
      return;
    }
    var runner = engine.combination().intake().runnerLength();
    var lengths = new ArrayList<Double>();
    var engines = new ArrayList<BuiltEngine>();
    for (double share : SHARES) {
      try {
        var c =
            engine
                .combination()
                .with("intake.runnerLength", runner.with(share * runner.si(), runner.provenance()));
        engines.add(new BuiltEngine(c, engine.clearances()));
        lengths.add(share * runner.si());
      } catch (InvalidInput e) {
        // No runner is so short or so long.
      }
    }
    found.setText("Running %d runner lengths".formatted(lengths.size()));
    service.curves(engines, band.speeds(POINTS), curves -> show(lengths, curves, band));
  }

  private void show(List<Double> lengths, List<Curve> curves, WantedBand band) {
    var units = session.build().units();
    var power = new Shown(units).power();
    var length = Quantity.LENGTH.unit(units);
    int n = lengths.size();
    var x = new double[n];
    var y = new double[n];
    int best = 0;
    for (int i = 0; i < n; i++) {
      x[i] = length.fromSi(lengths.get(i));
      y[i] = band.power(curves.get(i), power);
      best = y[i] > y[best] ? i : best;
    }
    plot.show("runner, " + length.symbol(), power.symbol(), List.of(new Line("average", x, y)));
    found.setText(
        String.format(
            Locale.US,
            "Of the lengths tried, a runner of %s gives the band %,.0f to %,.0f rpm the most.",
            Quantity.LENGTH.show(lengths.get(best), units),
            band.from(),
            band.to()));
  }
}
