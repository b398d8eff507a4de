package grandbore.desktop.drawing;

import grandbore.core.mechanics.Balance;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import javafx.scene.text.TextAlignment;

/**
 * The crank where parts meet: from its end at bottom centre, counterweight under the skirt, and cut
 * through one throw, rods and shells on the journal between the fillets. Each to its own scale.
 */
public final class CrankDrawing extends Drawing {
  private static final double HEIGHT = 344;
  private static final double CHEEK = 0.016;
  private static final int ARC = 40;

  private final InputField counterweight = input("partSizes.counterweightRadius");
  private final InputField skirt = input("partSizes.skirtBelowPin");
  private final InputField journalWidth = input("partSizes.journalWidth");
  private final InputField rodWidth = input("partSizes.rodWidth");
  private final InputField shellWidth = input("partSizes.shellWidth");
  private final InputField fillet = input("partSizes.fillet");

  public CrankDrawing(Session session, Look look) {
    super(session, look, HEIGHT, false);
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    end(pen, palette, height);
    cut(pen, palette, width, height);
  }

  private void end(Pen pen, Palette palette, double height) {
    var c = session().engine().combination();
    var b = c.bottomEnd();
    var f = c.partSizes();
    double t = b.stroke().si() / 2;
    double weight =
        f.counterweightRadius().isKnown() ? f.counterweightRadius().si() : 0.9 * b.stroke().si();
    double below = f.skirtBelowPin().isKnown() ? f.skirtBelowPin().si() : 0.8 * b.pinHeight().si();
    double up = b.rodLength().si() - t + b.pinHeight().si();
    double down = Math.max(weight, t + b.rodJournal().si());
    double scale = (height - 44) / (up + down);
    double cx = 100;
    double crankY = 26 + up * scale;
    double pinY = crankY - (b.rodLength().si() - t) * scale;
    double half = b.bore().si() / 2 * scale;
    pen.axis(cx, 18, cx, height - 8);
    pen.box(
        palette.metal(),
        cx - half,
        pinY - b.pinHeight().si() * scale,
        2 * half,
        (b.pinHeight().si() + below) * scale);
    var arc = new double[2 * ARC + 4];
    for (int i = 0; i <= ARC; i++) {
      double a = Math.toRadians(-75 + 150.0 * i / ARC);
      arc[2 * i] = cx + weight * Math.sin(a) * scale;
      arc[2 * i + 1] = crankY - weight * Math.cos(a) * scale;
    }
    arc[2 * ARC + 2] = cx;
    arc[2 * ARC + 3] = crankY + t * scale;
    pen.outline(palette.panel(), arc);
    pen.circle(palette.metal(), cx, crankY, b.mainJournal().si() / 2 * scale);
    pen.circle(palette.metal(), cx, crankY + t * scale, b.rodJournal().si() / 2 * scale);
    pen.circle(palette.panel(), cx, pinY, 0.12 * b.bore().si() * scale);
    var over = session().overProperty().get();
    if (over != null) {
      ghost(pen, palette, over, cx, crankY, scale, height);
    }
    double skirtY = pinY + below * scale;
    double topY = crankY - weight * scale;
    double right = cx + Math.max(half, weight * scale * 0.97);
    pen.thin(cx, skirtY, right + 10, skirtY);
    pen.thin(cx, topY, right + 10, topY);
    pen.thin(right + 8, skirtY, right + 20, 86);
    place(skirt, right + 8, 72);
    pen.text("skirt below pin", palette.soft(), TextAlignment.LEFT, right + 26, 62);
    pen.thin(right + 8, topY, right + 20, Math.max(topY + 20, 164));
    place(counterweight, right + 8, Math.max(topY + 8, 150));
    pen.text(
        "counterweight radius",
        palette.soft(),
        TextAlignment.LEFT,
        right + 26,
        Math.max(topY - 2, 140));
    pen.text("bottom centre, to scale", palette.soft(), TextAlignment.LEFT, 8, 12);
    if (f.counterweightRadius().isKnown() && f.skirtBelowPin().isKnown()) {
      pen.text(
          "apart "
              + Quantity.CLEARANCE.show(
                  b.rodLength().si() - t - below - weight, session().build().units()),
          palette.ink(),
          TextAlignment.LEFT,
          right + 26,
          Math.max(topY + 48, 190));
    }
  }

  /** Piston, journal and counterweight of the build laid over, from the same crank. */
  private static void ghost(
      Pen pen,
      Palette palette,
      Session.Over over,
      double cx,
      double crankY,
      double scale,
      double height) {
    var c = over.engine().combination();
    var b = c.bottomEnd();
    double t = b.stroke().si() / 2;
    double half = b.bore().si() / 2 * scale;
    double pinY = crankY - (b.rodLength().si() - t) * scale;
    double top = pinY - b.pinHeight().si() * scale;
    double foot =
        pinY
            + (c.partSizes().skirtBelowPin().isKnown()
                    ? c.partSizes().skirtBelowPin().si()
                    : 0.8 * b.pinHeight().si())
                * scale;
    pen.ghost(cx - half, top, cx + half, top, cx + half, foot, cx - half, foot);
    pen.ghostCircle(cx, crankY + t * scale, b.rodJournal().si() / 2 * scale);
    if (c.partSizes().counterweightRadius().isKnown()) {
      pen.ghostCircle(cx, crankY, c.partSizes().counterweightRadius().si() * scale);
    }
    pen.text("dashed: " + over.build().name(), palette.power(), TextAlignment.LEFT, 8, height - 10);
  }

  private void cut(Pen pen, Palette palette, double width, double height) {
    var c = session().engine().combination();
    var b = c.bottomEnd();
    var f = c.partSizes();
    int rods = Balance.rodsOnThrow(c);
    double rod = f.rodWidth().isKnown() ? f.rodWidth().si() : 0.0238;
    double journal = f.journalWidth().isKnown() ? f.journalWidth().si() : rods * rod + 0.0004;
    double shell = f.shellWidth().isKnown() ? f.shellWidth().si() : 0.8 * rod;
    double r = f.fillet().isKnown() ? f.fillet().si() : 0.0025;
    double left = Math.min(330, width - 244);
    double room = width - left - 16;
    double scale = Math.min(room / (journal + 2 * CHEEK + 0.03), 104 / b.rodJournal().si());
    double cx = left + room / 2;
    double y = 132;
    double half = journal / 2 * scale;
    double d = b.rodJournal().si() * scale;
    double cheek = CHEEK * scale;
    double tall = 1.5 * d;
    pen.text("one throw, cut, to scale", palette.soft(), TextAlignment.LEFT, left, 12);
    pen.cut(cx - half - cheek, y - tall / 2, cheek, tall);
    pen.cut(cx + half, y - tall / 2, cheek, tall);
    pen.box(palette.panel(), cx - half, y - d / 2, 2 * half, d);
    double thick = 0.0105 * scale;
    pen.axis(cx - half - cheek - 10, y, cx + half + cheek + 10, y);
    for (int k = 0; k < rods; k++) {
      double x = cx + (k - 0.5 * (rods - 1)) * rod * scale;
      for (int edge = -1; edge <= 1; edge += 2) {
        double at = edge < 0 ? y - d / 2 - 2 - thick : y + d / 2 + 2;
        pen.cut(x - rod / 2 * scale, at, rod * scale, thick);
        double lining = edge < 0 ? y - d / 2 - 4 : y + d / 2 + 1;
        pen.box(palette.straw(), x - shell / 2 * scale, lining, shell * scale, 3);
      }
    }
    for (int side = -1; side <= 1; side += 2) {
      for (int edge = -1; edge <= 1; edge += 2) {
        fillet(pen, palette, cx + side * half, y + edge * d / 2, -side, edge, r * scale);
      }
    }
    double foot = y + tall / 2 + 14;
    pen.dimension(cx - half, foot, cx + half, foot);
    pen.thin(cx - half, y + tall / 2, cx - half, foot + 4);
    pen.thin(cx + half, y + tall / 2, cx + half, foot + 4);
    double row = Math.min(foot + 20, height - 76);
    put(pen, palette, "rod journal width", journalWidth, left, row);
    put(pen, palette, "rod width", rodWidth, left + 128, row);
    put(pen, palette, "rod shell width", shellWidth, left, row + 44);
    put(pen, palette, "fillet radius", fillet, left + 128, row + 44);
  }

  private static void put(
      Pen pen, Palette palette, String label, InputField field, double x, double y) {
    pen.text(label, palette.soft(), TextAlignment.LEFT, x + 20, y - 2);
    place(field, x, y + 5);
  }

  private static void fillet(
      Pen pen, Palette palette, double x, double y, int inward, int outward, double r) {
    int n = 12;
    var xy = new double[2 * (n + 2)];
    for (int i = 0; i <= n; i++) {
      double a = Math.PI / 2 * i / n;
      xy[2 * i] = x + inward * r * (1 - Math.sin(a));
      xy[2 * i + 1] = y + outward * r * (1 - Math.cos(a));
    }
    xy[2 * n + 2] = x;
    xy[2 * n + 3] = y;
    pen.outline(palette.metal(), xy);
  }
}
