package grandbore.core.studies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Study;
import grandbore.core.runs.Urgency;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The search on an engine: against every point of a grid, within bounds, stopped and gone on. */
class SearchTest {
  private static final WantedBand BAND = new WantedBand(5000, 7500);
  private static final BuiltEngine FOUR =
      BuiltEngine.asSpecified(DemoBuilds.paddockFour().combination());
  private static final List<SweepAxis> PIPES =
      List.of(
          SweepAxis.around(FOUR.combination(), "exhaust.primaryLength", 7),
          SweepAxis.around(FOUR.combination(), "intake.runnerLength", 7));

  private static <T> T run(Study<T> study) {
    try (var queue = new RunQueue(2)) {
      return queue.submit(study, Urgency.STUDY).await();
    }
  }

  private static SearchStudy search(
      List<SweepAxis> free,
      List<Change> changes,
      Optional<Goal> second,
      SearchBounds bounds,
      int candidates) {
    return new SearchStudy(
        FOUR,
        BAND,
        free,
        changes,
        Goal.BAND_POWER,
        second,
        bounds,
        false,
        candidates,
        11,
        List.of());
  }

  private static Change change(String name, String path, double factor, double price) {
    var was = (Given) FOUR.combination().at(path);
    return new Change(name, Map.of(path, was.with(factor * was.si(), was.provenance())))
        .costing(new Cost(price, 0, 0));
  }

  private static List<Change> changes() {
    return List.of(
        change("Freer throttles", "intake.throttleFlow", 1.2, 300),
        change("Throttles half shut", "intake.throttleFlow", 0.6, 10),
        change("Tight chambers", "compression.chamberVolume", 0.93, 150));
  }

  /** As good as the best of a grid, with fewer points, and the full model agrees. */
  @Test
  void itFindsWhatEveryPointOfAGridFinds() {
    var grid = run(new InputSweepStudy(FOUR, PIPES, BAND.speeds(3), BAND));
    double most = grid.rungs().get(grid.best()).power();
    var found = run(search(PIPES, List.of(), Optional.empty(), SearchBounds.NONE, 40));
    var best = found.best().orElseThrow();
    assertThat(found.candidates().size()).isEqualTo(40);
    assertThat(best.goal()).isGreaterThan(most - 2 * Repeatability.of(most));
    assertThat(best.goal()).isGreaterThan(found.base().power());
    var verified = found.verified().orElseThrow();
    double live = best.goal() / found.base().power();
    assertThat(verified.best() / verified.base()).isCloseTo(live, within(0.01));
    // Those beside it differ in kind and are no better.
    var several = found.best(3);
    assertThat(several).first().isEqualTo(best);
    assertThat(several).isSortedAccordingTo(Comparator.comparingDouble(c -> -c.judged().score()));
  }

  /** What was judged is not judged again, and the way is the same. */
  @Test
  void aStoppedSearchGoesOnWhereItWas() {
    var whole = run(search(PIPES, changes(), Optional.empty(), SearchBounds.NONE, 24));
    var half = whole.candidates().subList(0, 13);
    var known = search(PIPES, changes(), Optional.empty(), SearchBounds.NONE, 24);
    var on =
        run(
            new SearchStudy(
                FOUR,
                BAND,
                PIPES,
                known.changes(),
                Goal.BAND_POWER,
                Optional.empty(),
                SearchBounds.NONE,
                false,
                24,
                11,
                half));
    assertThat(on.candidates().equals(whole.candidates())).isTrue();
    for (int k = 0; k < half.size(); k++) {
      assertThat(on.candidates().get(k)).isSameAs(half.get(k));
    }
  }

  /**
   * Parts are chosen within the money there is; the trade falls in one as it rises in the other.
   */
  @Test
  void partsAreChosenWithinABudget() {
    var tight = new SearchBounds(200, -50, 100, -1, 0, false);
    var found = run(search(List.of(), changes(), Optional.empty(), tight, 20));
    assertThat(found.best().orElseThrow().chosen())
        .extracting(Change::name)
        .containsExactly("Tight chambers");
    assertThat(found.candidates())
        .filteredOn(c -> c.money() > 200)
        .isNotEmpty()
        .allSatisfy(
            c -> {
              assertThat(c.judged().isFeasible()).isFalse();
              assertThat(c.broken()).anyMatch(b -> b.contains("of 200"));
            });

    var trade =
        run(search(List.of(), changes(), Optional.of(Goal.THRIFT), SearchBounds.NONE, 60)).trade();
    assertThat(trade).hasSizeGreaterThan(1);
    assertThat(trade).isSortedAccordingTo(Comparator.comparingDouble(Search.Candidate::goal));
    assertThat(trade).isSortedAccordingTo(Comparator.comparingDouble(Search.Candidate::money));
    assertThat(trade.getFirst().money()).isZero();
  }

  @Test
  void whereNothingHoldsTheNearestMissIsShown() {
    var hard = new SearchBounds(1e9, 60, 100, -1, 0, false);
    var found = run(search(PIPES, List.of(), Optional.empty(), hard, 12));
    assertThat(found.best()).isEmpty();
    assertThat(found.verified()).isEmpty();
    var miss = found.nearestMiss().orElseThrow();
    assertThat(miss.broken()).anyMatch(b -> b.contains("octane to spare at"));
    assertThat(found.candidates())
        .allMatch(c -> c.judged().violation() >= miss.judged().violation());
  }

  @Test
  void aSearchOfNothingIsRefused() {
    assertThatThrownBy(() -> search(List.of(), List.of(), Optional.empty(), SearchBounds.NONE, 20))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("nothing free");
    assertThatThrownBy(() -> search(PIPES, List.of(), Optional.empty(), SearchBounds.NONE, 2))
        .hasMessageContaining("Candidates");
    assertThatThrownBy(() -> new SearchBounds(-1, 0, 1, 0, 0, true)).hasMessageContaining("Budget");
    assertThatThrownBy(
            () ->
                search(
                    List.of(PIPES.getFirst(), PIPES.getFirst()),
                    List.of(),
                    Optional.empty(),
                    SearchBounds.NONE,
                    20))
        .hasMessageContaining("twice");
  }

  /** Counted by the fifth part of what its spreads allow, an engine scores less than by itself. */
  @Test
  void aRobustSearchCountsTheUnlucky() {
    var plain = search(PIPES, List.of(), Optional.empty(), SearchBounds.NONE, 10);
    var robust =
        new SearchStudy(
            FOUR,
            BAND,
            PIPES,
            List.of(),
            Goal.BAND_POWER,
            Optional.empty(),
            SearchBounds.NONE,
            true,
            10,
            11,
            List.of());
    var first = run(plain).candidates().getFirst();
    var low = run(robust).candidates().getFirst();
    assertThat(low.values()).isEqualTo(first.values());
    assertThat(low.goal()).isLessThan(first.goal());
    assertThat(low.goal()).isGreaterThan(0.9 * first.goal());
  }
}
