package grandbore.desktop.drawing;

import grandbore.core.mechanics.Balance;
import grandbore.core.mechanics.Balance.Shake;
import grandbore.core.units.Quantity;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import java.util.function.ToDoubleFunction;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/**
 * The crank from its side at the crank cursor, and the ways that force and couple run in one turn,
 * at the rpm cursor.
 */
public final class BalanceDrawing extends Drawing {
  private static final double HEIGHT = 300;
  private static final int ROWS = 360;

  /** Shares of one cylinder's inertia below which nothing is left to draw. */
  private static final double NOTHING = 1e-6;

  private final ReadOnlyDoubleProperty crank;
  private final ReadOnlyDoubleProperty rpm;

  public BalanceDrawing(
      Session session, Look look, ReadOnlyDoubleProperty crank, ReadOnlyDoubleProperty rpm) {
    super(session, look, HEIGHT);
    this.crank = crank;
    this.rpm = rpm;
    crank.subscribe(a -> redraw());
    rpm.subscribe(a -> redraw());
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    var c = session().engine().combination();
    var balance = new Balance(c);
    double angle = Math.toRadians(crank.get());
    new CrankAlong(c, balance).draw(pen, palette, angle, 0, 12, width * 0.36, height - 48);
    pen.text("front", palette.soft(), TextAlignment.LEFT, 6, height - 34);
    pen.text("crank from the side, at its cursor", palette.soft(), TextAlignment.LEFT, 8, 12);
    pen.text(
        "widths that are not given: usual shares of the spacing",
        palette.soft(),
        TextAlignment.LEFT,
        8,
        28);
    double speed = rpm.get() * Math.PI / 30;
    double one = c.weights().reciprocating() * c.bottomEnd().stroke().si() / 2 * speed * speed;
    double r = Math.min(width * 0.15, 96);
    plane(
        pen,
        palette,
        balance,
        angle,
        speed,
        width * 0.51,
        r,
        Quantity.FORCE,
        one,
        "force",
        Shake::forceX,
        Shake::forceY);
    plane(
        pen,
        palette,
        balance,
        angle,
        speed,
        width * 0.835,
        r,
        Quantity.TORQUE,
        one * c.partSizes().boreSpacing().si(),
        "couple",
        Shake::coupleX,
        Shake::coupleY);
    pen.text(
        "at %,.0f rpm, one turn: once a turn full, twice a turn dashed; dots at the crank cursor"
            .formatted(rpm.get()),
        palette.soft(),
        TextAlignment.LEFT,
        8,
        height - 10);
  }

  private void plane(
      Pen pen,
      Palette palette,
      Balance balance,
      double angle,
      double speed,
      double cx,
      double r,
      Quantity q,
      double one,
      String what,
      ToDoubleFunction<Shake> x,
      ToDoubleFunction<Shake> y) {
    var units = session().build().units();
    double cy = 140;
    var most = balance.most(speed);
    boolean force = q == Quantity.FORCE;
    double primary = force ? most.primaryForce() : most.primaryCouple();
    double secondary = force ? most.secondaryForce() : most.secondaryCouple();
    double top = Math.max(primary, secondary);
    pen.axis(cx - r - 8, cy, cx + r + 8, cy);
    pen.axis(cx, cy - r - 8, cx, cy + r + 8);
    String shown = top < NOTHING * one ? "no %s is left".formatted(what) : "";
    pen.text(what, palette.ink(), TextAlignment.CENTER, cx, 14);
    if (!shown.isEmpty()) {
      pen.text(shown, palette.soft(), TextAlignment.CENTER, cx, cy + r + 26);
      return;
    }
    double scale = r / top;
    var over = session().overProperty().get();
    if (over != null) {
      var other = new Balance(over.engine().combination());
      way(pen, palette.soft(), a -> other.primary(a, speed), x, y, cx, cy, scale, angle, 2, 3);
      way(pen, palette.soft(), a -> other.secondary(a, speed), x, y, cx, cy, scale, angle, 2, 3);
    }
    way(pen, palette.dye(), a -> balance.primary(a, speed), x, y, cx, cy, scale, angle);
    way(pen, palette.power(), a -> balance.secondary(a, speed), x, y, cx, cy, scale, angle, 5, 4);
    pen.text(
        "once a turn up to " + q.show(primary, units),
        palette.dye(),
        TextAlignment.CENTER,
        cx,
        cy + r + 24);
    pen.text(
        "twice a turn up to " + q.show(secondary, units),
        palette.power(),
        TextAlignment.CENTER,
        cx,
        cy + r + 40);
  }

  private static void way(
      Pen pen,
      Color color,
      java.util.function.DoubleFunction<Shake> at,
      ToDoubleFunction<Shake> x,
      ToDoubleFunction<Shake> y,
      double cx,
      double cy,
      double scale,
      double angle,
      double... dashes) {
    var xs = new double[ROWS + 1];
    var ys = new double[ROWS + 1];
    for (int k = 0; k <= ROWS; k++) {
      var s = at.apply(2 * Math.PI * k / ROWS);
      xs[k] = cx + scale * x.applyAsDouble(s);
      ys[k] = cy - scale * y.applyAsDouble(s);
    }
    pen.curve(color, 1.8, xs, ys, dashes);
    var now = at.apply(angle);
    pen.dot(color, cx + scale * x.applyAsDouble(now), cy - scale * y.applyAsDouble(now), 4);
  }
}
