package grandbore.core.studies;

import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;

/**
 * The band's average by the intake runner's length, from six tenths of the length that stands to
 * nearly twice it.
 */
public record RunnerStudy(BuiltEngine engine, WantedBand band) implements Study<Sweep> {
  private static final double[] SHARES = {0.6, 0.8, 1, 1.25, 1.55, 1.9};
  private static final int POINTS = 6;

  @Override
  public String title() {
    return "Runner lengths";
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), band);
  }

  @Override
  public Sweep solve(Desk<Sweep> desk) {
    var runner = engine.combination().intake().runnerLength();
    var lengths = new ArrayList<Double>();
    var engines = new ArrayList<BuiltEngine>();
    for (double share : SHARES) {
      try {
        var other = runner.with(share * runner.si(), runner.provenance());
        engines.add(
            new BuiltEngine(
                engine.combination().with("intake.runnerLength", other), engine.clearances()));
        lengths.add(other.si());
      } catch (InvalidInput e) {
        // No runner is so short or so long.
      }
    }
    return sweep(
        lengths, desk.curves(engines, band.speeds(POINTS), c -> desk.show(sweep(lengths, c))));
  }

  private Sweep sweep(List<Double> lengths, List<Curve> curves) {
    return new Sweep(
        lengths.subList(0, curves.size()), curves.stream().map(band::meanPower).toList());
  }
}
