package grandbore.desktop.drawing;

import grandbore.core.units.Quantity;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import javafx.scene.text.TextAlignment;

/**
 * The top of one cylinder at top centre, to scale: chamber and dish as discs of their volume, since
 * only their volume is known.
 */
public final class CompressionDrawing extends Drawing {
  private static final double HEIGHT = 300;

  private final InputField chamber = input("compression.chamberVolume");
  private final InputField gasket = input("compression.gasketThickness");
  private final InputField gasketBore = input("compression.gasketBore");
  private final InputField dish = input("compression.pistonVolume");
  private final InputField landHeight = input("compression.landHeight");
  private final InputField landClearance = input("compression.landClearance");

  public CompressionDrawing(Session session, Look look) {
    super(session, look, HEIGHT);
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    var c = session().engine().combination();
    var b = c.bottomEnd();
    var s = c.compression();
    double scale = Math.min(178 / b.bore().si(), 130 / 0.045);
    double cx = width / 2;
    double half = b.bore().si() / 2 * scale;
    double deckY = 128;
    double gasketHeight = Math.max(1, s.gasketThickness().si() * scale);
    double headY = deckY - gasketHeight;
    double chamberDepth = s.chamberVolume().si() / b.boreArea() * scale;
    double gasketHalf = s.gasketBore().si() / 2 * scale;
    double crownY = deckY + b.deckClearance() * scale;
    double dishDepth = s.pistonVolume().si() / b.boreArea() * scale;
    double land = s.landHeight().si() * scale;
    double gap = Math.max(1, s.landClearance().si() / 2 * scale);
    double wall = 24;
    double skirt = Math.max(40, 0.4 * b.pinHeight().si() * scale + land);

    pen.cut(cx - half - wall, 40, 2 * (half + wall), headY - 40);
    pen.box(palette.gas(), cx - half, headY - chamberDepth, 2 * half, chamberDepth);
    pen.box(palette.straw(), cx - half - wall, headY, half + wall - gasketHalf, gasketHeight);
    pen.box(palette.straw(), cx + gasketHalf, headY, half + wall - gasketHalf, gasketHeight);
    pen.box(palette.gas(), cx - gasketHalf, headY, 2 * gasketHalf, gasketHeight);
    pen.cut(cx - half - wall, deckY, wall, height - deckY - 34);
    pen.cut(cx + half, deckY, wall, height - deckY - 34);
    pen.box(palette.gas(), cx - half, Math.min(deckY, crownY), 2 * half, Math.abs(crownY - deckY));
    pen.box(palette.gas(), cx - half, crownY, 2 * half, land);
    pen.box(palette.metal(), cx - half + gap, crownY, 2 * (half - gap), skirt);
    double dishHalf = 0.8 * half;
    double depth = dishDepth / 0.64;
    if (depth >= 0) {
      pen.box(palette.gas(), cx - dishHalf, crownY, 2 * dishHalf, depth);
    } else {
      pen.box(palette.metal(), cx - dishHalf, crownY + depth, 2 * dishHalf, -depth);
    }
    pen.box(palette.ink(), cx - half + 0.5, crownY + land, gap + 5, Math.max(3, 0.0012 * scale));
    pen.box(
        palette.ink(), cx + half - gap - 5.5, crownY + land, gap + 5, Math.max(3, 0.0012 * scale));
    pen.axis(cx, 30, cx, height - 24);
    var over = session().overProperty().get();
    if (over != null) {
      ghost(pen, palette, over, cx, deckY, scale);
    }

    double right = cx + half + wall;
    leader(pen, cx + 0.4 * half, headY - chamberDepth / 2, right + 8, 52);
    place(chamber, right + 6, 39);
    label(pen, palette, "chamber", right + 26, 30);
    leader(pen, right, headY + gasketHeight / 2, right + 8, 112);
    place(gasket, right + 6, 99);
    label(pen, palette, "gasket, compressed", right + 26, 90);
    leader(pen, cx + 0.5 * half, crownY + Math.max(2, depth / 2), right + 8, 172);
    place(dish, right + 6, 159);
    label(pen, palette, "dish +, dome −", right + 26, 150);

    double left = cx - half - wall;
    leader(pen, cx - gasketHalf, headY + gasketHeight / 2, left - 22, 52);
    place(gasketBore, left - 128, 39);
    label(pen, palette, "gasket bore", left - 106, 30);
    leader(pen, cx - half + gap / 2, crownY + land / 2, left - 22, 172);
    place(landHeight, left - 128, 159);
    label(pen, palette, "top land height", left - 106, 150);
    leader(pen, cx - half + gap / 2, crownY + land * 0.8, left - 22, 232);
    place(landClearance, left - 128, 219);
    label(pen, palette, "top land clearance", left - 106, 210);

    pen.text(
        "to scale; chamber and dish as discs of their volume",
        palette.soft(),
        TextAlignment.LEFT,
        8,
        14);
    var units = session().build().units();
    pen.text(
        "compression %s   quench %s   deck clearance %s"
            .formatted(
                Quantity.RATIO.show(c.staticRatio(), units),
                Quantity.CLEARANCE.show(b.deckClearance() + s.gasketThickness().si(), units),
                Quantity.CLEARANCE.show(b.deckClearance(), units)),
        palette.soft(),
        TextAlignment.LEFT,
        8,
        height - 10);
  }

  /** Chamber and crown of the build laid over, on the same deck. */
  private static void ghost(
      Pen pen, Palette palette, Session.Over over, double cx, double deckY, double scale) {
    var c = over.engine().combination();
    var b = c.bottomEnd();
    double half = b.bore().si() / 2 * scale;
    double headY = deckY - c.compression().gasketThickness().si() * scale;
    double depth = c.compression().chamberVolume().si() / b.boreArea() * scale;
    double crownY = deckY + b.deckClearance() * scale;
    pen.ghost(
        cx - half, headY - depth, cx + half, headY - depth, cx + half, headY, cx - half, headY);
    pen.ghost(cx - half, crownY, cx + half, crownY);
    pen.text(
        "dashed: " + over.build().name(), palette.power(), TextAlignment.RIGHT, cx + half + 24, 30);
  }

  private static void leader(Pen pen, double x1, double y1, double x2, double y2) {
    pen.thin(x1, y1, x2, y2);
  }

  private static void label(Pen pen, Palette palette, String text, double x, double y) {
    pen.text(text, palette.soft(), TextAlignment.LEFT, x, y);
  }
}
