package grandbore.desktop.bottomend;

import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.mechanics.RodForces;
import grandbore.core.mechanics.Strength;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Trace;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.CurvesStudy;
import grandbore.core.studies.TraceStudy;
import grandbore.core.units.Measure;
import grandbore.desktop.controls.CheckRows;
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
import java.util.function.Function;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Gas, inertia, rod and side force through one cycle, and the parts' ratings against the most. */
final class ForcesView extends VBox {
  private static final int POINTS = 8;

  private final Session session;
  private final CurveService curves;
  private final ReadOnlyDoubleProperty crank;
  private final ReadOnlyDoubleProperty rpm;
  private final PlotPane forces;
  private final PlotPane side;
  private final Label status = new Label();
  private final CheckRows rated = new CheckRows();
  private final CheckRows unboosted = new CheckRows();
  private final Label without = Page.part("The same without boost");
  private final ResultService service;
  private final ResultService laid;
  private final ResultService plain;
  private final Asking asking;
  private final Asking askingPlain;
  private Trace trace;
  private RodForces other;
  private Curve bare;
  private double[] otherAngles;

  ForcesView(
      Session session,
      CurveService curves,
      Look look,
      ReadOnlyDoubleProperty crank,
      ReadOnlyDoubleProperty rpm) {
    super(10);
    this.session = session;
    plain = new ResultService(curves.runs(), Urgency.STUDY, this::say);
    laid = new ResultService(curves.runs(), Urgency.SEEN, this::say);
    service = new ResultService(curves.runs(), Urgency.SEEN, this::say);
    this.curves = curves;
    this.crank = crank;
    this.rpm = rpm;
    forces = new PlotPane(look, "plot-forces", "Forces on piston and rod", "%.0f");
    side = new PlotPane(look, "plot-side", "Side force on the wall", "%.0f");
    status.getStyleClass().add("soft");
    status.setId("forces-status");
    getChildren()
        .addAll(
            status,
            forces,
            side,
            new FigureRows(session, "skirt_power"),
            Page.part("Ratings, as the parts' makers state them"),
            new InputGrid(session)
                .with(
                    "ratings.rodTension",
                    "ratings.rodCompression",
                    "ratings.boltClamp",
                    "ratings.pistonPressure",
                    "ratings.crankPower",
                    "ratings.blockPower",
                    "ratings.fuelFlow"),
            rated,
            without,
            unboosted,
            Page.caution(
                "A rating is its maker's and holds for new, sound parts assembled as the maker"
                    + " says. No load predicted here is a promise that a part stands it: an engine"
                    + " that lets go throws parts."));
    asking =
        new Asking(this, this::solve)
            .when(session.buildProperty(), session.readingsProperty(), session.overProperty(), rpm);
    askingPlain =
        new Asking(this, this::unboost).when(session.buildProperty(), session.readingsProperty());
    WhenSeen.refresh(this, this::rate, curves.curve(), session.buildProperty());
    crank.subscribe(
        a -> {
          forces.point(a.doubleValue());
          side.point(a.doubleValue());
        });
  }

  private void say(String words) {
    status.setText(words);
  }

  private void rate() {
    var curve = curves.curve().getValue();
    if (curve != null) {
      rated.show(Strength.of(session.build(), curve));
    }
    if (bare != null) {
      unboosted.show(Strength.of(session.build(), bare));
    }
  }

  private void solve() {
    double at = Math.rint(rpm.get() / 50) * 50;
    var over = session.overProperty().get();
    if (!asking.isNew(
        session.engine().key(), at, session.build().units(), over == null ? "nothing" : over)) {
      return;
    }
    say(String.format(Locale.US, "Solving every cylinder at %,.0f rpm", at));
    service.ask(new TraceStudy(session.engine(), at), this::show);
    other = null;
    if (over != null) {
      laid.ask(
          new TraceStudy(over.engine(), at),
          t -> {
            other = loads(over.engine().combination(), t);
            otherAngles = t.angles();
            draw();
          });
    }
  }

  private static RodForces loads(Combination c, Trace t) {
    return RodForces.of(
        c, t.angles(), t.of(Trace.Kind.CYLINDER_PRESSURE), t.point().rpm() * Math.PI / 30);
  }

  private void show(Trace t) {
    trace = t;
    draw();
  }

  private void draw() {
    if (trace == null) {
      return;
    }
    var shown = new Shown(session.build().units());
    var f = shown.force();
    var angles = shown.in(Measure.DEGREES, trace.angles());
    var loads = loads(session.engine().combination(), trace);
    String x = "crank °, firing top centre 0";
    forces.show(
        x,
        f.symbol() + ", down positive",
        with(
            List.of(
                new Line("rod", angles, shown.in(f, loads.rod())),
                new Line("gas", angles, shown.in(f, loads.gas())),
                new Line("inertia", angles, shown.in(f, loads.inertia()))),
            "rod, laid over",
            RodForces::rod,
            shown));
    side.show(
        x,
        f.symbol() + ", thrust side positive",
        with(
            List.of(new Line("side force", angles, shown.in(f, loads.side()))),
            "laid over",
            RodForces::side,
            shown));
    forces.point(crank.get());
    side.point(crank.get());
    say(
        trace.point().converged()
            ? String.format(
                Locale.US,
                "Cylinder 1 at %,.0f rpm: simulated pressure and the inertia of the reciprocating"
                    + " masses.",
                trace.point().rpm())
            : "✕ This speed did not converge: " + trace.point().note());
  }

  /** These lines and the same of the build laid over, where there is one. */
  private List<Line> with(
      List<Line> lines, String name, Function<RodForces, double[]> force, Shown shown) {
    if (other == null) {
      return lines;
    }
    var all = new ArrayList<>(lines);
    all.add(
        new Line(
            name,
            shown.in(Measure.DEGREES, otherAngles),
            shown.in(shown.force(), force.apply(other))));
    return all;
  }

  /** What boost adds is seen by running the curve without it. */
  private void unboost() {
    var engine = session.engine();
    boolean boosted = engine.combination().boost().isFitted();
    for (var n : List.of(without, unboosted)) {
      n.setVisible(boosted);
      n.setManaged(boosted);
    }
    if (!boosted || !askingPlain.isNew(engine.key(), session.build().speeds())) {
      return;
    }
    var plainEngine =
        new BuiltEngine(
            engine.combination().with("boost.kind", Boost.Kind.NONE), engine.clearances());
    plain.ask(
        new CurvesStudy(
            "Without boost", List.of(plainEngine), session.build().speeds().points(POINTS)),
        c -> {
          bare = c.getFirst();
          rate();
        });
  }
}
