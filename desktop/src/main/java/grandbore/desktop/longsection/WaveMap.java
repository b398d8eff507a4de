package grandbore.desktop.longsection;

import grandbore.core.prediction.Trace;
import grandbore.core.prediction.Trace.Kind;
import grandbore.desktop.drawing.Pen;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.results.Shown;
import javafx.beans.property.DoubleProperty;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.image.ImageView;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.text.TextAlignment;

/**
 * Place along the path across, crank angle down, the gas as tint, on the axis of the long section;
 * valves' lifts between both sides, the crank cursor as a level line that is dragged.
 */
final class WaveMap extends Pane {
  /** Room over and under the map for names and scale, pixels. */
  private static final double TOP = 16;

  private static final double BOTTOM = 30;
  private static final String[] PLACES = {
    "firing top", "bottom", "top, overlap", "bottom", "firing top"
  };

  private final Look look;
  private final DoubleProperty crank;
  private final ImageView tint = new ImageView();
  private final Canvas lines = new Canvas();
  private final Canvas cursor = new Canvas();
  private GasPicture picture = new GasPicture(1, 1);
  private PathAxis axis;
  private Trace trace;
  private Trace less;
  private GasView view = GasView.PRESSURE;
  private GasView.Range range;
  private Shown shown;
  private String what = "";

  /**
   * @param crank the crank cursor, degrees
   */
  WaveMap(Look look, DoubleProperty crank) {
    this.look = look;
    this.crank = crank;
    getStyleClass().add("wave-map");
    getChildren().addAll(tint, lines, cursor);
    setMinHeight(150);
    setPrefHeight(300);
    setCursor(Cursor.V_RESIZE);
    setOnMousePressed(this::drag);
    setOnMouseDragged(this::drag);
    heightProperty().subscribe(h -> draw());
    setAccessibleText("Wave map: place along the gas path across, crank angle down");
  }

  /**
   * The path has another place on the window.
   *
   * @param overtaken whether another map is on its way, so that this one need not be drawn
   */
  void on(PathAxis path, boolean overtaken) {
    axis = path;
    if (!overtaken) {
      draw();
    }
  }

  /**
   * @param off taken off, {@code null} for nothing
   * @param words what is seen
   */
  void show(Trace t, Trace off, GasView as, GasView.Range scale, Shown units, String words) {
    trace = t;
    less = off;
    view = as;
    range = scale;
    shown = units;
    what = words;
    draw();
  }

  void dim(boolean old) {
    tint.setOpacity(old ? 0.45 : 1);
  }

  private double mapHeight() {
    return Math.max(40, getHeight() - TOP - BOTTOM);
  }

  private void drag(MouseEvent e) {
    double at = 720 * (e.getY() - TOP) / mapHeight();
    crank.set(Math.rint(Math.clamp(at, 0, 719)));
  }

  private void draw() {
    double w = getWidth();
    double h = mapHeight();
    if (axis == null || w < 200) {
      return;
    }
    if (picture.width() != (int) w || picture.height() != (int) h) {
      picture = new GasPicture((int) w, (int) h);
      tint.setImage(picture.image());
      tint.setLayoutY(TOP);
      for (var canvas : new Canvas[] {lines, cursor}) {
        canvas.setWidth(w);
        canvas.setHeight(getHeight());
      }
    }
    var palette = look.palette();
    var g = lines.getGraphicsContext2D();
    g.clearRect(0, 0, w, getHeight());
    if (trace == null) {
      picture.clear();
    } else {
      picture.map(trace, less, axis, view, range, Tint.of(view, palette));
      drawLines(new Pen(g, look), palette, w, h);
    }
    turn();
  }

  private void drawLines(Pen pen, Palette palette, double w, double h) {
    for (int k = 0; k <= 4; k++) {
      double y = TOP + h * k / 4;
      pen.thin(8, y, axis.exhaustValve(), y);
      double text = k == 0 ? y + 7 : y - 6;
      pen.text(PLACES[k], palette.soft(), TextAlignment.LEFT, 8, text);
    }
    for (var duct : trace.ducts()) {
      axis.duct(duct.duct(), duct.length())
          .ifPresent(ends -> pen.thin(ends[1], TOP, ends[1], TOP + h));
    }
    lift(pen, palette, Kind.INTAKE_LIFT, axis.intakeValve(), 1, h);
    lift(pen, palette, Kind.EXHAUST_LIFT, axis.exhaustValve(), -1, h);
    pen.text(what, palette.soft(), TextAlignment.RIGHT, w - 10, 7);
    scale(pen, palette, w, TOP + h + 12);
  }

  /** A valve's lift beside its place, a thick line there while it is open. */
  private void lift(Pen pen, Palette palette, Kind kind, double x, int side, double h) {
    var lifts = trace.of(kind);
    double most = 1e-9;
    for (double l : lifts) {
      most = Math.max(most, l);
    }
    double room = 0.46 * (axis.exhaustValve() - axis.intakeValve());
    var color = kind == Kind.INTAKE_LIFT ? palette.dye() : palette.power();
    var xs = new double[lifts.length];
    var ys = new double[lifts.length];
    for (int i = 0; i < lifts.length; i++) {
      xs[i] = x + side * room * Math.max(0, lifts[i]) / most;
      ys[i] = TOP + h * trace.angles()[i] / (4 * Math.PI);
    }
    pen.curve(color, 1.4, xs, ys);
    pen.line(color, 1, x, TOP, x, TOP + h);
    int from = -1;
    for (int i = 0; i <= lifts.length; i++) {
      boolean open = i < lifts.length && lifts[i] > 0.05 * most;
      if (open && from < 0) {
        from = i;
      } else if (!open && from >= 0) {
        pen.line(color, 3.2, x, ys[from], x, ys[i - 1]);
        from = -1;
      }
    }
  }

  /** The tint's scale with its ends and middle. */
  private void scale(Pen pen, Palette palette, double w, double y) {
    double left = w - 190;
    double wide = 110;
    var colours = Tint.of(view, palette);
    for (int k = 0; k < wide; k++) {
      pen.line(colours.colour(2 * k / wide - 1), 1.2, left + k, y - 4, left + k, y + 5);
    }
    pen.text(view.show(range.low(), shown), palette.soft(), TextAlignment.RIGHT, left - 6, y);
    pen.text(
        view.show(range.high(), shown) + " " + unit(),
        palette.soft(),
        TextAlignment.LEFT,
        left + wide + 6,
        y);
    if (range.middle() > range.low() && less == null) {
      pen.text(
          view.show(range.middle(), shown),
          palette.soft(),
          TextAlignment.CENTER,
          left + wide / 2,
          y + 12);
    }
  }

  private String unit() {
    return view.unit(shown).symbol();
  }

  /** The crank cursor has moved. */
  void turn() {
    var g = cursor.getGraphicsContext2D();
    g.clearRect(0, 0, cursor.getWidth(), cursor.getHeight());
    if (axis == null) {
      return;
    }
    double y = TOP + mapHeight() * (crank.get() % 720) / 720;
    var palette = look.palette();
    var pen = new Pen(g, look);
    pen.line(palette.ink(), 1.5, 6, y, getWidth() - 6, y);
    String words = "%.0f° after firing top".formatted(crank.get() % 720);
    pen.tag(words, palette.ink(), palette.panel(), getWidth() - 10, y);
  }
}
