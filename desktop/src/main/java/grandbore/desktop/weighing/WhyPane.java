package grandbore.desktop.weighing;

import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.WhyStudy;
import grandbore.core.units.Measure;
import grandbore.desktop.controls.Page;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import grandbore.desktop.results.Shown;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Why another build differs from the one on the bench, shared out by what its inputs act on. */
final class WhyPane extends VBox {
  private static final int POINTS = 9;

  private final ResultService service;
  private final Button ask = Page.button("Why they differ", "why-ask");
  private final Label status = Page.hint("");
  private final PlotPane plot;
  private final VBox found = new VBox(8);
  private BuiltEngine from;
  private BuiltEngine to;
  private String name = "";
  private WantedBand band;
  private Shown shown;

  WhyPane(CurveService curves, Look look) {
    super(8);
    setId("why-pane");
    service = new ResultService(curves.runs(), Urgency.STUDY, why -> status.setText("✕ " + why));
    plot = new PlotPane(look, "why-plot", "Torque by what makes it", "%.1f");
    status.textProperty().subscribe(t -> Page.show(status, !t.isEmpty()));
    ask.setOnAction(e -> ask());
    getChildren().addAll(ask, new RunLine("why-run", service, this::ask), status, found);
  }

  /** Two engines that may be asked about; what was found of others goes. */
  void of(BuiltEngine bench, BuiltEngine other, String otherName, WantedBand wanted, Shown units) {
    if (!bench.equals(from) || !other.equals(to)) {
      service.cancel();
      found.getChildren().clear();
      status.setText("");
    }
    from = bench;
    to = other;
    name = otherName;
    band = wanted;
    shown = units;
    ask.setText("Why %s differs".formatted(otherName));
  }

  private void ask() {
    status.setText("");
    try {
      service.ask(new WhyStudy(from, to, band.speeds(POINTS)), this::show);
    } catch (InvalidInput e) {
      status.setText("✕ " + e.getMessage());
    }
  }

  private void show(WhyStudy.Found why) {
    var lines = new ArrayList<Line>();
    lines.add(line("all of it", why.speeds(), why.torque()));
    var order =
        why.shares().keySet().stream()
            .sorted(
                Comparator.comparingDouble(
                    (WhyStudy.Physics p) -> -Math.abs(mean(why.shares().get(p)))))
            .toList();
    order.forEach(p -> lines.add(line(p.label(), why.speeds(), why.shares().get(p))));
    plot.show("rpm", shown.torque().symbol(), lines, band.from(), band.to());
    var torque = shown.torque();
    var table =
        new SideTable(
            "%s against the build on the bench, %s".formatted(name, torque.symbol()),
            List.of("On the mean", "Least", "Most", "Inputs that act"));
    table.setId("why-table");
    for (var p : order) {
      var share = why.shares().get(p);
      table.line(
          p.label(),
          List.of(
              number(mean(share), torque),
              number(share.stream().mapToDouble(v -> v).min().orElse(Double.NaN), torque),
              number(share.stream().mapToDouble(v -> v).max().orElse(Double.NaN), torque),
              String.valueOf(why.inputs().get(p).size())));
    }
    table.line(
        "All of it",
        List.of(
            number(mean(why.torque()), torque),
            number(why.torque().stream().mapToDouble(v -> v).min().orElse(Double.NaN), torque),
            number(why.torque().stream().mapToDouble(v -> v).max().orElse(Double.NaN), torque),
            ""));
    found
        .getChildren()
        .setAll(
            Page.hint(
                "Each share is what a group of inputs adds, averaged over every order in which"
                    + " they may be exchanged; the shares add up to all of it."),
            plot,
            table);
  }

  private static double mean(List<Double> values) {
    return values.stream().mapToDouble(v -> v).average().orElse(Double.NaN);
  }

  private static String number(double newtonMetres, Measure unit) {
    return String.format(Locale.US, "%+.1f", unit.fromSi(newtonMetres));
  }

  private Line line(String title, List<Double> speeds, List<Double> newtonMetres) {
    return new Line(
        title,
        speeds.stream().mapToDouble(v -> v).toArray(),
        newtonMetres.stream().mapToDouble(v -> shown.torque().fromSi(v)).toArray());
  }
}
