package grandbore.core.dyno.judged;

import grandbore.core.checks.Check.Verdict;
import grandbore.core.combination.Boost;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Frozen;
import grandbore.core.dyno.PullCurve;

/** Ignition, valves, oil and blower: what goes wrong with speed. */
final class RunningChecks {
  /** Exhaust gets hotter by this share from bottom to top where spark falls back with speed. */
  private static final double HOTTER = 0.008;

  /** Torque of one row about its neighbours', as a share; a brake in order has half of it. */
  private static final double SCATTERS = 0.0075;

  /** Torque that breaks away at the very top, as a share. */
  private static final double BREAKS = 0.10;

  private static final double LAST = 400;

  /** Smoothing that leaves a break as sharp as it is, rev/min. */
  private static final double SHARP = 80;

  /** Oil pressure that falls from its highest, as a share. */
  private static final double OIL_FALLS = 0.2;

  /** A knock meter's level over its quiet one. */
  private static final double KNOCKS = 1.6;

  /** Boost at the top off what was predicted, more than at the bottom, as a share. */
  private static final double SLIPS = 0.05;

  private RunningChecks() {}

  static void of(Seen seen, Doubts doubts) {
    oil(seen, doubts);
    knock(seen, doubts);
    if (seen.frozen().isPresent() && seen.speeds().size() > 5) {
      valves(seen, doubts);
      pickup(seen, doubts);
      belt(seen, doubts);
    }
  }

  private static void oil(Seen seen, Doubts doubts) {
    if (!seen.has(Channel.OIL_PRESSURE) || seen.speeds().size() < 4) {
      return;
    }
    double most = 0;
    double falls = 0;
    double at = 0;
    for (double n : seen.speeds()) {
      double p = seen.at(Channel.OIL_PRESSURE, n);
      most = Math.max(most, p);
      if (1 - p / most > falls) {
        falls = 1 - p / most;
        at = n;
      }
    }
    doubts.judge(
        Suspect.OIL_PICKUP,
        "Oil pressure",
        falls,
        OIL_FALLS,
        "holds with speed",
        ("falls by %.0f %% at %,.0f rpm: the pickup draws air; stop, look at pan and level"
                + " before another pull")
            .formatted(100 * falls, at),
        "most %.0f kPa, less %.0f %% at %,.0f rpm".formatted(most / 1e3, 100 * falls, at));
  }

  private static void knock(Seen seen, Doubts doubts) {
    if (!seen.has(Channel.KNOCK)) {
      return;
    }
    double quiet =
        seen.speeds().stream().mapToDouble(n -> seen.at(Channel.KNOCK, n)).min().orElse(1);
    double loud = 0;
    double at = 0;
    for (double n : seen.speeds()) {
      if (seen.at(Channel.KNOCK, n) > loud) {
        loud = seen.at(Channel.KNOCK, n);
        at = n;
      }
    }
    doubts.judge(
        Suspect.FUEL_OCTANE,
        "Knock level",
        loud / quiet - 1,
        KNOCKS - 1,
        "quiet",
        ("%.1f times its quiet level at %,.0f rpm: it detonates; take spark out or better fuel"
                + " in before another pull")
            .formatted(loud / quiet, at),
        "loudest %.2f, quietest %.2f".formatted(loud, quiet));
  }

  /** Over the last few hundred rev/min, against the prediction. */
  private static void valves(Seen seen, Doubts doubts) {
    var torque = PullCurve.torque(seen.pull(), seen.pull().carries(), SHARP);
    var air = PullCurve.of(seen.pull(), Channel.AIR_FLOW, 0, SHARP);
    double end = Math.min(torque.to(), seen.frozen().orElseThrow().rows().getLast().rpm());
    double weaker = breaks(seen, torque, Frozen.Row::torque, end);
    double less = air.map(k -> breaks(seen, k, Frozen.Row::airFlow, end)).orElse(weaker);
    boolean bad = weaker > BREAKS && less > BREAKS / 3;
    doubts.say(
        Suspect.VALVE_SPRINGS,
        "Top end",
        bad ? Verdict.BAD : Verdict.GOOD,
        bad
            ? ("torque and air break away together before %,.0f rpm: valves that float, or air"
                    + " that is not let in; springs first, and no pull above that")
                .formatted(end)
            : "torque goes on as it should",
        "over the last %.0f rpm, against the prediction: torque %+.1f %%, air %+.1f %%"
            .formatted(LAST, -100 * weaker, -100 * less));
  }

  private static double breaks(
      Seen seen,
      PullCurve curve,
      java.util.function.ToDoubleFunction<Frozen.Row> predicted,
      double end) {
    double last = curve.at(end) / seen.predicted(end, predicted);
    double before = curve.at(end - LAST) / seen.predicted(end - LAST, predicted);
    return 1 - last / before;
  }

  private static void pickup(Seen seen, Doubts doubts) {
    if (seen.pull().rows().all(Channel.EXHAUST_TEMPERATURE).isEmpty()) {
      return;
    }
    var bottom = seen.part(0, 0.3);
    var top = seen.part(0.8, 1);
    java.util.function.DoubleUnaryOperator heat =
        n -> seen.exhaust(n) / seen.predicted(n, Frozen.Row::exhaustTemperature);
    double hotter = Seen.mean(top, heat) / Seen.mean(bottom, heat) - 1;
    double scatter = scatter(seen);
    boolean bad = hotter > HOTTER && scatter > SCATTERS;
    doubts.say(
        Suspect.PICKUP,
        "Spark with speed",
        bad ? Verdict.BAD : scatter > SCATTERS ? Verdict.CLOSE : Verdict.GOOD,
        bad
            ? "torque scatters and the exhaust gets hotter with speed: the spark falls back and"
                + " jumps; swap the pickup's leads before the carburettor is touched"
            : scatter > SCATTERS
                ? "torque scatters from row to row: ignition, or a loose load cell"
                : "steady",
        "exhaust over predicted, top against bottom: %+.1f %%; torque scatters by %.1f %%"
            .formatted(100 * hotter, 100 * scatter));
  }

  /** Root mean square of the rows' torque about the curve through them, as a share. */
  private static double scatter(Seen seen) {
    var rows = seen.pull().rows();
    var smooth = PullCurve.of(seen.pull(), Channel.TORQUE, 0, PullCurve.USUAL_WIDTH);
    if (smooth.isEmpty() || rows.rows() < 40) {
      return 0;
    }
    double sum = 0;
    int count = 0;
    for (int k = 0; k < rows.rows(); k++) {
      double off = rows.torque(k) / smooth.get().at(rows.rpm(k)) - 1;
      if (Double.isFinite(off)) {
        sum += off * off;
        count++;
      }
    }
    return Math.sqrt(sum / Math.max(1, count));
  }

  private static void belt(Seen seen, Doubts doubts) {
    var kind = seen.engine().boost().kind();
    if (kind == Boost.Kind.NONE
        || kind == Boost.Kind.TURBOCHARGER
        || !seen.has(Channel.MANIFOLD_PRESSURE)) {
      return;
    }
    double bottom = Seen.mean(seen.part(0, 0.4), n -> boost(seen, n));
    double top = Seen.mean(seen.part(0.85, 1), n -> boost(seen, n));
    double falls = 1 - top / bottom;
    doubts.judge(
        Suspect.BELT,
        "Boost with speed",
        falls,
        SLIPS,
        "boost rises as it should",
        "boost falls away with speed: the belt slips",
        "manifold over predicted, top against bottom: %+.1f %%".formatted(-100 * falls));
  }

  private static double boost(Seen seen, double rpm) {
    return seen.at(Channel.MANIFOLD_PRESSURE, rpm)
        / seen.predicted(rpm, Frozen.Row::plenumPressure);
  }
}
