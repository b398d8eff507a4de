package grandbore.desktop.breathing;

import grandbore.core.combination.Combination;
import grandbore.core.prediction.Trace;
import grandbore.core.prediction.Trace.Kind;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.TraceStudy;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.RunButton;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.Shown;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** Pressure along intake and exhaust at the crank cursor, stepped or running. */
final class WavesView extends VBox {
  private static final Duration FRAME = Duration.millis(50);
  private static final double STEP = 4;

  private final Session session;
  private final DoubleProperty crank;
  private final ReadOnlyDoubleProperty rpm;
  private final PlotPane intake;
  private final PlotPane exhaust;
  private final PlotPane valves;
  private final Label status = new Label();
  private final ResultService service;
  private final Asking asking;
  private final ResultService other;
  private Trace trace;
  private Trace laid;
  private Combination laidOver;

  WavesView(
      Session session,
      CurveService curves,
      Look look,
      DoubleProperty crank,
      ReadOnlyDoubleProperty rpm) {
    super(10);
    this.session = session;
    other = new ResultService(curves.runs(), Urgency.SEEN, status::setText);
    service = new ResultService(curves.runs(), Urgency.SEEN, status::setText);
    this.crank = crank;
    this.rpm = rpm;
    intake = new PlotPane(look, "plot-intake-wave", "Intake, from the plenum to the valve", "%.1f");
    exhaust =
        new PlotPane(look, "plot-exhaust-wave", "Exhaust, from the valve to the merge", "%.1f");
    valves = new PlotPane(look, "plot-wave-valves", "At the valves", "%.1f");
    status.setId("waves-status");
    status.setWrapText(true);
    status.getStyleClass().add("soft");
    var slider = new Slider(0, 720, crank.get());
    slider.setId("wave-cursor");
    slider.setAccessibleText("crank cursor");
    slider.valueProperty().bindBidirectional(crank);
    HBox.setHgrow(slider, Priority.ALWAYS);
    var play = new RunButton("run-waves", FRAME, () -> crank.set((crank.get() + STEP) % 720));
    play.setMinWidth(60);
    var at = new Label();
    at.getStyleClass().add("unit");
    at.setMinWidth(40);
    crank.subscribe(a -> at.setText("%.0f°".formatted(a.doubleValue())));
    var line = new HBox(8, play, slider, at);
    line.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            line,
            status,
            intake,
            exhaust,
            valves,
            Page.hint(
                "The full line is the pressure now, the others the highest and lowest of the cycle."
                    + " Look for the suction that reaches the exhaust valve while both are open,"
                    + " and for the pressure that arrives at the intake valve before it shuts."));
    crank.subscribe(a -> draw());
    asking =
        new Asking(this, this::solve)
            .when(session.buildProperty(), session.readingsProperty(), session.overProperty(), rpm);
  }

  private void solve() {
    double at = Math.rint(rpm.get() / 50) * 50;
    var over = Optional.ofNullable(session.overProperty().get());
    if (!asking.isNew(
        session.engine().key(), over.map(o -> o.engine().key()), at, session.build().units())) {
      return;
    }
    laid = null;
    other.cancel();
    over.ifPresent(
        o ->
            other.ask(
                new TraceStudy(o.engine(), at),
                t -> {
                  laid = t;
                  laidOver = o.engine().combination();
                  if (trace != null) {
                    traces();
                  }
                  draw();
                }));
    status.setText(String.format(Locale.US, "Solving every cylinder at %,.0f rpm", at));
    service.ask(
        new TraceStudy(session.engine(), at),
        t -> {
          trace = t;
          status.setText(
              t.point().converged()
                  ? String.format(Locale.US, "Cylinder 1 at %,.0f rpm, every cylinder solved.", at)
                  : "✕ This speed did not converge: " + t.point().note());
          traces();
          draw();
        });
  }

  private void traces() {
    var shown = new Shown(session.build().units());
    var p = shown.pressure();
    var angles = shown.in(Measure.DEGREES, trace.angles());
    var lines = new ArrayList<Line>();
    lines.add(new Line("intake", angles, shown.in(p, trace.of(Kind.INTAKE_PRESSURE))));
    lines.add(new Line("exhaust", angles, shown.in(p, trace.of(Kind.EXHAUST_PRESSURE))));
    if (laid != null) {
      var others = shown.in(Measure.DEGREES, laid.angles());
      lines.add(new Line("intake, laid over", others, shown.in(p, laid.of(Kind.INTAKE_PRESSURE))));
      lines.add(
          new Line("exhaust, laid over", others, shown.in(p, laid.of(Kind.EXHAUST_PRESSURE))));
    }
    valves.show(
        "crank °, firing top centre 0",
        p.symbol() + " absolute",
        lines,
        shown.in(Measure.DEGREES, trace.overlap()));
  }

  private void draw() {
    if (trace == null || getScene() == null) {
      return;
    }
    var c = session.engine().combination();
    along(
        intake,
        trace.intakeWave(),
        c.intakePath(),
        laid == null ? null : laid.intakeWave(),
        laid == null ? 0 : laidOver.intakePath(),
        "from the plenum");
    along(
        exhaust,
        trace.exhaustWave(),
        exhaustPath(c),
        laid == null ? null : laid.exhaustWave(),
        laid == null ? 0 : exhaustPath(laidOver),
        "from the valve");
    valves.point(crank.get());
  }

  private static double exhaustPath(Combination c) {
    return c.heads().exhaustPortLength().si() + c.exhaust().primaryLength().si();
  }

  private void along(
      PlotPane plot,
      double[][] wave,
      double length,
      double[][] laidWave,
      double laidLength,
      String from) {
    var units = session.build().units();
    var p = new Shown(units).pressure();
    var unit = Quantity.LENGTH.unit(units);
    int n = wave[0].length;
    var x = places(n, length, unit);
    var high = new double[n];
    var low = new double[n];
    for (int k = 0; k < n; k++) {
      low[k] = Double.MAX_VALUE;
      for (var w : wave) {
        high[k] = Math.max(high[k], p.fromSi(w[k]));
        low[k] = Math.min(low[k], p.fromSi(w[k]));
      }
    }
    var lines = new ArrayList<Line>();
    lines.add(new Line("now", x, now(trace, wave, p)));
    lines.add(new Line("highest", x, high));
    lines.add(new Line("lowest", x, low));
    if (laidWave != null) {
      lines.add(
          new Line(
              "now, laid over",
              places(laidWave[0].length, laidLength, unit),
              now(laid, laidWave, p)));
    }
    plot.show(unit.symbol() + " " + from, p.symbol() + " absolute", lines);
  }

  private static double[] places(int n, double length, Measure unit) {
    var x = new double[n];
    for (int k = 0; k < n; k++) {
      x[k] = unit.fromSi(length * (k + 0.5) / n);
    }
    return x;
  }

  /** Pressure along a pipe at the crank cursor. */
  private double[] now(Trace of, double[][] wave, Measure p) {
    double at = Math.toRadians(crank.get());
    int row = 0;
    for (int i = 0; i < wave.length; i++) {
      row = Math.abs(of.angles()[i] - at) < Math.abs(of.angles()[row] - at) ? i : row;
    }
    return Arrays.stream(wave[row]).map(p::fromSi).toArray();
  }
}
