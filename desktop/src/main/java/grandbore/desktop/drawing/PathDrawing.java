package grandbore.desktop.drawing;

import grandbore.core.combination.Intake;
import grandbore.core.flow.GasPath;
import grandbore.core.flow.GasPath.Part;
import grandbore.core.flow.GasPath.Piece;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/**
 * One cylinder's whole gas path, straightened, lengths and widths to one scale: lengths are edited
 * below it, sections above.
 */
public final class PathDrawing extends Drawing {
  private static final double HEIGHT = 352;
  private static final double AXIS = 162;
  private static final double LEVEL = 206;
  private static final double ROW = 48;
  private static final double TOP_ROW = 42;
  private static final double FIELD = 122;

  /** What is not drawn: machines that no input gives a size, and what is far behind. */
  private static final Set<Part> LEFT_OUT =
      Set.of(Part.COMPRESSOR, Part.COOLER, Part.TAIL, Part.TURBINE, Part.SILENCER);

  private static final Set<Part> ROOMS = Set.of(Part.AIR_BOX, Part.PLENUM);

  /** An input of a part, its name beside it. */
  private record Measure(Part part, String name, InputField field) {}

  /** A piece from one place to another, pixels; the cylinder without one. */
  private record Span(Optional<Piece> piece, double from, double to) {
    boolean is(Part part) {
      return piece.filter(p -> p.part() == part).isPresent();
    }
  }

  private final List<Measure> lengths =
      List.of(
          of(Part.DUCT, "inlet duct", "intake.ductLength"),
          of(Part.THROTTLE, "throttle", "intake.throttleLength"),
          of(Part.PLENUM, "plenum", "intake.plenumVolume"),
          of(Part.RUNNER, "runner", "intake.runnerLength"),
          of(Part.INTAKE_PORT, "port", "heads.intakePortLength"),
          of(Part.EXHAUST_PORT, "port", "heads.exhaustPortLength"),
          of(Part.PRIMARY, "primary or branch", "exhaust.primaryLength"),
          of(Part.SECONDARY, "secondary", "exhaust.secondaryLength"),
          of(Part.COLLECTOR, "collector", "exhaust.collectorLength"));

  private final Measure exit = of(Part.RUNNER, "runner exit", "intake.runnerExit");

  private final List<Measure> sections =
      List.of(
          of(Part.DUCT, "inlet duct", "intake.ductSection"),
          of(Part.THROTTLE, "throttle bores", "intake.throttleSection"),
          of(Part.SPACER, "spacer opening", "intake.spacerOpening"),
          of(Part.RUNNER, "runner entry", "intake.runnerEntry"),
          exit,
          of(Part.PRIMARY, "primary bore", "exhaust.primaryDiameter"),
          of(Part.SECONDARY, "secondary", "exhaust.secondaryDiameter"),
          of(Part.COLLECTOR, "collector bore", "exhaust.collectorDiameter"));

  public PathDrawing(Session session, Look look) {
    super(session, look, HEIGHT, false);
  }

  private Measure of(Part part, String name, String path) {
    return new Measure(part, name, input(path));
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    var spans = spans(width);
    Stream.concat(lengths.stream(), sections.stream())
        .forEach(m -> show(m.field, spans.stream().anyMatch(s -> s.is(m.part) && counts(m.part))));
    double stroke = session().engine().combination().bottomEnd().stroke().si();
    double scale = scale(spans);
    for (var s : spans) {
      if (s.piece.isEmpty()) {
        double side = stroke * scale;
        pen.box(palette.metal(), s.from, AXIS - side / 2, s.to - s.from, side);
        continue;
      }
      var piece = s.piece.get();
      double a = piece.entry() / 2 * scale;
      double b = piece.exit() / 2 * scale;
      var fill = fill(palette, piece.part());
      if (ROOMS.contains(piece.part())) {
        pen.box(fill, s.from, AXIS - a, s.to - s.from, 2 * a);
      } else {
        pen.outline(fill, s.from, AXIS - a, s.to, AXIS - b, s.to, AXIS + b, s.from, AXIS + a);
      }
    }
    pen.axis(6, AXIS, width - 6, AXIS);
    lengths(pen, palette, spans, width);
    sections(pen, palette, spans, width);
    pen.text(
        "one cylinder's gas path, straightened, to scale",
        palette.soft(),
        TextAlignment.LEFT,
        8,
        height - 8);
  }

  /** A throttle in a runner is as long and wide as that. */
  private boolean counts(Part part) {
    var manifold = session().engine().combination().intake().manifold();
    return part != Part.THROTTLE || manifold != Intake.Manifold.INDIVIDUAL;
  }

  private static Color fill(Palette palette, Part part) {
    return switch (part) {
      case EXHAUST_PORT -> palette.metal();
      case PRIMARY, SECONDARY, COLLECTOR -> palette.panel();
      default -> palette.gas();
    };
  }

  /** Everything that is drawn, one behind the other over the whole width. */
  private List<Span> spans(double width) {
    var c = session().engine().combination();
    var path = GasPath.of(c, 1);
    double bore = c.bottomEnd().bore().si();
    var pieces = new ArrayList<Optional<Piece>>();
    path.intake().forEach(p -> pieces.add(Optional.of(p)));
    pieces.add(Optional.empty());
    path.exhaust().forEach(p -> pieces.add(Optional.of(p)));
    pieces.removeIf(p -> p.isPresent() && LEFT_OUT.contains(p.get().part()));
    ToDoubleFunction<Optional<Piece>> length = p -> p.map(Piece::length).orElse(bore);
    double scale = (width - 24) / pieces.stream().mapToDouble(length).sum();
    var spans = new ArrayList<Span>();
    double at = 12;
    for (var p : pieces) {
      double to = at + scale * length.applyAsDouble(p);
      spans.add(new Span(p, at, to));
      at = to;
    }
    return spans;
  }

  /** Pixels a metre. */
  private static double scale(List<Span> spans) {
    var runner = find(spans, Part.RUNNER);
    return (runner.to - runner.from) / runner.piece.orElseThrow().length();
  }

  private static Span find(List<Span> spans, Part part) {
    return spans.stream().filter(s -> s.is(part)).findFirst().orElseThrow();
  }

  private List<Measure> shown(List<Measure> all) {
    return all.stream().filter(m -> isOn(m.field)).toList();
  }

  /** Lengths below the path, their inputs in two rows so that none covers another. */
  private void lengths(Pen pen, Palette palette, List<Span> spans, double width) {
    var shown = shown(lengths);
    double step = width / shown.size();
    for (int slot = 0; slot < shown.size(); slot++) {
      var measure = shown.get(slot);
      var span = find(spans, measure.part);
      pen.thin(span.from, AXIS + 30, span.from, LEVEL + 3);
      pen.thin(span.to, AXIS + 30, span.to, LEVEL + 3);
      pen.dimension(span.from, LEVEL, span.to, LEVEL);
      double middle = step * (slot + 0.5);
      double top = LEVEL + 22 + (slot % 2 == 0 ? 0 : ROW);
      pen.thin((span.from + span.to) / 2, LEVEL + 2, middle, LEVEL + 16);
      pen.thin(middle, LEVEL + 16, middle, top);
      double start = Math.clamp(middle - FIELD / 2, 6, width - FIELD - 6);
      pen.text(measure.name, palette.soft(), TextAlignment.LEFT, start + 20, top + 7);
      place(measure.field, start, top + 14);
    }
  }

  /** Sections above the path, in the order of the gas, in two rows. */
  private void sections(Pen pen, Palette palette, List<Span> spans, double width) {
    var shown = shown(sections);
    double step = (width - 12 - FIELD / 2) / shown.size();
    for (int slot = 0; slot < shown.size(); slot++) {
      var measure = shown.get(slot);
      var span = find(spans, measure.part);
      double x = Math.min(8 + step * slot, width - FIELD - 6);
      double top = slot % 2 == 0 ? 10 : 10 + TOP_ROW;
      pen.text(measure.name, palette.soft(), TextAlignment.LEFT, x + 20, top);
      place(measure.field, x, top + 7);
      double end = Math.min(8, (span.to - span.from) / 2);
      double where = measure.equals(exit) ? span.to - end : span.from + end;
      pen.thin(x + 60, top + 36, where, AXIS - 28);
    }
  }
}
