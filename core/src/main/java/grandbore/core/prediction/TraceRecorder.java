package grandbore.core.prediction;

import grandbore.core.prediction.DuctTrace.State;
import grandbore.core.prediction.Trace.Kind;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.Reservoir;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Writes one cylinder's cycle down, a row a step, with the gas in all pipes that it goes through.
 */
final class TraceRecorder {
  private static final class Row {
    final double angle;
    final double[] values;
    final double[][][] gas;

    Row(double angle, double[] values, double[][][] gas) {
      this.angle = angle;
      this.values = values;
      this.gas = gas;
    }

    double angle() {
      return angle;
    }
  }

  private final CylinderUnit unit;
  private final Reservoir plenum;
  private final Map<Duct, Pipe> ducts = new EnumMap<>(Duct.class);
  private final List<Row> rows = new ArrayList<>();

  /**
   * @param cylinder its number; where it is not solved itself, the one that stands for it is
   */
  TraceRecorder(EngineNetwork network, int cylinder) {
    unit =
        network.units().stream()
            .filter(u -> u.role().numbers().contains(cylinder))
            .findFirst()
            .orElseThrow(() -> new IllegalArgumentException("There is no cylinder " + cylinder));
    int drawsFrom = network.leads(unit, unit.intakePort());
    plenum = network.intake().at(drawsFrom);
    network.intake().inlet(drawsFrom).ifPresent(p -> ducts.put(Duct.INLET, p));
    ducts.put(Duct.INTAKE, unit.intake());
    ducts.put(Duct.EXHAUST, unit.exhaust());
    ducts.putAll(network.exhaust().behind(network.leads(unit, unit.exhaustPort())));
  }

  void record() {
    var c = unit.cylinder();
    var flame = c.flameNow();
    rows.add(
        new Row(
            c.phase(),
            new double[] {
              c.pressure(),
              c.temperature(),
              c.volume(),
              unit.intakeLift(),
              unit.exhaustLift(),
              unit.intakeValve().massFlow(),
              -unit.exhaustValve().massFlow(),
              unit.intakeValve().pipePressure(),
              unit.exhaustValve().pipePressure(),
              c.burned(),
              flame.share(),
              flame.radius(),
              flame.unburned(),
              flame.burned(),
              plenum.pressure(),
              plenum.temperature()
            },
            ducts.values().stream().map(TraceRecorder::gas).toArray(double[][][]::new)));
  }

  /** All states of a pipe, a value a cell each. */
  private static double[][] gas(Pipe pipe) {
    var all = new double[State.values().length][pipe.cells()];
    for (int i = 0; i < pipe.cells(); i++) {
      all[State.PRESSURE.ordinal()][i] = pipe.pressure(i);
      all[State.SPEED.ordinal()][i] = pipe.velocity(i);
      all[State.TEMPERATURE.ordinal()][i] = pipe.temperature(i);
      all[State.BURNED.ordinal()][i] = pipe.burned(i);
    }
    return all;
  }

  Trace trace(CurvePoint point) {
    var sorted = rows.stream().sorted(Comparator.comparingDouble(Row::angle)).toList();
    int n = sorted.size();
    var series = new EnumMap<Kind, double[]>(Kind.class);
    for (var kind : Kind.values()) {
      series.put(kind, sorted.stream().mapToDouble(r -> r.values[kind.ordinal()]).toArray());
    }
    var along = new ArrayList<DuctTrace>();
    for (var duct : ducts.entrySet()) {
      int k = along.size();
      var states = new EnumMap<State, double[][]>(State.class);
      for (var state : State.values()) {
        var table = new double[n][];
        for (int i = 0; i < n; i++) {
          table[i] = sorted.get(i).gas[k][state.ordinal()];
        }
        states.put(state, table);
      }
      along.add(new DuctTrace(duct.getKey(), duct.getValue().length(), states));
    }
    return new Trace(
        point,
        sorted.stream().mapToDouble(Row::angle).toArray(),
        series,
        along,
        unit.cylinder().walls().now(unit.exhaust()));
  }
}
