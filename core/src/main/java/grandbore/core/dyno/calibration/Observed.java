package grandbore.core.dyno.calibration;

import grandbore.core.changes.Change;
import grandbore.core.combination.Given;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.Provenance;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.Standard;
import grandbore.core.dyno.effects.Setting;
import grandbore.core.prediction.BuiltEngine;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;

/**
 * Pulls of one setting, as the model is to meet them.
 *
 * @param what by which the setting is told
 * @param engine with that setting, in that air
 * @param rows by speed
 */
record Observed(String what, BuiltEngine engine, List<Row> rows) {
  private static final double SPACING = 500;

  /**
   * @param torque of the engine in its air, N m
   * @param airFlow kg/s; not a number where it was not read
   */
  record Row(double rpm, double torque, double airFlow) {}

  Observed {
    rows = List.copyOf(rows);
  }

  /**
   * @param frozen the engine as it was before the first pull
   * @param pointer how much more the pointer shows than there is, rad
   */
  static List<Observed> of(BuiltEngine frozen, List<Pull> good, double pointer) {
    var all = new ArrayList<Observed>();
    for (var group : Setting.together(good)) {
      all.add(of(frozen, group, pointer));
    }
    return List.copyOf(all);
  }

  private static Observed of(BuiltEngine frozen, Setting.Group group, double pointer) {
    var airs =
        group.pulls().stream()
            .map(
                p ->
                    p.breathed()
                        .orElseThrow(
                            () ->
                                new IllegalArgumentException(
                                    p.title()
                                        + ": its air is not known; it can't be learned from")))
            .toList();
    var mean =
        new DayAir(
            airs.stream().mapToDouble(DayAir::pressure).average().orElseThrow(),
            airs.stream().mapToDouble(DayAir::temperature).average().orElseThrow(),
            airs.stream().mapToDouble(DayAir::humidity).average().orElseThrow());
    var torques =
        group.pulls().stream()
            .map(p -> PullCurve.torque(p, Standard.SAE_J1349, PullCurve.USUAL_WIDTH))
            .toList();
    double back = 1 / Standard.SAE_J1349.factor(mean);
    var flows =
        group.pulls().stream()
            .flatMap(p -> PullCurve.of(p, Channel.AIR_FLOW, 0, PullCurve.USUAL_WIDTH).stream())
            .toList();
    double from = torques.stream().mapToDouble(PullCurve::from).max().orElseThrow();
    double to = torques.stream().mapToDouble(PullCurve::to).min().orElseThrow();
    var rows = new ArrayList<Row>();
    for (double n = Math.ceil(from / SPACING) * SPACING; n <= to; n += SPACING) {
      rows.add(new Row(n, back * mean(torques, n), flows.isEmpty() ? Double.NaN : mean(flows, n)));
    }
    return new Observed(words(group), engine(frozen, group, mean, pointer), rows);
  }

  private static String words(Setting.Group group) {
    String first = "Pull " + group.pulls().getFirst().number();
    String changed = group.setting().words();
    return changed.isBlank() ? first : first + ": " + changed;
  }

  private static double mean(List<PullCurve> curves, double rpm) {
    return curves.stream()
        .mapToDouble(c -> c.at(rpm))
        .filter(Double::isFinite)
        .average()
        .orElse(Double.NaN);
  }

  private static BuiltEngine engine(
      BuiltEngine frozen, Setting.Group group, DayAir air, double pointer) {
    var sets = new TreeMap<>(group.setting().sets());
    var c = frozen.combination();
    sets.put("weather.pressure", measured(c.weather().pressure(), air.pressure()));
    sets.put("weather.temperature", measured(c.weather().temperature(), air.temperature()));
    sets.put("weather.humidity", measured(c.weather().humidity(), air.humidity()));
    double spark = group.pulls().getFirst().spark();
    if (!Double.isNaN(spark)) {
      sets.put("mixture.spark", Mixture.Spark.FIXED);
      sets.put("mixture.advance", measured(c.mixture().advance(), spark - pointer));
    }
    group.pulls().stream()
        .flatMap(p -> p.rows().mean(Channel.OIL_TEMPERATURE).stream())
        .mapToDouble(t -> t)
        .average()
        .ifPresent(
            t ->
                sets.put(
                    "losses.oilTemperature",
                    measured(c.losses().oilTemperature(), Math.max(300, Math.min(430, t)))));
    return new Change("As pulled", sets).on(frozen);
  }

  private static Given measured(Given was, double si) {
    return was.with(si, Provenance.MEASURED);
  }
}
