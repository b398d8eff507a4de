package grandbore.desktop.drawing;

import grandbore.core.units.Quantity;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.scene.text.TextAlignment;

/** The section through one cylinder, crank to deck, to scale, at the crank cursor's angle. */
public final class SectionDrawing extends Drawing {
  private static final double HEIGHT = 452;
  private static final double MARGIN = 14;

  private final DoubleProperty crankDegrees = new SimpleDoubleProperty(50);
  private final InputField bore = input("bottomEnd.bore");
  private final InputField stroke = input("bottomEnd.stroke");
  private final InputField rod = input("bottomEnd.rodLength");
  private final InputField deck = input("bottomEnd.blockDeck");
  private final InputField pin = input("bottomEnd.pinHeight");

  public SectionDrawing(Session session, Look look) {
    super(session, look, HEIGHT);
    crankDegrees.subscribe(a -> redraw());
  }

  public DoubleProperty crankDegreesProperty() {
    return crankDegrees;
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    var c = session().engine().combination();
    var b = c.bottomEnd();
    double throwRadius = b.stroke().si() / 2;
    double deckHeight = b.blockDeck().si();
    double webs = throwRadius + b.rodJournal().si() / 2 + 0.012;
    double head = 0.030;
    double scale = (height - 2 * MARGIN) / (deckHeight + head + webs);
    double cx = width * 0.5;
    double crankY = height - MARGIN - webs * scale;
    double deckY = crankY - deckHeight * scale;
    double half = b.bore().si() / 2 * scale;
    double wall = Math.max(6, 0.010 * scale);
    double sleeve = 1.15 * b.stroke().si() * scale + b.pinHeight().si() * scale;

    double angle = Math.toRadians(crankDegrees.get());
    var crank = b.crank();
    double crownY = deckY + (b.deckClearance() + crank.depth(angle)) * scale;
    double pinY = crownY + b.pinHeight().si() * scale;
    double pinX = cx + b.pinOffset().si() * scale;
    double journalX = cx + throwRadius * Math.sin(angle) * scale;
    double journalY = crankY - throwRadius * Math.cos(angle) * scale;

    pen.box(palette.gas(), cx - half, deckY, 2 * half, Math.max(0, crownY - deckY));
    pen.cut(cx - half - wall, deckY, wall, sleeve);
    pen.cut(cx + half, deckY, wall, sleeve);
    pen.cut(cx - half - wall, deckY - head * scale, 2 * (half + wall), head * scale - 1);
    pen.axis(cx, deckY - head * scale - 6, cx, height - 4);
    pen.axis(cx - webs * scale - 8, crankY, cx + webs * scale + 8, crankY);

    double skirt = 1.7 * b.pinHeight().si() * scale;
    pen.box(palette.metal(), cx - half + 1, crownY, 2 * half - 2, skirt);
    pen.circle(null, cx, crankY, throwRadius * scale);
    double end = b.rodJournal().si() / 2 * scale;
    double small = 0.30 * b.pinHeight().si() * scale + 4;
    double length = Math.hypot(journalX - pinX, journalY - pinY);
    double nx = (journalY - pinY) / length;
    double ny = -(journalX - pinX) / length;
    pen.outline(
        palette.panel(),
        pinX + nx * small,
        pinY + ny * small,
        journalX + nx * 0.7 * end,
        journalY + ny * 0.7 * end,
        journalX - nx * 0.7 * end,
        journalY - ny * 0.7 * end,
        pinX - nx * small,
        pinY - ny * small);
    pen.circle(palette.metal(), journalX, journalY, end + 4);
    pen.circle(palette.panel(), journalX, journalY, end);
    pen.circle(palette.metal(), pinX, pinY, small + 2);
    pen.circle(palette.panel(), pinX, pinY, 0.7 * small);
    pen.circle(palette.metal(), cx, crankY, b.mainJournal().si() / 2 * scale);

    var over = session().overProperty().get();
    if (over != null) {
      ghost(pen, palette, over, angle, cx, crankY, scale);
    }
    dimensions(
        pen,
        cx,
        half,
        wall,
        deckY,
        crankY,
        crownY,
        pinX,
        pinY,
        journalX,
        journalY,
        throwRadius * scale,
        head * scale);
    String at =
        "%.0f° after top: piston %s below the deck"
            .formatted(
                crankDegrees.get(),
                Quantity.LENGTH.show(
                    b.deckClearance() + crank.depth(angle), session().build().units()));
    pen.text(at, palette.soft(), TextAlignment.LEFT, 8, height - 10);
  }

  /** The build laid over, at the same crank angle, from the same crank. */
  private static void ghost(
      Pen pen,
      Palette palette,
      Session.Over over,
      double angle,
      double cx,
      double crankY,
      double scale) {
    var b = over.engine().combination().bottomEnd();
    double throwRadius = b.stroke().si() / 2;
    var crank = b.crank();
    double deckY = crankY - b.blockDeck().si() * scale;
    double half = b.bore().si() / 2 * scale;
    double crownY = deckY + (b.deckClearance() + crank.depth(angle)) * scale;
    double pinY = crownY + b.pinHeight().si() * scale;
    double skirt = 1.7 * b.pinHeight().si() * scale;
    pen.ghost(
        cx - half, crownY, cx + half, crownY, cx + half, crownY + skirt, cx - half, crownY + skirt);
    pen.ghostCircle(cx, crankY, throwRadius * scale);
    double journalX = cx + throwRadius * Math.sin(angle) * scale;
    double journalY = crankY - throwRadius * Math.cos(angle) * scale;
    pen.ghost(cx + b.pinOffset().si() * scale, pinY, journalX, journalY);
    pen.ghost(cx - half, deckY, cx + half, deckY);
    pen.text("dashed: " + over.build().name(), palette.power(), TextAlignment.LEFT, 8, 14);
  }

  private void dimensions(
      Pen pen,
      double cx,
      double half,
      double wall,
      double deckY,
      double crankY,
      double crownY,
      double pinX,
      double pinY,
      double journalX,
      double journalY,
      double throwPixels,
      double head) {
    double top = deckY - head * 0.5;
    pen.dimension(cx - half, top, cx + half, top);
    pen.thin(cx + half, top, cx + half + 52, top);
    place(bore, cx + half + 54, top - 13);

    double left = cx - half - wall - 34;
    pen.thin(left - 6, deckY, cx - half - wall, deckY);
    pen.thin(left - 6, crankY, cx, crankY);
    pen.dimension(left, deckY, left, crankY);
    place(deck, left - 132, (deckY + crankY) / 2 - 13);

    double right = cx + half + wall + 22;
    pen.thin(cx + half, crownY, right + 6, crownY);
    pen.thin(pinX, pinY, right + 6, pinY);
    pen.dimension(right, crownY, right, pinY);
    place(pin, right + 34, (crownY + pinY) / 2 - 13);
    pen.thin(right, (crownY + pinY) / 2, right + 34, (crownY + pinY) / 2);

    pen.dimension(pinX, pinY, journalX, journalY);
    double midX = (pinX + journalX) / 2;
    double midY = (pinY + journalY) / 2;
    double rodY = Math.max(midY, pinY + 44);
    pen.thin(midX, midY, cx + half + 56, rodY);
    place(rod, cx + half + 58, rodY - 13);

    double strokeX = cx + throwPixels + 30;
    pen.thin(cx, crankY - throwPixels, strokeX + 6, crankY - throwPixels);
    pen.thin(cx, crankY + throwPixels, strokeX + 6, crankY + throwPixels);
    pen.dimension(strokeX, crankY - throwPixels, strokeX, crankY + throwPixels);
    place(stroke, strokeX + 12, crankY + 4);
  }
}
