package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.Said;
import grandbore.core.combination.Combination;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.Measure;
import java.util.List;

/** Engines to try things on, and how to run them. */
abstract class EngineTest {
  static final Predictor PREDICTOR = new Predictor();
  static final Combination EIGHT = DemoBuilds.hillClimbEight().combination();
  static final Combination FOUR = DemoBuilds.paddockFour().combination();

  /** A combination with one input, in a unit. */
  static Combination with(Combination c, String path, double value, Measure unit) {
    return Said.with(c, path, value, unit);
  }

  /** One settled point. */
  static CurvePoint point(Combination c, double rpm, Fidelity fidelity) {
    return curve(c, List.of(rpm), fidelity).getFirst();
  }

  /** Settled points. */
  static List<CurvePoint> curve(Combination c, List<Double> speeds, Fidelity fidelity) {
    var points = PREDICTOR.predict(BuiltEngine.asSpecified(c), speeds, fidelity).points();
    assertThat(points).allSatisfy(p -> assertThat(p.converged()).as(p.note()).isTrue());
    return points;
  }
}
