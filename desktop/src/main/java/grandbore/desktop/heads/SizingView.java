package grandbore.desktop.heads;

import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.flow.PortSizing;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Trace;
import grandbore.core.prediction.WantedBand;
import grandbore.core.topend.FlowVerdict;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.Page;
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
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Valve and port against displacement and speed, and what others would do, by the wave model. */
final class SizingView extends VBox {
  private static final int POINTS = 6;

  private final Session session;
  private final ReadOnlyDoubleProperty rpm;
  private final CheckRows checks = new CheckRows();
  private final Label gains = new Label();
  private final PlotPane map;
  private final ResultService service = new ResultService(gains::setText);
  private final ResultService tracer = new ResultService(gains::setText);
  private final Asking asking;
  private final Asking askingTrace;

  SizingView(Session session, CurveService curves, Look look, ReadOnlyDoubleProperty rpm) {
    super(10);
    this.session = session;
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
            gains,
            map);
    session.buildProperty().subscribe(b -> checks.show(FlowVerdict.of(b)));
    asking =
        new Asking(this, curves, this::vary)
            .when(session.buildProperty(), session.readingsProperty());
    askingTrace =
        new Asking(this, curves, this::trace)
            .when(session.buildProperty(), session.readingsProperty(), rpm);
  }

  private record Variant(String name, Combination c) {}

  private void vary() {
    var engine = session.engine();
    var band = WantedBand.of(engine.combination().brief());
    if (!asking.isNew(engine.solved(), band, session.build().units())) {
      return;
    }
    var c = engine.combination();
    var variants = new ArrayList<Variant>();
    variants.add(new Variant("as it is", c));
    add(
        variants,
        "intake valve 5 % larger, port flowing as much better",
        () -> PortSizing.largerValve(c, 0.05));
    add(variants, "intake port 15 % larger in section", () -> PortSizing.portSection(c, 0.15));
    add(variants, "intake port 15 % smaller in section", () -> PortSizing.portSection(c, -0.15));
    gains.setText("Running the engine with other valves and ports");
    service.curves(
        variants.stream().map(v -> new BuiltEngine(v.c, engine.clearances())).toList(),
        band.speeds(POINTS),
        curves -> show(variants, curves, band));
  }

  private static void add(List<Variant> all, String name, Supplier<Combination> changed) {
    try {
      all.add(new Variant(name, changed.get()));
    } catch (InvalidInput e) {
      // No room for it in this head.
    }
  }

  private void show(List<Variant> variants, List<Curve> curves, WantedBand band) {
    var unit = new Shown(session.build().units()).power();
    var words = new StringBuilder();
    double base = band.power(curves.getFirst(), unit);
    words.append(
        String.format(
            Locale.US, "Average over the brief's band: %.0f %s as it is.", base, unit.symbol()));
    for (int i = 1; i < variants.size(); i++) {
      words.append(
          String.format(
              Locale.US,
              " %+.1f with an %s.",
              band.power(curves.get(i), unit) - base,
              variants.get(i).name));
    }
    words.append(
        " A port changed in section keeps its flow sheet here; a real one does not quite.");
    gains.setText(words.toString());
  }

  private void trace() {
    double at = Math.rint(rpm.get() / 50) * 50;
    if (askingTrace.isNew(session.engine().solved(), at, session.build().units())) {
      tracer.trace(session.engine(), at, t -> draw(t, at));
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
}
