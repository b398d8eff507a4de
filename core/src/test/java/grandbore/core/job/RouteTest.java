package grandbore.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.job.facts.Fact;
import grandbore.core.job.facts.Operation;
import grandbore.core.job.orders.OrderLine;
import grandbore.core.job.orders.OrderReturn;
import grandbore.core.job.orders.OrderReturn.Outcome;
import grandbore.core.job.orders.WorkOrder;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.ItemState;
import grandbore.core.job.route.Stage;
import grandbore.core.job.route.Step;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class RouteTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 30);
  private static final Instant THEN = Instant.parse("2026-11-01T10:00:00Z");
  private static final Readings NONE = new Readings(List.of());

  private static Job job(List<Item> items, List<WorkOrder> orders, List<Step> steps) {
    return new Job(JobPlan.NONE, items, orders, steps, List.of());
  }

  private static Route route(Job job) {
    return new Route(job, EIGHT, NONE, TODAY);
  }

  private static Route.Planned step(Route route, String id) {
    return route.steps().stream().filter(p -> p.step().id().equals(id)).findFirst().orElseThrow();
  }

  private static OrderLine plain(Operation o) {
    return new OrderLine(EnginePart.HEAD, o, "", "", 100);
  }

  private static WorkOrder back(Operation o, Instant sent) {
    return WorkOrder.of("7", "Valley machine", List.of(plain(o)), sent)
        .sent(sent, TODAY)
        .back(sent.plus(Duration.ofDays(5)));
  }

  /** Everything that can be proved, proved before. */
  private static List<Step> proved() {
    var all = new ArrayList<Step>();
    for (var f : Fact.values()) {
      all.add(
          Step.of(f.name(), "prove " + f.title(), Stage.MOCK_UP, 1)
              .proves(f)
              .done(THEN, "", EIGHT.combination()));
    }
    return all;
  }

  private static List<String> again(Build build, List<WorkOrder> orders) {
    return new Route(job(List.of(), orders, proved()), build, NONE, TODAY)
        .now().stream().map(p -> p.step().id()).sorted().toList();
  }

  /** Milled heads open four things again; nothing does that was milled before they were proved. */
  @Test
  void milledHeadsOpenRatioValvesPushrodsAndManifold() {
    var later = THEN.plus(Duration.ofDays(3));
    assertThat(again(EIGHT, List.of(back(Operation.MILL_HEAD, later))))
        .containsExactly("MANIFOLD_FIT", "PISTON_TO_VALVE", "PUSHRODS", "RATIO");
    var before = THEN.minus(Duration.ofDays(30));
    assertThat(again(EIGHT, List.of(back(Operation.MILL_HEAD, before)))).isEmpty();
    var sent = WorkOrder.of("8", "x", List.of(plain(Operation.MILL_HEAD)), later);
    assertThat(again(EIGHT, List.of(sent.sent(later, TODAY)))).isEmpty();
  }

  /** Another number on the build opens what rests on it, and says which number. */
  @Test
  void anotherInputOpensWhatRestsOnIt() {
    assertThat(again(times("compression.gasketThickness", 1.2), List.of()))
        .containsExactly("PISTON_TO_VALVE", "QUENCH", "RATIO");
    assertThat(again(times("valveTrain.intakeRocker", 1.05), List.of()))
        .contains("COIL_BIND", "RETAINER", "PUSHRODS")
        .doesNotContain("RATIO", "RING_GAPS");
    assertThat(again(times("bottomEnd.bore", 1.005), List.of()))
        .contains("RING_GAPS", "PISTON_WALL", "RATIO")
        .doesNotContain("COIL_BIND");
    assertThat(again(times("exhaust.primaryLength", 1.1), List.of())).isEmpty();
    var route =
        new Route(
            job(List.of(), List.of(), proved()),
            times("compression.gasketThickness", 1.2),
            NONE,
            TODAY);
    assertThat(step(route, "QUENCH").waits()).anyMatch(w -> w.contains("asket"));
  }

  private static Build times(String path, double by) {
    var c = EIGHT.combination();
    var is = (Given) c.at(path);
    return EIGHT.with(Specs.field(path).with(c, is.with(is.si() * by, Provenance.MEASURED)));
  }

  /** The cam ordered before the ratio is known: a warning, gone once it is proved. */
  @Test
  void whatIsOrderedBeforeItCanBeKnownIsToldOf() {
    var cam = Item.wanted("c", EnginePart.CAM, 1);
    var fills = Step.of("fills", "Fill the chambers", Stage.MOCK_UP, 3).proves(Fact.RATIO);
    assertThat(route(job(List.of(cam), List.of(), List.of(fills))).tooEarly()).isEmpty();
    var early = route(job(List.of(cam.in(ItemState.ORDERED)), List.of(), List.of(fills)));
    assertThat(early.tooEarly())
        .extracting(TooEarly::says)
        .containsExactly(
            "Cam ordered before compression ratio is proved: the ratio that was measured decides"
                + " how much it may hold");
    var done = fills.done(THEN, "", EIGHT.combination());
    assertThat(route(job(List.of(cam.in(ItemState.ORDERED)), List.of(), List.of(done))).tooEarly())
        .isEmpty();
    assertThat(route(job(List.of(cam.in(ItemState.FITTED)), List.of(), List.of(fills))).tooEarly())
        .isEmpty();
  }

  /** A late delivery decides the day of the dyno; another day for it moves the dyno by as much. */
  @Test
  void aLateDeliveryDecidesTheDayOfTheDyno() {
    var steps =
        List.of(
            Step.of("a", "Bottom end", Stage.ASSEMBLY, 8),
            Step.of("b", "Heads on", Stage.ASSEMBLY, 8).after("a").needs(EnginePart.GASKET_SET),
            Step.of("c", "Carburettor apart and together", Stage.ASSEMBLY, 8),
            Step.of("d", "Dyno", Stage.DYNO, 8).after("b", "c").onDyno());
    var gaskets = Item.wanted("g", EnginePart.GASKET_SET, 1).in(ItemState.ORDERED);
    var promised = job(List.of(gaskets.promised(LocalDate.of(2026, 12, 10))), List.of(), steps);
    var route = route(promised);
    assertThat(route.dyno()).contains(LocalDate.of(2026, 12, 11));
    assertThat(route.critical()).extracting(p -> p.step().id()).containsExactly("b", "d");
    assertThat(step(route, "b").waits()).contains("Gasket set, promised for 2026-12-10");
    assertThat(step(route, "a").slack()).isGreaterThan(5);
    assertThat(route.now()).extracting(p -> p.step().id()).containsExactly("a", "c");
    var later = job(List.of(gaskets.promised(LocalDate.of(2026, 12, 17))), List.of(), steps);
    assertThat(route(later).dyno()).contains(LocalDate.of(2026, 12, 18));
    // Late already: tomorrow at the earliest, and it is said.
    var late = route(job(List.of(gaskets.promised(LocalDate.of(2026, 11, 20))), List.of(), steps));
    assertThat(step(late, "b").waits()).contains("Gasket set, late by 10 days");
    var aDay = route(job(List.of(gaskets.promised(TODAY.minusDays(1))), List.of(), steps));
    assertThat(step(aDay, "b").waits()).contains("Gasket set, late by 1 day");
    assertThat(step(late, "b").begins()).isEqualTo(TODAY.plusDays(1));
    assertThat(late.due().getFirst().late()).isTrue();
    // One pair of hands does no two things at once.
    assertThat(late.dyno().orElseThrow()).isBefore(late.dynoAlone().orElseThrow());
    var none = route(job(List.of(gaskets), List.of(), steps));
    assertThat(none.undated()).containsExactly("Gasket set has no date");
  }

  @Test
  void anUsualRouteRunsFromTheBriefToTheDyno() {
    for (var usual : UsualRoutes.values()) {
      var steps = usual.steps(EIGHT.combination().bottomEnd());
      var route = route(job(List.of(), List.of(), steps));
      assertThat(route.steps()).hasSameSizeAs(steps);
      assertThat(route.now()).as(usual.title()).isNotEmpty();
      assertThat(steps)
          .allSatisfy(
              s -> s.after().forEach(a -> assertThat(steps).anyMatch(t -> t.id().equals(a))));
      assertThat(route.dyno().isPresent())
          .isEqualTo(steps.stream().anyMatch(Step::dyno))
          .isEqualTo(usual != UsualRoutes.MOCK_UP);
    }
  }

  @Test
  void aRingOfStepsIsRefused() {
    var steps =
        List.of(
            Step.of("a", "Bore", Stage.MACHINE, 1).after("b"),
            Step.of("b", "Pistons", Stage.MACHINE, 1).after("a"));
    assertThatThrownBy(() -> route(job(List.of(), List.of(), steps)))
        .hasMessageContaining("Bore, Pistons");
  }

  private static Reading chamber(int cylinder, double cc, Instant at) {
    return new Reading(
        0, Measurement.CHAMBER, cylinder, Reading.Side.NONE, 1e-6 * cc, "", "", at, false);
  }

  /**
   * Both heads of cylinders 1 and 2 to come to 62 cm³: judged by what was read when it was back.
   */
  @Test
  void anOrderIsJudgedByTheReadingsAfterIt() {
    var lines = new ArrayList<OrderLine>();
    var all = new ArrayList<Reading>();
    for (int c = 1; c <= 8; c++) {
      all.add(chamber(c, 64, THEN));
    }
    for (int c = 1; c <= 4; c++) {
      lines.add(
          new OrderLine(
              EnginePart.HEAD,
              Operation.MILL_HEAD,
              "",
              Measurement.CHAMBER,
              2 * c - 1,
              Reading.Side.NONE,
              64e-6,
              62e-6,
              0.25e-6,
              "ratio",
              40));
    }
    var sent = THEN.plus(Duration.ofDays(1));
    var back = sent.plus(Duration.ofDays(9));
    var order = WorkOrder.of("7", "Valley machine", lines, THEN).sent(sent, TODAY).back(back);
    var nothing = new OrderReturn(EIGHT, order, new Readings(all));
    assertThat(nothing.judged())
        .extracting(OrderReturn.Judged::outcome)
        .containsOnly(Outcome.NOT_READ);
    var after = back.plus(Duration.ofHours(3));
    all.add(chamber(1, 62.1, after));
    all.add(chamber(3, 63.2, after));
    all.add(chamber(5, 61.2, after));
    all.add(chamber(7, 64.0, after));
    all.add(chamber(2, 62.0, after));
    var judged = new OrderReturn(EIGHT, order, new Readings(all));
    assertThat(judged.judged())
        .extracting(OrderReturn.Judged::outcome)
        .containsExactly(Outcome.MET, Outcome.SHORT, Outcome.OVER, Outcome.ELSEWHERE);
    assertThat(judged.ways()).hasSize(4);
    assertThat(judged.ways().getFirst()).startsWith("Recut cylinder 3");
    assertThat(judged.ways().getLast()).startsWith("Live with it: ratios of");
    assertThat(judged.checks()).extracting(c -> c.name()).contains("returned_ratio");
    // What the work made old does not stand beside what was read after it.
    assertThat(
            order.standing(new Readings(all)).standing(Measurement.CHAMBER, 1, Reading.Side.NONE))
        .hasSize(1);
  }

  /** Spent, committed and planned add up to the same, however they are sorted. */
  @Test
  void moneyAddsUpByStageAndBySupplier() {
    var random = new Random(2);
    var items = new ArrayList<Item>();
    double sum = 0;
    for (int i = 0; i < 40; i++) {
      var part = EnginePart.values()[random.nextInt(EnginePart.values().length)];
      double price = random.nextInt(500);
      sum += price;
      items.add(
          Item.wanted("p" + i, part, 1)
              .from(random.nextBoolean() ? "Valley" : "Hill", price, 3)
              .in(ItemState.values()[random.nextInt(8)]));
    }
    var order = back(Operation.MILL_HEAD, THEN).forStep("heads");
    var plan = new JobPlan("", List.of(), "", 60, null, JobPlan.NONE.days());
    var steps =
        List.of(
            Step.of("heads", "Heads", Stage.MACHINE, 2).away("Valley", 5, 999),
            Step.of("own", "Mock up", Stage.MOCK_UP, 3));
    var money =
        Money.of(
            new Job(plan, items, List.of(order), steps, List.of()),
            EIGHT.combination().bottomEnd());
    // The order takes the place of what its step was thought to cost; own hours at their price.
    double all = sum + 100 + 3 * 60;
    assertThat(money.sum().all()).isEqualTo(all);
    assertThat(money.byStage().values().stream().mapToDouble(Money.Sum::all).sum()).isEqualTo(all);
    assertThat(money.bySupplier().values().stream().mapToDouble(Money.Sum::spent).sum())
        .isEqualTo(money.sum().spent());
    assertThat(money.per(all / 4)).isEqualTo(4);
  }

  /** Five hundred steps in a fraction of what a hand waits for. */
  @Test
  void aLongRouteIsPlannedAtOnce() {
    var random = new Random(4);
    var steps = new ArrayList<Step>();
    for (int i = 0; i < 500; i++) {
      var before = new ArrayList<String>();
      for (int k = 0; k < 3 && i > 0; k++) {
        before.add("s" + Math.max(0, i - 1 - random.nextInt(20)));
      }
      steps.add(
          Step.of("s" + i, "Step " + i, Stage.ASSEMBLY, random.nextInt(16))
              .after(before.stream().distinct().toArray(String[]::new))
              .away(random.nextInt(5) == 0 ? "shop" : "", random.nextInt(4), 10));
    }
    steps.set(499, steps.get(499).onDyno());
    var job = job(List.of(), List.of(), steps);
    long least = Long.MAX_VALUE;
    for (int k = 0; k < 24; k++) {
      long from = System.nanoTime();
      assertThat(route(job).dyno()).isPresent();
      least = Math.min(least, System.nanoTime() - from);
    }
    assertThat(least).isLessThan(200_000_000L);
  }
}
