package grandbore.desktop.drawing;

import grandbore.core.combination.Combination;
import grandbore.core.mechanics.Balance;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.look.Palette;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/** The engine from its front: banks at their angle, all throws of the crank, the first pistons. */
public final class EndView {
  /** Height of a name with air above and below, px. */
  private static final double LINE = 18;

  private static final double MARGIN = 16;

  /** Of a cylinder, as drawn; no input says it. m. */
  private static final double WALL = 0.008;

  /** Cosine of half the angle at which banks count as flat. */
  private static final double FLAT = 0.05;

  private final Combination c;
  private final Balance balance;
  private final Pen pen;
  private final Palette palette;
  private final UnitSystem units;

  EndView(Combination c, Pen pen, Palette palette, UnitSystem units) {
    this.c = c;
    this.pen = pen;
    this.palette = palette;
    this.units = units;
    balance = new Balance(c);
  }

  /**
   * Draws into a box.
   *
   * @param angle of the crank after cylinder one's top centre, rad
   */
  void draw(double left, double top, double width, double height, double angle) {
    var b = c.bottomEnd();
    double tall = b.blockDeck().si() + 0.02;
    double sweep = CylinderShape.of(c).sweep();
    double half = b.bore().si() / 2;
    double spread = 0;
    double up = 0;
    for (int n = 1; n <= b.cylinders(); n++) {
      double lean = Math.abs(balance.lean(n));
      spread = Math.max(spread, tall * Math.sin(lean) + half * Math.cos(lean));
      up = Math.max(up, tall * Math.cos(lean) + half * Math.sin(lean));
    }
    spread = Math.max(spread, sweep);
    double scale =
        Math.min((width - 2 * MARGIN) / (2 * spread), (height - 2 * MARGIN - 28) / (up + sweep));
    double cx = left + width / 2;
    double cy = top + MARGIN + 16 + up * scale;
    boolean[] drawn = new boolean[2];
    for (int n = 1; n <= b.cylinders(); n++) {
      if (!drawn[b.bank(n)]) {
        drawn[b.bank(n)] = true;
        cylinder(n, cx, cy, scale, angle);
      }
    }
    pen.faint(cx, cy, sweep * scale);
    pen.axis(cx - sweep * scale - 8, cy, cx + sweep * scale + 8, cy);
    pen.axis(cx, cy - sweep * scale - 8, cx, cy + sweep * scale + 8);
    throwsOf(cx, cy, scale, angle, (sweep * scale) + 10);
    double valley = valley(c);
    if (valley > 0) {
      double y = cy - deckEdge() * scale;
      double side = valley / 2 * scale;
      pen.dimension(cx - side, y, cx + side, y);
      pen.giveWay(
          "valley " + Quantity.LENGTH.show(valley, units),
          palette.ink(),
          TextAlignment.CENTER,
          cx,
          y - 9,
          -1);
    }
    pen.giveWay(
        "from the front, to scale", palette.soft(), TextAlignment.LEFT, left + 4, top + 10, 1);
    if (b.banks() == 2) {
      pen.text(
          "%.0f° between banks".formatted(Math.toDegrees(c.partSizes().bankAngle().si())),
          palette.ink(),
          TextAlignment.CENTER,
          cx,
          top + height - 10);
    }
  }

  /**
   * Width of the intake valley at the decks' inner edges, where a manifold lies, m; 0 where the
   * banks leave none.
   */
  public static double valley(Combination c) {
    var b = c.bottomEnd();
    if (b.banks() != 2) {
      return 0;
    }
    double lean = c.partSizes().bankAngle().si() / 2;
    double edge = b.bore().si() / 2 + WALL;
    double wide = 2 * (b.blockDeck().si() * Math.sin(lean) - edge * Math.cos(lean));
    // Banks that lie flat have nothing between them.
    return Math.cos(lean) < FLAT ? 0 : Math.max(0, wide);
  }

  /** Height of the decks' inner edges over the crank's axis, m. */
  private double deckEdge() {
    var b = c.bottomEnd();
    double lean = c.partSizes().bankAngle().si() / 2;
    return b.blockDeck().si() * Math.cos(lean) + (b.bore().si() / 2 + WALL) * Math.sin(lean);
  }

  /** A bank's front cylinder: block, deck, piston, rod. */
  private void cylinder(int n, double cx, double cy, double scale, double angle) {
    var b = c.bottomEnd();
    double lean = balance.lean(n);
    double sin = Math.sin(lean);
    double cos = Math.cos(lean);
    double half = b.bore().si() / 2;
    double deck = b.blockDeck().si();
    double own = balance.throwAt(n, angle) - lean;
    double r = b.stroke().si() / 2;
    double crown = deck - b.deckClearance() - b.crank().depth(own);
    double pin = crown - b.pinHeight().si();
    double foot = deck - b.deckClearance() - b.stroke().si() - 1.4 * b.pinHeight().si();
    for (int side = -1; side <= 1; side += 2) {
      shape(
          cx,
          cy,
          scale,
          sin,
          cos,
          palette.metal(),
          side * half,
          foot,
          side * (half + WALL),
          foot,
          side * (half + WALL),
          deck,
          side * half,
          deck);
    }
    shape(
        cx,
        cy,
        scale,
        sin,
        cos,
        palette.metal(),
        -half,
        crown,
        half,
        crown,
        half,
        pin - CylinderShape.of(c).skirt(),
        -half,
        pin - CylinderShape.of(c).skirt());
    shape(
        cx,
        cy,
        scale,
        sin,
        cos,
        palette.panel(),
        -half - WALL,
        deck,
        half + WALL,
        deck,
        half + WALL,
        deck + 0.012,
        -half - WALL,
        deck + 0.012);
    double jx = r * Math.sin(own);
    double jy = r * Math.cos(own);
    double px = x(cx, scale, sin, cos, 0, pin);
    double py = y(cy, scale, sin, cos, 0, pin);
    pen.line(
        palette.ink(), 3, px, py, x(cx, scale, sin, cos, jx, jy), y(cy, scale, sin, cos, jx, jy));
    pen.circle(palette.panel(), px, py, 0.11 * b.bore().si() * scale);
    pen.axis(
        cx, cy, x(cx, scale, sin, cos, 0, deck + 0.03), y(cy, scale, sin, cos, 0, deck + 0.03));
  }

  private void shape(
      double cx, double cy, double scale, double sin, double cos, Color fill, double... along) {
    var xy = new double[along.length];
    for (int i = 0; i < along.length; i += 2) {
      xy[i] = x(cx, scale, sin, cos, along[i], along[i + 1]);
      xy[i + 1] = y(cy, scale, sin, cos, along[i], along[i + 1]);
    }
    pen.outline(fill, xy);
  }

  private static double x(double cx, double scale, double sin, double cos, double a, double up) {
    return cx + (a * cos + up * sin) * scale;
  }

  private static double y(double cy, double scale, double sin, double cos, double a, double up) {
    return cy - (up * cos - a * sin) * scale;
  }

  /** Every throw once, its cylinders beside it. */
  private void throwsOf(double cx, double cy, double scale, double angle, double names) {
    var b = c.bottomEnd();
    double r = b.stroke().si() / 2 * scale;
    double journal = b.rodJournal().si() / 2 * scale;
    var cylinders = new TreeMap<Long, StringBuilder>();
    for (int n = 1; n <= b.cylinders(); n++) {
      long at = Math.round(Math.toDegrees(balance.throwAt(n, angle)) / 3) * 3;
      var name = cylinders.computeIfAbsent(Math.floorMod(at, 360L), k -> new StringBuilder());
      name.append(name.isEmpty() ? "" : " ").append(n);
    }
    cylinders.forEach(
        (degrees, name) -> {
          double a = Math.toRadians(degrees);
          pen.capsule(
              palette.metal(),
              cx,
              cy,
              0.7 * journal,
              cx + r * Math.sin(a),
              cy - r * Math.cos(a),
              journal);
        });
    pen.circle(palette.panel(), cx, cy, 0.8 * b.mainJournal().si() / 2 * scale);
    var tags = new ArrayList<Tag>();
    cylinders.forEach(
        (degrees, name) -> {
          double a = Math.toRadians(degrees);
          double half = 3.05 * name.length() + 4;
          tags.add(
              new Tag(
                  name.toString(),
                  cx + names * Math.sin(a) + half,
                  cy - names * Math.cos(a),
                  half));
        });
    apart(tags).forEach(t -> pen.tag(t.words, palette.ink(), palette.panel(), t.right, t.middle));
  }

  /**
   * A name beside its throw.
   *
   * @param right end of it
   * @param half of its width
   */
  private record Tag(String words, double right, double middle, double half) {
    private boolean isOn(Tag other) {
      return Math.abs(right - half - other.right + other.half) < half + other.half + 2
          && Math.abs(middle - other.middle) < LINE;
    }
  }

  /** Throws of split pins stand near one another: the lower name gives way downward. */
  private static List<Tag> apart(List<Tag> tags) {
    var placed = new ArrayList<Tag>();
    tags.stream()
        .sorted(Comparator.comparingDouble(Tag::middle))
        .forEach(
            t -> {
              var moved = t;
              for (var p : placed) {
                if (moved.isOn(p)) {
                  moved = new Tag(t.words, t.right, p.middle + LINE, t.half);
                }
              }
              placed.add(moved);
            });
    return placed;
  }
}
