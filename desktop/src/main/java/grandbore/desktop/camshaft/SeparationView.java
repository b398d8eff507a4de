package grandbore.desktop.camshaft;

import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Top;
import grandbore.core.prediction.WantedBand;
import grandbore.core.topend.RockerReading;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
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
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.DoubleFunction;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** The separation that this engine wants by the wave model, beside the rule of thumb. */
final class SeparationView extends VBox {
  private static final int[] STEPS = {-6, -4, -2, 0, 2, 4, 6};
  private static final int POINTS = 7;
  private static final double ROCKER = 0.1;

  private final Session session;
  private final PlotPane plot;
  private final PlotPane rocker;
  private final Label found = new Label();
  private final Label test = new Label();
  private final ResultService service = new ResultService(found::setText);
  private final Asking asking;
  private DoubleFunction<String> judged;

  SeparationView(Session session, CurveService curves, Look look) {
    super(10);
    this.session = session;
    plot = new PlotPane(look, "plot-separation", "Average over the band, by separation", "%.1f");
    rocker =
        new PlotPane(
            look, "plot-rocker", "What 0.1 more rocker ratio gains, by separation", "%.1f");
    found.setId("separation-found");
    found.setWrapText(true);
    found.getStyleClass().add("soft");
    test.setId("rocker-test");
    test.setWrapText(true);
    getChildren()
        .addAll(
            new FigureRows(session, "separation_rule"),
            found,
            plot,
            rocker,
            new InputGrid(session).with("worksheet.rockerGain"),
            test,
            Page.hint(
                "Both lobes spread evenly about the advance that stands; band as the brief says,"
                    + " live model, spark sought. The rocker test reads the same on a dyno: pull"
                    + " once, put on rockers of 0.1 more ratio, pull again. By practice a large"
                    + " gain says too wide, little or none right or too tight."));
    session.buildProperty().subscribe(b -> judge());
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
    var degrees = new ArrayList<Double>();
    var engines = new ArrayList<BuiltEngine>();
    for (int step : STEPS) {
      try {
        var spread = spread(engine.combination(), Math.toRadians(step));
        var high = raised(spread);
        degrees.add(Math.toDegrees(spread.cam().separation().si()));
        engines.add(new BuiltEngine(spread, engine.clearances()));
        engines.add(new BuiltEngine(high, engine.clearances()));
      } catch (InvalidInput e) {
        // A separation that can't be ground: the line is shorter.
      }
    }
    found.setText("Running %d separations, each with two rockers".formatted(degrees.size()));
    service.curves(engines, band.speeds(POINTS), curves -> show(degrees, curves, band));
  }

  /** Both lobes moved apart by as much, the advance as it is. */
  private static Combination spread(Combination c, double by) {
    var cam = c.cam();
    var s = cam.separation();
    var in = cam.intakeCentreline();
    var changed =
        Specs.changed(
            cam,
            Map.of(
                "separation", s.with(s.si() + by, s.provenance()),
                "intakeCentreline", in.with(in.si() + by, in.provenance())));
    return c.with(changed);
  }

  private static Combination raised(Combination c) {
    var in = c.valveTrain().intakeRocker();
    var out = c.valveTrain().exhaustRocker();
    return c.with("valveTrain.intakeRocker", in.with(in.si() + ROCKER, in.provenance()))
        .with("valveTrain.exhaustRocker", out.with(out.si() + ROCKER, out.provenance()));
  }

  private void show(List<Double> degrees, List<Curve> curves, WantedBand band) {
    var unit = new Shown(session.build().units()).power();
    int n = degrees.size();
    var x = new double[n];
    var y = new double[n];
    var gain = new double[n];
    int best = 0;
    for (int i = 0; i < n; i++) {
      x[i] = degrees.get(i);
      y[i] = band.power(curves.get(2 * i), unit);
      gain[i] = band.power(curves.get(2 * i + 1), unit) - y[i];
      best = y[i] > y[best] ? i : best;
    }
    plot.show("separation, cam °", unit.symbol(), List.of(new Line("average power", x, y)));
    rocker.show("separation, cam °", unit.symbol(), List.of(new Line("gain", x, gain)));
    double rule =
        session.figure("separation_rule").map(f -> Math.toDegrees(f.si())).orElse(Double.NaN);
    var line = new Line("average power", x, y);
    double top = Top.of(x, y).at();
    var watts = Arrays.stream(gain).map(unit::toSi).toArray();
    judged =
        seen ->
            RockerReading.says(
                x, watts, top, unit.toSi(line.at(top)), seen, session.build().units());
    judge();
    var words = new StringBuilder();
    words.append(
        String.format(
            Locale.US,
            "The band's average is best near %.0f°%s; this cam has %.1f°.",
            top,
            Double.isNaN(rule)
                ? ""
                : String.format(Locale.US, ", the rule of thumb says %.1f°", rule),
            Math.toDegrees(session.build().combination().cam().separation().si())));
    words.append(" Off it by one, two and three degrees costs");
    for (int off = 1; off <= 3; off++) {
      double wide = line.at(top) - line.at(Math.min(x[n - 1], top + off));
      words.append(String.format(Locale.US, "%s %.1f", off == 1 ? "" : ",", Math.max(0, wide)));
    }
    words.append(" ").append(unit.symbol()).append(" if too wide,");
    for (int off = 1; off <= 3; off++) {
      double tight = line.at(top) - line.at(Math.max(x[0], top - off));
      words.append(String.format(Locale.US, "%s %.1f", off == 1 ? "" : ",", Math.max(0, tight)));
    }
    words.append(" ").append(unit.symbol()).append(" if too tight.");
    if (best == 0 || best == n - 1) {
      words.append(" The best lies at the end of what was tried, or beyond.");
    }
    found.setText(words.toString());
  }

  /** What the pulls of the worksheet say, once they and the line are known. */
  private void judge() {
    var seen = session.build().combination().worksheet().rockerGain();
    test.setText(judged == null || !seen.isSaid() ? "" : judged.apply(seen.si()));
  }
}
