package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.build.Build;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.Nitrous;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveTrain;
import grandbore.core.compression.DonorCheck;
import grandbore.core.compression.Evening;
import grandbore.core.compression.EveningCost;
import grandbore.core.compression.FuelStand;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.flow.ValvePassage;
import grandbore.core.mechanics.Overspeed;
import grandbore.core.mechanics.PartsFit;
import grandbore.core.mechanics.RodStretch;
import grandbore.core.mechanics.Strength;
import grandbore.core.topend.CardReading;
import grandbore.core.topend.Degreeing;
import grandbore.core.topend.FlowVerdict;
import grandbore.core.topend.RockerReading;
import grandbore.core.topend.ValveGear;
import grandbore.core.topend.ValveSeats;
import grandbore.core.valvetrain.Lobe;
import grandbore.core.valvetrain.PistonToValve;
import grandbore.core.working.BriefChecks;
import grandbore.core.working.Figures;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** No input is there for show: each moves the prediction or a figure of some engine. */
class EveryInputTest extends EngineTest {
  private static final double SPEED = 6000;

  /** Engines on which, between them, every input counts. */
  private static List<Combination> engines() {
    return List.of(
        EIGHT,
        said(EIGHT),
        carded(EIGHT),
        said(EIGHT).with("valveTrain.shafts", ValveTrain.Shafts.TWO),
        EIGHT
            .with("intake.manifold", Intake.Manifold.DUAL_PLANE)
            .with("exhaust.kind", Exhaust.Kind.STEPPED)
            .with("exhaust.balance", Exhaust.Balance.PIPE)
            .with("exhaust.outlet", Exhaust.Outlet.SYSTEM)
            .with("mixture.spark", Mixture.Spark.FIXED)
            .with("nitrous.kind", Nitrous.Kind.FITTED)
            .with("valveTrain.follower", ValveTrain.Follower.FLAT_PUSHROD),
        EIGHT.with("boost.kind", Boost.Kind.TURBOCHARGER),
        EIGHT.with("boost.kind", Boost.Kind.CENTRIFUGAL),
        EIGHT.with("boost.kind", Boost.Kind.POSITIVE_DISPLACEMENT),
        with(
            EIGHT.with("boost.kind", Boost.Kind.TURBOCHARGER),
            "boost.cooling",
            50,
            grandbore.core.units.Measure.PERCENT));
  }

  /** With a card that says all of the cam that is in it. */
  private static Combination carded(Combination c) {
    var cam = c.cam();
    double[] lifts = {Lobe.SEAT_LIFT, 0.508e-3, 1e-3, Lobe.CHECKING_LIFT, 5.08e-3};
    String[] names = {"Seat", "At20", "Millimetre", "At50", "At200"};
    var said = new LinkedHashMap<String, Double>();
    for (int i = 0; i < 5; i++) {
      said.put("intake" + names[i], Lobe.intake(c).duration(lifts[i]));
      said.put("exhaust" + names[i], Lobe.exhaust(c).duration(lifts[i]));
    }
    said.put("intakeOpens", cam.intakeOpens(cam.intakeDuration().si()));
    said.put("intakeCloses", cam.intakeCloses(cam.intakeDuration().si()));
    said.put("exhaustOpens", cam.exhaustOpens(cam.exhaustDuration().si()));
    said.put("exhaustCloses", cam.exhaustCloses(cam.exhaustDuration().si()));
    said.put("intakeCentreline", cam.intakeCentreline().si());
    said.put("exhaustCentreline", cam.exhaustCentreline());
    said.put("separation", cam.separation().si());
    said.put("advance", cam.separation().si() - cam.intakeCentreline().si());
    said.put("intakeLobe", cam.intakeLobeLift().si());
    said.put("exhaustLobe", cam.exhaustLobeLift().si());
    said.put("intakeValve", cam.intakeLobeLift().si() * c.valveTrain().intakeRocker().si());
    said.put("exhaustValve", cam.exhaustLobeLift().si() * c.valveTrain().exhaustRocker().si());
    for (var each : said.entrySet()) {
      var field = Specs.field("camCard." + each.getKey());
      c = field.with(c, field.get(c).with(each.getValue(), Provenance.CARD));
    }
    return c;
  }

  /** With everything said that need not be known. */
  private static Combination said(Combination c) {
    for (var field : Specs.fields()) {
      var spec = field.spec();
      if (spec.optional()
          && !field.get(c).isKnown()
          && !field.path().equals("compression.gasketVolume")
          && !field.group().equals("camCard")) {
        var given = field.get(c);
        // Two fills of one chamber differ.
        double more = field.path().equals("worksheet.secondFill") ? 1.2 : 1;
        double middle =
            more * (spec.min() > 0 ? Math.sqrt(spec.min() * spec.max()) : 0.3 * spec.max());
        c = field.with(c, given.with(middle, Provenance.CARD));
      }
    }
    return c;
  }

  /** All that is said of an engine that solves so. */
  private static List<Object> said(Combination c, CurvePoint point) {
    var all = new ArrayList<Object>();
    Build build = DemoBuilds.hillClimbEight().with(c);
    var none = new Readings(List.of());
    Figures.of(build, none).forEach(f -> all.add(f.si() + f.source()));
    var curve = new Curve(Fidelity.LIVE, List.of(point));
    all.addAll(PartsFit.of(build));
    all.addAll(Overspeed.of(build));
    all.addAll(Strength.of(build, curve));
    all.addAll(DonorCheck.of(build, none));
    all.addAll(FuelStand.of(build, BuiltEngine.asSpecified(c), curve));
    all.addAll(ValveGear.springs(build));
    all.addAll(ValveGear.rockerAndLobes(build));
    all.addAll(ValveGear.pistonToValve(build));
    all.addAll(FlowVerdict.of(build));
    all.addAll(ValveSeats.of(build));
    double seen = c.worksheet().rockerGain().si();
    double[] gains = {-1e5, 0, 2e5};
    all.add(RockerReading.says(new double[] {104, 108, 112}, gains, 108, 3e5, seen, build.units()));
    all.add(ValvePassage.intake(c).area(0.004));
    all.add(ValvePassage.exhaust(c).area(0.004));
    all.add(RodStretch.clearances(c, true, 700)[0]);
    all.addAll(Degreeing.of(build));
    try {
      CardReading.of(build).ifPresent(all::add);
    } catch (InvalidInput e) {
      all.add(e.getMessage());
    }
    var read = c.worksheet();
    all.add(PistonToValve.intake(c).recessFor(0, read.intakeRead().si()));
    all.add(PistonToValve.exhaust(c).recessFor(0, read.exhaustRead().si()));
    var idle = new SlowRunning.Idle(c.brief().idle().si() * 30 / Math.PI, 0.01, 40e3, 0.2, true);
    all.addAll(BriefChecks.of(build, curve, Optional.of(idle)));
    all.add(Evening.of(BuiltEngine.asSpecified(c)));
    all.addAll(EveningCost.of(build, BuiltEngine.asSpecified(c)));
    return all;
  }

  /**
   * Every input moves something, and one that the solver is given moves what it solves: torque,
   * gas, flame, margins or efforts, and not only words that print it.
   */
  @Test
  void everyInputMovesSomething() {
    Map<Combination, CurvePoint> points = new LinkedHashMap<>();
    engines().forEach(c -> points.put(c, point(c)));
    Map<Combination, List<Object>> before = new LinkedHashMap<>();
    points.forEach((c, p) -> before.put(c, said(c, p)));
    var idle = new ArrayList<String>();
    var still = new ArrayList<String>();
    Map<Combination, Combination> leftOut = new LinkedHashMap<>();
    for (var field : Specs.fields()) {
      boolean moves = false;
      boolean solved = false;
      boolean turns = false;
      boolean looked = false;
      // One that is known to be still is looked for on two engines, its figures on all.
      int solves = List.of(STILL).contains(field.path()) ? 2 : points.size();
      for (var engine : points.keySet()) {
        var changed = changed(engine, field);
        if (changed == null) {
          continue;
        }
        var was = points.get(engine);
        boolean other =
            !BuiltEngine.asSpecified(changed).key().equals(BuiltEngine.asSpecified(engine).key());
        var now = other && solves-- > 0 ? point(changed) : was;
        if (!other && !looked) {
          looked = true;
          var all = changed(leftOut.getOrDefault(engine, engine), field);
          leftOut.put(engine, all == null ? engine : all);
          assertThat(all).as(field.path() + " with all others that the key leaves out").isNotNull();
        }
        solved |= other;
        turns |= !now.equals(was);
        moves = moves || turns || !said(changed, now).equals(before.get(engine));
        if (moves && (turns || !solved)) {
          break;
        }
      }
      if (!moves) {
        idle.add(field.path());
      }
      if (solved && !turns) {
        still.add(field.path());
      }
    }
    // What the key leaves out is solved no other: the window would show the curve of before.
    leftOut.forEach(
        (engine, all) -> assertThat(point(all)).as("not in the key").isEqualTo(points.get(engine)));
    assertThat(still).containsExactlyInAnyOrder(STILL);
    // Nitrous switches at another speed than this one; flow comes from the sheet, so that the
    // exhaust valve's size counts in the room for it and in what the loss account frees.
    assertThat(idle).isSubsetOf("nitrous.from", "heads.exhaustValve");
    var small = changed(EIGHT, Specs.field("heads.exhaustValve"));
    assertThat(freed(small)).isNotEqualTo(freed(EIGHT));
  }

  /**
   * Inputs that the solver is given and that do not move it: flow comes from the sheet, so that
   * valves and seats count in their checks; big ends and balance in the bearings; pockets and
   * angles in what meets what; a spring binds only where valves fly further than they are led, a
   * stem counts in what the loss account frees; nitrous switches at another speed than this one.
   */
  private static final String[] STILL = {
    "valveHardware.installedHeight",
    "valveHardware.coilBind",
    "valveHardware.stem",
    "compression.intakePocket",
    "compression.exhaustPocket",
    "weights.bigEnd",
    "weights.bearing",
    "weights.oil",
    "weights.balanceFactor",
    "valveTrain.tappetDiameter",
    "heads.intakeValve",
    "heads.exhaustValve",
    "heads.intakeAngle",
    "heads.exhaustAngle",
    "heads.intakeRecess",
    "heads.exhaustRecess",
    "seats.intakeAngle",
    "seats.exhaustAngle",
    "seats.intakeWidth",
    "seats.exhaustWidth",
    "seats.intakeMargin",
    "seats.exhaustMargin",
    "seats.intakeThroat",
    "seats.exhaustThroat",
    "nitrous.from"
  };

  private static CurvePoint point(Combination c) {
    return PREDICTOR
        .predict(
            BuiltEngine.asSpecified(c),
            List.of(SPEED),
            c.intake().isBox() ? Fidelity.PLACED : Fidelity.LIVE)
        .points()
        .getFirst();
  }

  /** Torque with an exhaust port that loses nothing. */
  private static double freed(Combination c) {
    var relief = java.util.Set.of(RemovedLoss.EXHAUST_PORT);
    var run =
        new OperatingPointSolver(
            BuiltEngine.asSpecified(c),
            RepresentativeCylinders.live(c),
            Fidelity.LIVE.mesh(),
            relief,
            new WarmStarts());
    return run.run(SPEED, () -> false).torque();
  }

  /** Moved by a few per cent of its value or of its range, to a side that is allowed. */
  private static Combination changed(Combination c, Specs.Field field) {
    double is = field.get(c).si();
    double range = field.spec().max() - field.spec().min();
    for (double by : new double[] {0.04 * is, -0.04 * is, 0.03 * range, -0.03 * range}) {
      try {
        if (by != 0) {
          return field.with(c, field.get(c).with(is + by, Provenance.CARD));
        }
      } catch (InvalidInput refused) {
        // The other side, or a step of another size.
      }
    }
    return null;
  }
}
