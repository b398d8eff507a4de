package grandbore.core.prediction;

import grandbore.core.prediction.Trace.Kind;
import grandbore.core.waves.Pipe;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;

/** Writes one cylinder's cycle down, a row a step. */
final class TraceRecorder {
  private static final class Row {
    final double angle;
    final double[] values;
    final double[] intake;
    final double[] exhaust;
    final double[] speed;

    Row(double angle, double[] values, double[] intake, double[] exhaust, double[] speed) {
      this.angle = angle;
      this.values = values;
      this.intake = intake;
      this.exhaust = exhaust;
      this.speed = speed;
    }

    double angle() {
      return angle;
    }
  }

  private final CylinderUnit unit;
  private final List<Row> rows = new ArrayList<>();

  TraceRecorder(CylinderUnit unit) {
    this.unit = unit;
  }

  void record() {
    var c = unit.cylinder();
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
              unit.exhaustValve().pipePressure()
            },
            pressures(unit.intake()),
            pressures(unit.exhaust()),
            speeds(unit.intake())));
  }

  private static double[] pressures(Pipe pipe) {
    var p = new double[pipe.cells()];
    for (int i = 0; i < p.length; i++) {
      p[i] = pipe.pressure(i);
    }
    return p;
  }

  private static double[] speeds(Pipe pipe) {
    var u = new double[pipe.cells()];
    for (int i = 0; i < u.length; i++) {
      u[i] = pipe.velocity(i);
    }
    return u;
  }

  Trace trace(CurvePoint point) {
    var sorted = rows.stream().sorted(Comparator.comparingDouble(Row::angle)).toList();
    int n = sorted.size();
    var angles = new double[n];
    var intake = new double[n][];
    var exhaust = new double[n][];
    var speed = new double[n][];
    var values = new double[Kind.values().length][n];
    for (int i = 0; i < n; i++) {
      var row = sorted.get(i);
      angles[i] = row.angle;
      intake[i] = row.intake;
      exhaust[i] = row.exhaust;
      speed[i] = row.speed;
      for (int k = 0; k < values.length; k++) {
        values[k][i] = row.values[k];
      }
    }
    var series = new EnumMap<Kind, double[]>(Kind.class);
    for (var kind : Kind.values()) {
      series.put(kind, values[kind.ordinal()]);
    }
    return new Trace(point, angles, series, intake, exhaust, speed);
  }
}
