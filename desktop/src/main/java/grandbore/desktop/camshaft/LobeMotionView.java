package grandbore.desktop.camshaft;

import grandbore.core.topend.ValveGear;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;
import grandbore.core.valvetrain.Lobe;
import grandbore.core.valvetrain.LobeShape;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.function.ToDoubleBiFunction;
import javafx.scene.layout.VBox;

/**
 * Each lobe's lift, velocity, acceleration and jerk over the cam; nose radius; rocker's pattern.
 */
final class LobeMotionView extends VBox {
  private static final double DEGREE = Math.toRadians(1);

  private final Session session;
  private final PlotPane[] plots = new PlotPane[4];
  private final CheckRows checks = new CheckRows();

  LobeMotionView(Session session, Look look) {
    super(10);
    this.session = session;
    String[][] names = {
      {"plot-lobe-lift", "Lobe lift"},
      {"plot-lobe-velocity", "Velocity"},
      {"plot-lobe-acceleration", "Acceleration"},
      {"plot-lobe-jerk", "Jerk"}
    };
    for (int i = 0; i < 4; i++) {
      plots[i] = new PlotPane(look, names[i][0], names[i][1], "%.3f");
    }
    getChildren()
        .addAll(
            PlotPane.pair(plots[0], plots[1]),
            PlotPane.pair(plots[2], plots[3]),
            checks,
            new FigureRows(session, "intake_tappet_wanted", "exhaust_tappet_wanted"),
            new InputGrid(session)
                .with(
                    "valveHardware.baseCircle",
                    "valveHardware.roller",
                    "valveHardware.rockerArm",
                    "valveHardware.tipRise",
                    "valveHardware.stem"));
    WhenSeen.refresh(this, this::refresh, session.buildProperty());
  }

  private void refresh() {
    var c = session.build().combination();
    checks.show(ValveGear.rockerAndLobes(session.build()));
    boolean us = session.build().units() == UnitSystem.US;
    var unit = us ? Measure.THOU : Measure.MILLIMETRES;
    String name = unit.symbol();
    var in = new LobeShape(Lobe.intake(c));
    var out = new LobeShape(Lobe.exhaust(c));
    draw(0, name, in, out, (s, a) -> unit.fromSi(s.lift(a)));
    draw(1, name + "/cam °", in, out, (s, a) -> unit.fromSi(s.velocity(a)) * DEGREE);
    draw(2, name + "/cam °²", in, out, (s, a) -> unit.fromSi(s.acceleration(a)) * DEGREE * DEGREE);
    draw(3, name + "/cam °³", in, out, (s, a) -> unit.fromSi(s.jerk(a)) * DEGREE * DEGREE * DEGREE);
  }

  private void draw(
      int plot,
      String unit,
      LobeShape in,
      LobeShape out,
      ToDoubleBiFunction<LobeShape, Double> value) {
    plots[plot].show(
        "cam ° from the nose",
        unit,
        List.of(line("intake", in, value), line("exhaust", out, value)));
  }

  private static Line line(
      String name, LobeShape shape, ToDoubleBiFunction<LobeShape, Double> value) {
    int n = 241;
    var x = new double[n];
    var y = new double[n];
    double reach = 1.08 * shape.span();
    for (int i = 0; i < n; i++) {
      double a = -reach + 2 * reach * i / (n - 1);
      x[i] = Math.toDegrees(a);
      y[i] = value.applyAsDouble(shape, a);
    }
    return new Line(name, x, y);
  }
}
