package grandbore.core.demo;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Note;
import grandbore.core.clearances.OwnKind;
import grandbore.core.clearances.OwnReading;
import grandbore.core.clearances.Readings;
import grandbore.core.clearances.Taken;
import grandbore.core.job.Job;
import grandbore.core.job.JobPlan;
import grandbore.core.job.Option;
import grandbore.core.job.OrderPlans;
import grandbore.core.job.UsualRoutes;
import grandbore.core.job.facts.Operation;
import grandbore.core.job.orders.OrderLine;
import grandbore.core.job.orders.WorkOrder;
import grandbore.core.job.parts.Condition;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.ItemMeasure;
import grandbore.core.job.parts.ItemState;
import grandbore.core.job.route.Stage;
import grandbore.core.job.route.Step;
import grandbore.core.job.route.WorkDays;
import grandbore.core.units.Quantity;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The demo's V8 after its day at the dyno, apart again: invented suppliers and prices, dates about
 * the day on which the demo is begun.
 */
public final class DemoJob {
  private static final String SHOP = "Quarry Lane Machine";
  private static final String COUNTER = "Northgate Motor Parts";
  private static final double GRAM = 1e-3;

  /** What weighed eight of each, g; rods between centres and pistons pin to crown in 0.01 mm. */
  private static final double[] PISTONS = {436.2, 437.1, 435.4, 436.8, 434.9, 436.0, 437.4, 435.6};

  private static final double[] PINS = {118.4, 117.6, 118.0, 118.9, 117.3, 118.2, 117.9, 118.6};
  private static final double[] ENDS = {172.5, 171.4, 172.9, 171.8, 172.1, 173.0, 171.2, 172.3};
  private static final double[] LENGTHS = {1, -2, 3, 0, -1, 2, -3, 1};
  private static final double[] HEIGHTS = {-1, 2, 0, -2, 1, 3, -1, 0};

  /** What the sound gauge showed at thrust and far side, mm. */
  private static final double[] WALLS = {
    5.6, 6.2, 5.4, 6.0, 5.1, 6.3, 4.5, 5.9, 5.5, 6.1, 5.3, 6.2, 5.7, 6.0, 4.9, 6.1
  };

  private final LocalDate today;

  private DemoJob(LocalDate today) {
    this.today = today;
  }

  /** The job as it stands on a day. */
  public static Job on(LocalDate today) {
    var demo = new DemoJob(today);
    return new Job(
        new JobPlan(
            "Hill-climb club, car 8",
            List.of("race", "winter"),
            "block 0417",
            48,
            today.plusDays(21),
            days()),
        demo.items(),
        demo.orders(),
        demo.steps(),
        options());
  }

  /** A part as it was promised first. */
  public static Item promisedFirst(LocalDate today) {
    return new DemoJob(today).shells().promised(today.minusDays(4));
  }

  /** What the demo's shop reads beside the usual, and what it read. */
  public static List<Note> own(LocalDate today) {
    var demo = new DemoJob(today);
    var seal =
        new OwnKind(
            "Rear seal proud",
            Quantity.CLEARANCE,
            Measurement.Place.ENGINE,
            List.of("left", "right"),
            -0.002,
            0.005,
            0.25e-3,
            0.5e-3,
            false,
            "the demo shop's own",
            false);
    var wall =
        new OwnKind(
            "Wall thickness by sound",
            Quantity.CLEARANCE,
            Measurement.Place.CYLINDER,
            List.of("thrust, middle", "far side, middle"),
            0,
            0.02,
            4.3e-3,
            0,
            false,
            "the demo shop's own",
            false);
    var all = new ArrayList<Note>(List.of(seal, wall));
    for (int i = 0; i < WALLS.length; i++) {
      all.add(
          new OwnReading(
              wall.key(),
              i / 2 + 1,
              i % 2,
              WALLS[i] * 1e-3,
              Taken.by("", "sound gauge", demo.at(-13))));
    }
    return List.copyOf(all);
  }

  private static WorkDays days() {
    return new WorkDays(WorkDays.USUAL.on(), 6);
  }

  private Instant at(int days) {
    return today.plusDays(days).atTime(10, 0).toInstant(ZoneOffset.UTC);
  }

  private Item shells() {
    return Item.wanted("K13", EnginePart.ROD_SHELLS, 1)
        .from(COUNTER, 92, 14)
        .in(ItemState.ORDERED)
        .promised(today.plusDays(13));
  }

  private List<Item> items() {
    var all = new ArrayList<Item>();
    var used = ItemState.MEASURED;
    all.add(part(1, EnginePart.BLOCK, 1, used, true));
    all.add(part(2, EnginePart.CRANK, 1, ItemState.BACK, true));
    all.add(
        part(3, EnginePart.HEAD, 1, ItemState.AT_SHOP, true)
            .found(true, Condition.WORN, "exhaust guide of cylinder 5 loose")
            .matching(Map.of("bolt pattern", "ten a head, 7/16", "intake port", "oval"))
            .measured(Map.of(ItemMeasure.CHAMBER, 57.2e-6)));
    all.add(
        part(4, EnginePart.HEAD, 2, ItemState.AT_SHOP, true)
            .measured(Map.of(ItemMeasure.CHAMBER, 57.3e-6)));
    for (int i = 0; i < PISTONS.length; i++) {
      all.add(
          part(10 * (i + 2), EnginePart.PISTON, i + 1, used, true)
              .measured(
                  Map.of(
                      ItemMeasure.WEIGHT,
                      GRAM * PISTONS[i],
                      ItemMeasure.PIN_HEIGHT,
                      0.033274 + 1e-5 * HEIGHTS[i]))
              .found(
                  true,
                  i == 6 ? Condition.WORN : Condition.SOUND,
                  i == 6 ? "skirt scuffed lightly, within size, used again" : ""));
      all.add(
          part(10 * (i + 2) + 1, EnginePart.PIN, i + 1, used, true)
              .measured(Map.of(ItemMeasure.WEIGHT, GRAM * PINS[i])));
      all.add(
          part(10 * (i + 2) + 2, EnginePart.ROD, i + 1, used, true)
              .measured(
                  Map.of(
                      ItemMeasure.SMALL_END,
                      GRAM * ENDS[i],
                      ItemMeasure.LENGTH,
                      0.14859 + 1e-5 * LENGTHS[i])));
    }
    all.add(part(12, EnginePart.MAIN_SHELLS, 1, ItemState.ARRIVED, false).from(COUNTER, 88, 0));
    all.add(shells());
    all.add(part(14, EnginePart.RINGS, 1, ItemState.ARRIVED, false).from(COUNTER, 165, 0));
    all.add(
        part(15, EnginePart.CAM, 1, ItemState.ORDERED, false)
            .from("Tarn Cams", 365, 12)
            .promised(today.plusDays(6)));
    all.add(part(16, EnginePart.CAM_DRIVE, 1, used, true));
    all.add(part(17, EnginePart.TAPPETS, 1, ItemState.ARRIVED, false).from(COUNTER, 240, 0));
    all.add(part(18, EnginePart.PUSHRODS, 1, ItemState.WANTED, false).from("Tarn Cams", 130, 6));
    all.add(part(19, EnginePart.ROCKERS, 1, used, true));
    for (int bank = 1; bank <= 2; bank++) {
      all.add(
          part(100 + bank, EnginePart.SPRINGS, bank, ItemState.ARRIVED, false)
              .from("Tarn Cams", 85, 0));
      all.add(part(102 + bank, EnginePart.VALVES, bank, used, true));
      all.add(
          part(104 + bank, EnginePart.HEAD_GASKET, bank, ItemState.WANTED, false)
              .from(COUNTER, 34, 3));
    }
    all.add(part(107, EnginePart.HEAD_BOLTS, 1, ItemState.ARRIVED, false).from(COUNTER, 64, 0));
    all.add(part(108, EnginePart.GASKET_SET, 1, ItemState.ARRIVED, false).from(COUNTER, 78, 0));
    all.add(part(109, EnginePart.INTAKE, 1, used, true));
    all.add(part(110, EnginePart.CARBURETTOR, 1, ItemState.ARRIVED, true).from("", 540, 0));
    all.add(part(111, EnginePart.OIL_PUMP, 1, ItemState.ARRIVED, false).from(COUNTER, 72, 0));
    return all;
  }

  private static Item part(int number, EnginePart part, int place, ItemState state, boolean used) {
    var item = Item.wanted("K" + number, part, place).in(state);
    return used ? item.found(true, Condition.SOUND, "") : item;
  }

  private List<WorkOrder> orders() {
    var crank =
        WorkOrder.of(
                "W1",
                SHOP,
                List.of(
                    new OrderLine(
                        EnginePart.CRANK,
                        Operation.CRACK_TEST,
                        "all of it",
                        "comes out of a raced engine",
                        45),
                    new OrderLine(
                        EnginePart.CRANK,
                        Operation.OTHER,
                        "polish the journals, brush the oil ways",
                        "light scores on throw 3",
                        60)),
                at(-13))
            .forStep("crank")
            .sent(at(-12), today.minusDays(5))
            .back(at(-5))
            .decided("Within size, no cracks.");
    var build = DemoBuilds.hillClimbEight();
    var lines =
        new ArrayList<>(
            new OrderPlans(build, new Readings(DemoBuilds.hillClimbReadings())).mill(54e-6, 80));
    lines.add(
        new OrderLine(
            EnginePart.HEAD,
            Operation.GUIDES,
            "exhaust guide of cylinder 5",
            "loose: 0.004 in where it was read",
            35));
    lines.add(
        new OrderLine(
            EnginePart.HEAD, Operation.VALVE_JOB, "all seats, three angles", "fresh guides", 220));
    var heads =
        WorkOrder.of("W2", SHOP, lines, at(-9)).forStep("heads").sent(at(-8), today.plusDays(4));
    return List.of(crank, heads);
  }

  private List<Step> steps() {
    var c = DemoBuilds.hillClimbEight().combination();
    Map<String, Integer> done =
        Map.of("brief", -24, "strip", -21, "look", -14, "walls", -13, "bore", -6, "crank", -5);
    var all = new ArrayList<Step>();
    for (var s : UsualRoutes.REBUILD.steps(c.bottomEnd())) {
      var step = s.id().equals("bore") ? s.with(Map.of("title", "Bores looked at and honed")) : s;
      if (step.id().equals("heads")) {
        step = step.with(Map.of("who", SHOP));
      }
      if (step.id().equals("on-dyno")) {
        step = step.with(Map.of("cost", 450.0));
      }
      if (done.containsKey(step.id())) {
        for (int i = 0; i < step.checks().size(); i++) {
          for (int p = 1; p <= step.checks().get(i).places(); p++) {
            step = step.turned(i, p);
          }
        }
        step = step.done(at(done.get(step.id())), "", c);
      }
      all.add(step);
    }
    all.add(
        Step.of("seal", "Rear seal trimmed: how proud it stands", Stage.MOCK_UP, 1)
            .after("bearings")
            .needs(EnginePart.CRANK));
    return all;
  }

  private static List<Option> options() {
    return List.of(
        new Option("O1", "Which cam", "New cam 246/252", 365, 8, 6, "wipe", "Cam 246/252 at 0.050"),
        new Option("O2", "Which cam", "Have the old one ground again", 120, 8, 9, "wipe", ""),
        new Option("O3", "Which cam", "The old one as it is", 0, 2, 0, "", ""));
  }
}
