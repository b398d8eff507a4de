package grandbore.core.dyno.calibration;

import grandbore.core.dyno.calibration.PooledCases.Row;
import grandbore.core.dyno.calibration.PooledCases.Setting;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.Fidelity;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;

/** Predicts what was pulled: every setting of each case's good pulls, in the air that it had. */
public record CasesStudy(List<PooledCases.Case> cases, Fidelity fidelity)
    implements Study<PooledCases> {
  public CasesStudy {
    cases = List.copyOf(cases);
  }

  @Override
  public String title() {
    return "Predicted and pulled";
  }

  @Override
  public PooledCases solve(Desk<PooledCases> desk) {
    var observed = cases.stream().map(c -> Observed.of(c.engine(), c.good(), c.pointer())).toList();
    observed.forEach(all -> all.forEach(o -> desk.expect(o.rows().size())));
    var pooled = new PooledCases(List.of());
    for (int k = 0; k < cases.size(); k++) {
      var settings = new ArrayList<Setting>();
      for (var o : observed.get(k)) {
        settings.add(setting(desk, o));
      }
      pooled = pooled.with(new PooledCases.Ran(cases.get(k).name(), settings));
      desk.show(pooled);
    }
    return pooled;
  }

  private Setting setting(Desk<PooledCases> desk, Observed o) {
    var speeds = o.rows().stream().map(Observed.Row::rpm).toList();
    var rows = new ArrayList<Row>();
    for (CurvePoint p : desk.curve(o.engine(), speeds, fidelity).settled()) {
      o.rows().stream()
          .filter(r -> r.rpm() == p.rpm())
          .forEach(r -> rows.add(new Row(p.rpm(), p.torque(), r.torque())));
    }
    return new Setting(o.what(), rows);
  }
}
