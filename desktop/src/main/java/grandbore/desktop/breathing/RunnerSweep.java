package grandbore.desktop.breathing;

import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.RunnerStudy;
import grandbore.core.studies.Sweep;
import grandbore.core.units.Quantity;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import grandbore.desktop.results.Shown;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Average over the brief's band by runner length, from the wave model. */
final class RunnerSweep extends VBox {
  private final Session session;
  private final PlotPane plot;
  private final Label found = new Label();
  private final ResultService service;
  private final Asking asking;

  RunnerSweep(Session session, CurveService curves, Look look) {
    super(6);
    this.session = session;
    service = new ResultService(curves.runs(), Urgency.STUDY, found::setText);
    plot =
        new PlotPane(look, "plot-runner-sweep", "Average over the band, by runner length", "%.1f");
    found.setId("runner-found");
    found.setWrapText(true);
    found.getStyleClass().add("soft");
    getChildren().addAll(new RunLine("runner-run", service, this::again), found, plot);
    asking =
        new Asking(this, this::sweep).when(session.buildProperty(), session.readingsProperty());
  }

  private void sweep() {
    var engine = session.engine();
    var band = WantedBand.of(engine.combination().brief());
    if (!asking.isNew(engine.key(), band, session.build().units())) {
      return;
    }
    found.setText("");
    var study = new RunnerStudy(engine, band);
    service.ask(study, part -> plot(part), all -> show(all, band));
  }

  private void plot(Sweep sweep) {
    var units = session.build().units();
    var power = new Shown(units).power();
    var length = Quantity.LENGTH.unit(units);
    plot.show(
        "runner, " + length.symbol(),
        power.symbol(),
        List.of(
            new Line(
                "average",
                sweep.at().stream().mapToDouble(length::fromSi).toArray(),
                sweep.power().stream().mapToDouble(power::fromSi).toArray())));
  }

  private void show(Sweep sweep, WantedBand band) {
    plot(sweep);
    found.setText(
        String.format(
            Locale.US,
            "Of the lengths tried, a runner of %s gives the band %,.0f to %,.0f rpm the most.",
            Quantity.LENGTH.show(sweep.at().get(sweep.best()), session.build().units()),
            band.from(),
            band.to()));
  }

  private void again() {
    asking.again();
  }
}
