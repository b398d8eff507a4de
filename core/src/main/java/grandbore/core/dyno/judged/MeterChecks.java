package grandbore.core.dyno.judged;

import grandbore.core.checks.Check.Verdict;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.PullCurve;
import grandbore.core.flow.FlowCurve;
import grandbore.core.units.Measure;

/**
 * Do the meters agree? With m<sub>a</sub>, m<sub>f</sub> the flows, L the stoichiometric ratio, V
 * the displacement and ρ the air's density:
 *
 * <pre>
 * P = T ω        λ = m_a / (m_f L)        b = m_f / P        η_v = m_a / (ρ V n / 2)
 * </pre>
 */
final class MeterChecks {
  /** What a brake's own rounding and smoothing make, as a share. */
  private static final double POWER_OFF = 0.012;

  /** Two flow meters and a sensor in order agree this well, as a share (common practice). */
  private static final double MIXTURE_OFF = 0.065;

  /** Brake efficiency of an engine under full load: less is waste, more is no engine. */
  private static final double LEAST_EFFICIENCY = 0.17;

  private static final double MOST_EFFICIENCY = 0.42;

  /** Filling of an engine without a blower. */
  private static final double LEAST_FILLING = 0.45;

  private static final double MOST_FILLING = 1.30;

  /** An air meter that reads less than this share of what an engine must breathe has no hat. */
  private static final double HATLESS = 0.6;

  private MeterChecks() {}

  static void of(Seen seen, Doubts doubts) {
    power(seen, doubts);
    filling(seen, doubts);
    mixture(seen, doubts);
    consumption(seen, doubts);
    size(seen, doubts);
  }

  private static void power(Seen seen, Doubts doubts) {
    var rows = seen.pull().rows();
    if (rows.column(Channel.TORQUE).isEmpty() || rows.column(Channel.POWER).isEmpty()) {
      return;
    }
    var torque = PullCurve.of(seen.pull(), Channel.TORQUE, 0, 300).orElseThrow();
    double off = seen.mean(n -> seen.at(Channel.POWER, n) / (torque.at(n) * n * Math.PI / 30)) - 1;
    doubts.judge(
        Suspect.POWER_COLUMN,
        "Torque against power",
        Math.abs(off),
        POWER_OFF,
        "torque, speed and power agree",
        "power is %+.1f %% of torque × speed: another unit, correction or speed"
            .formatted(100 * off),
        "P / (T ω) − 1 = %+.2f %%, up to %.1f %%".formatted(100 * off, 100 * POWER_OFF));
  }

  private static void filling(Seen seen, Doubts doubts) {
    var day = seen.pull().breathed();
    if (!seen.has(Channel.AIR_FLOW) || day.isEmpty()) {
      return;
    }
    double density = grandbore.core.gas.Air.density(day.get().pressure(), day.get().temperature());
    double perTurn = seen.engine().bottomEnd().displacement() / 2;
    double filling = seen.mean(n -> seen.at(Channel.AIR_FLOW, n) / (density * perTurn * n / 60));
    double predicted = seen.mean(seen::airShare);
    boolean boosted = seen.engine().boost().isFitted();
    double least = Double.isNaN(predicted) ? LEAST_FILLING : filling * HATLESS / predicted;
    boolean low = filling < least;
    boolean high = !boosted && filling > MOST_FILLING;
    String working =
        "filling η_v = %.2f on the mean".formatted(filling)
            + (Double.isNaN(predicted)
                ? ""
                : "; air is %.0f %% of what was predicted".formatted(100 * predicted));
    doubts.say(
        low ? Suspect.AIR_HAT : Suspect.AIR_METER,
        "Air against displacement",
        low || high ? Verdict.BAD : Verdict.GOOD,
        low
            ? "the air meter sees too little air for any engine that makes this torque: its hat is"
                + " off, or it leaks"
            : high ? "no engine without a blower fills that well" : "possible",
        working);
  }

  private static void mixture(Seen seen, Doubts doubts) {
    if (!seen.has(Channel.AIR_FLOW)
        || !seen.has(Channel.FUEL_FLOW)
        || !seen.has(Channel.LAMBDA)
        || doubts.isBad(Suspect.AIR_HAT)) {
      return;
    }
    double off = seen.mean(n -> seen.lambdaOfFlows(n) / seen.at(Channel.LAMBDA, n)) - 1;
    if (Math.abs(off) <= MIXTURE_OFF || CylinderChecks.deadCylinder(seen) > 0) {
      doubts.say(
          Suspect.MIXTURE_SENSOR,
          "Air ÷ fuel against lambda",
          Verdict.GOOD,
          "the meters and the sensor agree",
          "(m_a / m_f L) / λ − 1 = %+.1f %%".formatted(100 * off));
      return;
    }
    double air = Math.abs(Math.log(seen.mean(seen::airShare)));
    double fuel = Math.abs(Math.log(seen.mean(seen::fuelShare)));
    double sensor =
        Math.abs(Math.log(seen.mean(n -> seen.at(Channel.LAMBDA, n)) / seen.lambdaSet()));
    // Whichever stands furthest from what was predicted while the other two stand near it.
    var suspect =
        fuel >= air && fuel >= sensor
            ? Suspect.FUEL_METER
            : air >= sensor ? Suspect.AIR_METER : Suspect.MIXTURE_SENSOR;
    if (Double.isNaN(air + fuel + sensor)) {
      suspect = Suspect.FUEL_METER;
    }
    doubts.say(
        suspect,
        "Air ÷ fuel against lambda",
        Verdict.BAD,
        ("%s lies: by the flows lambda were %+.0f %% of what the sensor reads; believe no"
                + " calculated mixture")
            .formatted(suspect.words(), 100 * off),
        ("(m_a / m_f L) / λ − 1 = %+.1f %%; off the prediction: air %.0f %%, fuel %.0f %%, λ"
                + " %.0f %%")
            .formatted(100 * off, 100 * air, 100 * fuel, 100 * sensor));
  }

  private static void consumption(Seen seen, Doubts doubts) {
    if (!seen.has(Channel.FUEL_FLOW)) {
      return;
    }
    double heat = seen.engine().mixture().fuel().lowerHeatingValue();
    double specific =
        seen.mean(
            n -> seen.at(Channel.FUEL_FLOW, n) / (seen.at(Channel.TORQUE, n) * n * Math.PI / 30));
    double efficiency = 1 / (specific * heat);
    boolean possible = efficiency > LEAST_EFFICIENCY && efficiency < MOST_EFFICIENCY;
    doubts.say(
        Suspect.FUEL_METER,
        "Fuel against power",
        possible ? Verdict.GOOD : Verdict.BAD,
        possible
            ? "possible"
            : efficiency >= MOST_EFFICIENCY
                ? "no engine makes so much power of so little fuel: the fuel meter reads too little"
                : "so much fuel for so little power: the fuel meter, or fuel that does not burn",
        "b = %.0f g/kWh (%.3f lb/hp·h), efficiency %.0f %% of the fuel's heat"
            .formatted(
                specific * 3.6e9,
                specific * Measure.HORSEPOWER.toSi(1) * 3600 / Measure.POUNDS.toSi(1),
                100 * efficiency));
  }

  /** Does the carburettor pass the air that was read at the depression that was read? */
  private static void size(Seen seen, Doubts doubts) {
    var in = seen.engine().intake();
    var day = seen.pull().breathed();
    if (!seen.has(Channel.AIR_FLOW)
        || !seen.has(Channel.MANIFOLD_PRESSURE)
        || seen.engine().boost().isFitted()
        || day.isEmpty()
        || doubts.isBad(Suspect.AIR_HAT)) {
      return;
    }
    double area =
        in.throttles()
            * FlowCurve.effectiveArea(in.throttleFlow().si(), in.ratingDepression().si());
    double density = grandbore.core.gas.Air.density(day.get().pressure(), day.get().temperature());
    var top = seen.part(0.6, 1);
    double share =
        Seen.mean(
            top,
            n -> {
              double down = day.get().pressure() - seen.at(Channel.MANIFOLD_PRESSURE, n);
              return down > 500
                  ? seen.at(Channel.AIR_FLOW, n) / (area * Math.sqrt(2 * density * down))
                  : Double.NaN;
            });
    double down = Seen.mean(top, n -> day.get().pressure() - seen.at(Channel.MANIFOLD_PRESSURE, n));
    if (Double.isNaN(share)) {
      return;
    }
    boolean off = share < 0.6 || share > 1.5;
    doubts.say(
        Suspect.METER_SIZE,
        "Air against the rating",
        off ? Verdict.CLOSE : Verdict.GOOD,
        off
            ? "the rating does not pass that air at that depression: throttle not wide open, or a"
                + " meter"
            : "%.1f kPa (%.1f inHg) is missing at the top".formatted(down / 1e3, down / 3386.389),
        "m_a / (A √(2 ρ Δp)) = %.2f at the top".formatted(share));
  }
}
