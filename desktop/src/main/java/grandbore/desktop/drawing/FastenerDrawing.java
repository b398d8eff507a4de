package grandbore.desktop.drawing;

import grandbore.core.clearances.Fastener;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import javafx.scene.text.TextAlignment;

/** Fasteners where they stand, each with its number in the sequence. */
public final class FastenerDrawing extends Drawing {
  private static final double HEIGHT = 96;
  private static final double FRONT = 34;
  private static final double R = 11;

  private Fastener fastener;
  private int done;
  private boolean loosened;

  public FastenerDrawing(Session session, Look look) {
    super(session, look, HEIGHT, false);
  }

  /**
   * @param stages that are done
   * @param off whether they are loosened again: the order is then turned round
   */
  public void show(Fastener f, int stages, boolean off) {
    fastener = f;
    done = stages;
    loosened = off;
    redraw();
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    if (fastener == null) {
      return;
    }
    int perRow = fastener.perRow();
    double dx = Math.min(70, (width - FRONT - 30) / Math.max(1, perRow));
    double dy = (height - 20) / fastener.rows();
    pen.outline(
        palette.metal(),
        FRONT,
        6,
        FRONT + dx * perRow + 10,
        6,
        FRONT + dx * perRow + 10,
        height - 8,
        FRONT,
        height - 8);
    var order = loosened ? fastener.loosening() : fastener.sequence();
    boolean whole = done == fastener.stages().size();
    for (int k = 0; k < order.size(); k++) {
      int at = order.get(k) - 1;
      double x = FRONT + 5 + dx * (at % perRow + 0.5);
      int row = at / perRow;
      double y = 9 + dy * (row + 0.5);
      pen.circle(whole && !loosened ? palette.straw() : palette.panel(), x, y, R);
      pen.text(String.valueOf(k + 1), palette.ink(), TextAlignment.CENTER, x, y);
    }
    pen.text("front", palette.soft(), TextAlignment.LEFT, 2, height / 2);
  }
}
