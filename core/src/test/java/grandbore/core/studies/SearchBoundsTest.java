package grandbore.core.studies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.changes.Change;
import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.SlowRunning;
import grandbore.core.prediction.WantedBand;
import grandbore.core.search.Judged;
import grandbore.core.valvetrain.PistonToValve;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What has to hold of what is found, and what goals come to, on curves written down. */
class SearchBoundsTest {
  private static final Combination EIGHT = DemoBuilds.hillClimbEight().combination();
  private static final WantedBand BAND = new WantedBand(4000, 6000);

  /** Flat torque; every point has 15 m/s of piston, 100 octane to spare, following valves. */
  private static Rung rung(double torque) {
    var curve = ClosedCurves.of(List.of(3000.0, 4000.0, 5000.0, 6000.0, 7000.0), s -> torque);
    return Rung.of(BuiltEngine.asSpecified(EIGHT), curve, BAND);
  }

  private static List<SearchBounds.Broken> broken(SearchBounds bounds, double spent) {
    return bounds.broken(rung(300), BAND, spent);
  }

  private static SearchBounds bounds(double money, double octane, double speed, double valve) {
    return new SearchBounds(money, octane, speed, valve, 0, true);
  }

  @Test
  void eachBoundIsToldByItsShare() {
    double none = Double.NEGATIVE_INFINITY;
    assertThat(broken(SearchBounds.NONE, 1e9)).isEmpty();
    assertThat(broken(bounds(1000, none, 20, none), 1000)).isEmpty();
    assertThat(broken(bounds(1000, none, 20, none), 1500))
        .singleElement()
        .satisfies(
            b -> {
              assertThat(b.by()).isCloseTo(0.5, within(1e-12));
              assertThat(b.words()).isEqualTo("costs 1500 of 1000");
            });
    // Three of the five speeds lie in the band, and each is told.
    assertThat(broken(bounds(1e9, none, 12, none), 0))
        .hasSize(3)
        .allSatisfy(
            b -> {
              assertThat(b.by()).isCloseTo(15.0 / 12 - 1, within(1e-12));
              assertThat(b.words()).startsWith("15.0 m/s of piston at ");
            });
    assertThat(broken(bounds(1e9, 99, 20, none), 0)).isEmpty();
    assertThat(broken(bounds(1e9, 102, 20, none), 0))
        .hasSize(3)
        .allSatisfy(b -> assertThat(b.by()).isCloseTo(0.2, within(1e-12)));
    double has =
        Math.min(
            PistonToValve.intake(EIGHT).closest().clearance(),
            PistonToValve.exhaust(EIGHT).closest().clearance());
    assertThat(broken(bounds(1e9, none, 20, has - 1e-6), 0)).isEmpty();
    assertThat(broken(bounds(1e9, none, 20, has + 1e-4), 0))
        .singleElement()
        .satisfies(
            b -> {
              assertThat(b.by()).isCloseTo(0.1, within(1e-6));
              assertThat(b.words()).startsWith("piston to valve ");
            });
  }

  /** An engine that can't idle breaks the bound too, and one that pulls as much as wanted holds. */
  @Test
  void vacuumIsToldByItsShare() {
    var bounds = new SearchBounds(1e9, -1e9, 20, -1, 40e3, true);
    assertThat(bounds.isOfIdle()).isTrue();
    assertThat(SearchBounds.NONE.isOfIdle()).isFalse();
    assertThat(bounds.broken(rung(300), BAND, 0))
        .singleElement()
        .satisfies(b -> assertThat(b.words()).isEqualTo("no throttle holds an idle"));
    assertThat(bounds.broken(idling(30e3), BAND, 0))
        .singleElement()
        .satisfies(
            b -> {
              assertThat(b.by()).isCloseTo(0.25, within(1e-12));
              assertThat(b.words()).isEqualTo("30.0 kPa of vacuum at idle");
            });
    assertThat(bounds.broken(idling(40e3), BAND, 0)).isEmpty();
    assertThat(Goal.IDLE_VACUUM.of(idling(30e3), BAND, 0)).isEqualTo(30e3);
    assertThatThrownBy(() -> new SearchBounds(1, 0, 1, 0, -5, true))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("Vacuum at idle");
  }

  private static Rung idling(double vacuum) {
    var rung = rung(300);
    var idle = new SlowRunning.Idle(850, 0.02, vacuum, 0.2, true);
    return new Rung(
        rung.engine(), rung.curve(), rung.figures(), rung.pistonToValve(), Optional.of(idle), "");
  }

  /** Two cams are never in at once: of those that set the same, the further one is. */
  @Test
  void changesThatSetTheSameExcludeEachOther() {
    var length = EIGHT.exhaust().primaryLength();
    var a = new Change("A", Map.of("exhaust.primaryLength", length));
    var b =
        new Change(
            "B",
            Map.of(
                "exhaust.primaryLength",
                length,
                "exhaust.collectorLength",
                EIGHT.exhaust().collectorLength()));
    var c = new Change("C", Map.of("exhaust.collectorLength", EIGHT.exhaust().collectorLength()));
    var study =
        new SearchStudy(
            BuiltEngine.asSpecified(EIGHT),
            BAND,
            List.of(),
            List.of(a, b, c),
            Goal.BAND_POWER,
            Optional.empty(),
            SearchBounds.NONE,
            false,
            10,
            1,
            List.of());
    assertThat(study.chosen(List.of(0.6, 0.9, 0.7))).containsExactly(b);
    assertThat(study.chosen(List.of(0.6, 0.55, 0.7))).containsExactly(a, c);
    assertThat(study.chosen(List.of(0.8, 0.8, 0.4))).containsExactly(a);
    assertThat(study.chosen(List.of(0.4, 0.49, 0.1))).isEmpty();
  }

  @Test
  void boundsThatCanNotBeAreRefusedByName() {
    assertThatThrownBy(() -> bounds(-1, 0, 20, 0))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("Budget");
    assertThatThrownBy(() -> bounds(1, 0, 0, 0)).hasMessageContaining("Mean piston speed");
    assertThatThrownBy(() -> bounds(Double.NaN, 0, 1, 0)).hasMessageContaining("Budget");
  }

  @Test
  void goalsAreWhatTheirNamesSay() {
    var flat = rung(300);
    double mean = 300 * 5000 * Math.PI / 30;
    assertThat(Goal.BAND_POWER.of(flat, BAND, 0)).isCloseTo(mean, within(1e-6 * mean));
    assertThat(Goal.BAND_TORQUE.of(flat, BAND, 0)).isCloseTo(300, within(1e-9));
    assertThat(Goal.LEAST_TORQUE.of(flat, BAND, 0)).isCloseTo(300, within(1e-9));
    double top = 300 * 7000 * Math.PI / 30;
    assertThat(Goal.PEAK_POWER.of(flat, BAND, 0)).isCloseTo(top, within(1e-6 * top));
    assertThat(Goal.OCTANE.of(flat, BAND, 0)).isEqualTo(100);
    assertThat(Goal.THRIFT.of(flat, BAND, 123)).isEqualTo(-123);
    assertThat(Goal.PISTON_TO_VALVE.of(flat, BAND, 0))
        .isEqualTo(
            Math.min(
                PistonToValve.intake(EIGHT).closest().clearance(),
                PistonToValve.exhaust(EIGHT).closest().clearance()));
    assertThat(Goal.IDLE_VACUUM.of(flat, BAND, 0)).as("not asked for").isNaN();
    var refused = Rung.refused("does not fit");
    for (var goal : Goal.values()) {
      if (goal != Goal.THRIFT) {
        assertThat(goal.of(refused, BAND, 0)).as(goal.label()).isNaN();
      }
    }
  }

  private static Search.Candidate candidate(
      double at, double goal, double second, double violation, Change... made) {
    return new Search.Candidate(
        List.of(at),
        List.of(at),
        List.of(made),
        0,
        goal,
        second,
        new Judged(goal, violation),
        violation > 0 ? List.of("too much") : List.of());
  }

  /** The front holds what none other beats in both; those beside the best differ in kind. */
  @Test
  void theTradeAndTheBestAreToldFromAllCandidates() {
    var part = new Change("Part", Map.of("exhaust.primaryLength", EIGHT.exhaust().primaryLength()));
    var all = new ArrayList<Search.Candidate>();
    all.add(candidate(0.50, 10, 1, 0));
    all.add(candidate(0.52, 9.9, 0.5, 0));
    all.add(candidate(0.90, 9, 3, 0));
    all.add(candidate(0.51, 8, 2, 0));
    all.add(candidate(0.53, 7, 9, 0, part));
    all.add(candidate(0.10, 99, 99, 0.3));
    var search = new Search(rung(300), all, 6, 1, Optional.empty());
    assertThat(search.best().orElseThrow().goal()).isEqualTo(10);
    assertThat(search.nearestMiss()).isEmpty();
    assertThat(search.trade()).extracting(Search.Candidate::goal).containsExactly(7.0, 9.0, 10.0);
    // The second and the fourth are the first over again.
    assertThat(search.best(5)).extracting(Search.Candidate::goal).containsExactly(10.0, 9.0, 7.0);
    assertThat(search.best(2)).hasSize(2);
    var none = new Search(rung(300), all.subList(5, 6), 6, 1, Optional.empty());
    assertThat(none.best()).isEmpty();
    assertThat(none.trade()).isEmpty();
    assertThat(none.nearestMiss().orElseThrow().broken()).containsExactly("too much");
  }

  /** As few speeds as a band needs: three, and more where it is wide. */
  @Test
  void aWideBandHasMoreSpeeds() {
    assertThat(BAND.fewSpeeds()).containsExactly(4000.0, 5000.0, 6000.0);
    for (double to : new double[] {2100, 3000, 5000, 9000}) {
      var speeds = new WantedBand(2000, to).fewSpeeds();
      assertThat(speeds).hasSizeBetween(3, 7).startsWith(2000.0).endsWith(to);
      assertThat(speeds.size()).isGreaterThanOrEqualTo((int) (Math.log(to / 2000) / 0.27));
    }
  }
}
