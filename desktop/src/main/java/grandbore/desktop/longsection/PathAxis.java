package grandbore.desktop.longsection;

import grandbore.core.flow.GasPath;
import grandbore.core.flow.GasPath.Part;
import grandbore.core.flow.GasPath.Piece;
import grandbore.core.prediction.Duct;
import grandbore.desktop.drawing.CylinderFigure;
import grandbore.desktop.drawing.CylinderShape;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The axis that section and map share: where on it each piece of the path begins and ends, pixels.
 * All is to one scale; only what lies behind the collector may be broken off short.
 */
final class PathAxis {
  /** Pieces behind the collector are drawn no longer than this, m. */
  private static final double LONGEST_TAIL = 0.35;

  /** Left of the path, for the names of the crank's places. */
  static final double LEFT = 76;

  private static final double RIGHT = 14;

  /**
   * A piece on the axis.
   *
   * @param from pixel of its beginning
   * @param to pixel of its end
   * @param broken whether it is drawn shorter than it is
   */
  record Span(Piece piece, double from, double to, boolean broken) {
    double middle() {
      return (from + to) / 2;
    }

    /** Clear width at a pixel, m. */
    double width(double x) {
      double share = Math.clamp((x - from) / (to - from), 0, 1);
      return piece.entry() + share * (piece.exit() - piece.entry());
    }
  }

  private final List<Span> spans = new ArrayList<>();
  private final double scale;
  private final double bore;
  private final double half;

  /**
   * @param width that there is, pixels
   * @param tallest scale that there is room for, pixels a metre
   */
  PathAxis(GasPath path, CylinderShape shape, double width, double tallest) {
    half = CylinderFigure.half(shape);
    double length = drawn(path.intake()) + 2 * half + drawn(path.exhaust());
    scale = Math.min(tallest, (width - LEFT - RIGHT) / length);
    double x = LEFT + Math.max(0, (width - LEFT - RIGHT - length * scale) / 2);
    x = add(path.intake(), x);
    bore = x + half * scale;
    add(path.exhaust(), x + 2 * half * scale);
  }

  private static double drawn(List<Piece> pieces) {
    return pieces.stream().mapToDouble(PathAxis::drawn).sum();
  }

  private static double drawn(Piece p) {
    boolean behind = p.part() == Part.TAIL || p.part() == Part.SILENCER;
    return behind ? Math.min(LONGEST_TAIL, p.length()) : p.length();
  }

  private double add(List<Piece> pieces, double from) {
    double x = from;
    for (var p : pieces) {
      double next = x + drawn(p) * scale;
      spans.add(new Span(p, x, next, drawn(p) < p.length()));
      x = next;
    }
    return x;
  }

  List<Span> spans() {
    return spans;
  }

  Optional<Span> find(Part part) {
    return spans.stream().filter(s -> s.piece().part() == part).findFirst();
  }

  /** Pixels a metre. */
  double scale() {
    return scale;
  }

  /** Pixel of the bore's axis. */
  double bore() {
    return bore;
  }

  /** Pixel where the intake port meets the cylinder. */
  double intakeValve() {
    return bore - half * scale;
  }

  /** Pixel where the exhaust port leaves the cylinder. */
  double exhaustValve() {
    return bore + half * scale;
  }

  /**
   * Where a pipe of the model lies, pixels: from, to.
   *
   * @param length of the pipe with its end corrections, m
   */
  Optional<double[]> duct(Duct duct, double length) {
    return switch (duct) {
      case INLET ->
          find(Part.THROTTLE).map(t -> new double[] {t.from(), find(Part.SPACER).orElse(t).to()});
      case INTAKE -> Optional.of(new double[] {intakeValve() - length * scale, intakeValve()});
      case EXHAUST -> find(Part.PRIMARY).map(p -> new double[] {exhaustValve(), p.to()});
      case SECONDARY -> span(Part.SECONDARY);
      case COLLECTOR -> span(Part.COLLECTOR);
      case TAIL -> span(Part.TAIL);
    };
  }

  private Optional<double[]> span(Part part) {
    return find(part).map(s -> new double[] {s.from(), s.to()});
  }

  /** The piece at a pixel. */
  Optional<Span> at(double x) {
    return spans.stream().filter(s -> x >= s.from() && x < s.to()).findFirst();
  }
}
