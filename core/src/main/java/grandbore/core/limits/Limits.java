package grandbore.core.limits;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.checks.CheckList;
import grandbore.core.compression.FuelStand;
import grandbore.core.gas.Air;
import grandbore.core.mechanics.Overspeed;
import grandbore.core.mechanics.Strength;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.SlowRunning;
import grandbore.core.topend.ValveGear;
import grandbore.core.units.Quantity;
import grandbore.core.working.BriefChecks;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What bites first: float, room, knock, piston, ring, rod, bolts, port, carburettor, fuel, vacuum,
 * in the order of margin.
 */
public final class Limits {
  /**
   * Mach number at the valve's end of the port from which more speed brings little more air; common
   * practice, no source.
   */
  private static final double PORT = 0.6;

  private static final double CLOSE = 0.9;

  /** Depression under a wide open throttle, 1.5 and 1.0 inHg, Pa; common practice, no source. */
  private static final double HELD = 5080;

  private static final double GOOD_HELD = 3386;

  /**
   * What would change a limit is none itself, nor are rules of thumb or what a broken drive does.
   */
  private static final Set<String> NO_LIMIT =
      Set.of(
          "follow_shimmed",
          "follow_lightened",
          "school_static",
          "school_effective",
          "intake_interference",
          "exhaust_interference");

  private Limits() {}

  /**
   * All that can be told of, those that do not hold first, each kind by what is left of it; those
   * that can't be told last.
   *
   * @param curve of the engine
   * @param idle as it was solved, empty where none is held
   */
  public static List<Check> of(
      Build build, BuiltEngine engine, Curve curve, Optional<SlowRunning.Idle> idle) {
    // The parts as they were measured.
    var measured = build.with(engine.combination());
    return Stream.of(
            ValveGear.springs(measured),
            ValveGear.pistonToValve(measured),
            Overspeed.of(measured),
            Strength.of(measured, curve),
            FuelStand.of(measured, engine, curve),
            port(measured, curve),
            throttle(measured, curve),
            BriefChecks.vacuum(measured, idle))
        .flatMap(List::stream)
        .filter(c -> !NO_LIMIT.contains(c.name()))
        .sorted(Comparator.comparingInt(Limits::order).thenComparingDouble(Check::margin))
        .toList();
  }

  private static int order(Check c) {
    return switch (c.verdict()) {
      case BAD -> 0;
      case CLOSE -> 1;
      case GOOD -> 2;
      case UNKNOWN -> 3;
    };
  }

  private static List<Check> port(Build build, Curve curve) {
    var list = new CheckList(build.units());
    curve.settled().stream()
        .max(Comparator.comparingDouble((CurvePoint p) -> p.efforts().portMach()))
        .ifPresent(
            p -> {
              double mach = p.efforts().portMach();
              list.add(
                  "port_mach",
                  "Intake port, Mach number",
                  mach > PORT ? Verdict.BAD : mach > CLOSE * PORT ? Verdict.CLOSE : Verdict.GOOD,
                  "%.2f at %,.0f rpm".formatted(mach, p.rpm()),
                  "the highest at the valve's end of the port over the cycle, simulated; from %.1f on"
                          .formatted(PORT)
                      + " more speed brings little more air ("
                      + CheckList.PRACTICE
                      + ")",
                  1 - mach / PORT);
            });
    return list.checks();
  }

  /**
   * What a carburettor or throttle holds back, by its rating: Δp = Δp_r (Q / Q_r)², Q the air it
   * passes at the outside's density.
   */
  private static List<Check> throttle(Build build, Curve curve) {
    var c = build.combination();
    var in = c.intake();
    var list = new CheckList(build.units());
    if (c.has("boost")) {
      // What is drawn through it, or blown, is not the outside's air.
      return list.checks();
    }
    double rated = in.throttles() * in.throttleFlow().si();
    double density = Air.density(c.weather().pressure().si(), c.weather().temperature().si());
    curve.settled().stream()
        .max(Comparator.comparingDouble(CurvePoint::airFlow))
        .ifPresent(
            p -> {
              double share = p.airFlow() / density / rated;
              double held = in.ratingDepression().si() * share * share;
              list.add(
                  "throttle_depression",
                  "Carburettor or throttle",
                  held > HELD ? Verdict.BAD : held > GOOD_HELD ? Verdict.CLOSE : Verdict.GOOD,
                  "%s held back at %,.0f rpm, %.0f %% of its rated flow"
                      .formatted(list.show(Quantity.DEPRESSION, held), p.rpm(), 100 * share),
                  "its rating times the square of the share of it that passes, wide open; above %s"
                          .formatted(list.show(Quantity.DEPRESSION, GOOD_HELD))
                      + " a larger one brings power, from %s on it strangles the engine ("
                          .formatted(list.show(Quantity.DEPRESSION, HELD))
                      + CheckList.PRACTICE
                      + ")",
                  1 - held / HELD);
            });
    return list.checks();
  }
}
