package grandbore.core.dyno.judged;

import grandbore.core.checks.Check.Verdict;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.PullCurve;
import java.util.Map;
import java.util.TreeMap;

/** One cylinder against the others, and the mixture against what was set. */
final class CylinderChecks {
  /** A cylinder that does not burn is so much colder than the others, K (common practice). */
  private static final double DEAD = 150;

  /** One that is so much hotter or colder than the others burns another mixture, K. */
  private static final double APART = 70;

  /** Lambda off what was set, as a share, that is no tolerance of a carburettor any more. */
  private static final double OFF = 0.07;

  private CylinderChecks() {}

  static void of(Seen seen, Doubts doubts) {
    exhaust(seen, doubts);
    mixture(seen, doubts);
  }

  /** Off the mean of the others, K, by cylinder; empty for fewer than three. */
  private static Map<Integer, Double> apart(Seen seen) {
    var means = new TreeMap<Integer, Double>();
    for (var k : seen.pull().rows().all(Channel.EXHAUST_TEMPERATURE)) {
      PullCurve.of(seen.pull(), Channel.EXHAUST_TEMPERATURE, k.place(), 300)
          .map(v -> seen.mean(v::at))
          .filter(Double::isFinite)
          .ifPresent(t -> means.put(k.place(), t));
    }
    var apart = new TreeMap<Integer, Double>();
    if (means.size() < 3) {
      return apart;
    }
    double sum = means.values().stream().mapToDouble(v -> v).sum();
    means.forEach((n, t) -> apart.put(n, t - (sum - t) / (means.size() - 1)));
    return apart;
  }

  /** The cylinder that does not burn; 0 where all do. */
  static int deadCylinder(Seen seen) {
    return apart(seen).entrySet().stream()
        .filter(e -> e.getValue() < -DEAD)
        .map(e -> e.getKey())
        .findFirst()
        .orElse(0);
  }

  private static void exhaust(Seen seen, Doubts doubts) {
    var apart = apart(seen);
    if (apart.isEmpty()) {
      return;
    }
    int dead = deadCylinder(seen);
    var worst =
        apart.entrySet().stream()
            .max(java.util.Comparator.comparingDouble(e -> Math.abs(e.getValue())))
            .orElseThrow();
    String working =
        "furthest off the others: cylinder %d by %+.0f K"
            .formatted(worst.getKey(), worst.getValue());
    if (dead > 0) {
      doubts.say(
          Suspect.PLUG,
          "Exhaust by cylinder",
          Verdict.BAD,
          "cylinder %d does not burn: its plug, its lead, then its valves".formatted(dead),
          working);
      return;
    }
    doubts.judge(
        Suspect.CYLINDER,
        "Exhaust by cylinder",
        Math.abs(worst.getValue()),
        APART,
        "the cylinders are alike",
        "cylinder %d is %s than the others: its mixture, its plug"
            .formatted(worst.getKey(), worst.getValue() > 0 ? "hotter" : "colder"),
        working);
  }

  private static void mixture(Seen seen, Doubts doubts) {
    if (!seen.has(Channel.LAMBDA) || deadCylinder(seen) > 0) {
      return;
    }
    double set = seen.lambdaSet();
    double below = Seen.mean(seen.part(0, 0.25), n -> seen.at(Channel.LAMBDA, n)) / set - 1;
    double above = Seen.mean(seen.part(0.75, 1), n -> seen.at(Channel.LAMBDA, n)) / set - 1;
    double all = seen.mean(n -> seen.at(Channel.LAMBDA, n)) / set - 1;
    String working =
        "λ is %+.1f %% of the %.2f that was set; %+.1f %% at the bottom, %+.1f %% at the top"
            .formatted(100 * all, set, 100 * below, 100 * above);
    if (below < -OFF && above - below > OFF) {
      doubts.say(
          Suspect.RICH_BELOW,
          "Mixture",
          Verdict.BAD,
          "rich at the bottom, near what was set at the top: mixture, not the size of the"
              + " carburettor; lean it out below",
          working);
      return;
    }
    doubts.judge(
        Suspect.CARBURETTOR,
        "Mixture",
        Math.abs(all),
        OFF,
        "near what was set",
        all > 0 ? "lean: larger jets before more spark" : "rich: smaller jets",
        working);
  }
}
