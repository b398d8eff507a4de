package grandbore.desktop.heads;

import grandbore.core.prediction.Trace;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.SizingStudy;
import grandbore.core.studies.TraceStudy;
import grandbore.core.topend.FlowVerdict;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.Page;
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
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Valve and port against displacement and speed, and what others would do, by the wave model. */
final class SizingView extends VBox {
  private final Session session;
  private final ReadOnlyDoubleProperty rpm;
  private final CheckRows checks = new CheckRows();
  private final Label gains = new Label();
  private final PlotPane map;
  private final ResultService service;
  private final ResultService tracer;
  private final Asking asking;
  private final Asking askingTrace;

  SizingView(Session session, CurveService curves, Look look, ReadOnlyDoubleProperty rpm) {
    super(10);
    this.session = session;
    tracer = new ResultService(curves.runs(), Urgency.SEEN, gains::setText);
    service = new ResultService(curves.runs(), Urgency.STUDY, gains::setText);
    this.rpm = rpm;
    map = new PlotPane(look, "plot-port-speed", "Gas speed along runner and port", "%.0f");
    gains.setId("sizing-gains");
    gains.setWrapText(true);
    gains.getStyleClass().add("soft");
    getChildren()
        .addAll(
            new FigureRows(session, "mach_index", "limiting_speed", "port_speed"),
            checks,
            Page.part("Another valve or port, by the wave model"),
            new RunLine("sizing-run", service, this::again),
            gains,
            map);
    session.buildProperty().subscribe(b -> checks.show(FlowVerdict.of(b)));
    asking = new Asking(this, this::vary).when(session.buildProperty(), session.readingsProperty());
    askingTrace =
        new Asking(this, this::trace)
            .when(session.buildProperty(), session.readingsProperty(), rpm);
  }

  private void vary() {
    var engine = session.engine();
    var band = WantedBand.of(engine.combination().brief());
    if (!asking.isNew(engine.key(), band, session.build().units())) {
      return;
    }
    gains.setText("");
    service.ask(new SizingStudy(engine, band), this::show);
  }

  private void show(List<SizingStudy.Tried> all) {
    var unit = new Shown(session.build().units()).power();
    var words = new StringBuilder();
    double base = all.getFirst().power();
    words.append(
        String.format(
            Locale.US,
            "Average over the brief's band: %.0f %s as it is.",
            unit.fromSi(base),
            unit.symbol()));
    for (var tried : all.subList(1, all.size())) {
      words.append(
          String.format(
              Locale.US, " %+.1f with an %s.", unit.fromSi(tried.power() - base), tried.what()));
    }
    words.append(
        " A port changed in section keeps its flow sheet here; a real one does not quite.");
    gains.setText(words.toString());
  }

  private void trace() {
    double at = Math.rint(rpm.get() / 50) * 50;
    if (askingTrace.isNew(session.engine().key(), at, session.build().units())) {
      tracer.ask(new TraceStudy(session.engine(), at), t -> draw(t, at));
    }
  }

  /** The fastest in either direction at every place, over one cycle. */
  private void draw(Trace trace, double at) {
    var units = session.build().units();
    var unit = Quantity.GAS_SPEED.unit(units);
    var length = Quantity.LENGTH.unit(units);
    double whole = session.engine().combination().intakePath();
    int n = trace.intakeSpeed()[0].length;
    var x = new double[n];
    var in = new double[n];
    var back = new double[n];
    for (var row : trace.intakeSpeed()) {
      for (int i = 0; i < n; i++) {
        in[i] = Math.max(in[i], unit.fromSi(row[i]));
        back[i] = Math.max(back[i], unit.fromSi(-row[i]));
      }
    }
    for (int i = 0; i < n; i++) {
      x[i] = length.fromSi(whole * (i + 0.5) / n);
    }
    map.show(
        String.format(Locale.US, "%s from the plenum to the valve", length.symbol()),
        String.format(Locale.US, "%s, fastest at %,.0f rpm", unit.symbol(), at),
        List.of(new Line("toward the valve", x, in), new Line("back", x, back)));
  }

  private void again() {
    asking.again();
  }
}
