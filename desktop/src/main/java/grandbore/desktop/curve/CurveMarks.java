package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.WantedBand;
import grandbore.desktop.look.ChartDress;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.LineNames;
import java.awt.Color;
import java.awt.Font;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import org.jfree.chart.annotations.XYAnnotation;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.TextAnchor;

/**
 * What is written on the curve: names that stand clear of the lines, peaks, what the brief wants,
 * where the engine runs into a limit.
 */
final class CurveMarks {
  private static final int SMALL = 11;
  private static final int LARGE = 13;

  /** Of the width, left free before the right edge. */
  private static final double EDGE = 0.015;

  /** Peaks stand over their curve by this share of the axis, or under it. */
  private static final double ABOVE = 0.025;

  private static final double BELOW = 0.085;

  /** So far from every line words stand clear, a share of the axis. */
  private static final double ENOUGH = 0.015;

  /** The height of letters and the width of one, shares of the plot's, at its usual size. */
  private static final double LETTERS_HIGH = 0.05;

  private static final double PIXELS_A_LETTER = 7.6;

  /**
   * The scale that is drawn on.
   *
   * @param torque turns N·m into the axis' unit
   * @param power turns W into the axis' unit
   * @param torqueTop the axis' upper end, in its unit
   * @param powerTop the axis' upper end, in its unit
   * @param from the first speed, rpm
   * @param to the last one that is drawn, rpm
   * @param pixels the plot is wide
   */
  record Scale(
      DoubleUnaryOperator torque,
      DoubleUnaryOperator power,
      double torqueTop,
      double powerTop,
      double from,
      double to,
      double pixels) {
    double torqueShare(CurvePoint p) {
      return torque.applyAsDouble(p.torque()) / torqueTop;
    }

    double powerShare(CurvePoint p) {
      return power.applyAsDouble(p.power()) / powerTop;
    }
  }

  private final XYPlot plot;
  private final Look look;
  private Scale scale;

  /** What names keep clear of: the lines, and what is written before them; shares of the height. */
  private final List<Line> clearOf = new ArrayList<>();

  CurveMarks(XYPlot plot, Look look) {
    this.plot = plot;
    this.look = look;
  }

  /**
   * @param watts power wanted somewhere in the band; nought where the brief says none
   */
  void write(Seen seen, Scale drawn, WantedBand wants, double watts) {
    scale = drawn;
    clearOf.clear();
    ((XYLineAndShapeRenderer) plot.getRenderer(0)).removeAnnotations();
    if (seen.curve() == null) {
      return;
    }
    peaks(seen.curve(), wants, watts);
    for (var point : seen.curve().points()) {
      if (!point.converged()) {
        var mark = text("✕ not converged", point.rpm(), 0.05, look.palette().soft());
        mark.setRotationAngle(-Math.PI / 2);
        add(mark);
      }
    }
    limits(seen.curve());
    if (watts > 0) {
      want(seen.curve(), wants, watts);
    }
    names(seen);
  }

  private void names(Seen seen) {
    var lines = new ArrayList<Line>();
    lines.add(line("torque", seen.curve(), scale::torqueShare));
    lines.add(line("power", seen.curve(), scale::powerShare));
    if (seen.ghost() != null) {
      // The state before the last edit is known by its thin line; another build is named.
      lines.add(line(seen.beside(), seen.ghost(), scale::torqueShare));
      lines.add(line("", seen.ghost(), scale::powerShare));
    }
    for (var pin : seen.pinned()) {
      // Its power's line is told by its dashes, which are those of its torque.
      lines.add(line(pin.letter(), pin.curve(), scale::torqueShare));
      lines.add(line("", pin.curve(), scale::powerShare));
    }
    int named = lines.size();
    lines.addAll(clearOf);
    var places = LineNames.of(lines, scale.pixels / look.text());
    var p = look.palette();
    for (int i = 0; i < named; i++) {
      var at = places.get(i);
      var name = lines.get(i).name();
      if (at == null || name.isEmpty()) {
        continue;
      }
      var a = text(name, at.x(), at.y(), i == 1 ? p.power() : p.dye());
      a.setTextAnchor(at.above() ? TextAnchor.BOTTOM_CENTER : TextAnchor.TOP_CENTER);
      add(a);
    }
  }

  private static Line line(String name, Curve curve, ToDoubleFunction<CurvePoint> share) {
    var points = curve.points();
    return new Line(
        name,
        points.stream().mapToDouble(CurvePoint::rpm).toArray(),
        points.stream()
            .mapToDouble(p -> p.converged() ? share.applyAsDouble(p) : Double.NaN)
            .toArray());
  }

  private void peaks(Curve curve, WantedBand wants, double watts) {
    var p = look.palette();
    var lines = new ArrayList<Line>();
    lines.add(line("", curve, scale::torqueShare));
    lines.add(line("", curve, scale::powerShare));
    if (watts > 0) {
      double level = scale.power.applyAsDouble(watts) / scale.powerTop;
      lines.add(new Line("", new double[] {wants.from(), wants.to()}, new double[] {level, level}));
    }
    // The greater share first: it has the room above it.
    curve
        .peakPower()
        .ifPresent(
            at ->
                peak(
                    at.rpm(),
                    scale.power.applyAsDouble(at.power()),
                    scale.powerTop,
                    lines,
                    p.power()));
    curve
        .peakTorque()
        .ifPresent(
            at ->
                peak(
                    at.rpm(),
                    scale.torque.applyAsDouble(at.torque()),
                    scale.torqueTop,
                    lines,
                    p.dye()));
  }

  /** Names a peak, over it or under it, where the words stand clear of the lines. */
  private void peak(
      double rpm, double value, double top, List<Line> lines, javafx.scene.paint.Color color) {
    double share = value / top;
    String words = String.format(Locale.US, "%.0f at %,.0f", value, 10 * Math.rint(rpm / 10));
    double wide = wide(words);
    double left = rpm;
    double low = share;
    double most = Double.NEGATIVE_INFINITY;
    for (double back : new double[] {0.5, 0.9, 0.1, 0.7, 0.3}) {
      double last = scale.to - wide - EDGE * (scale.to - scale.from);
      double x = Math.clamp(rpm - back * wide, scale.from, Math.max(scale.from, last));
      for (double y :
          new double[] {
            share + ABOVE,
            share - BELOW,
            share + ABOVE + LETTERS_HIGH,
            share - BELOW - LETTERS_HIGH,
            share + ABOVE + 2 * LETTERS_HIGH
          }) {
        // Of places that are as clear, the first.
        double clear = isFree(x, wide, y) ? Math.min(ENOUGH, clearance(lines, x, wide, y)) : -1;
        if (clear > most + 1e-9) {
          most = clear;
          left = x;
          low = y;
        }
      }
    }
    var a = text(words, left + wide / 2, low, color);
    a.setFont(ChartDress.words(look, LARGE).deriveFont(Font.BOLD));
    a.setBackgroundPaint(Palette.awt(look.palette().panel()));
    a.setTextAnchor(TextAnchor.BOTTOM_CENTER);
    add(a);
    keepClear(left, wide, low);
  }

  /** How far words stay from lines, a share of the height; nought where one runs through them. */
  private static double clearance(List<Line> lines, double left, double wide, double low) {
    double least = Double.MAX_VALUE;
    for (var line : lines) {
      for (int k = 0; k <= 16; k++) {
        double y = line.at(left + k / 16.0 * wide);
        if (Double.isFinite(y)) {
          least = Math.min(least, Math.max(0, Math.max(low - y, y - low - LETTERS_HIGH)));
        }
      }
    }
    return least;
  }

  private double wide(String words) {
    return words.length() * PIXELS_A_LETTER * look.text() / scale.pixels * (scale.to - scale.from);
  }

  /** Nothing more is written here. */
  private void keepClear(double from, double wide, double low) {
    for (double y : new double[] {low, low + LETTERS_HIGH}) {
      clearOf.add(new Line("", new double[] {from, from + wide}, new double[] {y, y}));
    }
  }

  /** The power that the brief wants, over its band, and by how much it is met or missed. */
  private void want(Curve curve, WantedBand wants, double watts) {
    double level = scale.power.applyAsDouble(watts);
    double best = curve.peakPower().map(p -> scale.power.applyAsDouble(p.power())).orElse(0.0);
    long off = Math.round(best - level);
    String words =
        off < 0
            ? "▼ %.0f wanted, %d short".formatted(level, -off)
            : "● %.0f wanted, %d over".formatted(level, off);
    double share = level / scale.powerTop;
    line(wants.from(), wants.to(), share, 1.4f, new float[] {2, 3});
    // Over its line, under it, or over the name of the peak: where first nothing else is written.
    double wide = wide(words);
    double over = Math.max(best, level) / scale.powerTop + ABOVE;
    double highest = 1 - LETTERS_HIGH - 0.01;
    double at =
        DoubleStream.concat(
                DoubleStream.of(share + 0.012, share - LETTERS_HIGH - 0.015),
                DoubleStream.iterate(over, y -> y < highest, y -> y + 0.5 * LETTERS_HIGH))
            .filter(y -> isFree(wants.from(), wide, y))
            .findFirst()
            .orElse(highest);
    var name = text(words, wants.from(), at, look.palette().ink());
    name.setTextAnchor(TextAnchor.BOTTOM_LEFT);
    name.setBackgroundPaint(Palette.awt(look.palette().panel()));
    add(name);
    keepClear(wants.from(), wide, at);
  }

  /** Whether nothing is written there yet. */
  private boolean isFree(double from, double wide, double low) {
    double high = low + LETTERS_HIGH;
    return clearOf.stream()
        .noneMatch(
            l ->
                l.x()[0] < from + wide
                    && l.x()[1] > from
                    && l.y()[0] > low - LETTERS_HIGH / 2
                    && l.y()[0] < high + LETTERS_HIGH / 2);
  }

  /** Along the foot: at which speeds the fuel is too poor, or the valves leave the lobes. */
  private void limits(Curve curve) {
    double low = 0.02;
    for (var bar : Limits.bars(curve)) {
      for (var span : bar.spans()) {
        line(span.from(), span.to(), low, 3f, null);
      }
      var first = bar.spans().getFirst();
      boolean right = first.from() > scale.from + 0.6 * (scale.to - scale.from);
      double at = low + 0.012;
      double wide = wide(bar.words());
      var name = text(bar.words(), right ? first.to() : first.from(), at, look.palette().ink());
      name.setTextAnchor(right ? TextAnchor.BOTTOM_RIGHT : TextAnchor.BOTTOM_LEFT);
      add(name);
      keepClear(right ? first.to() - wide : first.from(), wide, at);
      low += 0.08;
    }
  }

  private void line(double from, double to, double share, float width, float[] dash) {
    double y = share * scale.torqueTop;
    add(
        new XYLineAnnotation(
            from, y, to, y, ChartDress.line(width, dash), Palette.awt(look.palette().ink())));
  }

  private void add(XYAnnotation a) {
    ((XYLineAndShapeRenderer) plot.getRenderer(0)).addAnnotation(a);
  }

  /** Words at a speed and a share of the height. */
  private XYTextAnnotation text(
      String words, double rpm, double share, javafx.scene.paint.Color color) {
    var a = new XYTextAnnotation(words, rpm, share * scale.torqueTop);
    a.setFont(ChartDress.words(look, SMALL));
    Color ink = Palette.awt(color);
    a.setPaint(ink);
    return a;
  }
}
