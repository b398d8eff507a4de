package grandbore.core.prediction;

import grandbore.core.friction.Friction;
import grandbore.core.gas.Air;
import grandbore.core.valvetrain.ValveMotion.Motion;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;

/** Runs one network to a periodic state at one speed after another, each from the last. */
final class OperatingPointSolver {
  private static final int FEWEST = 4;

  /** A run that starts near its end has to turn less. */
  private static final int FEWEST_FROM_NEAR = 2;

  private static final int FEWEST_BOOSTED = 12;

  /** Copies that have not settled in so many cycles hunt, and are damped more. */
  private static final int HUNTING = 16;

  private static final int MOST_COPIED = 40;
  private static final int MOST_WHOLE = 60;

  /** Where after these only a drift is left. */
  private static final int MOST_DRIFTING = 150;

  private static final int SPARK_CYCLES = 6;
  private static final int SOUGHT_EVERY = 3;
  private static final int LAST_SOUGHT = 24;

  /** Time over delay of an end gas that knocks. */
  private static final double OVER = 1.013;

  /** A spark that moves by less is not sought on, rad. */
  private static final double STILL_SPARK = Math.toRadians(0.1);

  /** Step of the crank where valves bounce and are shut for moments only, rad. */
  private static final double BOUNCING_STEP = Math.toRadians(1);

  /** Nitrous oxide is dosed to this step of its share, so that gas tables can be used again. */
  private static final double DOSE = 0.002;

  private static final int MOST_DOSES = 4;

  /** The speed at which an engine's walls are about as hot as they are made with, rev/min. */
  private static final double WALLS_BEGIN_AT = 4500;

  private static final double NITROUS_MOLAR_MASS = 44.013e-3;

  private final BuiltEngine engine;
  private final RepresentativeCylinders roles;
  private final Mesh mesh;
  private final Set<RemovedLoss> relief;
  private final WarmStarts starts;
  private final Friction friction;
  private EngineParts parts;
  private EngineNetwork network;
  private SparkSearch spark;
  private double dose;
  private long cellSteps;
  private double plenum;

  /** The speed that the network's walls are of, rev/min. */
  private double turned = WALLS_BEGIN_AT;

  private OperatingPointSolver whole;
  private boolean kept;

  /** Whether the last run ended where its state stopped being numbers. */
  private boolean broken;

  OperatingPointSolver(BuiltEngine engine, RepresentativeCylinders roles, Mesh mesh) {
    this(engine, roles, mesh, RemovedLoss.NONE, new WarmStarts());
  }

  /**
   * @param roles which cylinders are solved
   * @param starts where runs may start and where they are kept
   */
  OperatingPointSolver(
      BuiltEngine engine,
      RepresentativeCylinders roles,
      Mesh mesh,
      Set<RemovedLoss> relief,
      WarmStarts starts) {
    this.engine = engine;
    this.starts = starts;
    this.mesh = mesh;
    this.relief = relief;
    this.roles = roles;
    friction = new Friction(engine.combination());
    build(0);
  }

  private void build(double nitrousPerAir) {
    dose = nitrousPerAir;
    parts =
        new EngineParts(
            engine.combination(),
            mesh.at(turned),
            nitrousPerAir,
            relief,
            EngineParts.working(engine.combination()));
    network = new EngineNetwork(parts, roles, engine.clearanceArray());
    kept = false;
    spark = new SparkSearch(engine.combination().mixture(), relief);
    setSpark();
  }

  /** Starts from where another ended, whose engine is built alike. */
  void follow(OperatingPointSolver before) {
    kept = before.kept && network.startFrom(before.network);
    turned = before.turned;
    spark.start(before.spark.spark());
    setSpark();
  }

  private void setSpark() {
    for (var u : network.units()) {
      u.cylinder().setSpark(spark.spark());
    }
  }

  /** Runs to a periodic state at a speed, rev/min. */
  CurvePoint run(double rpm, BooleanSupplier cancelled) {
    var nitrous = engine.combination().nitrous();
    boolean flows = nitrous.isFitted() && rpm * Math.PI / 30 >= nitrous.from().si();
    if (!flows && dose > 0) {
      build(0);
    }
    var point = settle(rpm, cancelled);
    for (int k = 0; flows && k < MOST_DOSES && !cancelled.getAsBoolean(); k++) {
      double wanted =
          nitrous.flow().si() / NITROUS_MOLAR_MASS / (point.airFlow() / Air.DRY_MOLAR_MASS);
      double next = Math.clamp(DOSE * Math.rint(wanted / DOSE), DOSE, 1);
      if (!Double.isFinite(wanted) || Math.abs(next - dose) < 0.5 * DOSE) {
        break;
      }
      build(next);
      point = settle(rpm, cancelled);
    }
    return point;
  }

  /**
   * Where copies hunt for good, or draw a plenum empty that a small throttle fills no faster, every
   * cylinder is solved instead, on the same mesh.
   */
  private CurvePoint settle(double rpm, BooleanSupplier cancelled) {
    var point = turn(rpm, cancelled);
    if (!roles.haveCopies()
        || point.converged()
        || point.cycles() < MOST_COPIED && !broken
        || cancelled.getAsBoolean()) {
      return point;
    }
    if (whole == null || whole.dose != dose) {
      whole =
          new OperatingPointSolver(
              engine,
              RepresentativeCylinders.every(engine.combination()),
              mesh,
              relief,
              new WarmStarts());
      whole.build(dose);
    }
    return whole.turn(rpm, cancelled);
  }

  /**
   * Starts from where this speed was last left, else from the speed run before; returns whether
   * from the first.
   */
  private boolean start(double rpm) {
    if (broken) {
      build(dose);
      turned = WALLS_BEGIN_AT;
    }
    var before = starts.at(rpm);
    var cells = parts.in(mesh.at(rpm));
    boolean alike = cells == parts;
    parts = cells;
    if (before.isEmpty() && !kept && alike) {
      network.guessWalls(rpm / turned);
      return false;
    }
    var next = new EngineNetwork(parts, roles, engine.clearanceArray());
    boolean near = before.isPresent() && next.startFrom(before.get().network());
    if (near) {
      spark.start(before.get().spark());
    } else {
      next.startFrom(network);
      next.guessWalls(rpm / turned);
    }
    network = next;
    kept = false;
    setSpark();
    return near;
  }

  private CurvePoint turn(double rpm, BooleanSupplier cancelled) {
    boolean near = start(rpm);
    turned = rpm;
    double speed = rpm * Math.PI / 30;
    double piston = 2 * parts.combination().bottomEnd().stroke().si() * rpm / 60;
    var in = parts.intakeValve().at(speed);
    var out = parts.exhaustValve().at(speed);
    boolean follow = in.follows() && out.follows();
    for (var u : network.units()) {
      u.setLifts(in.lift(), out.lift(), follow);
    }
    network.turnBy(follow ? parts.step() : Math.min(parts.step(), BOUNCING_STEP));
    var settling = new Settling();
    int most = roles.haveCopies() ? MOST_COPIED : MOST_WHOLE;
    int fewest = network.supply().hasTurbine() ? FEWEST_BOOSTED : near ? FEWEST_FROM_NEAR : FEWEST;
    int cycle = 0;
    broken = false;
    boolean seeking = spark.seeks();
    String note = "";
    cellSteps = 0;
    while (!settling.isDone()
        && (cycle < most || !roles.haveCopies() && cycle < MOST_DRIFTING && settling.drifts())) {
      if (cycle % HUNTING == 0) {
        network.freshen(RecordedFlow.FRESH / (1 + 1.5 * cycle / HUNTING));
      }
      // Where the run starts near its end, the first charge is still the last engine's.
      if (seeking && (cycle > 0 || !near)) {
        double moved = seekSpark(speed, piston);
        seeking = cycle + 1 < SPARK_CYCLES && (cycle < 2 || moved > STILL_SPARK);
      } else if (spark.seeks() && isSoughtAgain(cycle)) {
        seekSpark(speed, piston);
      }
      broken = !cycle(speed, piston);
      plenum = network.intake().takeMeanPressure();
      cycle++;
      double work = broken ? Double.NaN : 0;
      double mass = 0;
      for (var u : network.units()) {
        work += u.cylinder().lastCycle().netWork();
        mass += u.cylinder().lastCycle().trapped;
      }
      broken = !Double.isFinite(work);
      if (broken || !(mass > 0)) {
        note = broken ? "the gas left the range of the model" : floats(in, out);
        break;
      }
      boost(speed);
      settling.next(work, mass, cycle >= fewest);
      if (settling.isDone() && cycle < LAST_SOUGHT && isOverTheLimit()) {
        // What has settled knocks by what the charge still moved: back to the limit, and on.
        seekSpark(speed, piston);
        settling = new Settling();
      }
      if (!settling.isDone() && cancelled.getAsBoolean()) {
        note = "cancelled";
        break;
      }
    }
    boolean swings = note.isEmpty() && !roles.haveCopies() && settling.swingsALittle();
    boolean converged = settling.isDone() || swings;
    var wrong = converged ? Soundness.wrong(network, parts) : Optional.<String>empty();
    if (wrong.isPresent()) {
      converged = false;
      note = wrong.get() + (follow ? "" : "; the valves float");
    }
    if (converged) {
      starts.keep(rpm, new WarmStarts.Start(network, spark.spark()));
      kept = true;
    }
    if (!converged && note.isEmpty()) {
      note =
          (settling.alternates()
                  ? "a cycle that burns well and one that burns poorly follow one another%s"
                  : "still changing by more than 0.1 %% a cycle after " + cycle + " cycles%s")
              .formatted(follow ? "" : "; the valves float");
    }
    return new PointSummary(parts, network, friction, relief, plenum)
        .point(rpm, spark, in, out, cycle, cellSteps, settling.change(), converged, note);
  }

  /** Whether a spark that is to be held back knocks all the same, by a third of an octane. */
  private boolean isOverTheLimit() {
    return spark.heedsKnock() && nearestToKnock().cylinder().lastCycle().knock > OVER;
  }

  /** A run that takes long has come to another charge than the one that the spark was sought on. */
  private static boolean isSoughtAgain(int cycle) {
    return cycle > SPARK_CYCLES && cycle <= LAST_SOUGHT && cycle % SOUGHT_EVERY == 0;
  }

  /** Why no charge was trapped. */
  private static String floats(Motion in, Motion out) {
    return in.follows() && out.follows()
        ? "one valve or the other is always open, so that no charge is closed in"
        : "the valves float and do not close in time, so that no charge is closed in";
  }

  /** Seeks the spark on the last charge; returns by how much it moved, rad. */
  private double seekSpark(double speed, double piston) {
    var seeker = nearestToKnock().cylinder();
    double before = spark.spark();
    if (seeker.canTry()) {
      spark.seek(seeker.closed(), speed, piston);
      setSpark();
    }
    return Math.abs(spark.spark() - before);
  }

  /** Runs one cycle; false where the state stopped being a number. */
  private boolean cycle(double speed, double piston) {
    var first = network.units().getFirst();
    int before = first.cycles();
    long from = network.steps();
    while (first.cycles() == before) {
      if (!(network.step(speed, piston) > 0)) {
        return false;
      }
    }
    network.balanceWalls();
    cellSteps += (network.steps() - from) * network.cells();
    return true;
  }

  private CylinderUnit nearestToKnock() {
    var worst = network.units().getFirst();
    for (var u : network.units()) {
      if (u.cylinder().lastCycle().knock > worst.cylinder().lastCycle().knock) {
        worst = u;
      }
    }
    return worst;
  }

  private void boost(double speed) {
    double seconds = parts.cycle().length() / speed;
    double charge = 0;
    for (var u : network.units()) {
      charge += u.inducted();
    }
    double flow = charge / network.units().size() * network.cylinders() / seconds;
    double turbine = network.exhaust().takeTurbineWork() / seconds;
    network.supply().next(speed, flow, turbine, seconds);
    if (network.supply().hasTurbine()) {
      double wanted = network.supply().turbinePowerWanted(flow);
      network.exhaust().gate(wanted > 0 ? turbine / wanted - 1 : 0);
    }
  }

  /** Runs to a periodic state, then one cycle more with everything of a cylinder written down. */
  Trace trace(double rpm, int cylinder, BooleanSupplier cancelled) {
    var point = run(rpm, cancelled);
    double speed = rpm * Math.PI / 30;
    double piston = 2 * parts.combination().bottomEnd().stroke().si() * rpm / 60;
    var recorder = new TraceRecorder(network, cylinder);
    var first = network.units().getFirst();
    int before = first.cycles();
    while (first.cycles() == before && network.step(speed, piston) > 0) {
      recorder.record();
    }
    return recorder.trace(point);
  }
}
