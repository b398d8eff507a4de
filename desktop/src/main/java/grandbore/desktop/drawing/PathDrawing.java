package grandbore.desktop.drawing;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import java.util.List;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/**
 * One cylinder's whole gas path, straightened, lengths and widths to one scale: lengths are edited
 * below it, sections above.
 */
public final class PathDrawing extends Drawing {
  private static final double HEIGHT = 312;
  private static final double AXIS = 122;
  private static final double LEVEL = 166;
  private static final double ROW = 48;
  private static final double FIELD = 122;

  /** A part of the path with the place where it begins and ends, and its input. */
  private record Part(String name, InputField field, double length) {}

  private final InputField plenum = input("intake.plenumVolume");
  private final InputField runner = input("intake.runnerLength");
  private final InputField intakePort = input("heads.intakePortLength");
  private final InputField exhaustPort = input("heads.exhaustPortLength");
  private final InputField primary = input("exhaust.primaryLength");
  private final InputField secondary = input("exhaust.secondaryLength");
  private final InputField collector = input("exhaust.collectorLength");
  private final InputField entry = input("intake.runnerEntry");
  private final InputField exit = input("intake.runnerExit");
  private final InputField primaryBore = input("exhaust.primaryDiameter");
  private final InputField secondaryBore = input("exhaust.secondaryDiameter");
  private final InputField collectorBore = input("exhaust.collectorDiameter");

  public PathDrawing(Session session, Look look) {
    super(session, look, HEIGHT, false);
  }

  private static double box(Combination c) {
    return c.intake().manifold() == Intake.Manifold.INDIVIDUAL
        ? 0.02
        : Math.cbrt(c.intake().plenumVolume().si());
  }

  private List<Part> parts(Combination c) {
    var ex = c.exhaust();
    return List.of(
        new Part("plenum", plenum, box(c)),
        new Part("runner", runner, c.intake().runnerLength().si()),
        new Part("port", intakePort, c.heads().intakePortLength().si()),
        new Part("", null, c.bottomEnd().bore().si()),
        new Part("port", exhaustPort, c.heads().exhaustPortLength().si()),
        new Part(
            ex.kind() == Exhaust.Kind.CAST_MANIFOLD ? "branch" : "primary",
            primary,
            ex.primaryLength().si()),
        new Part(
            "secondary",
            secondary,
            ex.kind() == Exhaust.Kind.STEPPED ? ex.secondaryLength().si() : 0),
        new Part("collector", collector, ex.collectorLength().si()));
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    var c = session().engine().combination();
    var parts = parts(c);
    double scale = (width - 24) / parts.stream().mapToDouble(Part::length).sum();
    var at = new double[parts.size() + 1];
    at[0] = 12;
    for (int i = 0; i < parts.size(); i++) {
      at[i + 1] = at[i] + parts.get(i).length * scale;
    }
    boolean shared = c.intake().manifold() != Intake.Manifold.INDIVIDUAL;
    show(plenum, shared);
    boolean stepped = c.exhaust().kind() == Exhaust.Kind.STEPPED;
    show(secondary, stepped);
    show(secondaryBore, stepped);
    if (shared) {
      double side = box(c) * scale;
      pen.box(palette.gas(), at[0], AXIS - side / 2, side, side);
    }
    var in = c.intake();
    double port = c.heads().intakePortArea();
    double out = c.heads().exhaustPortArea();
    double first = circle(c.exhaust().primaryDiameter().si());
    double last = circle(c.exhaust().collectorDiameter().si());
    pipe(pen, palette.gas(), at[1], at[2], in.runnerEntry().si(), in.runnerExit().si(), scale);
    pipe(pen, palette.gas(), at[2], at[3], port, port, scale);
    double stroke = c.bottomEnd().stroke().si() * scale;
    pen.box(palette.metal(), at[3], AXIS - stroke / 2, at[4] - at[3], stroke);
    pipe(pen, palette.metal(), at[4], at[5], out, out, scale);
    pipe(pen, palette.panel(), at[5], at[6], first, first, scale);
    if (stepped) {
      double middle = circle(c.exhaust().secondaryDiameter().si());
      pipe(pen, palette.panel(), at[6], at[7], middle, middle, scale);
    }
    pipe(pen, palette.panel(), at[7], at[8], last, last, scale);
    pen.axis(6, AXIS, width - 6, AXIS);
    lengths(pen, palette, parts, at, width);
    sections(pen, palette, at, width);
    pen.text(
        "one cylinder's gas path, straightened, to scale",
        palette.soft(),
        TextAlignment.LEFT,
        8,
        height - 8);
  }

  /** Lengths below the path, their inputs in two rows so that none covers another. */
  private void lengths(Pen pen, Palette palette, List<Part> parts, double[] at, double width) {
    long shown = parts.stream().filter(p -> p.field != null && isOn(p.field)).count();
    double step = width / shown;
    int slot = 0;
    for (int i = 0; i < parts.size(); i++) {
      var part = parts.get(i);
      if (part.field == null || !isOn(part.field)) {
        continue;
      }
      pen.thin(at[i], AXIS + 30, at[i], LEVEL + 3);
      pen.thin(at[i + 1], AXIS + 30, at[i + 1], LEVEL + 3);
      pen.dimension(at[i], LEVEL, at[i + 1], LEVEL);
      double middle = step * (slot + 0.5);
      double top = LEVEL + 22 + (slot % 2 == 0 ? 0 : ROW);
      pen.thin((at[i] + at[i + 1]) / 2, LEVEL + 2, middle, LEVEL + 16);
      pen.thin(middle, LEVEL + 16, middle, top);
      double start = Math.clamp(middle - FIELD / 2, 6, width - FIELD - 6);
      pen.text(part.name, palette.soft(), TextAlignment.LEFT, start + 20, top + 7);
      place(part.field, start, top + 14);
      slot++;
    }
  }

  /** Sections above the path, in the order of the gas. */
  private void sections(Pen pen, Palette palette, double[] at, double width) {
    var fields = List.of(entry, exit, primaryBore, secondaryBore, collectorBore);
    var names =
        List.of("runner entry", "runner exit", "primary bore", "secondary", "collector bore");
    double[] where = {at[1] + 4, at[2] - 4, at[5] + 8, at[6] + 8, at[7] + 8};
    double step = (width - 12) / fields.stream().filter(this::isOn).count();
    int slot = 0;
    for (int i = 0; i < fields.size(); i++) {
      if (!isOn(fields.get(i))) {
        continue;
      }
      double x = 8 + step * slot++;
      pen.text(names.get(i), palette.soft(), TextAlignment.LEFT, x + 20, 10);
      place(fields.get(i), x, 17);
      pen.thin(x + 60, 46, where[i], AXIS - 28);
    }
  }

  private static double circle(double diameter) {
    return Math.PI / 4 * diameter * diameter;
  }

  private static void pipe(
      Pen pen, Color fill, double from, double to, double startArea, double endArea, double scale) {
    double a = Math.sqrt(startArea / Math.PI) * scale;
    double b = Math.sqrt(endArea / Math.PI) * scale;
    pen.outline(fill, from, AXIS - a, to, AXIS - b, to, AXIS + b, from, AXIS + a);
  }
}
