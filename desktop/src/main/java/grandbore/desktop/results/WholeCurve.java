package grandbore.desktop.results;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import java.util.List;
import java.util.function.ToDoubleFunction;
import javafx.scene.layout.VBox;

/** All speeds: mean pressures, filling and fuel, temperatures, margins, what parts bear. */
final class WholeCurve extends VBox {
  private final PlotPane pressures;
  private final PlotPane filling;
  private final PlotPane margins;
  private final PlotPane heat;
  private final PlotPane rods;
  private final PlotPane pistons;

  WholeCurve(Look look) {
    super(10);
    pressures = new PlotPane(look, "plot-pressures", "Mean pressures", "%.0f");
    filling =
        new PlotPane(look, "plot-filling", "Volumetric efficiency, heat and residual", "%.1f");
    margins = new PlotPane(look, "plot-margins", "Spark and margins to knock", "%.1f");
    heat = new PlotPane(look, "plot-exhaust", "Exhaust gas", "%.0f");
    rods = new PlotPane(look, "plot-rods", "Rod and side force, most in a cycle", "%.0f");
    pistons = new PlotPane(look, "plot-pistons", "Piston speed", "%.0f");
    getChildren()
        .addAll(
            PlotPane.pair(pressures, filling),
            PlotPane.pair(margins, heat),
            PlotPane.pair(rods, pistons));
  }

  void show(Curve curve, Shown shown) {
    var p = shown.pressure();
    pressures.show(
        "rpm",
        p.symbol(),
        List.of(
            line("brake", curve, q -> p.fromSi(q.bmep())),
            line("indicated", curve, q -> p.fromSi(q.imep())),
            line("friction", curve, q -> p.fromSi(q.fmep())),
            line("gas exchange", curve, q -> p.fromSi(q.pmep()))));
    filling.show(
        "rpm",
        "percent",
        List.of(
            line("volumetric efficiency", curve, q -> 100 * q.volumetricEfficiency()),
            line("heat to walls", curve, q -> 100 * q.heatShare()),
            line("residual gas", curve, q -> 100 * q.residual())));
    margins.show(
        "rpm",
        "crank °, octane numbers",
        List.of(
            line("spark °", curve, q -> Math.toDegrees(q.spark())),
            line("margin °", curve, q -> Math.toDegrees(q.margins().advance())),
            line("margin, octane", curve, q -> q.margins().octane())));
    var t = shown.temperature();
    heat.show(
        "rpm",
        t.symbol(),
        List.of(line("at the valve", curve, q -> t.fromSi(q.exhaustTemperature()))));
    var f = shown.force();
    rods.show(
        "rpm",
        f.symbol(),
        List.of(
            line("rod compression", curve, q -> f.fromSi(q.efforts().rodCompression())),
            line("rod tension", curve, q -> f.fromSi(q.efforts().rodTension())),
            line("side force", curve, q -> f.fromSi(q.efforts().sideForce()))));
    var v = shown.speed();
    pistons.show(
        "rpm",
        v.symbol(),
        List.of(
            line("peak", curve, q -> v.fromSi(q.efforts().peakPistonSpeed())),
            line("mean", curve, q -> v.fromSi(q.efforts().meanPistonSpeed()))));
  }

  private static Line line(String name, Curve curve, ToDoubleFunction<CurvePoint> value) {
    int n = curve.points().size();
    var x = new double[n];
    var y = new double[n];
    for (int i = 0; i < n; i++) {
      var point = curve.points().get(i);
      x[i] = point.rpm();
      y[i] = point.converged() ? value.applyAsDouble(point) : Double.NaN;
    }
    return new Line(name, x, y);
  }
}
