package grandbore.core.dyno.judged;

import grandbore.core.checks.Check.Verdict;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Frozen;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.Standard;
import grandbore.core.dyno.effects.SparkHill;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.stat.descriptive.StreamingStatistics;

/** What a pull says beside the pulls before it. */
final class SessionChecks {
  /** Oil or water that much warmer or colder makes two pulls no pair, K (common practice). */
  private static final double WARMER = 7;

  private static final double BLOW_BY_GROWS = 0.35;

  /** Air at one manifold pressure that is lost from pull to pull, as a share. */
  private static final double SOAKS = 0.025;

  /** Spark of most torque off what was predicted, degrees. */
  private static final double POINTER_OFF = 5;

  private static final double DIP = 0.02;
  private static final double NEAR = 250;
  private static final double FAR = 500;
  private static final double WIDE = 900;

  private SessionChecks() {}

  static void of(Seen seen, List<Pull> before, Doubts doubts) {
    if (!before.isEmpty()) {
      var last = before.getLast();
      warmth(seen.pull(), last, doubts);
      blowBy(seen.pull(), before.getFirst(), doubts);
      cooler(seen, before.getFirst(), doubts);
    }
    dips(seen, before, doubts);
    pointer(seen, before, doubts);
  }

  private static void warmth(Pull pull, Pull last, Doubts doubts) {
    double most = 0;
    String what = "";
    for (var k : List.of(Channel.OIL_TEMPERATURE, Channel.WATER_OUT, Channel.AIR_TEMPERATURE)) {
      var is = pull.rows().mean(k);
      var was = last.rows().mean(k);
      if (is.isPresent() && was.isPresent() && Math.abs(is.get() - was.get()) >= most) {
        most = Math.abs(is.get() - was.get());
        what =
            "%s %+.0f K"
                .formatted(k.label().toLowerCase(java.util.Locale.ROOT), is.get() - was.get());
      }
    }
    if (!what.isEmpty()) {
      doubts.judge(
          Suspect.WARMTH,
          "Warmth",
          most,
          WARMER,
          "as warm as the pull before",
          what + " since the pull before: the two are no pair until it is as warm",
          what);
    }
  }

  private static void blowBy(Pull pull, Pull first, Doubts doubts) {
    var is = pull.rows().mean(Channel.BLOW_BY);
    var was = first.rows().mean(Channel.BLOW_BY);
    if (is.isPresent() && was.isPresent()) {
      double grows = is.get() / was.get() - 1;
      doubts.judge(
          Suspect.RINGS,
          "Blow-by",
          grows,
          BLOW_BY_GROWS,
          "as in the first pull",
          "grows from pull to pull: rings, lands or a piston; a leak-down test before the next",
          "%+.0f %% since pull %d".formatted(100 * grows, first.number()));
    }
  }

  /** At one manifold pressure the air goes with 1 / T of the charge. */
  private static void cooler(Seen seen, Pull first, Doubts doubts) {
    if (!seen.engine().boost().isFitted()
        || !seen.has(Channel.AIR_FLOW)
        || !seen.has(Channel.MANIFOLD_PRESSURE)) {
      return;
    }
    var then = new Seen(seen.engine(), first, seen.frozen());
    double lost =
        1
            - seen.mean(
                n ->
                    seen.at(Channel.AIR_FLOW, n)
                        / seen.at(Channel.MANIFOLD_PRESSURE, n)
                        / (then.at(Channel.AIR_FLOW, n) / then.at(Channel.MANIFOLD_PRESSURE, n)));
    doubts.judge(
        Suspect.COOLER,
        "Charge cooling",
        lost,
        SOAKS,
        "as in the first pull",
        ("%.0f %% less air at the same boost than in pull %d: the charge is hotter; ice, or"
                + " wait")
            .formatted(100 * lost, first.number()),
        "air over manifold pressure %+.1f %%".formatted(-100 * lost));
  }

  /** Deepest place of the torque under a line from one side to the other; the speed, or NaN. */
  private static double dip(Pull pull) {
    var torque = PullCurve.torque(pull, pull.carries(), 400);
    double deepest = DIP;
    double at = Double.NaN;
    for (var p : torque.points()) {
      double across = 0.5 * (torque.at(p.rpm() - WIDE / 2) + torque.at(p.rpm() + WIDE / 2));
      double under = 1 - p.value() / across;
      if (under > deepest) {
        deepest = under;
        at = p.rpm();
      }
    }
    return at;
  }

  private static void dips(Seen seen, List<Pull> before, Doubts doubts) {
    double at = dip(seen.pull());
    if (Double.isNaN(at)) {
      return;
    }
    var others = new ArrayList<Double>();
    for (var p : before) {
      double there = dip(p);
      if (Double.isFinite(there)) {
        others.add(there);
      }
    }
    long same = others.stream().filter(n -> Math.abs(n - at) <= NEAR).count();
    boolean far = !others.isEmpty() && others.stream().allMatch(n -> Math.abs(n - at) > FAR);
    boolean predicted = seen.frozen().map(f -> hasDip(f, at)).orElse(false);
    doubts.say(
        far && !predicted ? Suspect.IGNITION : Suspect.WAVE,
        "Dip",
        far && !predicted ? Verdict.BAD : Verdict.CLOSE,
        predicted
            ? "a dip at %,.0f rpm, where the prediction has one: a wave".formatted(at)
            : far
                ? "a dip at %,.0f rpm that wanders: ignition, or valves".formatted(at)
                : same > 0
                    ? "a dip at %,.0f rpm in %d pulls: a wave, or the mixture"
                        .formatted(at, same + 1)
                    : "a dip at %,.0f rpm: does the next pull have it too?".formatted(at),
        "deeper than %.0f %% under its sides".formatted(100 * DIP));
  }

  private static boolean hasDip(Frozen frozen, double at) {
    double across =
        0.5
            * (frozen.at(at - WIDE / 2, Frozen.Row::torque)
                + frozen.at(at + WIDE / 2, Frozen.Row::torque));
    return 1 - frozen.at(at, Frozen.Row::torque) / across > DIP / 2;
  }

  private static void pointer(Seen seen, List<Pull> before, Doubts doubts) {
    if (seen.frozen().isEmpty()) {
      return;
    }
    var all = new ArrayList<>(before);
    all.add(seen.pull());
    var hills = SparkHill.of(all, Standard.NONE, 0).stream().filter(SparkHill::hasTop).toList();
    var found = new StreamingStatistics();
    hills.stream()
        .mapToDouble(h -> h.best() - Math.toDegrees(seen.predicted(h.rpm(), Frozen.Row::bestSpark)))
        .filter(Double::isFinite)
        .forEach(found::addValue);
    if (found.getN() >= 3) {
      double off = found.getMean();
      double error = found.getStandardDeviation() / Math.sqrt((double) found.getN());
      doubts.judge(
          Suspect.POINTER,
          "Best spark",
          Math.max(0, Math.abs(off) - 2 * error),
          POINTER_OFF,
          "where the model wants it",
          ("most torque comes at %+.0f° of what the model wants: prove the pointer at the"
                  + " positive stop, it takes ten minutes")
              .formatted(off),
          "%+.1f° ± %.1f° on the mean of %d speeds".formatted(off, error, found.getN()));
    }
  }
}
