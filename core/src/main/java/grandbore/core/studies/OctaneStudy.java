package grandbore.core.studies;

import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.compression.RatioSolver.Lever;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;

/**
 * The octane that an engine asks for at one speed by its compression ratio, chambers made larger
 * and smaller, the spark as it is timed.
 *
 * @param rpm rev/min
 */
public record OctaneStudy(BuiltEngine engine, double rpm)
    implements Study<List<OctaneStudy.Asked>> {
  private static final double[] STEPS = {-1.5, -0.75, 0, 0.75, 1.5};

  /**
   * @param ratio compression ratio
   * @param octane (R+M)/2; not a number where the speed did not settle
   */
  public record Asked(double ratio, double octane) {}

  @Override
  public String title() {
    return "Compression ratios at %,.0f rpm".formatted(rpm);
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), rpm);
  }

  @Override
  public List<Asked> solve(Desk<List<Asked>> desk) {
    var engines = new ArrayList<BuiltEngine>();
    var ratios = new ArrayList<Double>();
    for (double step : STEPS) {
      double ratio = engine.combination().staticRatio() + step;
      try {
        engines.add(BuiltEngine.asSpecified(atRatio(engine.combination(), ratio)));
        ratios.add(ratio);
      } catch (InvalidInput e) {
        // That ratio can't be: the line is shorter.
      }
    }
    return asked(ratios, desk.curves(engines, List.of(rpm), c -> desk.show(asked(ratios, c))));
  }

  private static List<Asked> asked(List<Double> ratios, List<Curve> curves) {
    var all = new ArrayList<Asked>();
    for (int i = 0; i < curves.size(); i++) {
      var point = curves.get(i).points().getFirst();
      all.add(
          new Asked(
              ratios.get(i), point.converged() ? point.margins().octaneWanted() : Double.NaN));
    }
    return List.copyOf(all);
  }

  private static Combination atRatio(Combination c, double ratio) {
    var chamber = c.compression().chamberVolume();
    double volume = Lever.CHAMBER.forRatio(c, ratio);
    return c.with("compression.chamberVolume", chamber.with(volume, chamber.provenance()));
  }
}
