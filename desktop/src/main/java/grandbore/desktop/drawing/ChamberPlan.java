package grandbore.desktop.drawing;

import grandbore.core.combination.Combination;
import grandbore.core.prediction.Chambers;
import grandbore.desktop.look.Palette;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.paint.Color;

/**
 * The chamber seen from the cylinder: the bore, and in it every valve's head to the same scale,
 * intake to the left. How far valves stand from the bore's wall is no input of the engine: they are
 * drawn as near to it as there is room.
 */
public final class ChamberPlan {
  /** From a valve's head to the wall and to the next valve, share of the bore. */
  private static final double GAP = 0.012;

  /** Of a flame's outline. */
  private static final int POINTS = 72;

  /**
   * A valve's head.
   *
   * @param x of its middle from the bore's, to the exhaust, m
   * @param y along the crank, m
   * @param radius m
   */
  public record Head(boolean intake, double x, double y, double radius) {}

  private ChamberPlan() {}

  /** All heads; each touches its neighbours at most. */
  public static List<Head> heads(Combination c) {
    var all = new ArrayList<Head>();
    double bore = c.bottomEnd().bore().si();
    var h = c.heads();
    side(all, bore, h.intakeValve().si(), h.intakeValves(), true);
    side(all, bore, h.exhaustValve().si(), h.exhaustValves(), false);
    return all;
  }

  private static void side(
      List<Head> all, double bore, double diameter, int valves, boolean intake) {
    double radius = diameter / 2;
    double ring = Math.max(0, bore / 2 - radius - GAP * bore);
    double pitch = diameter + GAP * bore;
    // Round the bore's wall, as far from one another as their heads ask.
    double apart = ring > 0 ? 2 * Math.asin(Math.min(1, pitch / (2 * ring))) : 0;
    for (int i = 0; i < valves; i++) {
      double angle = apart * (i - (valves - 1) / 2.0);
      double x = ring * Math.cos(angle) * (intake ? -1 : 1);
      all.add(new Head(intake, x, ring * Math.sin(angle), radius));
    }
  }

  /**
   * Draws it.
   *
   * @param radius of the bore, pixels
   */
  public static void draw(
      Combination c, Pen pen, Palette palette, double cx, double cy, double radius) {
    double scale = radius / (c.bottomEnd().bore().si() / 2);
    pen.circle(palette.metal(), cx, cy, radius);
    for (var head : heads(c)) {
      Color rim = head.intake() ? palette.dye() : palette.power();
      pen.dot(rim, cx + head.x() * scale, cy + head.y() * scale, head.radius() * scale);
      pen.dot(
          palette.panel(),
          cx + head.x() * scale,
          cy + head.y() * scale,
          head.radius() * scale - 1.5);
    }
  }

  /**
   * Draws how far a flame has come, over the rest, from its plugs to the wall.
   *
   * @param radius of the bore, pixels
   * @param flame its own radius, m
   */
  public static void flame(
      Combination c, Pen pen, Palette palette, double cx, double cy, double radius, double flame) {
    var chamber = Chambers.of(c, c.clearanceVolume());
    double scale = radius / (c.bottomEnd().bore().si() / 2);
    for (int plug = 0; plug < chamber.plugs(); plug++) {
      double off = (plug == 0 ? -1 : 1) * chamber.plugOffset() * scale;
      var line = new double[2 * POINTS];
      for (int k = 0; k < POINTS; k++) {
        double angle = 2 * Math.PI * k / POINTS;
        double reach = Math.min(flame * scale, toWall(off, angle, radius));
        line[2 * k] = cx + reach * Math.cos(angle);
        line[2 * k + 1] = cy + off + reach * Math.sin(angle);
      }
      pen.outline(palette.power().deriveColor(0, 1, 1, 0.45), line);
      pen.dot(palette.ink(), cx, cy + off, 2);
    }
  }

  /** From a point off the middle, along y, to the circle in a direction. */
  private static double toWall(double off, double angle, double radius) {
    double along = off * Math.sin(angle);
    return -along + Math.sqrt(along * along + radius * radius - off * off);
  }
}
