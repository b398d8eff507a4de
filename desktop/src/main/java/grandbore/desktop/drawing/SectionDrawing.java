package grandbore.desktop.drawing;

import grandbore.core.units.Quantity;
import grandbore.core.valvetrain.ValveMotion;
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

  /** Room for the inputs beside the cylinder. */
  private static final double SIDES = 150;

  /** From this width on the engine is seen from its front too. */
  private static final double BOTH = 640;

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
    var shape = CylinderShape.of(c);
    boolean both = width > BOTH;
    double room = both ? 0.58 * width : width;
    double scale =
        Math.min(
            (height - 2 * MARGIN) / (shape.top() + shape.sweep()),
            (room - 2 * SIDES) / (2 * Math.max(CylinderFigure.half(shape), shape.sweep())));
    double cx = room * 0.52;
    double crankY = (height + (shape.top() - shape.sweep()) * scale) / 2;
    double angle = Math.toRadians(crankDegrees.get());
    var figure = new CylinderFigure(shape, pen, palette, cx, crankY, scale);
    double inWidth = Math.sqrt(4 * c.heads().intakePortArea() / Math.PI);
    double outWidth = Math.sqrt(4 * c.heads().exhaustPortArea() / Math.PI);
    figure.still();
    figure.ports(palette.panel(), inWidth, palette.panel(), outWidth);
    figure.moving(
        angle,
        lift(ValveMotion.intake(c), angle),
        lift(ValveMotion.exhaust(c), angle),
        palette.gas());
    double half = b.bore().si() / 2 * scale;
    double wall = CylinderFigure.half(shape) * scale - half;
    double deckY = crankY - b.blockDeck().si() * scale;
    pen.axis(cx, crankY - shape.top() * scale - 6, cx, height - 22);
    pen.axis(cx - shape.sweep() * scale - 8, crankY, cx + shape.sweep() * scale + 8, crankY);
    var over = session().overProperty().get();
    if (over != null) {
      ghost(pen, palette, over, angle, cx, crankY, scale);
    }
    double throwRadius = shape.throwRadius() * scale;
    dimensions(
        pen,
        cx,
        half,
        wall,
        deckY,
        crankY,
        crankY - shape.crown(angle) * scale,
        cx + b.pinOffset().si() * scale,
        crankY - shape.pin(angle) * scale,
        cx + throwRadius * Math.sin(angle),
        crankY - throwRadius * Math.cos(angle),
        throwRadius,
        shape.top() * scale - (crankY - deckY));
    if (both) {
      new EndView(c, pen, palette, session().build().units())
          .draw(room, 0, width - room, height, angle);
    }
    String at =
        "%.0f° after top: piston %s below the deck"
            .formatted(
                crankDegrees.get(),
                Quantity.LENGTH.show(
                    b.deckClearance() + b.crank().depth(angle), session().build().units()));
    pen.text(at, palette.soft(), TextAlignment.LEFT, 8, height - 10);
  }

  /** A valve's lift at a crank angle after the firing top centre, the train taken as stiff. */
  private static double lift(ValveMotion motion, double angle) {
    return Math.max(0, motion.still().at(angle));
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
    double top = deckY - head - 2;
    pen.thin(cx - half, deckY, cx - half, top - 4);
    pen.thin(cx + half, deckY, cx + half, top - 4);
    pen.dimension(cx - half, top, cx + half, top);
    pen.thin(cx + half, top, cx + half + wall + 20, top + 14);
    named(pen, bore, "bore", cx + half + wall + 22, top);

    double left = cx - half - wall - 34;
    pen.thin(left - 6, deckY, cx - half - wall, deckY);
    pen.thin(left - 6, crankY, cx, crankY);
    pen.dimension(left, deckY, left, crankY);
    named(pen, deck, "block deck", Math.max(4, left - 132), (deckY + crankY) / 2 - 13);

    double right = cx + half + wall + 22;
    pen.thin(cx + half, crownY, right + 6, crownY);
    pen.thin(pinX, pinY, right + 6, pinY);
    pen.dimension(right, crownY, right, pinY);
    named(pen, pin, "compression height", right + 34, (crownY + pinY) / 2 - 13);
    pen.thin(right, (crownY + pinY) / 2, right + 34, (crownY + pinY) / 2);

    pen.dimension(pinX, pinY, journalX, journalY);
    double midX = (pinX + journalX) / 2;
    double midY = (pinY + journalY) / 2;
    double rodY = Math.max(midY, pinY + 44);
    pen.thin(midX, midY, cx + half + 56, rodY);
    named(pen, rod, "rod", cx + half + 58, rodY - 13);

    double strokeX = cx + throwPixels + 30;
    pen.thin(cx, crankY - throwPixels, strokeX + 6, crankY - throwPixels);
    pen.thin(cx, crankY + throwPixels, strokeX + 6, crankY + throwPixels);
    pen.dimension(strokeX, crankY - throwPixels, strokeX, crankY + throwPixels);
    named(pen, stroke, "stroke", strokeX + 12, crankY + 10);
  }

  /** An input with its name over it. */
  private void named(Pen pen, InputField field, String name, double x, double y) {
    place(field, x, y);
    pen.text(name, look().palette().soft(), TextAlignment.LEFT, x + 20, y - 6);
  }
}
