package grandbore.desktop.drawing;

import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.BoundingBox;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.ArcType;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/**
 * The strokes of an engineering drawing: thick outlines, thin dimension lines, dash-dotted axes.
 */
public final class Pen {
  /** Letters in normal text, px. */
  private static final double SMALL = 11;

  private static final double ARROW = 6;
  private static final double HATCH = 6;

  /** From line to line of words, px in normal text. */
  private static final double LINE = 13;

  private static final int MOST_LINES = 4;

  /**
   * Words that were written.
   *
   * @param where on the drawing, px; their height is that of the letters
   */
  public record Word(String text, BoundingBox where) {}

  private record Written(String text, TextAlignment align, double x, double y) {}

  private final GraphicsContext g;
  private final List<Written> written = new ArrayList<>();
  private final Palette palette;

  /** Letters, over those of normal text. */
  private final double larger;

  public Pen(GraphicsContext g, Look look) {
    this.g = g;
    palette = look.palette();
    larger = look.text();
    g.setLineDashes();
    g.setFont(Font.font("B612", look.letters(SMALL)));
  }

  public void clear(double width, double height) {
    g.setFill(palette.panel());
    g.fillRect(0, 0, width, height);
  }

  /** The outline of an engine laid over this one. */
  void ghost(double... xy) {
    int n = xy.length / 2;
    var x = new double[n];
    var y = new double[n];
    for (int i = 0; i < n; i++) {
      x[i] = xy[2 * i];
      y[i] = xy[2 * i + 1];
    }
    g.setStroke(palette.power());
    g.setLineWidth(1.2);
    g.setLineDashes(6, 4);
    g.strokePolygon(x, y, n);
    g.setLineDashes();
  }

  void ghostCircle(double x, double y, double r) {
    g.setStroke(palette.power());
    g.setLineWidth(1.2);
    g.setLineDashes(6, 4);
    g.strokeOval(x - r, y - r, 2 * r, 2 * r);
    g.setLineDashes();
  }

  /** A filled outline. */
  public void outline(Color fill, double... xy) {
    int n = xy.length / 2;
    var x = new double[n];
    var y = new double[n];
    for (int i = 0; i < n; i++) {
      x[i] = xy[2 * i];
      y[i] = xy[2 * i + 1];
    }
    if (fill != null) {
      g.setFill(fill);
      g.fillPolygon(x, y, n);
    }
    g.setStroke(palette.ink());
    g.setLineWidth(1.6);
    g.strokePolygon(x, y, n);
  }

  public void box(Color fill, double x, double y, double w, double h) {
    outline(fill, x, y, x + w, y, x + w, y + h, x, y + h);
  }

  /** A cut part: filled and hatched. */
  public void cut(double x, double y, double w, double h) {
    box(palette.metal(), x, y, w, h);
    g.save();
    g.beginPath();
    g.rect(x, y, w, h);
    g.clip();
    g.setStroke(palette.soft());
    g.setLineWidth(0.5);
    for (double d = -h; d < w; d += HATCH) {
      g.strokeLine(x + d, y + h, x + d + h, y);
    }
    g.restore();
  }

  public void circle(Color fill, double x, double y, double r) {
    if (fill != null) {
      g.setFill(fill);
      g.fillOval(x - r, y - r, 2 * r, 2 * r);
    }
    g.setStroke(palette.ink());
    g.setLineWidth(1.6);
    g.strokeOval(x - r, y - r, 2 * r, 2 * r);
  }

  /** Where something else passes. */
  public void faint(double x, double y, double r) {
    g.setStroke(palette.soft());
    g.setLineWidth(0.7);
    g.setLineDashes(3, 3);
    g.strokeOval(x - r, y - r, 2 * r, 2 * r);
    g.setLineDashes();
  }

  /**
   * A slice of a disc.
   *
   * @param from degrees, turning left from the right
   */
  public void pie(Color fill, double x, double y, double r, double from, double extent) {
    g.setFill(fill);
    g.fillArc(x - r, y - r, 2 * r, 2 * r, from, extent, ArcType.ROUND);
    g.setStroke(palette.ink());
    g.setLineWidth(1.2);
    g.strokeArc(x - r, y - r, 2 * r, 2 * r, from, extent, ArcType.ROUND);
  }

  /** Two discs and what lies between them. */
  public void capsule(
      Color fill, double x1, double y1, double r1, double x2, double y2, double r2) {
    double length = Math.max(1e-9, Math.hypot(x2 - x1, y2 - y1));
    double nx = (y2 - y1) / length;
    double ny = -(x2 - x1) / length;
    circle(fill, x1, y1, r1);
    circle(fill, x2, y2, r2);
    outline(
        fill,
        x1 + nx * r1,
        y1 + ny * r1,
        x2 + nx * r2,
        y2 + ny * r2,
        x2 - nx * r2,
        y2 - ny * r2,
        x1 - nx * r1,
        y1 - ny * r1);
  }

  public void dot(Color color, double x, double y, double r) {
    g.setFill(color);
    g.fillOval(x - r, y - r, 2 * r, 2 * r);
  }

  public void line(Color color, double width, double x1, double y1, double x2, double y2) {
    g.setStroke(color);
    g.setLineWidth(width);
    g.strokeLine(x1, y1, x2, y2);
  }

  public void thin(double x1, double y1, double x2, double y2) {
    line(palette.soft(), 0.8, x1, y1, x2, y2);
  }

  /** A centre line. */
  public void axis(double x1, double y1, double x2, double y2) {
    g.setLineDashes(10, 3, 2, 3);
    thin(x1, y1, x2, y2);
    g.setLineDashes();
  }

  public void dashed(Color color, double x1, double y1, double x2, double y2) {
    g.setLineDashes(4, 4);
    line(color, 1, x1, y1, x2, y2);
    g.setLineDashes();
  }

  /** A dimension line with an arrow at each end. */
  public void dimension(double x1, double y1, double x2, double y2) {
    thin(x1, y1, x2, y2);
    double length = Math.hypot(x2 - x1, y2 - y1);
    if (length < 1) {
      return;
    }
    double ux = (x2 - x1) / length;
    double uy = (y2 - y1) / length;
    double turn = length > 3 * ARROW ? 1 : -1;
    arrow(x1, y1, turn * ux, turn * uy);
    arrow(x2, y2, -turn * ux, -turn * uy);
  }

  /** An arrow from one point to another. */
  public void arrow(Color color, double x1, double y1, double x2, double y2) {
    double length = Math.hypot(x2 - x1, y2 - y1);
    double ux = (x2 - x1) / length;
    double uy = (y2 - y1) / length;
    double head = Math.min(ARROW, length);
    line(color, 1.1, x1, y1, x2 - head * ux, y2 - head * uy);
    g.setFill(color);
    g.fillPolygon(
        new double[] {x2, x2 - head * ux - 2.2 * uy, x2 - head * ux + 2.2 * uy},
        new double[] {y2, y2 - head * uy + 2.2 * ux, y2 - head * uy - 2.2 * ux},
        3);
  }

  private void arrow(double x, double y, double ux, double uy) {
    g.setFill(palette.soft());
    g.fillPolygon(
        new double[] {x, x + ARROW * ux - 2 * uy, x + ARROW * ux + 2 * uy},
        new double[] {y, y + ARROW * uy + 2 * ux, y + ARROW * uy - 2 * ux},
        3);
  }

  public void text(String text, Color color, TextAlignment align, double x, double y) {
    g.setFill(color);
    g.setTextAlign(align);
    g.setTextBaseline(VPos.CENTER);
    g.fillText(text, x, y);
    written.add(new Written(text, align, x, y));
  }

  /**
   * Words that give way to those already written: they move on by a line as often as they touch
   * one.
   *
   * @param down which way they give way: 1 for down, −1 for up
   */
  void giveWay(String text, Color color, TextAlignment align, double x, double y, int down) {
    double at = y;
    for (int k = 0; k < MOST_LINES && touches(text, align, x, at); k++) {
      at += down * LINE * larger;
    }
    text(text, color, align, x, at);
  }

  private boolean touches(String text, TextAlignment align, double x, double y) {
    var where = word(new Written(text, align, x, y)).where;
    return words().stream().anyMatch(w -> w.where.intersects(where));
  }

  /** What was written with this pen, and where. */
  List<Word> words() {
    return written.stream().map(this::word).toList();
  }

  private Word word(Written w) {
    var letters = new Text(w.text);
    letters.setFont(g.getFont());
    var box = letters.getLayoutBounds();
    double left =
        switch (w.align) {
          case LEFT, JUSTIFY -> w.x;
          case CENTER -> w.x - box.getWidth() / 2;
          case RIGHT -> w.x - box.getWidth();
        };
    double high = 0.8 * box.getHeight();
    return new Word(w.text, new BoundingBox(left, w.y - high / 2, box.getWidth(), high));
  }

  /** Words on ground of their own, over a line, ending at a place. */
  public void tag(String text, Color color, Color ground, double right, double y) {
    double width = larger * 6.1 * text.length() + 8;
    g.setFill(ground);
    g.fillRect(right - width, y - 8 * larger, width, 16 * larger);
    text(text, color, TextAlignment.RIGHT, right - 4, y);
  }

  public void curve(Color color, double width, double[] x, double[] y, double... dashes) {
    g.setStroke(color);
    g.setLineWidth(width);
    g.setLineDashes(dashes);
    g.strokePolyline(x, y, x.length);
    g.setLineDashes();
  }
}
