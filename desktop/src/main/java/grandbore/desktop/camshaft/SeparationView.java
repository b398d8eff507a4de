package grandbore.desktop.camshaft;

import grandbore.core.prediction.Top;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.SeparationStudy;
import grandbore.core.topend.RockerReading;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
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
import java.util.function.DoubleFunction;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** The separation that this engine wants by the wave model, beside the rule of thumb. */
final class SeparationView extends VBox {
  private final Session session;
  private final PlotPane plot;
  private final PlotPane rocker;
  private final Label found = new Label();
  private final Label test = new Label();
  private final ResultService service;
  private final Asking asking;
  private DoubleFunction<String> judged;

  SeparationView(Session session, CurveService curves, Look look) {
    super(10);
    this.session = session;
    service = new ResultService(curves.runs(), Urgency.STUDY, found::setText);
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
            new RunLine("separation-run", service, this::again),
            found,
            plot,
            rocker,
            new InputGrid(session).with("worksheet.rockerGain"),
            test,
            Page.hint(
                "Both lobes spread evenly about the advance that stands; band as the brief says,"
                    + " the curve's model, spark sought. The rocker test reads the same on a dyno:"
                    + " pull once, put on rockers of 0.1 more ratio, pull again. By practice a"
                    + " large gain says too wide, little or none right or too tight."));
    session.buildProperty().subscribe(b -> judge());
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
    service.ask(new SeparationStudy(engine, band), this::plot, this::show);
  }

  private static double[] degrees(SeparationStudy.Found f) {
    return f.average().at().stream().mapToDouble(Math::toDegrees).toArray();
  }

  private void plot(SeparationStudy.Found f) {
    var unit = new Shown(session.build().units()).power();
    var x = degrees(f);
    var y = f.average().power().stream().mapToDouble(unit::fromSi).toArray();
    var gain = f.gain().stream().mapToDouble(unit::fromSi).toArray();
    plot.show("separation, cam °", unit.symbol(), List.of(new Line("average power", x, y)));
    rocker.show("separation, cam °", unit.symbol(), List.of(new Line("gain", x, gain)));
  }

  private void show(SeparationStudy.Found f) {
    plot(f);
    var unit = new Shown(session.build().units()).power();
    var x = degrees(f);
    int n = x.length;
    int best = f.average().best();
    var y = f.average().power().stream().mapToDouble(unit::fromSi).toArray();
    double rule =
        session.figure("separation_rule").map(r -> Math.toDegrees(r.si())).orElse(Double.NaN);
    var line = new Line("average power", x, y);
    double top = Top.of(x, y).at();
    var watts = f.gain().stream().mapToDouble(g -> g).toArray();
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
    test.setText(judged == null || !seen.isKnown() ? "" : judged.apply(seen.si()));
  }

  private void again() {
    asking.again();
  }
}
