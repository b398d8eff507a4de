package grandbore.core.dyno.judged;

import grandbore.core.combination.Combination;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Frozen;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.Standard;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * A pull beside what was predicted, speed by speed, both of the same air: torque by the standard's
 * factor, air with p_d / √T, which is how an engine breathes.
 */
final class Seen {
  /** Wide enough that noise is gone, narrow enough for a fault that begins at a speed. */
  private static final double WIDTH = 300;

  private static final double STEP = 250;

  private final Combination c;
  private final Pull pull;
  private final Optional<Frozen> frozen;
  private final Map<Channel, PullCurve> curves = new EnumMap<>(Channel.class);
  private final List<Double> speeds = new ArrayList<>();

  Seen(Combination c, Pull pull, Optional<Frozen> frozen) {
    this.c = c;
    this.pull = pull;
    this.frozen = frozen;
    for (var channel : Channel.values()) {
      if (channel.per() == Channel.Per.ENGINE && channel != Channel.RPM) {
        PullCurve.of(pull, channel, 0, WIDTH).ifPresent(k -> curves.put(channel, k));
      }
    }
    var torque = PullCurve.torque(pull, pull.carries(), WIDTH);
    curves.put(Channel.TORQUE, torque);
    double from = torque.from();
    double to = torque.to();
    if (frozen.isPresent()) {
      from = Math.max(from, frozen.get().rows().getFirst().rpm());
      to = Math.min(to, frozen.get().rows().getLast().rpm());
    }
    for (double n = Math.ceil(from / STEP) * STEP; n <= to; n += STEP) {
      speeds.add(n);
    }
  }

  Combination engine() {
    return c;
  }

  Pull pull() {
    return pull;
  }

  Optional<Frozen> frozen() {
    return frozen;
  }

  List<Double> speeds() {
    return speeds;
  }

  boolean has(Channel channel) {
    return curves.containsKey(channel);
  }

  double at(Channel channel, double rpm) {
    var curve = curves.get(channel);
    return curve == null ? Double.NaN : curve.at(rpm);
  }

  double mean(DoubleUnaryOperator what) {
    return mean(speeds, what);
  }

  static double mean(List<Double> speeds, DoubleUnaryOperator what) {
    return speeds.stream()
        .mapToDouble(what::applyAsDouble)
        .filter(Double::isFinite)
        .average()
        .orElse(Double.NaN);
  }

  /** Speeds in a part of the range, 0 at its foot and 1 at its top. */
  List<Double> part(double from, double to) {
    if (speeds.isEmpty()) {
      return speeds;
    }
    double low = speeds.getFirst();
    double wide = speeds.getLast() - low;
    return speeds.stream()
        .filter(n -> n >= low + from * wide - 1 && n <= low + to * wide + 1)
        .toList();
  }

  /** Torque over what was predicted; not a number where nothing was. */
  double torqueShare(double rpm) {
    if (frozen.isEmpty() || pull.breathed().isEmpty()) {
      return Double.NaN;
    }
    double read = at(Channel.TORQUE, rpm) * pull.factor(Standard.SAE_J1349);
    return read / frozen.get().torque(rpm, Standard.SAE_J1349);
  }

  /** Air over what was predicted. */
  double airShare(double rpm) {
    return at(Channel.AIR_FLOW, rpm) / (predicted(rpm, Frozen.Row::airFlow) * breathes());
  }

  /** Fuel over what was predicted. */
  double fuelShare(double rpm) {
    return at(Channel.FUEL_FLOW, rpm) / (predicted(rpm, Frozen.Row::fuelFlow) * breathes());
  }

  double predicted(double rpm, java.util.function.ToDoubleFunction<Frozen.Row> what) {
    return frozen.map(f -> f.at(rpm, what)).orElse(Double.NaN);
  }

  private double breathes() {
    var day = pull.breathed();
    if (frozen.isEmpty() || day.isEmpty()) {
      return Double.NaN;
    }
    DayAir then = frozen.get().air();
    return day.get().dry() / then.dry() * Math.sqrt(then.temperature() / day.get().temperature());
  }

  /** Air over fuel, over the fuel's own, at a speed: lambda by the two meters. */
  double lambdaOfFlows(double rpm) {
    return at(Channel.AIR_FLOW, rpm)
        / at(Channel.FUEL_FLOW, rpm)
        / c.mixture().fuel().stoichiometricAirFuelRatio();
  }

  /** Mean of all cylinders' exhaust gas at a speed, K. */
  double exhaust(double rpm) {
    return pull.rows().all(Channel.EXHAUST_TEMPERATURE).stream()
        .map(k -> PullCurve.of(pull, Channel.EXHAUST_TEMPERATURE, k.place(), WIDTH))
        .mapToDouble(k -> k.map(v -> v.at(rpm)).orElse(Double.NaN))
        .filter(Double::isFinite)
        .average()
        .orElse(Double.NaN);
  }

  /** Mixture that was set for this pull. */
  double lambdaSet() {
    return pull.fitted()
        .map(f -> f.sets().get("mixture.lambda"))
        .filter(grandbore.core.combination.Given.class::isInstance)
        .map(g -> ((grandbore.core.combination.Given) g).si())
        .orElse(c.mixture().lambda().si() * c.learned().mixture().si());
  }
}
