package grandbore.desktop.bottomend;

import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.geometry.SliderCrank;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.CurvesStudy;
import grandbore.core.units.Measure;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.Shown;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** How the piston moves, and what another rod in the same block would change. */
final class MotionView extends VBox {
  private static final int POINTS = 8;

  private final Session session;
  private final ReadOnlyDoubleProperty crank;
  private final ReadOnlyDoubleProperty rpm;
  private final List<PlotPane> overCrank = new ArrayList<>();
  private final PlotPane difference;
  private final Label found = new Label();
  private final ResultService service;
  private final Asking asking;
  private Curve with;

  MotionView(
      Session session,
      CurveService curves,
      Look look,
      ReadOnlyDoubleProperty crank,
      ReadOnlyDoubleProperty rpm) {
    super(10);
    this.session = session;
    service = new ResultService(curves.runs(), Urgency.STUDY, this::say);
    this.crank = crank;
    this.rpm = rpm;
    String[][] plots = {
      {"plot-depth", "Piston below its top", "%.3f"},
      {"plot-speed", "Piston speed", "%.1f"},
      {"plot-acceleration", "Acceleration", "%.0f"},
      {"plot-jerk", "Jerk", "%.1f"}
    };
    for (var p : plots) {
      overCrank.add(new PlotPane(look, p[0], p[1], p[2]));
    }
    difference = new PlotPane(look, "plot-other-rod", "What the other rod changes", "%.2f");
    found.setId("other-rod-found");
    found.setWrapText(true);
    found.getStyleClass().add("soft");
    getChildren()
        .addAll(
            new InputGrid(session).with("worksheet.otherRod", "bottomEnd.rodLength"),
            PlotPane.pair(overCrank.get(0), overCrank.get(1)),
            PlotPane.pair(overCrank.get(2), overCrank.get(3)),
            new FigureRows(
                session,
                "rod_ratio",
                "dwell",
                "peak_piston_speed",
                "peak_acceleration",
                "other_rod_ratio",
                "other_rod_pin",
                "other_dwell",
                "other_peak_piston_speed",
                "other_peak_acceleration",
                "other_rod_side"),
            Page.part("Filling and friction with the other rod, by the wave model"),
            found,
            difference,
            Page.hint(
                "One school wants rods long: less side thrust, quieter, longer near the top. The"
                    + " other wants them short: faster off the top, later near the bottom, better"
                    + " filled at low speed. Both say true; the numbers above say how much it is"
                    + " here."));
    WhenSeen.refresh(this, this::draw, session.buildProperty(), session.overProperty(), rpm);
    crank.subscribe(a -> overCrank.forEach(p -> p.point(a.doubleValue() % 360)));
    asking =
        new Asking(this, this::compare).when(session.buildProperty(), session.readingsProperty());
  }

  private static SliderCrank crank(Combination c, double rod) {
    var b = c.bottomEnd();
    return new SliderCrank(b.stroke().si() / 2, rod, b.pinOffset().si());
  }

  private void draw() {
    var c = session.engine().combination();
    var cranks = new ArrayList<SliderCrank>();
    var names = new ArrayList<String>();
    cranks.add(crank(c, c.bottomEnd().rodLength().si()));
    names.add("this rod");
    if (c.worksheet().otherRod().isKnown()) {
      cranks.add(crank(c, c.worksheet().otherRod().si()));
      names.add("the other rod");
    }
    var over = session.overProperty().get();
    if (over != null) {
      var laid = over.engine().combination();
      cranks.add(crank(laid, laid.bottomEnd().rodLength().si()));
      names.add("laid over");
    }
    double w = rpm.get() * Math.PI / 30;
    boolean us = session.build().units() == grandbore.core.units.UnitSystem.US;
    var length = us ? Measure.INCHES : Measure.MILLIMETRES;
    var speed = us ? Measure.FEET_PER_SECOND : Measure.METRES_PER_SECOND;
    var acceleration = us ? Measure.FEET_PER_SECOND_SQUARED : Measure.METRES_PER_SECOND_SQUARED;
    String at = String.format(Locale.US, " at %,.0f rpm", w * 30 / Math.PI);
    lines(0, length.symbol(), names, cranks, (s, a) -> length.fromSi(s.depth(a)));
    lines(1, speed.symbol() + at, names, cranks, (s, a) -> speed.fromSi(s.slope(a) * w));
    lines(
        2,
        acceleration.symbol().replace('2', '²') + at,
        names,
        cranks,
        (s, a) -> acceleration.fromSi(s.curvature(a) * w * w));
    lines(
        3,
        (us ? "1e6 ft/s³" : "1e6 m/s³") + at,
        names,
        cranks,
        (s, a) -> acceleration.fromSi(s.third(a) * w * w * w) / 1e6);
    overCrank.forEach(p -> p.point(crank.get() % 360));
  }

  private void lines(
      int plot,
      String unit,
      List<String> names,
      List<SliderCrank> cranks,
      BiFunction<SliderCrank, Double, Double> value) {
    var lines = new ArrayList<Line>();
    for (int k = 0; k < cranks.size(); k++) {
      var x = new double[361];
      var y = new double[361];
      for (int i = 0; i <= 360; i++) {
        x[i] = i;
        y[i] = value.apply(cranks.get(k), Math.toRadians(i));
      }
      lines.add(new Line(names.get(k), x, y));
    }
    overCrank.get(plot).show("crank ° after top", unit, lines);
  }

  private void say(String words) {
    found.setText(words);
  }

  /** The live curve of both, the piston's pin raised or lowered to keep its deck clearance. */
  private void compare() {
    var engine = session.engine();
    var c = engine.combination();
    boolean asked = c.worksheet().otherRod().isKnown();
    difference.setVisible(asked && with != null);
    difference.setManaged(difference.isVisible());
    if (!asked) {
      with = null;
      say("Say another rod above: both engines are then run through every speed.");
      return;
    }
    if (!asking.isNew(
        engine.key(),
        c.worksheet().otherRod(),
        session.build().speeds(),
        session.build().units())) {
      return;
    }
    BuiltEngine other;
    try {
      var b = c.bottomEnd();
      double rod = c.worksheet().otherRod().si();
      double pin = b.pinHeight().si() + b.rodLength().si() - rod;
      var changed =
          Specs.changed(
              b,
              Map.of(
                  "rodLength", b.rodLength().with(rod, b.rodLength().provenance()),
                  "pinHeight", b.pinHeight().with(pin, b.pinHeight().provenance())));
      other = new BuiltEngine(c.with(changed), engine.clearances());
    } catch (InvalidInput e) {
      say("✕ With that rod: " + e.getMessage());
      return;
    }
    var speeds = session.build().speeds().points(POINTS);
    say("Running both through the wave model");
    service.ask(
        new CurvesStudy("Both rods", List.of(engine, other), speeds),
        both -> show(both.getFirst(), both.getLast()));
  }

  private void show(Curve first, Curve second) {
    with = second;
    var shown = new Shown(session.build().units());
    var p = shown.pressure();
    difference.show(
        "rpm",
        "other rod less this one: %, " + p.symbol(),
        List.of(
            change("torque, %", first, second, q -> q.torque(), true, 100),
            change(
                "volumetric efficiency, %",
                first, second, CurvePoint::volumetricEfficiency, true, 100),
            change("friction, " + p.symbol(), first, second, q -> p.fromSi(q.fmep()), false, 1)));
    difference.setVisible(true);
    difference.setManaged(true);
    double most = 0;
    double at = 0;
    for (int i = 0; i < first.points().size(); i++) {
      double d = second.points().get(i).torque() / first.points().get(i).torque() - 1;
      if (Math.abs(d) > Math.abs(most)) {
        most = d;
        at = first.points().get(i).rpm();
      }
    }
    say(
        String.format(
            Locale.US,
            "The other rod changes torque by %+.2f %% at most, at %,.0f rpm (the curve's model,"
                + " spark sought for both). Differences under 0.1 %% are the solver's own.",
            100 * most,
            at));
  }

  private static Line change(
      String name,
      Curve first,
      Curve second,
      ToDoubleFunction<CurvePoint> value,
      boolean relative,
      double factor) {
    int n = Math.min(first.points().size(), second.points().size());
    var x = new double[n];
    var y = new double[n];
    for (int i = 0; i < n; i++) {
      var a = first.points().get(i);
      var b = second.points().get(i);
      x[i] = a.rpm();
      double was = value.applyAsDouble(a);
      double is = value.applyAsDouble(b);
      y[i] =
          a.converged() && b.converged()
              ? factor * (relative ? is / was - 1 : is - was)
              : Double.NaN;
    }
    return new Line(name, x, y);
  }
}
