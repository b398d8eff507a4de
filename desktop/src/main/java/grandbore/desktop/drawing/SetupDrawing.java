package grandbore.desktop.drawing;

import grandbore.core.guided.Routine;
import grandbore.core.guided.Subject;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import javafx.scene.text.TextAlignment;

/** How an instrument is set up for a measurement: what it stands on, what it touches. */
public final class SetupDrawing extends Drawing {
  private static final double HEIGHT = 170;

  private Routine routine = Routine.TOP_BY_STOP;
  private Subject subject = Subject.WHOLE;

  public SetupDrawing(Session session, Look look) {
    super(session, look, HEIGHT, false);
  }

  public void show(Routine now, Subject of) {
    routine = now;
    subject = of;
    redraw();
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    double x = 110;
    switch (routine) {
      case TOP_BY_STOP -> {
        cylinder(pen, palette, x, 26);
        pen.box(palette.power(), x - 5, 4, 10, 48);
        pen.text("stop in the plug hole", palette.ink(), TextAlignment.LEFT, x + 60, 14);
        wheel(pen, palette, x + 260);
      }
      case TOP_BY_DWELL -> {
        cylinder(pen, palette, x, 6);
        dial(pen, palette, x, 4, 40);
        pen.text("indicator on the crown", palette.ink(), TextAlignment.LEFT, x + 60, 14);
        wheel(pen, palette, x + 260);
      }
      case DECK -> {
        cylinder(pen, palette, x, 4);
        dial(pen, palette, x - 28, 4, 38);
        pen.dashed(palette.dye(), x + 28, 4, x + 28, 40);
        pen.circle(palette.panel(), x, 78, 9);
        pen.text(
            "thrust side, then anti-thrust side, square to the pin",
            palette.ink(),
            TextAlignment.LEFT,
            x + 70,
            20);
        pen.text("pin", palette.soft(), TextAlignment.CENTER, x, 96);
      }
      case CHAMBER -> {
        pen.cut(x - 90, 60, 180, 60);
        pen.outline(palette.gas(), x - 50, 60, x + 50, 60, x + 34, 92, x - 34, 92);
        pen.box(palette.panel(), x - 90, 52, 180, 8);
        burette(pen, palette, x + 30, 52);
        pen.text(
            "plate, its hole at the highest point", palette.ink(), TextAlignment.LEFT, x + 110, 56);
        pen.text("plug in, valves greased", palette.ink(), TextAlignment.LEFT, x + 110, 86);
      }
      case DOME -> {
        cylinder(pen, palette, x, 40);
        pen.box(palette.gas(), x - 45, 36, 90, 34);
        pen.box(palette.panel(), x - 60, 28, 120, 8);
        burette(pen, palette, x + 30, 28);
        pen.dimension(x + 80, 36, x + 80, 70);
        pen.text("depth", palette.ink(), TextAlignment.LEFT, x + 88, 53);
      }
      case DEGREE -> {
        lobe(pen, palette, x);
        dial(pen, palette, x, 6, 34);
        pen.text(
            "indicator in line with the %s tappet".formatted(subject.word()),
            palette.ink(),
            TextAlignment.LEFT,
            x + 60,
            14);
        wheel(pen, palette, x + 260);
      }
      case VALVE_BY_SPRING, VALVE_BY_CLAY -> {
        cylinder(pen, palette, x, 60);
        valve(pen, palette, x);
        if (routine == Routine.VALVE_BY_CLAY) {
          pen.box(palette.straw(), x - 34, 84, 68, 12);
          pen.text(
              "clay, cut through after two turns", palette.ink(), TextAlignment.LEFT, x + 70, 90);
        } else {
          dial(pen, palette, x, 2, 22);
          pen.text(
              "press the valve down onto the piston",
              palette.ink(),
              TextAlignment.LEFT,
              x + 70,
              20);
        }
        pen.text(
            subject == Subject.EXHAUST ? "exhaust: worst before top" : "intake: worst after top",
            palette.soft(),
            TextAlignment.LEFT,
            x + 70,
            44);
      }
      case RING_GAP -> {
        pen.circle(palette.panel(), x, 84, 66);
        pen.circle(null, x, 84, 58);
        pen.line(palette.panel(), 12, x - 5, 22, x + 5, 22);
        pen.line(palette.dye(), 3, x, 14, x, 40);
        pen.text(
            "feeler in the gap, ring squared by a crown",
            palette.ink(),
            TextAlignment.LEFT,
            x + 90,
            30);
      }
      case BEARING_BY_GAUGE -> {
        pen.circle(palette.metal(), x, 84, 62);
        pen.circle(palette.panel(), x, 84, 46);
        pen.axis(x - 80, 84, x + 80, 84);
        pen.dimension(x, 38, x, 130);
        pen.text("at right angles to the split", palette.ink(), TextAlignment.LEFT, x + 90, 40);
        pen.text("split: never here", palette.soft(), TextAlignment.LEFT, x + 90, 84);
        pen.circle(palette.metal(), x + 330, 84, 46);
        pen.dimension(x + 284, 84, x + 376, 84);
        pen.text("journal, twice", palette.ink(), TextAlignment.CENTER, x + 330, 144);
      }
      case BEARING_BY_STRIP -> {
        pen.box(palette.metal(), x - 90, 90, 180, 56);
        pen.line(palette.power(), 4, x - 70, 88, x + 70, 88);
        pen.outline(palette.panel(), x - 100, 40, x + 100, 40, x + 100, 74, x - 100, 74);
        pen.text(
            "strip along the journal, cap at its torque",
            palette.ink(),
            TextAlignment.LEFT,
            x + 120,
            70);
      }
      case INSTALLED_HEIGHT, COIL_BIND -> {
        spring(pen, palette, x, routine == Routine.COIL_BIND);
        double top = routine == Routine.COIL_BIND ? 74 : 34;
        pen.dimension(x + 70, top, x + 70, 138);
        pen.text(
            routine == Routine.COIL_BIND ? "all coils touch" : "seat to retainer's seat",
            palette.ink(),
            TextAlignment.LEFT,
            x + 80,
            0.5 * (top + 138));
      }
      case ROCKER -> {
        pen.box(palette.metal(), x - 22, 70, 44, 80);
        pen.box(palette.straw(), x - 7, 66, 14, 4);
        pen.outline(palette.panel(), x - 12, 64, x + 12, 64, x + 150, 34, x + 150, 14, x - 4, 46);
        pen.dimension(x - 7, 158, x + 7, 158);
        pen.text("width of the wiped mark", palette.ink(), TextAlignment.LEFT, x + 30, 150);
      }
      case END_PLAY -> {
        pen.box(palette.metal(), x - 60, 70, 120, 40);
        pen.cut(x - 20, 40, 26, 30);
        pen.cut(x - 20, 110, 26, 30);
        pen.line(palette.ink(), 2, x - 120, 90, x - 60, 90);
        pen.circle(palette.panel(), x - 140, 90, 20);
        pen.dimension(x + 80, 90, x + 150, 90);
        pen.text("lever it both ways", palette.ink(), TextAlignment.LEFT, x + 160, 90);
      }
    }
    pen.text("set-up, not to scale", palette.soft(), TextAlignment.RIGHT, width - 8, height - 8);
  }

  private static void cylinder(Pen pen, Palette palette, double x, double down) {
    pen.cut(x - 60, 36, 14, 120);
    pen.cut(x + 46, 36, 14, 120);
    pen.box(palette.metal(), x - 44, 36 + down, 88, 70);
    pen.axis(x, 20, x, 164);
  }

  private static void dial(Pen pen, Palette palette, double x, double top, double reach) {
    pen.line(palette.ink(), 2, x, top + 12, x, top + reach);
    pen.circle(palette.panel(), x, top + 14, 14);
    pen.line(palette.dye(), 1.5, x, top + 14, x + 7, top + 6);
  }

  private static void wheel(Pen pen, Palette palette, double x) {
    pen.circle(palette.panel(), x, 84, 62);
    pen.circle(palette.metal(), x, 84, 12);
    for (int i = 0; i < 36; i++) {
      double a = Math.toRadians(10 * i);
      double in = i % 9 == 0 ? 48 : 56;
      pen.thin(
          x + in * Math.sin(a), 84 - in * Math.cos(a), x + 62 * Math.sin(a), 84 - 62 * Math.cos(a));
    }
    pen.text("0", palette.ink(), TextAlignment.CENTER, x, 44);
    pen.text("bottom", palette.soft(), TextAlignment.CENTER, x, 126);
    pen.line(palette.power(), 2, x + 66, 26, x + 48, 40);
    pen.text("wire pointer,", palette.ink(), TextAlignment.LEFT, x + 66, 18);
    pen.text("turned forward only", palette.soft(), TextAlignment.LEFT, x + 66, 34);
  }

  private static void burette(Pen pen, Palette palette, double x, double bottom) {
    pen.box(palette.gas(), x - 6, 2, 12, bottom - 10);
    pen.line(palette.ink(), 2, x, bottom - 8, x, bottom + 4);
  }

  private static void valve(Pen pen, Palette palette, double x) {
    pen.line(palette.ink(), 6, x, 24, x, 70);
    pen.outline(palette.metal(), x - 34, 78, x + 34, 78, x + 6, 66, x - 6, 66);
  }

  private static void lobe(Pen pen, Palette palette, double x) {
    pen.circle(palette.metal(), x, 120, 30);
    pen.outline(palette.metal(), x - 22, 102, x + 22, 102, x + 9, 72, x - 9, 72);
    pen.box(palette.panel(), x - 14, 44, 28, 28);
  }

  private static void spring(Pen pen, Palette palette, double x, boolean bound) {
    double top = bound ? 74 : 34;
    int turns = 6;
    for (int i = 0; i < turns; i++) {
      double y = top + (138 - top) * (i + 0.5) / turns;
      pen.line(palette.ink(), 5, x - 36, y + 4, x + 36, y - 4);
    }
    pen.box(palette.metal(), x - 46, top - 10, 92, 10);
    pen.cut(x - 56, 138, 112, 14);
  }
}
