package grandbore.desktop.drawing;

import grandbore.core.combination.Cam;
import grandbore.core.units.Quantity;
import grandbore.core.valvetrain.ValveLift;
import grandbore.core.valvetrain.ValveMotion;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import javafx.beans.property.DoubleProperty;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/**
 * Two turns of the crank on one ring, the firing top centre uppermost: lifts as bands, events at
 * 0.050 in, the piston's place inside. Dragging round the ring advances or retards the cam.
 */
public final class EventsDrawing extends Drawing {
  private static final double HEIGHT = 420;
  private static final int ROWS = 720;
  private static final double PISTON = 46;
  private static final double RING = 118;
  private static final double LIFT = 46;

  private final DoubleProperty crank;
  private double pressed = Double.NaN;
  private double dragged;

  public EventsDrawing(Session session, Look look, DoubleProperty crank) {
    super(session, look, HEIGHT);
    this.crank = crank;
    setId("events-ring");
    setAccessibleText("events of both lobes on a ring; drag to advance or retard");
    crank.subscribe(a -> redraw());
    setOnMousePressed(e -> pressed = ringAngle(e.getX(), e.getY()));
    setOnMouseDragged(
        e -> {
          double moved = ringAngle(e.getX(), e.getY()) - pressed;
          // The ring holds two turns: one degree of it is two of the crank.
          dragged = 2 * Math.IEEEremainder(moved, 2 * Math.PI);
          redraw();
        });
    setOnMouseReleased(e -> release());
  }

  private double ringAngle(double x, double y) {
    return Math.atan2(x - getWidth() / 2, getPrefHeight() / 2 - y);
  }

  /** To half a degree, as a cam is moved. */
  private double step() {
    return Math.toRadians(0.5 * Math.rint(Math.toDegrees(dragged) / 0.5));
  }

  private void release() {
    double by = step();
    pressed = Double.NaN;
    dragged = 0;
    if (by == 0) {
      redraw();
      return;
    }
    var centreline = session().build().combination().cam().intakeCentreline();
    try {
      session()
          .edit(
              by > 0 ? "Cam retarded" : "Cam advanced",
              b ->
                  b.with(
                      b.combination()
                          .with(
                              "cam.intakeCentreline",
                              centreline.with(centreline.si() + by, centreline.provenance()))));
    } catch (IllegalArgumentException e) {
      session().refuse(e.getMessage());
      redraw();
    }
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    var c = session().engine().combination();
    var units = session().build().units();
    double cx = width / 2;
    double cy = height / 2;
    double by = step();
    var intake = ValveMotion.intake(c).still();
    var exhaust = ValveMotion.exhaust(c).still();
    double most = Math.max(intake.peak(), exhaust.peak());
    var b = c.bottomEnd();
    var rod = b.crank();

    ring(pen, palette.soft(), cx, cy, RING);
    ring(pen, palette.line(), cx, cy, RING + LIFT);
    var x = new double[ROWS + 1];
    var y = new double[ROWS + 1];
    for (int i = 0; i <= ROWS; i++) {
      double a = 4 * Math.PI * i / ROWS;
      double r = PISTON + 44 * (1 - rod.depth(a) / b.stroke().si());
      x[i] = cx + r * Math.sin(a / 2);
      y[i] = cy - r * Math.cos(a / 2);
    }
    pen.curve(palette.soft(), 1.2, x, y);
    pen.text("piston", palette.soft(), TextAlignment.CENTER, cx, cy - 14);
    pen.text("high outward", palette.soft(), TextAlignment.CENTER, cx, cy + 2);
    band(pen, palette.power(), exhaust, most, by, cx, cy, 7, 4);
    band(pen, palette.dye(), intake, most, by, cx, cy);
    spoke(pen, palette, cx, cy, 0, "firing top");
    spoke(pen, palette, cx, cy, Math.PI, "bottom");
    spoke(pen, palette, cx, cy, 2 * Math.PI, "top, overlap");
    spoke(pen, palette, cx, cy, 3 * Math.PI, "bottom");
    events(pen, palette, c.cam(), by, cx, cy);
    double at = Math.toRadians(crank.get());
    pen.line(
        palette.ink(),
        1.4,
        cx + (PISTON - 10) * Math.sin(at / 2),
        cy - (PISTON - 10) * Math.cos(at / 2),
        cx + (RING + LIFT + 6) * Math.sin(at / 2),
        cy - (RING + LIFT + 6) * Math.cos(at / 2));
    String moved =
        by == 0
            ? "drag round the ring to advance or retard"
            : "%s by %.1f°"
                .formatted(by > 0 ? "retarded" : "advanced", Math.abs(Math.toDegrees(by)));
    pen.text(moved, by == 0 ? palette.soft() : palette.dye(), TextAlignment.LEFT, 8, height - 12);
    pen.text(
        "intake centreline "
            + Quantity.ANGLE.show(c.cam().intakeCentreline().si() + by, units)
            + " after top",
        palette.dye(),
        TextAlignment.RIGHT,
        width - 8,
        height - 12);
    pen.text("two turns on one ring", palette.soft(), TextAlignment.LEFT, 8, 12);
    pen.text("exhaust dashed", palette.power(), TextAlignment.RIGHT, width - 8, 12);
    pen.text("intake full", palette.dye(), TextAlignment.RIGHT, width - 8, 28);
  }

  private static void ring(Pen pen, Color color, double cx, double cy, double r) {
    var x = new double[181];
    var y = new double[181];
    for (int i = 0; i <= 180; i++) {
      x[i] = cx + r * Math.sin(Math.PI * i / 90);
      y[i] = cy - r * Math.cos(Math.PI * i / 90);
    }
    pen.curve(color, 0.9, x, y);
  }

  private static void band(
      Pen pen,
      Color color,
      ValveLift lift,
      double most,
      double by,
      double cx,
      double cy,
      double... dashes) {
    var x = new double[ROWS + 1];
    var y = new double[ROWS + 1];
    for (int i = 0; i <= ROWS; i++) {
      double a = 4 * Math.PI * i / ROWS;
      double r = RING + LIFT * lift.at(a - by) / most;
      x[i] = cx + r * Math.sin(a / 2);
      y[i] = cy - r * Math.cos(a / 2);
    }
    pen.curve(color, 2, x, y, dashes);
  }

  private static void spoke(
      Pen pen, Palette palette, double cx, double cy, double at, String words) {
    double s = Math.sin(at / 2);
    double c = Math.cos(at / 2);
    pen.axis(cx + 30 * s, cy - 30 * c, cx + (RING + LIFT + 8) * s, cy - (RING + LIFT + 8) * c);
    double r = RING + LIFT + 20;
    pen.text(
        words,
        palette.soft(),
        s > 0.5 ? TextAlignment.LEFT : s < -0.5 ? TextAlignment.RIGHT : TextAlignment.CENTER,
        cx + (r - 6) * s,
        cy - r * c);
  }

  private static void events(Pen pen, Palette palette, Cam cam, double by, double cx, double cy) {
    double in = cam.intakeDuration().si();
    double ex = cam.exhaustDuration().si();
    event(
        pen,
        palette.power(),
        Math.PI - cam.exhaustOpens(ex),
        by,
        "EO",
        cam.exhaustOpens(ex) - by,
        cx,
        cy);
    event(
        pen,
        palette.power(),
        2 * Math.PI + cam.exhaustCloses(ex),
        by,
        "EC",
        cam.exhaustCloses(ex) + by,
        cx,
        cy);
    event(
        pen,
        palette.dye(),
        2 * Math.PI - cam.intakeOpens(in),
        by,
        "IO",
        cam.intakeOpens(in) - by,
        cx,
        cy);
    event(
        pen,
        palette.dye(),
        3 * Math.PI + cam.intakeCloses(in),
        by,
        "IC",
        cam.intakeCloses(in) + by,
        cx,
        cy);
  }

  private static void event(
      Pen pen,
      Color color,
      double at,
      double by,
      String name,
      double degrees,
      double cx,
      double cy) {
    double s = Math.sin((at + by) / 2);
    double c = Math.cos((at + by) / 2);
    pen.line(
        color,
        1.6,
        cx + (RING - 8) * s,
        cy - (RING - 8) * c,
        cx + (RING + 8) * s,
        cy - (RING + 8) * c);
    boolean atTop = Math.abs(s) < 0.35;
    double r = RING - 24;
    if (atTop) {
      pen.giveWay(
          "%s %.1f°".formatted(name, Math.toDegrees(degrees)),
          color,
          s > 0 ? TextAlignment.LEFT : TextAlignment.RIGHT,
          cx + (RING - 6) * s + (s > 0 ? 4 : -4),
          cy - (RING - 32) * c,
          c > 0 ? 1 : -1);
      return;
    }
    pen.giveWay(
        "%s %.1f°".formatted(name, Math.toDegrees(degrees)),
        color,
        TextAlignment.CENTER,
        cx + (r - 12 * Math.abs(s)) * s,
        cy - (r + 8 * c * c) * c,
        c > 0 ? 1 : -1);
  }
}
