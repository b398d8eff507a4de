package grandbore.desktop.builds;

import grandbore.core.job.JobLine.Outline;
import grandbore.desktop.look.Look;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;

/**
 * An engine in few lines, to scale from its own numbers: from the front, and its bores from above.
 */
final class EngineSketch extends Canvas {
  private static final double SIZE = 104;

  /** Of bore spacing over bore, and of a crown over its pin, m: drawn, no input here says them. */
  private static final double SPACING = 1.1;

  private static final double CROWN = 0.035;

  private final Outline o;
  private final Look look;

  EngineSketch(Outline outline, Look look) {
    super(SIZE * look.text(), SIZE * look.text());
    o = outline;
    this.look = look;
    draw();
  }

  private void draw() {
    var g = getGraphicsContext2D();
    g.clearRect(0, 0, getWidth(), getHeight());
    g.setStroke(look.palette().ink());
    g.setLineWidth(1.1);
    double bores = bores(g);
    double top = o.rod() + o.stroke() / 2 + CROWN;
    double lean = lean();
    double half = o.bore() / 2;
    double up = top * Math.cos(lean) + half * Math.sin(lean);
    double wide = Math.max(top * Math.sin(lean) + half * Math.cos(lean), o.stroke());
    double room = getHeight() - bores - 8;
    double scale = Math.min((getWidth() - 6) / (2 * wide), room / (up + 0.75 * o.stroke()));
    double cx = getWidth() / 2;
    double cy = 3 + up * scale;
    for (int side : lean > 0 ? new int[] {-1, 1} : new int[] {0}) {
      cylinder(g, cx, cy, scale, side * lean, top, side < 0 ? o.stroke() : 0);
    }
    double r = 0.7 * o.stroke() * scale;
    g.strokeOval(cx - r, cy - r, 2 * r, 2 * r);
  }

  private double lean() {
    return o.bankAngle() / 2;
  }

  /** A bore with its piston so far below the top. */
  private void cylinder(
      GraphicsContext g, double cx, double cy, double scale, double lean, double top, double down) {
    g.save();
    g.translate(cx, cy);
    g.rotate(Math.toDegrees(lean));
    double half = o.bore() / 2 * scale;
    double head = -top * scale;
    double foot = -(top - o.stroke() - o.bore() * 0.6) * scale;
    g.strokeLine(-half, head, -half, foot);
    g.strokeLine(half, head, half, foot);
    g.strokeLine(-half, head, half, head);
    g.setFill(look.palette().metal());
    double crown = head + down * scale;
    double tall = (CROWN + 0.4 * o.bore() / 2) * scale;
    g.fillRect(-half + 1, crown, 2 * half - 2, tall);
    g.strokeRect(-half + 1, crown, 2 * half - 2, tall);
    g.restore();
  }

  /** The bores from above along the foot; the height that they take. */
  private double bores(GraphicsContext g) {
    int banks = lean() > 0 ? 2 : 1;
    int rows = Math.max(1, o.cylinders() / banks);
    double step = Math.min(13 * look.text(), getWidth() / (rows + 0.5));
    double d = step / SPACING;
    double high = banks * step + 2;
    double y = getHeight() - high;
    double x = (getWidth() - rows * step) / 2;
    for (int b = 0; b < banks; b++) {
      for (int i = 0; i < rows; i++) {
        g.strokeOval(x + i * step + (b == 1 ? step / 4 : 0), y + b * step, d, d);
      }
    }
    return high;
  }
}
