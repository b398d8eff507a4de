package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Combination;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The curve must not depend on the cells: a study on ever finer ones. */
class MeshStudyTest extends EngineTest {
  private static final double STEP = Fidelity.FULL.mesh().step();

  /** Cell lengths of intake and exhaust, m; the first is what the others are held against. */
  private static final List<Mesh> MESHES =
      List.of(
          new Mesh(0.011, 0.020, STEP),
          new Mesh(0.016, 0.028, STEP),
          new Mesh(0.022, 0.040, STEP),
          Fidelity.FULL.mesh(),
          Fidelity.LIVE.mesh());

  /** What each may differ by at most. */
  private static final double[] MOST = {0, 0.005, 0.008, 0.012, 0.015};

  private static final List<Double> SPEEDS = List.of(3000.0, 4000.0, 5000.0, 6000.0, 7000.0);

  @Tag("study")
  @Test
  void theCurveHardlyDependsOnTheCells() {
    for (var c : List.of(FOUR, Arrangement.VEE_8_CROSS.of(EIGHT))) {
      var finest = run(c, MESHES.getFirst());
      for (int k = MESHES.size() - 1; k > 0; k--) {
        var curve = run(c, MESHES.get(k));
        double worst = 0;
        double mean = 0;
        for (int i = 0; i < SPEEDS.size(); i++) {
          double error = Math.abs(curve.get(i).torque() / finest.get(i).torque() - 1);
          worst = Math.max(worst, error);
          mean += error / SPEEDS.size();
        }
        System.out.printf(
            Locale.ROOT,
            "%s: cells of %.0f and %.0f mm: torque differs by %.2f %% on the mean, %.2f %% at"
                + " most%n",
            c.name(),
            1e3 * MESHES.get(k).intake(),
            1e3 * MESHES.get(k).exhaust(),
            100 * mean,
            100 * worst);
        assertThat(worst).isLessThan(MOST[k]);
      }
    }
  }

  private static List<CurvePoint> run(Combination c, Mesh mesh) {
    var points =
        PREDICTOR
            .predict(BuiltEngine.asSpecified(c), SPEEDS, Fidelity.FULL, mesh, p -> {}, () -> false)
            .points();
    assertThat(points).allMatch(CurvePoint::converged);
    return points;
  }
}
