package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;

/** What a predicted curve runs into: valves that float, a fuel that knocks. */
public final class Limits {
  /** Less than this much octane short is within what the model knows. */
  private static final double OCTANE_SHORT = 0.5;

  private Limits() {}

  /** The first thing to see to, in words; nothing where there is none. */
  public static Optional<String> of(Curve curve) {
    var floats =
        curve.points().stream()
            .filter(p -> !p.efforts().valvesFollow())
            .min(Comparator.comparingDouble(CurvePoint::rpm));
    if (floats.isPresent()) {
      var p = floats.get();
      double apart = Math.max(p.efforts().intakeFloat(), p.efforts().exhaustFloat());
      return Optional.of(
          String.format(
              Locale.US,
              "▲ Valves float from %,.0f rpm, %.1f mm clear of the lobe: lighter parts, more spring"
                  + " or a stiffer train",
              p.rpm(),
              1e3 * apart));
    }
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
}
