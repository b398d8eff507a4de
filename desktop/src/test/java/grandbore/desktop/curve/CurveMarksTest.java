package grandbore.desktop.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.Efforts;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Margins;
import grandbore.core.prediction.WantedBand;
import grandbore.desktop.look.Look;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is written on a curve, whatever its shape: true, inside the plot, and to be read. */
class CurveMarksTest {
  private static final double FROM = 3000;
  private static final double TO = 7500;
  private static final double TOP = 650;

  /** Letters of the peaks' size, px, and the plot, px: those of a pane at its usual size. */
  private static final double LETTER = 7.6;

  private static final double WIDE = 260;
  private static final double HIGH = 0.05;

  private static final CurveMarks.Scale SCALE =
      new CurveMarks.Scale(t -> t, w -> w / 745.7, TOP, TOP, FROM, TO, WIDE);

  static CurvePoint point(double rpm, double torque, boolean settled) {
    double power = torque * rpm * Math.PI / 30;
    return new CurvePoint(
        rpm,
        torque,
        power,
        7e-8,
        new CurvePoint.Charge(1, power / 1e6, 5e-4, 0.02, 1e5, 0.01, 1100),
        new CurvePoint.MeanPressures(1e6, 0, 0, 0),
        new CurvePoint.Flame(
            0.5, new CurvePoint.Burned(-0.1, 0.1, 0.4), 10, 7e6, 0.2, 0.2, -0.03, -0.01),
        new Margins(90, 100, 0.5),
        new Efforts(15, 25, 2e4, 1e4, 2e4, 3e3, 0.4, 0, 0, true),
        List.of(),
        new CurvePoint.Convergence(10, 1000, 1e-4, settled, settled ? "" : "it hunts"));
  }

  /** A hump with a wave on it, its top anywhere. */
  private static Curve hump(Random random) {
    double most = 350 + 200 * random.nextDouble();
    double at = 3500 + 3500 * random.nextDouble();
    double wave = 12 * random.nextDouble();
    var points =
        IntStream.rangeClosed(0, 15)
            .mapToObj(k -> FROM + 300.0 * k)
            .map(
                n ->
                    point(
                        n,
                        most * (1 - 0.25 * Math.pow((n - at) / 3000, 2)) + wave * Math.sin(n / 300),
                        true))
            .toList();
    return new Curve(Fidelity.LIVE, points);
  }

  private static XYPlot written(Curve curve, WantedBand band, double watts) {
    var plot = new XYPlot(null, new NumberAxis(), new NumberAxis(), new XYLineAndShapeRenderer());
    new CurveMarks(plot, new Look())
        .write(new Seen(curve, null, "", List.of()), SCALE, band, watts);
    return plot;
  }

  private static List<XYTextAnnotation> words(XYPlot plot) {
    var all = new ArrayList<XYTextAnnotation>();
    for (var a : ((XYLineAndShapeRenderer) plot.getRenderer(0)).getAnnotations()) {
      if (a instanceof XYTextAnnotation t) {
        all.add(t);
      }
    }
    return all;
  }

  private record Box(String words, double left, double right, double low, double high) {
    boolean meets(Box o) {
      return left < o.right && o.left < right && low < o.high && o.low < high;
    }
  }

  private static Box box(XYTextAnnotation a) {
    double wide = a.getText().length() * LETTER / WIDE * (TO - FROM);
    String anchor = a.getTextAnchor().toString();
    double left =
        anchor.contains("LEFT")
            ? a.getX()
            : anchor.contains("RIGHT") ? a.getX() - wide : a.getX() - wide / 2;
    double low = anchor.contains("BOTTOM") ? a.getY() / TOP : a.getY() / TOP - HIGH;
    return new Box(a.getText(), left, left + wide, low, low + HIGH);
  }

  private static List<Box> peaks(XYPlot plot) {
    return words(plot).stream()
        .filter(a -> a.getText().contains(" at "))
        .map(CurveMarksTest::box)
        .toList();
  }

  /** Both peaks are named with their speeds, inside the plot, and not on one another. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16})
  void peaksAreNamedWhereTheyAreRead(long seed) {
    var curve = hump(new Random(seed));
    var peaks = peaks(written(curve, new WantedBand(4500, 7000), 0));
    assertThat(peaks).hasSize(2);
    var torque = curve.peakTorque().orElseThrow();
    var power = curve.peakPower().orElseThrow();
    assertThat(peaks)
        .extracting(Box::words)
        .containsExactlyInAnyOrder(
            named(torque.torque(), torque.rpm()), named(power.power() / 745.7, power.rpm()));
    for (var p : peaks) {
      assertThat(p.left).as(p.words).isGreaterThanOrEqualTo(FROM);
      assertThat(p.right).as(p.words).isLessThan(TO);
      assertThat(p.low).as(p.words).isPositive();
      assertThat(p.high).as(p.words).isLessThan(1);
    }
    assertThat(peaks.get(0).meets(peaks.get(1))).isFalse();
  }

  private static String named(double value, double rpm) {
    return "%.0f at %,.0f".formatted(value, 10 * Math.rint(rpm / 10));
  }

  /**
   * A peak's words are on no line where any of the places round it is free of lines: of the
   * thirty-two of sixteen engines two at most have to bear one.
   */
  @Test
  void linesDoNotRunThroughPeaksWords() {
    int crossed = 0;
    for (long seed = 1; seed <= 16; seed++) {
      var curve = hump(new Random(seed));
      for (var p : peaks(written(curve, new WantedBand(4500, 7000), 0))) {
        crossed +=
            IntStream.rangeClosed(0, 20).anyMatch(k -> isCrossed(p, curve, k / 20.0)) ? 1 : 0;
      }
    }
    assertThat(crossed).isLessThanOrEqualTo(2);
  }

  private static boolean isCrossed(Box p, Curve curve, double share) {
    double rpm = p.left + (p.right - p.left) * share;
    double torque = at(curve, rpm) / TOP;
    double power = at(curve, rpm) * rpm * Math.PI / 30 / 745.7 / TOP;
    return torque > p.low + 1e-3 && torque < p.high - 1e-3
        || power > p.low + 1e-3 && power < p.high - 1e-3;
  }

  private static double at(Curve curve, double rpm) {
    var points = curve.points();
    for (int i = 1; i < points.size(); i++) {
      double a = points.get(i - 1).rpm();
      double b = points.get(i).rpm();
      if (rpm >= a && rpm <= b) {
        double f = (rpm - a) / (b - a);
        return points.get(i - 1).torque() * (1 - f) + points.get(i).torque() * f;
      }
    }
    return Double.NaN;
  }

  /** Power wanted is a line over the band, at its height, with what is missing or over in words. */
  @ParameterizedTest
  @ValueSource(doubles = {0.9, 0.98, 1.02, 1.1})
  void whatIsWantedSaysByHowMuchItIsMissed(double times) {
    var curve = hump(new Random(3));
    double most = curve.peakPower().orElseThrow().power();
    var plot = written(curve, new WantedBand(4500, 7000), times * most);
    double wanted = times * most / 745.7;
    long off = Math.round((1 - times) * most / 745.7);
    var name =
        words(plot).stream().filter(a -> a.getText().contains("wanted")).findFirst().orElseThrow();
    assertThat(name.getText())
        .isEqualTo(
            times > 1
                ? "▼ %.0f wanted, %d short".formatted(wanted, -off)
                : "● %.0f wanted, %d over".formatted(wanted, off));
    for (var p : peaks(plot)) {
      assertThat(p.meets(box(name))).as(p.words).isFalse();
    }
    var lines = new ArrayList<XYLineAnnotation>();
    for (var a : ((XYLineAndShapeRenderer) plot.getRenderer(0)).getAnnotations()) {
      if (a instanceof XYLineAnnotation l) {
        lines.add(l);
      }
    }
    assertThat(lines).hasSize(1);
    var line = lines.getFirst();
    assertThat(line.getX1()).isEqualTo(4500);
    assertThat(line.getX2()).isEqualTo(7000);
    assertThat(line.getY1()).isCloseTo(wanted, within(1e-6)).isEqualTo(line.getY2());
  }

  /** A speed that did not settle is marked as such and is no peak; no curve has no words. */
  @Test
  void whatDidNotSettleIsMarked() {
    var settled = hump(new Random(5));
    double best = settled.peakTorque().orElseThrow().rpm();
    var points =
        settled.points().stream()
            .map(p -> Math.abs(p.rpm() - best) < 200 ? point(p.rpm(), 2 * p.torque(), false) : p)
            .toList();
    var plot = written(new Curve(Fidelity.LIVE, points), new WantedBand(4500, 7000), 0);
    long unsettled = points.stream().filter(p -> !p.converged()).count();
    assertThat(unsettled).isPositive();
    assertThat(words(plot).stream().filter(a -> a.getText().contains("not converged")))
        .hasSize((int) unsettled);
    for (var p : peaks(plot)) {
      double shown = Double.parseDouble(p.words.substring(0, p.words.indexOf(' ')));
      assertThat(shown).isLessThan(TOP);
    }
    assertThat(words(written(null, new WantedBand(4500, 7000), 4e5))).isEmpty();
  }
}
