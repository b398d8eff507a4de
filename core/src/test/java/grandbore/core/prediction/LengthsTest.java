package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import org.junit.jupiter.api.Test;

/** A length swept moves the result smoothly, however many cells the pipe is cut into. */
class LengthsTest extends EngineTest {
  private static final int STEPS = 13;
  private static final double STEP = 0.02;

  /** What a curve's average may bend from one step of two per cent to the next, of it. */
  private static final double BEND = 1e-3;

  /** What coarse and fine cells may differ by, of the average. */
  private static final double CELLS = 3e-3;

  private static double average(Combination c, Fidelity fidelity) {
    var band = WantedBand.of(c.brief());
    return band.meanPower(PREDICTOR.predict(BuiltEngine.asSpecified(c), band.speeds(10), fidelity));
  }

  private static Combination at(Combination c, String path, int step) {
    var was = (Given) c.at(path);
    return c.with(path, was.with(was.si() * (1 + STEP * (step - STEPS / 2)), was.provenance()));
  }

  private static void smooth(Combination c, String path) {
    var power = new double[STEPS];
    for (int i = 0; i < STEPS; i++) {
      power[i] = average(at(c, path, i), Fidelity.LIVE);
    }
    for (int i = 1; i < STEPS - 1; i++) {
      double bend = (power[i + 1] - 2 * power[i] + power[i - 1]) / power[i];
      assertThat(bend).as("%s at step %d", path, i).isCloseTo(0, within(BEND));
    }
  }

  @Test
  void runnersAndPortsOfAnEngineWithAThrottleARunner() {
    smooth(FOUR, "intake.runnerLength");
    smooth(FOUR, "heads.intakePortLength");
  }

  @Test
  void pipesOfAnEngineWithAPlenum() {
    smooth(EIGHT, "intake.runnerLength");
    smooth(EIGHT, "exhaust.primaryLength");
  }

  @Test
  void coarseAndFineCellsComeToTheSame() {
    for (var c : new Combination[] {FOUR, at(FOUR, "intake.runnerLength", 1), EIGHT}) {
      double coarse = average(c, Fidelity.PLACED);
      assertThat(average(c, Fidelity.FULL)).isCloseTo(coarse, within(CELLS * coarse));
    }
  }
}
