package grandbore.core.studies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Desk;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Study;
import grandbore.core.runs.Urgency;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

/** The order of most gain for money, and engines that are run together. */
class BestOrderTest {
  private static final BuiltEngine FOUR =
      BuiltEngine.asSpecified(DemoBuilds.paddockFour().combination());
  private static final WantedBand BAND = new WantedBand(5000, 7500);
  private static final List<Double> SPEEDS = BAND.speeds(3);

  private static <T> T run(Study<T> study) {
    try (var queue = new RunQueue(2)) {
      return queue.submit(study, Urgency.STUDY).await();
    }
  }

  private static Change change(String name, String path, double factor, double price) {
    var was = (Given) FOUR.combination().at(path);
    return new Change(name, Map.of(path, was.with(factor * was.si(), Provenance.CARD)))
        .costing(new Cost(price, 0, 0));
  }

  private static List<Change> changes() {
    return List.of(
        change("Throttles half shut", "intake.throttleFlow", 0.5, 1),
        change("Tight chambers, dear", "compression.chamberVolume", 0.95, 5000),
        change("Tight pistons, cheap", "bottomEnd.pinHeight", 1.004, 20),
        change("Does not fit", "bottomEnd.pinHeight", 1.9, 5));
  }

  /** Each rung is the best of those left for its money; what gives nothing stays behind. */
  @Test
  void eachRungIsTheBestOfThoseLeftForItsMoney() {
    var order = run(new BestOrderStudy(FOUR, changes(), SPEEDS, BAND));
    assertThat(order).containsExactlyInAnyOrder(0, 1, 2, 3);
    assertThat(order.subList(0, 2)).containsExactly(2, 1);
    // The same rungs, reckoned from a ladder of every set.
    var ladder = run(new LadderStudy(FOUR, changes().subList(0, 3), SPEEDS, BAND, true));
    assertThat(ladder.alone(2) / 20).isGreaterThan(ladder.alone(1) / 5000);
    assertThat(ladder.alone(0)).isNegative();
    assertThatThrownBy(() -> new BestOrderStudy(FOUR, changes().subList(0, 1), SPEEDS, BAND))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("2 or more");
  }

  /** Runs some engines from one base, together or one after the other. */
  private record Runs(List<BuiltEngine> engines, boolean together) implements Study<List<Double>> {
    @Override
    public String title() {
      return "From one base";
    }

    @Override
    public List<Double> solve(Desk<List<Double>> desk) {
      var base = desk.base(FOUR, SPEEDS, Fidelity.LIVE);
      var curves =
          together
              ? desk.curves(base, engines)
              : engines.stream().map(e -> desk.curve(base, e)).toList();
      return curves.stream().flatMap(c -> c.points().stream()).map(p -> p.torque()).toList();
    }
  }

  /** What an engine comes to among others is what it comes to alone, to the last digit. */
  @Test
  void engineRunTogetherComeToWhatTheyComeToAlone() {
    var engines = new ArrayList<BuiltEngine>();
    for (int k = 0; k < 7; k++) {
      engines.add(change("Longer", "exhaust.primaryLength", 1 + 0.03 * k, 0).on(FOUR));
    }
    // Each in a queue of its own, so that nothing is remembered.
    assertThat(run(new Runs(engines, true))).isEqualTo(run(new Runs(engines, false)));
  }

  /** One whose run is stopped ends at once, and does not count as done. */
  @Test
  void aStudyOfManyIsStoppedInTheMiddle() throws Exception {
    try (var queue = new RunQueue(2)) {
      var run = queue.submit(new DoubtStudy(FOUR, BAND, 5000, 7500, 2000, 1), Urgency.STUDY);
      while (run.partial().map(d -> d.samples().size()).orElse(0) < 6) {
        Thread.sleep(5);
      }
      run.cancel();
      assertThatThrownBy(run::await).isInstanceOf(CancellationException.class);
      assertThat(run.result()).isEmpty();
      // What was known stays known.
      assertThat(run.partial().orElseThrow().samples()).hasSizeBetween(6, 1900);
      long until = System.nanoTime() + 5_000_000_000L;
      while (!queue.isIdle()) {
        assertThat(System.nanoTime()).isLessThan(until);
        Thread.sleep(5);
      }
    }
  }
}
