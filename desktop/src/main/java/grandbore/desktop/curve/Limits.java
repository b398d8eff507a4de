package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
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
  record Span(double from, double to, String words) {}

  /** Where along the curve, the gravest first. */
  static List<Span> spans(Curve curve) {
    return Stream.of(
            span(curve, p -> !p.efforts().valvesFollow(), "▲ valves float"),
            span(curve, p -> p.margins().octane() < -OCTANE_SHORT, "▲ octane short"))
        .flatMap(Optional::stream)
        .toList();
  }

  private static Optional<Span> span(Curve curve, Predicate<CurvePoint> bites, String words) {
    var at =
        curve.settled().stream().filter(bites).mapToDouble(CurvePoint::rpm).summaryStatistics();
    return at.getCount() == 0
        ? Optional.empty()
        : Optional.of(new Span(at.getMin(), at.getMax(), words));
  }
}
