package grandbore.desktop.drawing;

import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.units.Quantity;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import javafx.scene.text.TextAlignment;

/** One cylinder's whole gas path, straightened, lengths and widths to one scale. */
public final class PathDrawing extends Drawing {
  private static final double HEIGHT = 214;
  private static final int ROWS = 4;
  private static final double CHARACTER = 6.1;

  public PathDrawing(Session session, Look look) {
    super(session, look, HEIGHT);
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    var c = session().engine().combination();
    var units = session().build().units();
    var in = c.intake();
    var ex = c.exhaust();
    double plenum =
        in.manifold() == Intake.Manifold.PLENUM ? Math.cbrt(in.plenumVolume().si()) : 0.02;
    double[] lengths = {
      plenum,
      in.runnerLength().si(),
      c.heads().intakePortLength().si(),
      c.bottomEnd().bore().si(),
      c.heads().exhaustPortLength().si(),
      ex.primaryLength().si(),
      ex.collectorLength().si()
    };
    double whole = 0;
    for (double l : lengths) {
      whole += l;
    }
    double scale = (width - 24) / whole;
    double y = 60;
    double x = 12;
    if (in.manifold() == Intake.Manifold.PLENUM) {
      pen.box(palette.gas(), x, y - plenum * scale / 2, plenum * scale, plenum * scale);
    }
    x += plenum * scale;
    var at = new double[lengths.length + 1];
    at[0] = 12;
    at[1] = x;
    double port = c.heads().intakePortArea();
    x =
        pipe(
            pen,
            palette.gas(),
            x,
            y,
            lengths[1] * scale,
            in.runnerEntry().si(),
            in.runnerExit().si(),
            scale);
    at[2] = x;
    x = pipe(pen, palette.gas(), x, y, lengths[2] * scale, port, port, scale);
    at[3] = x;
    double bore = lengths[3] * scale;
    pen.box(
        palette.metal(),
        x,
        y - 0.5 * c.bottomEnd().stroke().si() * scale,
        bore,
        c.bottomEnd().stroke().si() * scale);
    x += bore;
    at[4] = x;
    double out = c.heads().exhaustPortArea();
    x = pipe(pen, palette.metal(), x, y, lengths[4] * scale, out, out, scale);
    at[5] = x;
    double primary = Math.PI / 4 * Math.pow(ex.primaryDiameter().si(), 2);
    x = pipe(pen, palette.panel(), x, y, lengths[5] * scale, primary, primary, scale);
    at[6] = x;
    double collector = Math.PI / 4 * Math.pow(ex.collectorDiameter().si(), 2);
    at[7] = pipe(pen, palette.panel(), x, y, lengths[6] * scale, collector, collector, scale);
    pen.axis(6, y, width - 6, y);
    String[] names = {
      in.manifold() == Intake.Manifold.PLENUM ? "plenum" : "",
      "runner",
      "port",
      "bore",
      "port",
      ex.kind() == Exhaust.Kind.HEADERS ? "primary" : "branch",
      "collector"
    };
    var rowEnds = new double[ROWS];
    for (int i = 0; i < names.length; i++) {
      if (names[i].isEmpty()) {
        continue;
      }
      String value =
          i == 0
              ? Quantity.VOLUME.show(in.plenumVolume().si(), units)
              : Quantity.LENGTH.show(lengths[i], units);
      String label = names[i] + " " + value;
      double wide = CHARACTER * label.length();
      double start = Math.clamp((at[i] + at[i + 1] - wide) / 2, 8, width - wide - 8);
      int row = 0;
      while (row < ROWS - 1 && rowEnds[row] > start - 10) {
        row++;
      }
      rowEnds[row] = start + wide;
      double level = 110 + 22 * row;
      pen.thin(at[i], 92, at[i], level + 4);
      pen.thin(at[i + 1], 92, at[i + 1], level + 4);
      pen.dimension(at[i], level, at[i + 1], level);
      pen.text(label, palette.ink(), TextAlignment.LEFT, start, level + 10);
    }
    pen.text(
        "one cylinder's gas path, straightened, to scale",
        palette.soft(),
        TextAlignment.LEFT,
        8,
        height - 8);
  }

  private static double pipe(
      Pen pen,
      javafx.scene.paint.Color fill,
      double x,
      double y,
      double length,
      double startArea,
      double endArea,
      double scale) {
    double a = Math.sqrt(startArea / Math.PI) * scale;
    double b = Math.sqrt(endArea / Math.PI) * scale;
    pen.outline(fill, x, y - a, x + length, y - b, x + length, y + b, x, y + a);
    return x + length;
  }
}
