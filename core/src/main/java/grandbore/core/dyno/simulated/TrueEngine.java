package grandbore.core.dyno.simulated;

import grandbore.core.changes.Change;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.Provenance;
import grandbore.core.dyno.DayAir;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiFunction;

/**
 * The engine that nobody is told of, with those faults on it that change what it does: what is set
 * and what is wrong with ignition, mixture, springs, belt and cooler goes into the wave model.
 */
final class TrueEngine {
  private static final double SPACING = 500;

  private final BuiltEngine engine;
  private final DayAir air;
  private final BiFunction<BuiltEngine, List<Double>, Curve> solver;

  /**
   * @param engine as it really is
   * @param air of the day
   * @param solver runs an engine at some speeds
   */
  TrueEngine(BuiltEngine engine, DayAir air, BiFunction<BuiltEngine, List<Double>, Curve> solver) {
    this.engine = engine;
    this.air = air;
    this.solver = solver;
  }

  TrueCurve curve(Asked asked, Map<Fault, Double> faults) {
    var speeds = new ArrayList<Double>();
    int steps = Math.max(5, (int) Math.ceil((asked.to() - asked.from()) / SPACING));
    for (int k = 0; k <= steps; k++) {
      speeds.add(asked.from() + (asked.to() - asked.from()) * k / steps);
    }
    var points = new ArrayList<CurvePoint>();
    if (faults.keySet().stream().anyMatch(TrueEngine::goesWithSpeed)) {
      for (double n : speeds) {
        points.addAll(run(at(n, asked, faults), List.of(n)));
      }
    } else {
      points.addAll(run(at(asked.to(), asked, faults), speeds));
    }
    return new TrueCurve(points);
  }

  /** An engine whose valves float does not settle; what it did last is what it does. */
  private List<CurvePoint> run(BuiltEngine as, List<Double> speeds) {
    return solver.apply(as, speeds).points().stream()
        .filter(p -> Double.isFinite(p.torque()))
        .toList();
  }

  private static boolean goesWithSpeed(Fault fault) {
    return switch (fault) {
      case REVERSED_PICKUP, RICH_BELOW, BELT_SLIP -> true;
      default -> false;
    };
  }

  private BuiltEngine at(double rpm, Asked asked, Map<Fault, Double> faults) {
    var set = new TreeMap<>(asked.sets());
    var c = engine.combination();
    set.put("weather.pressure", known(c.weather().pressure(), air.pressure()));
    set.put("weather.temperature", known(c.weather().temperature(), air.temperature()));
    set.put("weather.humidity", known(c.weather().humidity(), air.humidity()));
    set.put("mixture.spark", Mixture.Spark.FIXED);
    double spark = asked.spark() - Math.toRadians(faults.getOrDefault(Fault.POINTER, 0.0));
    double late = faults.getOrDefault(Fault.REVERSED_PICKUP, 0.0) * rpm / 1000;
    set.put("mixture.advance", known(c.mixture().advance(), spark - Math.toRadians(late)));
    var given = (Given) set.getOrDefault("mixture.lambda", c.mixture().lambda());
    double lambda = given.si();
    lambda *= 1 + faults.getOrDefault(Fault.LEAN, 0.0);
    double below = (asked.to() - rpm) / (asked.to() - asked.from());
    lambda *= 1 - faults.getOrDefault(Fault.RICH_BELOW, 0.0) * below;
    set.put("mixture.lambda", known(given, Math.max(0.66, Math.min(1.24, lambda))));
    if (faults.containsKey(Fault.VALVE_FLOAT)) {
      double left = 1 - faults.get(Fault.VALVE_FLOAT);
      var train = c.valveTrain();
      set.put("valveTrain.springSeat", known(train.springSeat(), left * train.springSeat().si()));
      set.put("valveTrain.springRate", known(train.springRate(), left * train.springRate().si()));
    }
    boost(set, c, 1 - below, faults);
    return new Change("As it is pulled", set).on(engine);
  }

  private static void boost(
      Map<String, Object> set, Combination c, double up, Map<Fault, Double> faults) {
    var boost = c.boost();
    // It grips below and slips more the more there is to drive.
    double grip = 1 - faults.getOrDefault(Fault.BELT_SLIP, 0.0) * Math.max(0, 2 * up - 1);
    if (grip < 1 && boost.kind() == Boost.Kind.POSITIVE_DISPLACEMENT) {
      set.put("boost.sweptPerTurn", known(boost.sweptPerTurn(), boost.sweptPerTurn().si() * grip));
    } else if (grip < 1 && boost.kind() == Boost.Kind.CENTRIFUGAL) {
      set.put("boost.ratedSpeed", known(boost.ratedSpeed(), boost.ratedSpeed().si() / grip));
    }
    if (faults.containsKey(Fault.HEAT_SOAKED) && boost.isFitted()) {
      set.put(
          "boost.cooling",
          known(boost.cooling(), boost.cooling().si() * (1 - faults.get(Fault.HEAT_SOAKED))));
    }
  }

  private static Given known(Given was, double si) {
    return was.with(si, Provenance.MEASURED);
  }
}
