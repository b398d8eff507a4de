package grandbore.core.dyno.calibration;

import grandbore.core.dyno.Pull;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.Fidelity;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;

/**
 * Predicts what was pulled: every setting of a build's good pulls, in the air that it had.
 *
 * @param engine as it was before the first pull
 * @param good pulls
 * @param pointer how much more the pointer shows than there is, rad
 */
public record CaseStudy(BuiltEngine engine, List<Pull> good, double pointer, Fidelity fidelity)
    implements Study<List<CaseStudy.Setting>> {
  /**
   * @param what by which the setting is told
   * @param rows by speed
   */
  public record Setting(String what, List<Row> rows) {
    public Setting {
      rows = List.copyOf(rows);
    }

    /** Root mean square of the torque off, as a share. */
    public double off() {
      return Math.sqrt(
          rows.stream()
              .mapToDouble(r -> Math.pow(r.predicted / r.observed - 1, 2))
              .filter(Double::isFinite)
              .average()
              .orElse(Double.NaN));
    }

    public double mostPredicted() {
      return rows.stream().mapToDouble(Row::predicted).max().orElse(Double.NaN);
    }

    public double mostObserved() {
      return rows.stream().mapToDouble(Row::observed).max().orElse(Double.NaN);
    }

    public double mostPowerPredicted() {
      return rows.stream().mapToDouble(r -> r.predicted * r.rpm).max().orElse(0) * Math.PI / 30;
    }

    public double mostPowerObserved() {
      return rows.stream().mapToDouble(r -> r.observed * r.rpm).max().orElse(0) * Math.PI / 30;
    }
  }

  /**
   * Torque of the engine in the day's air, N m.
   *
   * @param rpm rev/min
   */
  public record Row(double rpm, double predicted, double observed) {}

  public CaseStudy {
    good = List.copyOf(good);
  }

  @Override
  public String title() {
    return "Predicted and pulled";
  }

  @Override
  public List<Setting> solve(Desk<List<Setting>> desk) {
    var all = new ArrayList<Setting>();
    for (var o : Observed.of(engine, good, pointer)) {
      var speeds = o.rows().stream().map(Observed.Row::rpm).toList();
      desk.expect(speeds.size());
      var rows = new ArrayList<Row>();
      for (CurvePoint p : desk.curve(o.engine(), speeds, fidelity).settled()) {
        o.rows().stream()
            .filter(r -> r.rpm() == p.rpm())
            .forEach(r -> rows.add(new Row(p.rpm(), p.torque(), r.torque())));
      }
      all.add(new Setting(o.what(), rows));
      desk.show(List.copyOf(all));
    }
    return List.copyOf(all);
  }
}
