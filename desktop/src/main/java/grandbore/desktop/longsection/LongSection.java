package grandbore.desktop.longsection;

import grandbore.core.combination.Combination;
import grandbore.core.flow.GasPath;
import grandbore.core.flow.GasPath.Part;
import grandbore.core.prediction.Duct;
import grandbore.core.prediction.DuctTrace;
import grandbore.core.prediction.Trace;
import grandbore.core.prediction.Trace.Kind;
import grandbore.core.units.Quantity;
import grandbore.desktop.drawing.ChamberPlan;
import grandbore.desktop.drawing.CylinderFigure;
import grandbore.desktop.drawing.CylinderShape;
import grandbore.desktop.drawing.Pen;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.results.Shown;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.DoubleProperty;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.image.ImageView;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/**
 * The gas path of one cylinder with the cylinder standing in it, to scale, at the crank cursor. The
 * gas is painted into an image's pixels, what stands still into one canvas, what moves into
 * another.
 */
final class LongSection extends Pane {
  /** Where the chamber is seen from below, pixels. */
  private record Plan(double x, double y, double radius) {}

  /** Radius of the chamber seen from below, px. */
  private static final double PLAN = 44;

  /** Width of what the gauges read, px. */
  private static final double GAUGES = 225;

  /** Width of a letter of what is written, at the usual size. */
  private static final double LETTER = 6.2;

  /** Of the room, so much the section may take with its dimensions. */
  private static final double MOST = 0.56;

  private final Session session;
  private final Look look;
  private final DoubleProperty crank;
  private final Dimensions dimensions;
  private final ImageView gas = new ImageView();
  private final Canvas still = new Canvas();
  private final Canvas moving = new Canvas();
  private GasPicture picture = new GasPicture(1, 1);
  private GasPath path;
  private CylinderShape shape;
  private PathAxis axis;
  private int cylinder = 1;
  private double level;
  private double crankY;

  /** Where what the gauges read begins, px. */
  private double gaugesX;

  private double gaugesY;
  private double over;
  private Optional<Plan> plan = Optional.empty();
  private Trace trace;
  private GasView view = GasView.PRESSURE;
  private GasView.Range range;
  private Consumer<PathAxis> axisMoved = a -> {};
  private Consumer<Part> opened = p -> {};

  /**
   * @param crank the crank cursor, degrees
   */
  LongSection(Session session, Look look, DoubleProperty crank) {
    this.session = session;
    this.look = look;
    this.crank = crank;
    dimensions = new Dimensions(session);
    getStyleClass().add("long-section");
    for (var layer : List.of(still, moving)) {
      layer.setMouseTransparent(true);
    }
    gas.setMouseTransparent(true);
    getChildren().addAll(gas, still, moving);
    setOnMouseMoved(this::hover);
    setOnMouseClicked(this::open);
    setAccessibleText("Long section: the gas path of one cylinder");
  }

  /** Told the axis when it has changed. */
  void onAxis(Consumer<PathAxis> told) {
    axisMoved = told;
  }

  /** Told the part that was clicked; {@code null} for the cylinder. */
  void onOpen(Consumer<Part> told) {
    opened = told;
  }

  /** The engine has changed, or which of its cylinders is seen. */
  void of(int number) {
    cylinder = number;
    draw();
  }

  /** The room has changed, or the engine. */
  void draw() {
    double w = getWidth();
    if (w < 200 || getScene() == null) {
      return;
    }
    var c = session.engine().combination();
    path = GasPath.of(c, cylinder);
    shape = CylinderShape.of(c);
    dimensions.show(this, c);
    applyCss();
    var lines = new DimensionLines(dimensions, c, w, look.text());
    over = lines.height();
    double tall = shape.top() + shape.sweep();
    axis = new PathAxis(path, shape, w, (MOST * room() - over) / tall);
    double top = over + 8;
    crankY = top + shape.top() * axis.scale();
    level = crankY - CylinderFigure.portAxis(shape) * axis.scale();
    double h =
        Math.ceil(Math.max(crankY + shape.sweep() * axis.scale() + 8, level + lines.below()));
    if (getPrefHeight() != h) {
      setMinHeight(h);
      setPrefHeight(h);
    }
    for (var canvas : List.of(still, moving)) {
      canvas.setWidth(w);
      canvas.setHeight(h);
    }
    if (picture.width() != (int) w || picture.height() != (int) h) {
      picture = new GasPicture((int) w, (int) h);
      gas.setImage(picture.image());
    }
    gaugesX = lines.beside(axis) + 10;
    gaugesY = level + lines.belowExhaust(axis) + 4;
    drawStill(c);
    lines.place(new Pen(still.getGraphicsContext2D(), look), axis, level, crankY, shape);
    axisMoved.accept(axis);
    turn();
  }

  /** Height that the page has for section and map together. */
  private double room() {
    return getParent() == null ? 600 : Math.max(400, getParent().getLayoutBounds().getHeight());
  }

  /** Shows another cycle, or the same another way. */
  void show(Trace t, GasView as, GasView.Range scale) {
    trace = t;
    view = as;
    range = scale;
    turn();
  }

  /** Dims the gas of an engine or a speed that is no longer the one asked for. */
  void dim(boolean old) {
    gas.setOpacity(old ? 0.45 : 1);
  }

  /** The crank cursor has moved. */
  void turn() {
    if (axis == null) {
      return;
    }
    var palette = look.palette();
    var pen = new Pen(moving.getGraphicsContext2D(), look);
    moving.getGraphicsContext2D().clearRect(0, 0, moving.getWidth(), moving.getHeight());
    double angle = Math.toRadians(crank.get());
    double in = 0;
    double out = 0;
    Color inside = palette.gas();
    Color before = palette.panel();
    Color behind = palette.panel();
    if (trace == null) {
      picture.clear();
    } else {
      int row = GasPicture.row(trace, angle);
      var tint = Tint.of(view, palette);
      picture.section(trace, row, axis, level, view, range, tint);
      in = trace.of(Kind.INTAKE_LIFT)[row];
      out = trace.of(Kind.EXHAUST_LIFT)[row];
      double v = view.inCylinder(trace, row);
      inside = Double.isNaN(v) ? palette.panel() : tint.colour(range.place(v));
      before = tint.colour(range.place(last(trace.along(Duct.INTAKE).orElseThrow(), row)));
      behind =
          tint.colour(
              range.place(trace.along(Duct.EXHAUST).orElseThrow().of(view.state())[row][0]));
      arrows(pen, palette, row);
      read(pen, palette, row);
      flame(pen, palette, trace.of(Kind.FLAME_RADIUS)[row]);
    }
    var figure = figure(pen);
    figure.ports(
        before,
        path.find(Part.INTAKE_PORT).orElseThrow().exit(),
        behind,
        path.find(Part.EXHAUST_PORT).orElseThrow().entry());
    figure.moving(angle, in, out, inside);
  }

  /** How far the flame has come, in the chamber as it is seen from below. */
  private void flame(Pen pen, Palette palette, double radius) {
    if (radius > 0) {
      var c = session.engine().combination();
      plan.ifPresent(p -> ChamberPlan.flame(c, pen, palette, p.x, p.y, p.radius, radius));
    }
  }

  /** What gauges in the cylinder would read. */
  private void read(Pen pen, Palette palette, int row) {
    var units = session.build().units();
    var shown = new Shown(units);
    boolean wide = gaugesX + GAUGES * look.text() < getWidth();
    String[] words = {
      "%s%,.0f %s, %,.0f %s"
          .formatted(
              wide ? "in the cylinder " : "",
              shown.high().fromSi(trace.of(Kind.CYLINDER_PRESSURE)[row]),
              shown.high().symbol(),
              shown.temperature().fromSi(trace.of(Kind.CYLINDER_TEMPERATURE)[row]),
              shown.temperature().symbol().replace("deg", "°")),
      (wide ? "intake valve open %s, %.0f g/s in" : "in %s, %.0f g/s")
          .formatted(
              Quantity.LENGTH.show(Math.max(0, trace.of(Kind.INTAKE_LIFT)[row]), units),
              grams(Kind.INTAKE_FLOW, row)),
      (wide ? "exhaust valve open %s, %.0f g/s out" : "out %s, %.0f g/s")
          .formatted(
              Quantity.LENGTH.show(Math.max(0, trace.of(Kind.EXHAUST_LIFT)[row]), units),
              grams(Kind.EXHAUST_FLOW, row))
    };
    for (int i = 0; i < words.length; i++) {
      pen.text(
          words[i],
          palette.ink(),
          TextAlignment.LEFT,
          gaugesX,
          gaugesY + 12 + 16 * look.text() * i);
    }
  }

  /** A flow in g/s, none without a sign. */
  private double grams(Kind flow, int row) {
    return Math.rint(1e3 * trace.of(flow)[row]) + 0.0;
  }

  private double last(DuctTrace duct, int row) {
    var cells = duct.of(view.state())[row];
    return cells[cells.length - 1];
  }

  private CylinderFigure figure(Pen pen) {
    return new CylinderFigure(shape, pen, look.palette(), axis.bore(), crankY, axis.scale());
  }

  /** Small arrows of flow along the path, as long as the gas is fast. */
  private void arrows(Pen pen, Palette palette, int row) {
    for (var duct : trace.ducts()) {
      var ends = axis.duct(duct.duct(), duct.length());
      if (ends.isEmpty()) {
        continue;
      }
      var speed = duct.of(DuctTrace.State.SPEED)[row];
      double from = ends.get()[0];
      double to = ends.get()[1];
      int n = (int) Math.max(1, (to - from) / 70);
      for (int k = 0; k < n; k++) {
        double share = (k + 0.5) / n;
        double u = GasPicture.along(speed, share);
        double length = Math.clamp(u / 8, -26, 26);
        if (Math.abs(length) > 2.5) {
          double x = from + share * (to - from);
          pen.arrow(palette.ink(), x - length / 2, level, x + length / 2, level);
        }
      }
    }
  }

  private void drawStill(Combination c) {
    var g = still.getGraphicsContext2D();
    g.clearRect(0, 0, still.getWidth(), still.getHeight());
    var palette = look.palette();
    var pen = new Pen(g, look);
    pen.axis(6, level, getWidth() - 6, level);
    for (var span : axis.spans()) {
      piece(pen, palette, span);
    }
    figure(pen).still();
    pen.axis(
        axis.bore(), crankY - shape.top() * axis.scale() - 4, axis.bore(), still.getHeight() - 2);
    pen.axis(
        axis.bore() - shape.sweep() * axis.scale() - 6,
        crankY,
        axis.bore() + shape.sweep() * axis.scale() + 6,
        crankY);
    valves(pen, palette, c);
  }

  /** How many valves there are and how they lean, which one section does not show. */
  private void valves(Pen pen, Palette palette, Combination c) {
    var h = c.heads();
    String count =
        "%d intake, %d exhaust valve%s"
            .formatted(h.intakeValves(), h.exhaustValves(), h.exhaustValves() > 1 ? "s" : "");
    String lean =
        "they lean %.0f° out of this section".formatted(Math.toDegrees(h.intakeAngle().si()));
    double right = getWidth() - 10;
    double last = still.getHeight() - 10;
    // In two lines where the fields leave no room for one.
    boolean wide = right - gaugesX > (count + lean).length() * LETTER * look.text();
    if (shape.opposed()) {
      pen.text(count, palette.soft(), TextAlignment.RIGHT, right, last);
    } else if (wide) {
      pen.text(count + "; " + lean, palette.soft(), TextAlignment.RIGHT, right, last);
    } else {
      pen.text(count, palette.soft(), TextAlignment.RIGHT, right, last - 15 * look.text());
      pen.text(lean, palette.soft(), TextAlignment.RIGHT, right, last);
    }
    // From below they are all seen, where there is room beside what the gauges read.
    double foot = still.getHeight() - (wide ? 20 : 35) * look.text();
    double radius = Math.min(PLAN, (foot - gaugesY) / 2);
    double x = getWidth() - 12 - radius;
    boolean room = radius > PLAN / 2 && x - radius > gaugesX + GAUGES * look.text();
    plan = room ? Optional.of(new Plan(x, foot - radius, radius)) : Optional.empty();
    plan.ifPresent(p -> ChamberPlan.draw(c, pen, palette, p.x, p.y, p.radius));
  }

  private void piece(Pen pen, Palette palette, PathAxis.Span s) {
    double a = s.piece().entry() / 2 * axis.scale();
    double b = s.piece().exit() / 2 * axis.scale();
    switch (s.piece().part()) {
      case PLENUM, AIR_BOX, SILENCER, COOLER -> {
        pen.line(palette.ink(), 1.6, s.from(), level - a, s.to(), level - a);
        pen.line(palette.ink(), 1.6, s.from(), level + a, s.to(), level + a);
        pen.line(palette.ink(), 1.6, s.from(), level - a, s.from(), level + a);
        pen.line(palette.ink(), 1.6, s.to(), level - a, s.to(), level + a);
        if (s.piece().part() == Part.COOLER) {
          for (double x = s.from() + 5; x < s.to(); x += 6) {
            pen.thin(x, level - a, x, level + a);
          }
        }
      }
      case COMPRESSOR, TURBINE -> {
        pen.circle(null, s.middle(), level, (s.to() - s.from()) / 2);
        pen.circle(null, s.middle(), level, (s.to() - s.from()) / 5);
      }
      default -> {
        if (s.piece().toScale()) {
          pen.line(palette.ink(), 1.6, s.from(), level - a, s.to(), level - b);
          pen.line(palette.ink(), 1.6, s.from(), level + a, s.to(), level + b);
        } else {
          // No input says how long it is: drawn as usual, and seen to be.
          pen.dashed(palette.ink(), s.from(), level - a, s.to(), level - b);
          pen.dashed(palette.ink(), s.from(), level + a, s.to(), level + b);
        }
      }
    }
    if (s.piece().part() == Part.THROTTLE) {
      pen.line(palette.ink(), 1.6, s.middle() - a * 0.7, level, s.middle() + a * 0.7, level);
      pen.circle(palette.panel(), s.middle(), level, 2.5);
    }
    if (s.broken()) {
      double x = s.from() + 0.7 * (s.to() - s.from());
      pen.line(palette.panel(), 5, x, level - a - 5, x, level + a + 5);
      pen.thin(x - 4, level + a + 5, x + 1, level - a - 5);
      pen.thin(x + 1, level + a + 5, x + 6, level - a - 5);
    }
  }

  private void hover(MouseEvent e) {
    setCursor(partAt(e) == null && !isOnCylinder(e) ? Cursor.DEFAULT : Cursor.HAND);
  }

  private Part partAt(MouseEvent e) {
    if (axis == null || Math.abs(e.getY() - level) > 0.07 * axis.scale()) {
      return null;
    }
    return axis.at(e.getX()).map(s -> s.piece().part()).orElse(null);
  }

  private boolean isOnCylinder(MouseEvent e) {
    return axis != null
        && Math.abs(e.getX() - axis.bore()) < CylinderFigure.half(shape) * axis.scale()
        && e.getY() > over;
  }

  private void open(MouseEvent e) {
    var part = partAt(e);
    if (part != null || isOnCylinder(e)) {
      opened.accept(part);
    }
  }
}
