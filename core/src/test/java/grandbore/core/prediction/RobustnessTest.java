package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Combination;
import grandbore.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** Valid combinations, silly ones too: every point settles or says why not. */
class RobustnessTest {
  private static final double LONGEST = 120;

  @Test
  @Timeout(value = 5, unit = TimeUnit.MINUTES)
  void fortyEnginesSettleOrSayWhyNot() throws Exception {
    var ends = check(new RandomEngines(20_261_125), 40, 0.7);
    assertThat(ends.values().stream().mapToInt(n -> n).sum()).isEqualTo(40);
  }

  /**
   * Silly engines that never come to rest: one that swings a little, one that fires well by turns.
   */
  @Test
  void whatNeverComesToRestIsTold() throws Exception {
    var engines = new RandomEngines(1);
    var points = new ArrayList<CurvePoint>();
    for (int i = 0; i <= 253; i++) {
      var c = engines.next();
      double rpm = engines.speed();
      if (i == 124 || i == 253) {
        points.add(run(c, rpm, Fidelity.values()[i % 3]));
      }
    }
    assertThat(points.getFirst().converged()).isTrue();
    assertThat(points.getFirst().convergence().change()).isBetween(1e-3, 1e-2);
    assertThat(points.getLast().converged()).isFalse();
    assertThat(points.getLast().note()).contains("burns well");
  }

  /**
   * A throttle far too small empties a little plenum, of which copies draw on, until the gas leaves
   * the model's range: every cylinder is solved then, and the next speed is what it is alone.
   */
  @Test
  void whatBreaksIsSolvedAndSpoilsNothing() {
    var twelve = Arrangement.VEE_12.of(EngineTest.EIGHT).with("intake.throttles", 1);
    var c =
        EngineTest.with(
            EngineTest.with(twelve, "intake.plenumVolume", 0.5, Measure.LITRES),
            "intake.throttleFlow",
            0.06,
            Measure.CUBIC_METRES_PER_SECOND);
    var engine = BuiltEngine.asSpecified(c);
    var solver =
        new OperatingPointSolver(engine, Fidelity.LIVE.roles(engine), Fidelity.LIVE.mesh());
    var drawn = solver.run(6000, () -> false);
    assertThat(drawn.converged()).isTrue();
    // The throttle is choked: a critical ratio and more below the air outside.
    assertThat(drawn.plenumPressure()).isBetween(30e3, 53e3);
    assertThat(solver.run(1500, () -> false).torque())
        .isCloseTo(run(c, 1500, Fidelity.LIVE).torque(), Percentage.withPercentage(0.2));
  }

  @Tag("study")
  @Test
  void twoThousandEnginesSettleOrSayWhyNot() throws Exception {
    var ends = check(new RandomEngines(1), 2000, 0.85);
    ends.forEach((end, points) -> System.out.printf("%d points: %s%n", points, end));
  }

  /** How many points ended how. */
  private static Map<String, Integer> check(RandomEngines engines, int count, double settled)
      throws Exception {
    var tasks = new ArrayList<Callable<CurvePoint>>();
    for (int i = 0; i < count; i++) {
      var c = engines.next();
      double rpm = engines.speed();
      var fidelity = Fidelity.values()[i % 3];
      tasks.add(() -> run(c, rpm, fidelity));
    }
    int converged = 0;
    var ends = new TreeMap<String, Integer>();
    try (var pool = Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors())) {
      for (var future : pool.invokeAll(tasks)) {
        var point = future.get();
        converged += sound(point) ? 1 : 0;
        ends.merge(point.converged() ? "settled" : point.note(), 1, Integer::sum);
      }
    }
    assertThat(converged).isGreaterThan((int) (settled * count));
    return ends;
  }

  private static CurvePoint run(Combination c, double rpm, Fidelity fidelity) {
    long start = System.nanoTime();
    var engine = BuiltEngine.asSpecified(c);
    var point =
        new OperatingPointSolver(engine, fidelity.roles(engine), fidelity.mesh())
            .run(rpm, () -> System.nanoTime() - start > LONGEST * 1e9);
    assertThat(point.note()).isNotEqualTo("cancelled");
    return point;
  }

  /** Whether it settled; a point that did not gives its reason, one that did is a number. */
  private static boolean sound(CurvePoint p) {
    if (!p.converged()) {
      assertThat(p.note()).isNotBlank();
      return false;
    }
    assertThat(p.note()).isEmpty();
    assertThat(
            List.of(
                p.torque(),
                p.power(),
                p.imep(),
                p.pmep(),
                p.fmep(),
                p.airFlow(),
                p.peakPressure(),
                p.exhaustTemperature(),
                p.plenumPressure(),
                p.heatShare(),
                p.margins().octaneWanted(),
                p.efforts().rodTension()))
        .allMatch(Double::isFinite);
    assertThat(p.trappedMass()).isPositive();
    assertThat(p.residual()).isBetween(0.0, 1.0);
    assertThat(p.blowBy()).isBetween(0.0, 1.0);
    assertThat(p.change()).isLessThan(1e-3);
    return true;
  }
}
