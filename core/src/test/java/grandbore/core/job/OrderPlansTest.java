package grandbore.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.clearances.Readings;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DemoJob;
import grandbore.core.job.facts.Fact;
import grandbore.core.job.facts.Operation;
import grandbore.core.job.orders.OrderLine;
import grandbore.core.job.orders.OrderReturn;
import grandbore.core.job.orders.WorkOrder;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.route.Stage;
import grandbore.core.job.route.Step;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Orders written from readings, and what all work upsets. */
class OrderPlansTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();
  private static final Readings READ = new Readings(DemoBuilds.hillClimbReadings());
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 30);
  private static final Instant THEN = Instant.parse("2026-11-01T10:00:00Z");

  /** Every chamber that is too large has its line, once a head the price and both ends' cuts. */
  @Test
  void headsAreMilledFromTheirFills() {
    var lines = new OrderPlans(EIGHT, READ).mill(54e-6, 80);
    assertThat(lines).hasSize(8).allMatch(l -> l.operation() == Operation.MILL_HEAD);
    assertThat(lines).extracting(OrderLine::place).containsExactly(1, 3, 5, 7, 2, 4, 6, 8);
    assertThat(lines.stream().mapToDouble(OrderLine::price).sum()).isEqualTo(160);
    double area = EIGHT.combination().compression().planArea().si();
    for (var line : lines) {
      double is = READ.at(Measurement.CHAMBER, line.place()).orElseThrow().value();
      assertThat(line.from()).isEqualTo(is);
      assertThat(line.to()).isEqualTo(54e-6);
    }
    // What is said of the first chamber is its surplus over the plan area, inches.
    double cut = (lines.getFirst().from() - 54e-6) / area / 0.0254;
    assertThat(lines.getFirst().words()).startsWith("%.4f in over chamber 1".formatted(cut));
    assertThat(lines.stream().filter(l -> !l.words().isEmpty())).hasSize(2);
    assertThatThrownBy(() -> new OrderPlans(EIGHT, READ).mill(70e-6, 80))
        .hasMessageContaining("Chamber volume wanted")
        .hasMessageContaining("70.0 cc");
    assertThatThrownBy(() -> new OrderPlans(EIGHT, new Readings(List.of())).mill(54e-6, 80))
        .hasMessageContaining("nothing was measured");
  }

  /** A deck is cut by what each cylinder has too much; one that has it is left alone. */
  @Test
  void decksAreCutFromWhatEachCylinderHasTooMuch() {
    double least =
        java.util.stream.IntStream.rangeClosed(1, 8)
            .mapToDouble(n -> READ.at(Measurement.DECK, n).orElseThrow().value())
            .min()
            .orElseThrow();
    var all = new OrderPlans(EIGHT, READ).cut(least - 1e-4, 140);
    assertThat(all).hasSize(8).allMatch(l -> l.part() == EnginePart.BLOCK);
    for (var line : all) {
      double is = READ.at(Measurement.DECK, line.place()).orElseThrow().value();
      assertThat(line.from() - line.to()).isCloseTo(is - least + 1e-4, within(1e-12));
      assertThat(line.words()).endsWith("over cylinder " + line.place());
    }
    assertThat(new OrderPlans(EIGHT, READ).cut(least, 140).size()).isBetween(1, 7);
  }

  private static Reading deck(int cylinder, Side side, double value, Instant at) {
    return new Reading(0, Measurement.DECK, cylinder, side, value, "", "", at, false);
  }

  /** The other bank was cut: what was asked for stands untouched, and it is told so. */
  @Test
  void theOtherBankIsToldOf() {
    var readings = new ArrayList<Reading>();
    var lines = new ArrayList<OrderLine>();
    for (int n = 1; n <= 8; n++) {
      for (var side : Measurement.DECK.sides().all()) {
        readings.add(deck(n, side, 0.5e-3, THEN));
      }
      if (n % 2 == 1) {
        lines.add(
            new OrderLine(
                EnginePart.BLOCK,
                Operation.DECK_CUT,
                "",
                Measurement.DECK,
                n,
                Side.NONE,
                0.5e-3,
                0.2e-3,
                0.02e-3,
                "",
                35));
      }
    }
    var back = THEN.plus(Duration.ofDays(6));
    var order =
        WorkOrder.of("1", "Valley", lines, THEN)
            .sent(THEN.plus(Duration.ofHours(1)), TODAY)
            .back(back);
    for (int n = 1; n <= 8; n++) {
      for (var side : Measurement.DECK.sides().all()) {
        double is = n % 2 == 1 ? 0.5e-3 : 0.2e-3;
        readings.add(deck(n, side, is, back.plus(Duration.ofHours(n))));
      }
    }
    var judged = new OrderReturn(EIGHT, order, new Readings(readings));
    assertThat(judged.judged())
        .extracting(OrderReturn.Judged::outcome)
        .containsOnly(OrderReturn.Outcome.ELSEWHERE);
    assertThat(judged.ways()).anyMatch(w -> w.startsWith("Recut cylinder 1: 0.0118 in more"));
    var ratio =
        judged.checks().stream()
            .filter(c -> c.name().equals("returned_ratio"))
            .findFirst()
            .orElseThrow();
    assertThat(ratio.verdict()).isEqualTo(grandbore.core.checks.Check.Verdict.CLOSE);
  }

  private static Step proof(Fact f) {
    return Step.of(f.name(), "prove " + f.title(), Stage.MOCK_UP, 1)
        .proves(f)
        .done(THEN, "", EIGHT.combination());
  }

  private static Set<String> open(List<Step> steps, List<WorkOrder> orders) {
    var job = new Job(JobPlan.NONE, List.of(), orders, steps, List.of());
    return new Route(job, EIGHT, new Readings(List.of()), TODAY)
        .steps().stream()
            .filter(p -> p.state() == Route.State.AGAIN)
            .map(p -> p.step().id())
            .collect(Collectors.toCollection(TreeSet::new));
  }

  /**
   * Every kind of work, done by a supplier or in the shop itself, opens just what it upsets; done
   * before it was proved it opens nothing.
   */
  @Test
  void allWorkOpensWhatItUpsetsAndNothingElse() {
    var proofs = new ArrayList<Step>();
    for (var f : Fact.values()) {
      proofs.add(proof(f));
    }
    for (var work : Operation.values()) {
      var upset =
          work.upsets().stream().map(Fact::name).collect(Collectors.toCollection(TreeSet::new));
      var line = new OrderLine(EnginePart.BLOCK, work, "", "", 0);
      var order = WorkOrder.of("1", "Valley", List.of(line), THEN);
      var later = THEN.plus(Duration.ofDays(2));
      assertThat(open(proofs, List.of(order.sent(later, TODAY).back(later))))
          .as(work.title())
          .isEqualTo(upset);
      var earlier = THEN.minus(Duration.ofDays(2));
      assertThat(open(proofs, List.of(order.sent(earlier, TODAY).back(earlier)))).isEmpty();
      var own = new ArrayList<>(proofs);
      own.add(
          Step.of("own", "in the shop", Stage.MACHINE, 1)
              .does(work)
              .done(later, "", EIGHT.combination()));
      assertThat(open(own, List.of())).as(work.title() + " in the shop").isEqualTo(upset);
    }
    // The work that the trade fears most, by name (common practice, no source).
    assertThat(Operation.MILL_HEAD.upsets())
        .containsExactlyInAnyOrder(
            Fact.RATIO, Fact.PISTON_TO_VALVE, Fact.PUSHRODS, Fact.MANIFOLD_FIT);
    assertThat(Operation.BORE_AND_HONE.upsets()).contains(Fact.RING_GAPS, Fact.PISTON_WALL);
  }

  /** Proved again after the work, a fact stands; and what waits for nothing can be done at once. */
  @Test
  void whatIsProvedAgainStands() {
    var later = THEN.plus(Duration.ofDays(2));
    var line = new OrderLine(EnginePart.HEAD, Operation.MILL_HEAD, "", "", 0);
    var order = WorkOrder.of("1", "Valley", List.of(line), THEN).sent(later, TODAY).back(later);
    var again = proof(Fact.RATIO).done(later.plus(Duration.ofDays(1)), "", EIGHT.combination());
    assertThat(open(List.of(again), List.of(order))).isEmpty();
    assertThat(open(List.of(proof(Fact.RATIO)), List.of(order))).containsExactly("RATIO");
  }

  /** Each way to go on has the day of the dyno that its days and hours leave. */
  @Test
  void everyWayToGoOnHasItsDay() {
    var job = DemoJob.on(TODAY);
    var dates = OptionDate.of(job, EIGHT, READ, TODAY);
    assertThat(dates).hasSize(3);
    var as = dates.getLast().dyno().orElseThrow();
    assertThat(as).isEqualTo(new Route(job, EIGHT, READ, TODAY).dyno().orElseThrow());
    assertThat(dates.get(0).dyno().orElseThrow()).isAfter(as);
    assertThat(dates.get(1).dyno().orElseThrow()).isAfter(dates.get(0).dyno().orElseThrow());
  }
}
