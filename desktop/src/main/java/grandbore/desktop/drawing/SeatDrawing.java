package grandbore.desktop.drawing;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import java.util.List;
import javafx.scene.text.TextAlignment;

/**
 * Both valves cut through on their seats, to one scale: what is not known is drawn as is usual and
 * its input stands empty.
 */
public final class SeatDrawing extends Drawing {
  private static final double HEIGHT = 268;
  private static final double FACE = 120;

  /** Drawn where not known: shares of the valve. */
  private static final double SEAT = 0.03;

  private static final double MARGIN = 0.025;
  private static final double THROAT = 0.88;

  private record Side(
      String name,
      Given valve,
      Given angle,
      Given width,
      Given margin,
      Given throat,
      List<InputField> fields) {}

  private final List<InputField> intake =
      List.of(
          input("seats.intakeAngle"),
          input("seats.intakeWidth"),
          input("seats.intakeThroat"),
          input("seats.intakeMargin"));
  private final List<InputField> exhaust =
      List.of(
          input("seats.exhaustAngle"),
          input("seats.exhaustWidth"),
          input("seats.exhaustThroat"),
          input("seats.exhaustMargin"));

  public SeatDrawing(Session session, Look look) {
    super(session, look, HEIGHT, false);
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    var c = session().engine().combination();
    double scale = 0.30 * width / Math.max(c.heads().intakeValve().si(), 0.02);
    side(pen, palette, of(c, true), c.valveHardware().stem().si(), 0.25 * width, scale);
    side(pen, palette, of(c, false), c.valveHardware().stem().si(), 0.75 * width, scale);
    pen.text("to scale", palette.soft(), TextAlignment.LEFT, 8, height - 8);
  }

  private Side of(Combination c, boolean in) {
    var h = c.heads();
    var s = c.seats();
    return in
        ? new Side(
            "intake",
            h.intakeValve(),
            s.intakeAngle(),
            s.intakeWidth(),
            s.intakeMargin(),
            s.intakeThroat(),
            intake)
        : new Side(
            "exhaust",
            h.exhaustValve(),
            s.exhaustAngle(),
            s.exhaustWidth(),
            s.exhaustMargin(),
            s.exhaustThroat(),
            exhaust);
  }

  private static double known(Given g, double otherwise) {
    return g.isKnown() ? g.si() : otherwise;
  }

  private void side(Pen pen, Palette palette, Side s, double stem, double x, double scale) {
    double d = s.valve.si();
    double r = d / 2 * scale;
    double w = known(s.width, SEAT * d) * scale;
    double margin = known(s.margin, MARGIN * d) * scale;
    double throat = known(s.throat, THROAT * d) / 2 * scale;
    double dx = w * Math.cos(s.angle.si());
    double dy = w * Math.sin(s.angle.si());
    double face = FACE - margin;
    for (int turn = -1; turn <= 1; turn += 2) {
      pen.outline(
          palette.metal(),
          x + turn * (r + 34),
          face,
          x + turn * r,
          face,
          x + turn * (r - dx),
          face - dy,
          x + turn * throat,
          face - dy - 20,
          x + turn * throat,
          34,
          x + turn * (r + 34),
          34);
    }
    double stemHalf = stem / 2 * scale;
    pen.outline(
        palette.panel(),
        x - r,
        FACE,
        x + r,
        FACE,
        x + r,
        face,
        x + r - dx,
        face - dy,
        x + stemHalf,
        face - dy - 22,
        x + stemHalf,
        26,
        x - stemHalf,
        26,
        x - stemHalf,
        face - dy - 22,
        x - r + dx,
        face - dy,
        x - r,
        face);
    pen.axis(x, 18, x, FACE + 10);
    pen.text(s.name, palette.ink(), TextAlignment.CENTER, x, 12);
    pen.dimension(x - throat, 40, x + throat, 40);
    var names = List.of("seat angle", "seat width", "throat", "margin");
    for (int i = 0; i < names.size(); i++) {
      double fx = x - 128 + 132 * (i % 2);
      int row = i / 2;
      double fy = FACE + 26 + 54 * row;
      pen.text(names.get(i), palette.soft(), TextAlignment.LEFT, fx + 20, fy);
      place(s.fields.get(i), fx, fy + 8);
    }
  }
}
