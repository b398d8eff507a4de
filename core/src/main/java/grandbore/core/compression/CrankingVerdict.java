package grandbore.core.compression;

import static grandbore.core.checks.Check.Verdict.BAD;
import static grandbore.core.checks.Check.Verdict.CLOSE;
import static grandbore.core.checks.Check.Verdict.GOOD;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.CheckList;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.BottomEnd;
import grandbore.core.units.Quantity;
import java.util.List;
import java.util.Optional;

/**
 * What a compression test and a leak-down say of each cylinder. The shares are common practice, no
 * source.
 */
public final class CrankingVerdict {
  /** A cylinder below this share of the best one needs work. */
  private static final double LOW = 0.75;

  private static final double LOWISH = 0.90;

  /** Oil over worn rings raises the reading by more than its own volume does. */
  private static final double OIL_HELPS = 1.10;

  private static final double LEAK_WATCHED = 0.10;
  private static final double LEAK_BAD = 0.20;

  /** All cylinders below this share of what is predicted: not one cylinder's fault. */
  private static final double ALL_LOW = 0.85;

  private static final String WORKING =
      "below 75 % of the best cylinder needs work, below 90 % is watched; oil that lifts a low"
          + " reading by a tenth points at the rings; a leak of 10 % is watched, of 20 % needs"
          + " work; two neighbours low together point at the gasket between them ("
          + CheckList.PRACTICE
          + ")";

  private final BottomEnd b;
  private final Readings readings;
  private final CheckList list;
  private final double best;

  private CrankingVerdict(Build build, Readings readings) {
    b = build.combination().bottomEnd();
    this.readings = readings;
    list = new CheckList(build.units());
    best =
        readings.over(Measurement.COMPRESSION, b.cylinders()).stream()
            .mapToDouble(Readings.Result::value)
            .max()
            .orElse(Double.NaN);
  }

  /**
   * A verdict for each cylinder that was tested and one for the engine.
   *
   * @param predicted gauge pressures, Pa, cylinder 1 first; empty where not known yet
   */
  public static List<Check> of(Build build, Readings readings, List<Double> predicted) {
    var test = new CrankingVerdict(build, readings);
    for (int n = 1; n <= test.b.cylinders(); n++) {
      test.cylinder(n);
    }
    if (!predicted.isEmpty() && Double.isFinite(test.best)) {
      test.whole(predicted);
    }
    return test.list.checks();
  }

  private Optional<Double> value(Measurement m, int cylinder) {
    return readings.at(m, cylinder).map(Readings.Result::value);
  }

  private void cylinder(int n) {
    var gauge = value(Measurement.COMPRESSION, n);
    var oiled = value(Measurement.COMPRESSION_OILED, n);
    var leak = value(Measurement.LEAK_DOWN, n);
    if (gauge.isEmpty() && leak.isEmpty()) {
      return;
    }
    double share = gauge.map(g -> g / best).orElse(1.0);
    double leaks = leak.orElse(0.0);
    boolean bad = share < LOW || leaks > LEAK_BAD;
    boolean watched = share < LOWISH || leaks > LEAK_WATCHED;
    var says = new StringBuilder();
    gauge.ifPresent(
        g ->
            says.append(
                "%s, %.0f %% of the best"
                    .formatted(list.show(Quantity.CYLINDER_PRESSURE, g), 100 * g / best)));
    leak.ifPresent(
        l -> says.append(says.isEmpty() ? "" : "; ").append("leaks %.0f %%".formatted(100 * l)));
    if (watched) {
      says.append(": ").append(cause(n, share, gauge, oiled, leak));
    }
    list.add(
        "test_cylinder_" + n,
        "Cylinder " + n,
        bad ? BAD : watched ? CLOSE : GOOD,
        says.toString(),
        WORKING);
  }

  private String cause(
      int n, double share, Optional<Double> gauge, Optional<Double> oiled, Optional<Double> leak) {
    int mate = lowNeighbour(n);
    if (share < LOWISH && mate > 0) {
      return "low together with its neighbour %d: the gasket between them first".formatted(mate);
    }
    if (share < LOWISH && oiled.isPresent()) {
      return oiled.get() > OIL_HELPS * gauge.orElseThrow()
          ? "oil lifts it: rings or bore; look at ring tension and gaps"
          : "oil does not lift it: valves or gasket; listen at intake, exhaust and radiator";
    }
    if (share < LOWISH && leak.isPresent() && leak.get() <= LEAK_WATCHED) {
      return "it holds air at rest: valve timing, a lobe or a tappet of this cylinder";
    }
    return share < LOWISH
        ? "test again with a spoon of oil, then by leak-down"
        : "listen where it goes: intake, tailpipe, oil filler, radiator";
  }

  private int lowNeighbour(int n) {
    for (int mate = 1; mate <= b.cylinders(); mate++) {
      if (b.bank(mate) == b.bank(n)
          && Math.abs(b.row(mate) - b.row(n)) == 1
          && value(Measurement.COMPRESSION, mate).orElse(best) < LOWISH * best) {
        return mate;
      }
    }
    return 0;
  }

  private void whole(List<Double> predicted) {
    double wanted = predicted.stream().mapToDouble(p -> p).average().orElseThrow();
    double mean =
        readings.over(Measurement.COMPRESSION, b.cylinders()).stream()
            .mapToDouble(Readings.Result::value)
            .average()
            .orElseThrow();
    boolean low = mean < ALL_LOW * wanted;
    boolean high = mean > wanted / ALL_LOW;
    list.add(
        "test_engine",
        "The engine",
        low || high ? CLOSE : GOOD,
        "%s on the mean, %s predicted%s"
            .formatted(
                list.show(Quantity.CYLINDER_PRESSURE, mean),
                list.show(Quantity.CYLINDER_PRESSURE, wanted),
                low
                    ? ": all low; throttle held open, battery, cam timing, then the gauge"
                    : high
                        ? ": more than predicted; volumes, cam timing, oil in the cylinders"
                        : ""),
        "predicted by the simulated engine, warm, cranked at 200 rpm with its throttle open; beyond"
            + " 15 % of it something else is the matter than one cylinder");
  }
}
