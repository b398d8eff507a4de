package grandbore.desktop.drawing;

import grandbore.desktop.look.Palette;
import javafx.scene.paint.Color;

/**
 * Draws the section through one cylinder: block and head cut, chamber, valves at their lift, piston
 * with rings and pin, rod, crank with its counterweight.
 */
public final class CylinderFigure {
  private static final double WALL = 0.009;

  /** Of the port's axis over the chamber's ceiling, in valve diameters. */
  private static final double PORT_RISE = 0.8;

  private static final double SEAT = 0.42;
  private static final int COILS = 5;

  private final CylinderShape shape;
  private final Pen pen;
  private final Palette palette;
  private final double cx;
  private final double crankY;
  private final double scale;

  /**
   * @param cx pixel of the bore's axis
   * @param crankY pixel of the crank's centre
   * @param scale pixels a metre
   */
  public CylinderFigure(
      CylinderShape shape, Pen pen, Palette palette, double cx, double crankY, double scale) {
    this.shape = shape;
    this.pen = pen;
    this.palette = palette;
    this.cx = cx;
    this.crankY = crankY;
    this.scale = scale;
  }

  /** Height of both ports' axis over the crank's centre, m. */
  public static double portAxis(CylinderShape s) {
    double in = s.intake().y() + PORT_RISE * s.intake().diameter();
    double out = s.exhaust().y() + PORT_RISE * s.exhaust().diameter();
    return Math.max(in, out);
  }

  /** Outer half width of block and head, m. */
  public static double half(CylinderShape s) {
    return s.bore() / 2 + WALL;
  }

  private double x(double m) {
    return cx + m * scale;
  }

  private double y(double m) {
    return crankY - m * scale;
  }

  /** What stands still: block, head, gasket. */
  public void still() {
    double half = shape.bore() / 2;
    double blockDeck = shape.c().bottomEnd().blockDeck().si();
    double foot = shape.crown(Math.PI) - 1.1 * shape.c().bottomEnd().pinHeight().si();
    double headTop = headTop();
    for (int side = -1; side <= 1; side += 2) {
      double left = side < 0 ? -half - WALL : half;
      pen.cut(x(left), y(blockDeck), WALL * scale, (blockDeck - foot) * scale);
    }
    pen.cut(
        x(-half - WALL), y(headTop), 2 * (half + WALL) * scale, (headTop - shape.deck()) * scale);
    pen.line(palette.ink(), 2, x(-half - WALL), y(blockDeck), x(-half), y(blockDeck));
    pen.line(palette.ink(), 2, x(half), y(blockDeck), x(half + WALL), y(blockDeck));
  }

  private double headTop() {
    return portAxis(shape) + 0.032;
  }

  /** A port's last stretch, from the head's side down to the seat. */
  private void turn(CylinderShape.Valve v, int side, Color gas, double width) {
    double axis = portAxis(shape);
    double r = width / 2;
    double wall = side * half(shape);
    double seat = SEAT * v.diameter();
    double near = v.x() + side * seat;
    double far = v.x() - side * seat;
    pen.outline(
        gas,
        x(wall),
        y(axis + r),
        x(v.x()),
        y(axis + 0.9 * r),
        x(far),
        y(axis - 0.2 * r),
        x(far),
        y(v.y()),
        x(near),
        y(v.y()),
        x(near),
        y(Math.max(axis - r, v.y() + 0.002)),
        x(wall),
        y(axis - r));
  }

  private void plug() {
    double offset = CylinderShape.or(shape.c().heads().plugOffset(), 0);
    double at = Math.clamp(offset, -0.45 * shape.bore(), 0.45 * shape.bore());
    double tip = shape.ceiling(at);
    double r = 0.0055;
    pen.outline(
        palette.panel(),
        x(at - r),
        y(tip + 0.02),
        x(at + r),
        y(tip + 0.02),
        x(at + r),
        y(tip),
        x(at - r),
        y(tip));
    pen.line(palette.ink(), 1.4, x(at), y(tip), x(at), y(tip - 0.003));
  }

  /** The ports' turns from the head's side down to their seats, with the gas in them. */
  public void ports(Color intakeGas, double intakeWidth, Color exhaustGas, double exhaustWidth) {
    turn(shape.intake(), -1, intakeGas, intakeWidth);
    turn(shape.exhaust(), 1, exhaustGas, exhaustWidth);
  }

  /**
   * What moves.
   *
   * @param angle of the crank after the firing top centre, rad
   * @param intakeLift m
   * @param exhaustLift m
   */
  public void moving(double angle, double intakeLift, double exhaustLift, Color gas) {
    gas(angle, gas);
    valve(shape.intake(), intakeLift);
    valve(shape.exhaust(), exhaustLift);
    plug();
    crankAndRod(angle);
    piston(angle);
  }

  /** The gas between crown and ceiling. */
  private void gas(double angle, Color gas) {
    double half = shape.bore() / 2;
    double ch = Math.min(shape.chamber() / 2, half);
    double crown = shape.crown(angle);
    double d = shape.deck();
    if (shape.opposed()) {
      pen.outline(
          gas,
          x(-half),
          y(crown),
          x(-half),
          y(d),
          x(-ch),
          y(d),
          x(0),
          y(d + shape.roof()),
          x(ch),
          y(d),
          x(half),
          y(d),
          x(half),
          y(crown));
    } else {
      double r = d + shape.roof();
      pen.outline(
          gas, x(-half), y(crown), x(-half), y(d), x(-ch), y(d), x(-ch), y(r), x(ch), y(r), x(ch),
          y(d), x(half), y(d), x(half), y(crown));
    }
  }

  private void valve(CylinderShape.Valve v, double lift) {
    double ux = Math.sin(v.lean());
    double uy = Math.cos(v.lean());
    double hx = v.xAt(lift);
    double hy = v.yAt(lift);
    double r = v.diameter() / 2;
    double s = v.stem() / 2;
    double neck = 0.42 * v.diameter();
    double length = (shape.top() - v.y()) / uy;
    // Disc, tulip and stem, from the face up; along the stem and across it.
    double[][] outline = {
      {0, -r}, {0.0022, -r}, {neck, -s}, {length, -s}, {length, s}, {neck, s}, {0.0022, r}, {0, r}
    };
    var xy = new double[2 * outline.length];
    for (int i = 0; i < outline.length; i++) {
      double up = outline[i][0];
      double across = outline[i][1];
      xy[2 * i] = x(hx + up * ux + across * uy);
      xy[2 * i + 1] = y(hy + up * uy - across * ux);
    }
    pen.outline(palette.metal(), xy);
    spring(v, (headTop() - v.y()) / uy, length - lift);
  }

  /** Coils between the head's top and the retainer, places along the stem. */
  private void spring(CylinderShape.Valve v, double from, double to) {
    double ux = Math.sin(v.lean());
    double uy = Math.cos(v.lean());
    double coil = Math.min(0.3 * v.diameter(), 0.016);
    for (int k = 0; k < COILS; k++) {
      double a = from + (to - from) * k / COILS;
      double b = from + (to - from) * (k + 1) / COILS;
      pen.thin(
          x(v.x() + a * ux - coil * uy),
          y(v.y() + a * uy + coil * ux),
          x(v.x() + b * ux + coil * uy),
          y(v.y() + b * uy - coil * ux));
    }
    pen.line(
        palette.ink(),
        2,
        x(v.x() + to * ux - coil * uy),
        y(v.y() + to * uy + coil * ux),
        x(v.x() + to * ux + coil * uy),
        y(v.y() + to * uy - coil * ux));
  }

  private void crankAndRod(double angle) {
    var b = shape.c().bottomEnd();
    double r = shape.throwRadius();
    double sweep = shape.sweep();
    double jx = r * Math.sin(angle);
    double jy = r * Math.cos(angle);
    double pinY = shape.pin(angle);
    double pinX = b.pinOffset().si();
    pen.faint(x(0), y(0), sweep * scale);
    pen.pie(palette.metal(), x(0), y(0), sweep * scale, Math.toDegrees(-angle) + 90 + 110, 140);
    double journal = b.rodJournal().si() / 2;
    double main = b.mainJournal().si() / 2;
    pen.capsule(
        palette.metal(), x(0), y(0), 1.15 * main * scale, x(jx), y(jy), 1.25 * journal * scale);
    pen.circle(palette.panel(), x(0), y(0), main * scale);
    double pin = CylinderShape.or(shape.c().partSizes().pin(), 0.22 * shape.bore()) / 2;
    double length = Math.hypot(jx - pinX, jy - pinY);
    double nx = (jy - pinY) / length;
    double ny = -(jx - pinX) / length;
    double small = 0.75 * pin;
    double big = 0.62 * journal;
    pen.outline(
        palette.panel(),
        x(pinX + nx * small),
        y(pinY + ny * small),
        x(jx + nx * big),
        y(jy + ny * big),
        x(jx - nx * big),
        y(jy - ny * big),
        x(pinX - nx * small),
        y(pinY - ny * small));
    pen.circle(palette.metal(), x(jx), y(jy), 1.28 * journal * scale);
    pen.circle(palette.panel(), x(jx), y(jy), journal * scale);
  }

  private void piston(double angle) {
    double half = shape.bore() / 2 - 0.0008;
    double crown = shape.crown(angle);
    double pinY = shape.pin(angle);
    double low = pinY - shape.skirt();
    double dish = shape.dish();
    double w = Math.sqrt(CylinderShape.DISH_SHARE) * half;
    double edge = Math.min(0.3 * w, Math.abs(dish) * 2 + 0.001);
    pen.outline(
        palette.metal(),
        x(-half),
        y(crown),
        x(-w),
        y(crown),
        x(-w + edge),
        y(crown - dish),
        x(w - edge),
        y(crown - dish),
        x(w),
        y(crown),
        x(half),
        y(crown),
        x(half),
        y(low),
        x(0.72 * half),
        y(low),
        x(0.62 * half),
        y(pinY + 0.2 * (crown - pinY)),
        x(-0.62 * half),
        y(pinY + 0.2 * (crown - pinY)),
        x(-0.72 * half),
        y(low),
        x(-half),
        y(low));
    pocket(shape.intake(), shape.c().compression().intakePocket().si(), crown);
    pocket(shape.exhaust(), shape.c().compression().exhaustPocket().si(), crown);
    double land = shape.c().compression().landHeight().si();
    double ring = CylinderShape.or(shape.c().partSizes().ringWidth(), 0.0012);
    double pitch = Math.min(0.006, (crown - pinY - land) / 3.5);
    for (int k = 0; k < 3; k++) {
      double y = crown - land - k * pitch;
      double wide = Math.max(1.2, (k == 2 ? 2 : 1) * ring * scale);
      pen.line(palette.ink(), wide, x(-half), y(y), x(-0.86 * half), y(y));
      pen.line(palette.ink(), wide, x(half), y(y), x(0.86 * half), y(y));
    }
    double pin = CylinderShape.or(shape.c().partSizes().pin(), 0.22 * shape.bore()) / 2;
    pen.circle(palette.panel(), x(shape.c().bottomEnd().pinOffset().si()), y(pinY), pin * scale);
    pen.circle(null, x(shape.c().bottomEnd().pinOffset().si()), y(pinY), 0.55 * pin * scale);
  }

  private void pocket(CylinderShape.Valve v, double depth, double crown) {
    if (depth <= 0) {
      return;
    }
    double r = v.diameter() / 2;
    double tilt = Math.tan(v.lean()) * r;
    pen.line(palette.ink(), 1, x(v.x() - r), y(crown), x(v.x() - r), y(crown - depth - tilt));
    pen.line(
        palette.ink(),
        1,
        x(v.x() - r),
        y(crown - depth - tilt),
        x(v.x() + r),
        y(crown - depth + tilt));
    pen.line(palette.ink(), 1, x(v.x() + r), y(crown), x(v.x() + r), y(crown - depth + tilt));
  }
}
