package grandbore.core.dyno.simulated;

import grandbore.core.changes.Change;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.Standard;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import java.time.Instant;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/** A day on a simulated dyno, one pull after the other. */
public final class SimulatedDyno {
  private final TrueEngine engine;
  private final BrakeCell cell;
  private final DayAir air;
  private final Map<Fault, Double> faults = new EnumMap<>(Fault.class);
  private final Map<Object, TrueCurve> solved = new HashMap<>();

  /**
   * @param build the engine as its builder knows it
   * @param hidden how it really is
   * @param air of the day
   * @param solver runs an engine at some speeds, rev/min
   */
  public SimulatedDyno(
      BuiltEngine build,
      Hidden hidden,
      DayAir air,
      BiFunction<BuiltEngine, List<Double>, Curve> solver) {
    engine = new TrueEngine(hidden.on(build), air, solver);
    cell = new BrakeCell(build.combination(), air, hidden.seed());
    this.air = air;
  }

  /** From now on this is wrong. */
  public void give(Fault fault, double amount) {
    faults.put(fault, amount);
  }

  /** It is found and mended. */
  public void mend(Fault fault) {
    faults.remove(fault);
  }

  public Map<Fault, Double> faults() {
    return Collections.unmodifiableMap(faults);
  }

  public DayAir air() {
    return air;
  }

  /** What it turns with the engine, kg m². */
  public double inertia() {
    return cell.inertia();
  }

  /**
   * Runs a pull; what the recorder has of it.
   *
   * @param number it gets
   * @param day it belongs to
   * @param changed since the one before, in words
   */
  public Pull pull(Asked asked, int number, String day, Instant at, String changed) {
    var key = List.of(asked.sets(), asked.spark(), asked.from(), asked.to(), Map.copyOf(faults));
    var curve = solved.computeIfAbsent(key, k -> engine.curve(asked, faults));
    var rows = cell.pull(curve, asked, faults);
    boolean sweep = asked.how() == Pull.How.SWEEP;
    return new Pull(
        number,
        day,
        at,
        asked.how(),
        sweep ? asked.rate() : 0,
        sweep ? cell.inertia() : 0,
        Optional.of(air),
        Standard.NONE,
        asked.spark(),
        changed,
        asked.sets().isEmpty()
            ? Optional.empty()
            : Optional.of(new Change("As pulled", asked.sets())),
        "simulated dyno",
        "",
        rows);
  }
}
