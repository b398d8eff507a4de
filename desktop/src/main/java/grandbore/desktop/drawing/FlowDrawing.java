package grandbore.desktop.drawing;

import grandbore.core.combination.FlowSheet;
import grandbore.core.flow.FlowCurve;
import grandbore.core.flow.ValvePassage;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import java.util.Arrays;
import java.util.List;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/** Flow of both ports against valve lift, with the lift this cam reaches. */
public final class FlowDrawing extends Drawing {
  private static final double HEIGHT = 230;
  private static final double LEFT = 56;
  private static final double BOTTOM = 34;
  private static final double TOP = 26;

  public FlowDrawing(Session session, Look look) {
    super(session, look, HEIGHT);
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    var c = session().engine().combination();
    var units = session().build().units();
    double lifts = Quantity.LENGTH.unit(units).toSi(1);
    double flows = Quantity.AIRFLOW.unit(units).toSi(1);
    double liftStep = units == UnitSystem.US ? 0.1 * lifts : 2 * lifts;
    double flowStep = 50 * flows * (units == UnitSystem.US ? 1 : 0.5);
    double mostLift =
        liftStep
            * Math.ceil(
                Math.max(
                        Math.max(last(c.heads().intakeFlow()).lift(), c.intakeLift()),
                        Math.max(last(c.heads().exhaustFlow()).lift(), c.exhaustLift()))
                    / liftStep);
    double mostFlow = flowStep * Math.ceil(1.05 * last(c.heads().intakeFlow()).flow() / flowStep);
    double w = width - LEFT - 70;
    double h = height - TOP - BOTTOM;
    for (double f = 0; f <= mostFlow + 1e-9; f += flowStep) {
      double y = TOP + h * (1 - f / mostFlow);
      pen.line(palette.line(), 0.8, LEFT, y, LEFT + w, y);
      pen.text("%.0f".formatted(f / flows), palette.soft(), TextAlignment.RIGHT, LEFT - 6, y);
    }
    for (double l = 0; l <= mostLift + 1e-9; l += liftStep) {
      double x = LEFT + w * l / mostLift;
      pen.line(palette.line(), 0.8, x, TOP, x, TOP + h);
      String tick = units == UnitSystem.US ? "%.1f" : "%.0f";
      pen.text(tick.formatted(l / lifts), palette.soft(), TextAlignment.CENTER, x, TOP + h + 11);
    }
    String at = Quantity.DEPRESSION.show(c.heads().intakeFlow().depression(), units);
    pen.text(
        "flow, %s at %s".formatted(Quantity.AIRFLOW.unit(units).symbol(), at),
        palette.soft(),
        TextAlignment.LEFT,
        6,
        10);
    pen.text(
        "valve lift, " + Quantity.LENGTH.unit(units).symbol(),
        palette.soft(),
        TextAlignment.RIGHT,
        LEFT + w,
        height - 8);
    var over = session().overProperty().get();
    if (over != null) {
      var heads = over.engine().combination().heads();
      for (var sheet : List.of(heads.intakeFlow(), heads.exhaustFlow())) {
        double end = Math.min(mostLift, last(sheet).lift());
        double like = c.heads().intakeFlow().depression();
        var port = new FlowCurve(sheet);
        plot(pen, palette.soft(), 1.4, port, like, end, mostLift, mostFlow, w, h, 2, 3);
      }
      pen.text(
          "dotted: " + over.build().name(), palette.soft(), TextAlignment.LEFT, LEFT, height - 8);
    }
    port(
        pen,
        palette.power(),
        "exhaust",
        c.heads().exhaustFlow(),
        FlowCurve.ideal(c.heads().exhaustValves(), ValvePassage.exhaust(c)),
        c.exhaustLift(),
        mostLift,
        mostFlow,
        w,
        h,
        7,
        4);
    port(
        pen,
        palette.dye(),
        "intake",
        c.heads().intakeFlow(),
        FlowCurve.ideal(c.heads().intakeValves(), ValvePassage.intake(c)),
        c.intakeLift(),
        mostLift,
        mostFlow,
        w,
        h);
  }

  /** Flow at a depression over lift up to an end, as far as the page goes; where it ends. */
  private static double[] plot(
      Pen pen,
      Color color,
      double thick,
      FlowCurve curve,
      double depression,
      double end,
      double mostLift,
      double mostFlow,
      double w,
      double h,
      double... dashes) {
    int n = 81;
    var x = new double[n];
    var y = new double[n];
    int shown = 0;
    for (int i = 0; i < n; i++) {
      double l = end * i / (n - 1);
      double flow = curve.flow(l, depression);
      if (flow > mostFlow) {
        break;
      }
      x[i] = LEFT + w * l / mostLift;
      y[i] = TOP + h * (1 - flow / mostFlow);
      shown = i + 1;
    }
    pen.curve(color, thick, Arrays.copyOf(x, shown), Arrays.copyOf(y, shown), dashes);
    return new double[] {x[shown - 1], y[shown - 1]};
  }

  private static FlowSheet.Row last(FlowSheet sheet) {
    return sheet.rows().getLast();
  }

  private static void port(
      Pen pen,
      Color color,
      String name,
      FlowSheet sheet,
      FlowCurve ideal,
      double lift,
      double mostLift,
      double mostFlow,
      double w,
      double h,
      double... dashes) {
    double at = sheet.depression();
    var end =
        plot(
            pen,
            color,
            2,
            new FlowCurve(sheet),
            at,
            last(sheet).lift(),
            mostLift,
            mostFlow,
            w,
            h,
            dashes);
    // Thin: what these valves and seats would pass without any loss.
    plot(pen, color, 0.8, ideal, at, mostLift, mostLift, mostFlow, w, h);
    for (var row : sheet.rows()) {
      double px = LEFT + w * row.lift() / mostLift;
      double py = TOP + h * (1 - row.flow() / mostFlow);
      pen.line(color, 5, px, py, px + 0.1, py);
    }
    pen.text(name, color, TextAlignment.LEFT, end[0] + 8, end[1]);
    double reach = LEFT + w * lift / mostLift;
    pen.dashed(color, reach, TOP, reach, TOP + h);
  }
}
