package grandbore.desktop.drawing;

import grandbore.core.combination.Cam;
import grandbore.core.units.Quantity;
import grandbore.core.valvetrain.ValveLift;
import grandbore.core.valvetrain.ValveMotion;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import javafx.scene.text.TextAlignment;

/** Both valves' lift over the crank's angle, with the events at 0.050 in of tappet lift. */
public final class LiftDrawing extends Drawing {
  private static final double HEIGHT = 250;
  private static final double LEFT = 56;
  private static final double BOTTOM = 42;
  private static final double TOP = 30;
  private static final double FROM = 90;
  private static final double TO = 650;

  public LiftDrawing(Session session, Look look) {
    super(session, look, HEIGHT);
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    var c = session().engine().combination();
    var units = session().build().units();
    var cam = c.cam();
    var intake = ValveMotion.intake(c).still();
    var exhaust = ValveMotion.exhaust(c).still();
    double unit = Quantity.LENGTH.unit(units).toSi(1);
    double step = unit > 0.01 ? 0.1 * unit : 2 * unit;
    double most = step * Math.ceil(1.08 * Math.max(intake.peak(), exhaust.peak()) / step);
    double w = width - LEFT - 16;
    double h = height - TOP - BOTTOM;
    for (double lift = 0; lift <= most + 1e-9; lift += step) {
      double y = TOP + h * (1 - lift / most);
      pen.line(palette.line(), 0.8, LEFT, y, LEFT + w, y);
      pen.text(
          unit > 0.01 ? "%.1f".formatted(lift / unit) : "%.0f".formatted(lift / unit),
          palette.soft(),
          TextAlignment.RIGHT,
          LEFT - 6,
          y);
    }
    pen.text(
        "lift, " + Quantity.LENGTH.unit(units).symbol(), palette.soft(), TextAlignment.LEFT, 6, 12);
    for (double a = 180; a <= 540; a += 180) {
      double x = x(a, w);
      pen.axis(x, TOP - 6, x, TOP + h);
      pen.text(
          a == 360 ? "top centre, overlap" : "bottom centre",
          palette.soft(),
          TextAlignment.CENTER,
          x,
          height - 12);
    }
    var over = session().overProperty().get();
    if (over != null) {
      var other = over.engine().combination();
      plot(pen, palette.soft(), ValveMotion.exhaust(other).still(), most, w, h, 2, 3);
      plot(pen, palette.soft(), ValveMotion.intake(other).still(), most, w, h, 2, 3);
      pen.text(
          "dotted: " + over.build().name(),
          palette.soft(),
          TextAlignment.RIGHT,
          width - 8,
          height - 12);
    }
    plot(pen, palette.power(), exhaust, most, w, h, 7, 4);
    plot(pen, palette.dye(), intake, most, w, h);
    pen.text(
        "exhaust",
        palette.power(),
        TextAlignment.CENTER,
        x(Math.toDegrees(2 * Math.PI - cam.exhaustCentreline()), w),
        TOP - 8);
    pen.text(
        "intake",
        palette.dye(),
        TextAlignment.CENTER,
        x(360 + Math.toDegrees(cam.intakeCentreline().si()), w),
        TOP - 8);
    events(pen, palette, cam, w, h);
  }

  private static double x(double degrees, double w) {
    return LEFT + w * (degrees - FROM) / (TO - FROM);
  }

  private static void plot(
      Pen pen,
      javafx.scene.paint.Color color,
      ValveLift lift,
      double most,
      double w,
      double h,
      double... dashes) {
    int n = 281;
    var x = new double[n];
    var y = new double[n];
    for (int i = 0; i < n; i++) {
      double degrees = FROM + (TO - FROM) * i / (n - 1);
      x[i] = x(degrees, w);
      y[i] = TOP + h * (1 - lift.at(Math.toRadians(degrees)) / most);
    }
    pen.curve(color, 2, x, y, dashes);
  }

  private static void events(Pen pen, Palette palette, Cam cam, double w, double h) {
    double in = cam.intakeDuration().si();
    double ex = cam.exhaustDuration().si();
    double y = TOP + h + 12;
    event(
        pen,
        palette.power(),
        180 - Math.toDegrees(cam.exhaustOpens(ex)),
        Math.toDegrees(cam.exhaustOpens(ex)),
        w,
        h,
        y);
    event(
        pen,
        palette.power(),
        360 + Math.toDegrees(cam.exhaustCloses(ex)),
        Math.toDegrees(cam.exhaustCloses(ex)),
        w,
        h,
        y);
    event(
        pen,
        palette.dye(),
        360 - Math.toDegrees(cam.intakeOpens(in)),
        Math.toDegrees(cam.intakeOpens(in)),
        w,
        h,
        y);
    event(
        pen,
        palette.dye(),
        540 + Math.toDegrees(cam.intakeCloses(in)),
        Math.toDegrees(cam.intakeCloses(in)),
        w,
        h,
        y);
  }

  private static void event(
      Pen pen,
      javafx.scene.paint.Color color,
      double at,
      double degrees,
      double w,
      double h,
      double y) {
    double x = x(at, w);
    pen.line(color, 1, x, TOP + h - 14, x, TOP + h + 4);
    pen.giveWay(
        "%.1f°".formatted(degrees),
        color,
        at < 360 ? TextAlignment.RIGHT : TextAlignment.LEFT,
        x,
        y,
        -1);
  }
}
