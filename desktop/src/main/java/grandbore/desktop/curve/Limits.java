package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** What a predicted curve runs into: valves that float, a fuel that knocks. */
public final class Limits {
  /** Less than this much octane short is within what the model knows. */
  private static final double OCTANE_SHORT = 0.5;

  private Limits() {}

  /** What to see to, in words, the gravest first. */
  public static List<String> of(Curve curve) {
    return Stream.of(floats(curve), knocks(curve)).flatMap(Optional::stream).toList();
  }

  private static Optional<String> floats(Curve curve) {
    var floats =
        curve.points().stream()
            .filter(p -> !p.efforts().valvesFollow())
            .min(Comparator.comparingDouble(CurvePoint::rpm));
    return floats.map(
        p ->
            String.format(
                Locale.US,
                "▲ Valves float from %,.0f rpm, %.1f mm clear of the lobe: lighter parts, more"
                    + " spring or a stiffer train",
                p.rpm(),
                1e3 * Math.max(p.efforts().intakeFloat(), p.efforts().exhaustFloat())));
  }

  private static Optional<String> knocks(Curve curve) {
    return curve.settled().stream()
        .filter(p -> p.margins().octane() < -OCTANE_SHORT)
        .min(Comparator.comparingDouble(p -> p.margins().octane()))
        .map(
            p ->
                String.format(
                    Locale.US,
                    "▲ At %,.0f rpm this spark wants %.0f octane, %.1f more than the fuel has",
                    p.rpm(),
                    p.margins().octaneWanted(),
                    -p.margins().octane()));
  }

  /**
   * Speeds between which something is run into.
   *
   * @param from rpm
   * @param to rpm
   */
  record Span(double from, double to) {}

  /** What is run into, and where. */
  record Bar(String words, List<Span> spans) {}

  /** Where along the curve, the gravest first. */
  static List<Bar> bars(Curve curve) {
    return Stream.of(
            new Bar("▲ valves float", spans(curve, p -> !p.efforts().valvesFollow())),
            new Bar("▲ octane short", spans(curve, p -> p.margins().octane() < -OCTANE_SHORT)))
        .filter(b -> !b.spans().isEmpty())
        .toList();
  }

  /** Each reaches half way to the next speed at which it does not hold. */
  private static List<Span> spans(Curve curve, Predicate<CurvePoint> bites) {
    var points = curve.settled();
    var all = new ArrayList<Span>();
    int i = 0;
    while (i < points.size()) {
      int first = i;
      while (i < points.size() && bites.test(points.get(i))) {
        i++;
      }
      if (i > first) {
        all.add(new Span(between(points, first - 1, first), between(points, i - 1, i)));
      } else {
        i++;
      }
    }
    return all;
  }

  private static double between(List<CurvePoint> points, int a, int b) {
    var before = points.get(Math.max(a, 0));
    var after = points.get(Math.min(b, points.size() - 1));
    return (before.rpm() + after.rpm()) / 2;
  }
}
