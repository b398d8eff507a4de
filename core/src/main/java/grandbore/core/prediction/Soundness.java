package grandbore.core.prediction;

import java.util.Optional;

/**
 * Whether what has become periodic is an engine that runs: cycles can be alike and dead, or alike
 * and beyond anything that the gas model holds for.
 */
final class Soundness {
  /** No flame in air burns hotter (Heywood 1988, section 3.5: some 3,000 K at most), K. */
  private static final double HOTTEST = 3500;

  private Soundness() {}

  /** Why the state is none of a running engine, in words; empty where it is. */
  static Optional<String> wrong(EngineNetwork network, EngineParts parts) {
    double outside = parts.combination().weather().temperature().si();
    for (var u : network.units()) {
      var cycle = u.cylinder().lastCycle();
      String which = "cylinder " + u.role().number();
      if (!cycle.lit) {
        double spark = Math.toDegrees(u.cylinder().spark());
        return Optional.of(
            "the charge of %s was not lit: the spark comes %.0f° %s top centre, when it is not closed in"
                .formatted(which, Math.abs(spark), spark < 0 ? "after" : "before"));
      }
      double exhaust = u.exhaustTemperature();
      if (exhaust <= outside) {
        return Optional.of(
            "the exhaust of %s is colder than its intake (%.0f K)".formatted(which, exhaust));
      }
      if (!(exhaust < HOTTEST)) {
        return Optional.of(
            "the gas in %s left the range of the model (exhaust %.0f K)".formatted(which, exhaust));
      }
      if (!(u.inducted() > 0)) {
        return Optional.of("more charge leaves %s by the intake than enters".formatted(which));
      }
    }
    return Optional.empty();
  }
}
