package grandbore.desktop.results;

import grandbore.core.studies.Starving;
import java.util.Locale;
import java.util.stream.Collectors;

/** Why a cylinder gets least, in words. */
final class Why {
  /** Under that share of the mean charge nothing is said of a cause. */
  private static final double TOLD = 0.0005;

  private Why() {}

  static String said(Starving found) {
    String head =
        String.format(
            Locale.US,
            "Of what cylinder %d lacks under the mean, %.1f %%, evening out gives back: ",
            found.cylinder(),
            100 * found.lack());
    String causes =
        found.shares().stream()
            .filter(s -> Math.abs(s.lack()) >= TOLD)
            .map(s -> String.format(Locale.US, "%s %.1f %%", name(s.cause()), 100 * s.lack()))
            .collect(Collectors.joining(", "));
    String rest =
        String.format(
            Locale.US,
            "where it fires and meets the exhaust leaves %.1f %%.",
            Math.abs(100 * found.rest()) < 0.05 ? 0.0 : 100 * found.rest());
    return causes.isEmpty()
        ? String.format(
            Locale.US,
            "Cylinder %d lacks %.1f %% under the mean by where it fires and meets the exhaust.",
            found.cylinder(),
            100 * found.lack())
        : head + causes + "; " + rest;
  }

  private static String name(Starving.Cause cause) {
    return switch (cause) {
      case CHAMBER -> "its chamber";
      case RUNNER -> "its runner";
      case PORT -> "its port";
      case PLACE -> "its place along the plenum";
    };
  }
}
