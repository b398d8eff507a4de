package grandbore.core.dyno.calibration;

import grandbore.core.changes.Change;
import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.Pull;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.Fidelity;
import grandbore.core.runs.Base;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Learns coefficients θ from all good pulls together. With f the model's torque and air at the
 * speeds of all settings, y what was read, g the meters' gains, over all pulls and setting by
 * setting, with what the model lacks at a speed in every setting, σ what is not told by any engine,
 * and what was believed before as rows of their own, the sum
 *
 * <p>Σ ((f(θ) g / y − 1) / σ)² + Σ ((θ − θ₀) / s)² + Σ ((g − 1) / s_g)²
 *
 * <p>is made least by Gauss and Newton's steps; σ is then set so that what is left over is what
 * such errors leave, Σ r² = N − k, and the step is made once more. Standard errors are those of the
 * last step, (JᵀJ)⁻¹. The model's slopes are differences over half of what was believed.
 *
 * @param engine as it was frozen
 * @param good pulls, with torque in the air that each had
 * @param coefficients that are asked
 * @param believed of each before
 * @param pointer how much more the pointer shows than there is, rad
 * @param profiled whether each coefficient is held off its best besides
 */
public record CalibrationStudy(
    BuiltEngine engine,
    List<Pull> good,
    List<Coefficient> coefficients,
    Map<Coefficient, Believed> believed,
    double pointer,
    boolean profiled)
    implements Study<Calibration> {
  private static final int FEWEST_PULLS = 1;
  private static final int STEPS = 4;

  /** Steps that move everything by less than this part of what was believed are the last. */
  private static final double SETTLED = 0.02;

  /** Where a coefficient is held for its profile, standard errors off its best. */
  private static final double[] HELD = {-2, 2};

  /** Without profiles. */
  public CalibrationStudy(
      BuiltEngine engine,
      List<Pull> good,
      List<Coefficient> coefficients,
      Map<Coefficient, Believed> believed,
      double pointer) {
    this(engine, good, coefficients, believed, pointer, false);
  }

  public CalibrationStudy {
    good = List.copyOf(good);
    coefficients = List.copyOf(coefficients);
    believed = Map.copyOf(believed);
    if (good.size() < FEWEST_PULLS) {
      throw new InvalidInput("Calibration", "no good pulls", "one or more", "they teach it");
    }
    if (coefficients.isEmpty()) {
      throw new InvalidInput("Calibration", "no coefficients", "one or more", "what is asked?");
    }
  }

  @Override
  public String title() {
    return "Calibration on %d pulls".formatted(good.size());
  }

  @Override
  public Calibration solve(Desk<Calibration> desk) {
    var observed = Observed.of(engine, good, pointer);
    int speeds = observed.stream().mapToInt(o -> o.rows().size()).sum();
    int held = profiled ? 1 + 2 * HELD.length * coefficients.size() : 0;
    desk.expect(speeds * (1 + (STEPS + 1) * (coefficients.size() + 1) + held));
    var bases = new ArrayList<Base>();
    for (var o : observed) {
      bases.add(
          desk.base(
              o.engine(), o.rows().stream().map(Observed.Row::rpm).toList(), Fidelity.PLACED));
    }
    var model = new Model(desk, observed, bases);
    var fit = new Fit(coefficients.stream().map(believed::get).toList(), model.rows());
    double[] theta = coefficients.stream().mapToDouble(c -> c.of(engine.combination())).toArray();
    var before = model.residuals(theta);
    var found = fit.begin(theta);
    Fit.Slopes slopes = null;
    for (int step = 0; step < STEPS; step++) {
      slopes = slopes(model, found.theta(), fit);
      var next = fit.step(found, slopes);
      double moved = fit.moved(found, next);
      found = next;
      if (moved < SETTLED) {
        break;
      }
    }
    var last = slopes(model, found.theta(), fit);
    found = fit.scaled(found, last);
    var after = model.residuals(found.theta());
    var profiles = profiled ? profiles(model, fit, found, after, last) : List.<Profile>of();
    return result(observed, model, before, after, fit, found, last, profiles);
  }

  /** Each held off its best; where the others are best then is sought by one step more. */
  private List<Profile> profiles(
      Model model, Fit fit, Fit.Found best, double[] after, Fit.Slopes slopes) {
    var rows = model.rows();
    // The best is as good as a step more makes it, like the held ones.
    var again = fit.refitted(best, -1, after, slopes);
    double least =
        Math.min(
            fit.misfit(best, after, rows), fit.misfit(again, model.residuals(again.theta()), rows));
    var all = new ArrayList<Profile>();
    for (int k = 0; k < coefficients.size(); k++) {
      var points = new ArrayList<Profile.Point>();
      for (double errors : HELD) {
        var held = fit.held(best, k, errors);
        var others = fit.refitted(held, k, model.residuals(held.theta()), slopes);
        double misfit = fit.misfit(others, model.residuals(others.theta()), rows);
        points.add(new Profile.Point(errors, misfit - least));
      }
      all.add(new Profile(coefficients.get(k), points));
    }
    return all;
  }

  private Fit.Slopes slopes(Model model, double[] theta, Fit fit) {
    var at = model.residuals(theta);
    var columns = new ArrayList<double[]>();
    for (int k = 0; k < theta.length; k++) {
      double h = fit.difference(k);
      var moved = theta.clone();
      moved[k] += h;
      var there = model.residuals(moved);
      var column = new double[at.length];
      for (int i = 0; i < at.length; i++) {
        column[i] = (there[i] - at[i]) / h;
      }
      columns.add(column);
    }
    return new Fit.Slopes(at, columns, model.rows());
  }

  private Calibration result(
      List<Observed> observed,
      Model model,
      double[] before,
      double[] after,
      Fit fit,
      Fit.Found found,
      Fit.Slopes slopes,
      List<Profile> profiles) {
    var learnt = new ArrayList<Learnt>();
    for (int k = 0; k < coefficients.size(); k++) {
      var prior = believed.get(coefficients.get(k));
      learnt.add(
          new Learnt(
              coefficients.get(k),
              found.theta()[k],
              found.error(k),
              prior.mean(),
              prior.deviation()));
    }
    var leftOut = new ArrayList<Calibration.LeftOut>();
    if (observed.size() > 1) {
      for (int g = 0; g < observed.size(); g++) {
        int of = g;
        var without = fit.leavingOut(found, slopes, row -> row.group() == of);
        leftOut.add(
            new Calibration.LeftOut(
                observed.get(g).what(), model.torqueOff(before, g), model.torqueOff(without, g)));
      }
    }
    var band = new ArrayList<Calibration.Narrowed>();
    for (int i = 0; i < slopes.rows().size(); i++) {
      var row = slopes.rows().get(i);
      if (row.group() == 0 && row.meter() == 0) {
        band.add(new Calibration.Narrowed(row.rpm(), found.deviationOf(slopes, i)));
      }
    }
    var day = good.stream().map(p -> LocalDate.ofInstant(p.at(), ZoneOffset.UTC)).findFirst();
    return new Calibration(
        learnt,
        found.correlations(coefficients.size()),
        model.torqueOff(before, -1),
        model.torqueOff(after, -1),
        leftOut,
        band,
        profiles,
        good.stream().map(Pull::number).toList(),
        day.orElseThrow());
  }

  /** The model at the speeds of all settings, as shares off what was read. */
  private final class Model {
    private final Desk<Calibration> desk;
    private final List<Observed> observed;
    private final List<Base> bases;
    private final List<Fit.Row> rows = new ArrayList<>();

    Model(Desk<Calibration> desk, List<Observed> observed, List<Base> bases) {
      this.desk = desk;
      this.observed = observed;
      this.bases = bases;
      for (int g = 0; g < observed.size(); g++) {
        for (var r : observed.get(g).rows()) {
          rows.add(new Fit.Row(g, 0, r.rpm()));
        }
        for (var r : observed.get(g).rows()) {
          if (Double.isFinite(r.airFlow())) {
            rows.add(new Fit.Row(g, 1, r.rpm()));
          }
        }
      }
    }

    List<Fit.Row> rows() {
      return rows;
    }

    double[] residuals(double[] theta) {
      var all = new ArrayList<Double>();
      for (int g = 0; g < observed.size(); g++) {
        var curve = desk.curve(bases.get(g), with(observed.get(g).engine(), theta));
        for (var r : observed.get(g).rows()) {
          all.add(point(curve, r.rpm()).torque() / r.torque() - 1);
        }
        for (var r : observed.get(g).rows()) {
          if (Double.isFinite(r.airFlow())) {
            all.add(point(curve, r.rpm()).airFlow() / r.airFlow() - 1);
          }
        }
      }
      return all.stream().mapToDouble(v -> v).toArray();
    }

    private CurvePoint point(Curve curve, double rpm) {
      return curve.points().stream().filter(p -> p.rpm() == rpm).findFirst().orElseThrow();
    }

    private BuiltEngine with(BuiltEngine e, double[] theta) {
      var sets = new TreeMap<String, Object>();
      for (int k = 0; k < theta.length; k++) {
        sets.put(coefficients.get(k).path(), coefficients.get(k).given(theta[k]));
      }
      return new Change("Tried", sets).on(e);
    }

    /** Root mean square of torque off, as a share, of one group or, below 0, of all. */
    double torqueOff(double[] residuals, int group) {
      double sum = 0;
      int count = 0;
      for (int i = 0; i < rows.size(); i++) {
        boolean counts = rows.get(i).meter() == 0 && (group < 0 || rows.get(i).group() == group);
        if (counts && Double.isFinite(residuals[i])) {
          sum += residuals[i] * residuals[i];
          count++;
        }
      }
      return Math.sqrt(sum / Math.max(1, count));
    }
  }
}
