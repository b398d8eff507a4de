package grandbore.desktop.breathing;

import grandbore.core.combination.CompressorMap;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.topend.CompressorVerdict;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.layout.VBox;

/** Harmonic bands over the simulated filling, and what the carburettor costs. */
final class TuningView extends VBox {
  private final Session session;
  private final CurveService curves;
  private final ReadOnlyDoubleProperty rpm;
  private final PlotPane filling;
  private final PlotPane loss;
  private final PlotPane compressor;
  private final CheckRows checks = new CheckRows();

  TuningView(Session session, CurveService curves, Look look, ReadOnlyDoubleProperty rpm) {
    super(10);
    this.session = session;
    this.curves = curves;
    this.rpm = rpm;
    filling =
        new PlotPane(
            look, "plot-harmonics", "Filling; shaded where the rule has the harmonics", "%.1f");
    loss = new PlotPane(look, "plot-meter", "Pressure lost before the plenum", "%.2f");
    compressor =
        new PlotPane(look, "plot-compressor", "The engine's line on a compressor map", "%.2f");
    getChildren()
        .addAll(
            filling,
            new FigureRows(
                session,
                "intake_path",
                "path_wanted",
                "third_harmonic_from",
                "third_harmonic_to",
                "second_harmonic_from",
                "second_harmonic_to"),
            new InputGrid(session)
                .with(
                    "intake.runnerLength",
                    "heads.intakePortLength",
                    "intake.throttleFlow",
                    "intake.ratingDepression"),
            new RunnerSweep(session, curves, look),
            loss,
            compressor,
            checks,
            Page.hint(
                "The bands are a rule of thumb; the line is the wave model with its ends, sections"
                    + " and temperatures. A good engine can pull more than a carburettor's rating,"
                    + " at more than its depression."));
    WhenSeen.refresh(
        this, this::draw, curves.curve(), session.buildProperty(), curves.overProperty());
    rpm.subscribe(
        r -> {
          filling.point(r.doubleValue());
          loss.point(r.doubleValue());
        });
  }

  private double figure(String name) {
    return session.figure(name).map(f -> Measure.RPM.fromSi(f.si())).orElse(Double.NaN);
  }

  private void draw() {
    var curve = curves.curve().getValue();
    if (curve == null) {
      return;
    }
    var points = curve.settled();
    var lines = new ArrayList<Line>();
    lines.add(line("volumetric efficiency", points, p -> 100 * p.volumetricEfficiency()));
    var over = curves.overProperty().get();
    if (over != null) {
      var settled = over.settled();
      lines.add(line("laid over", settled, p -> 100 * p.volumetricEfficiency()));
    }
    filling.show(
        "rpm",
        "percent",
        lines,
        figure("third_harmonic_from"),
        figure("third_harmonic_to"),
        figure("second_harmonic_from"),
        figure("second_harmonic_to"));
    double outside = session.build().combination().weather().pressure().si();
    var unit = Quantity.PRESSURE.unit(session.build().units());
    loss.show(
        "rpm",
        unit.symbol() + ", above the air's where negative",
        List.of(line("air less plenum", points, p -> unit.fromSi(outside - p.plenumPressure()))));
    filling.point(rpm.get());
    loss.point(rpm.get());
    compressor(points);
  }

  /** Pressure ratio over air flow, on the map of the compressor's maker where it is known. */
  private void compressor(List<CurvePoint> points) {
    var boost = session.build().combination().boost();
    checks.show(CompressorVerdict.of(session.build(), curves.curve().getValue()));
    compressor.setVisible(boost.isFitted());
    compressor.setManaged(boost.isFitted());
    if (!boost.isFitted()) {
      return;
    }
    var unit = Quantity.MASS_FLOW.unit(session.build().units());
    var build = session.build();
    var lines = new ArrayList<Line>();
    lines.add(
        new Line(
            "engine",
            points.stream()
                .mapToDouble(p -> unit.fromSi(CompressorVerdict.flow(build, p)))
                .toArray(),
            points.stream().mapToDouble(p -> CompressorVerdict.ratio(build, p)).toArray()));
    for (var speed : boost.map().lines()) {
      lines.add(
          new Line(
              "%.0fk".formatted(Measure.RPM.fromSi(speed.getFirst().shaftSpeed()) / 1000),
              speed.stream().mapToDouble(r -> unit.fromSi(r.flow())).toArray(),
              speed.stream().mapToDouble(CompressorMap.Row::ratio).toArray()));
    }
    if (boost.map().isGiven()) {
      var surge = boost.map().lines().stream().map(List::getFirst).toList();
      lines.add(
          new Line(
              "surge",
              surge.stream().mapToDouble(r -> unit.fromSi(r.flow())).toArray(),
              surge.stream().mapToDouble(CompressorMap.Row::ratio).toArray()));
    }
    compressor.show(
        "corrected air flow, " + unit.symbol(), "pressure ratio of the compressor", lines);
  }

  private static Line line(
      String name, List<CurvePoint> points, ToDoubleFunction<CurvePoint> value) {
    return new Line(
        name,
        points.stream().mapToDouble(CurvePoint::rpm).toArray(),
        points.stream().mapToDouble(value).toArray());
  }
}
