package grandbore.core.prediction;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.ExecutionException;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Predicts curves: the speeds shared out over the processors, each started from its neighbour. */
public final class Predictor implements AutoCloseable {
  /** A trace has a row each so much of a turn, rad. */
  private static final double TRACED_STEP = Math.toRadians(1);

  private final Workers workers;

  public Predictor() {
    this(Runtime.getRuntime().availableProcessors());
  }

  public Predictor(int workers) {
    this(new PoolWorkers(workers));
  }

  /**
   * @param workers not closed with this
   */
  public Predictor(Workers workers) {
    this.workers = workers;
  }

  /** The whole curve at once. */
  public Curve predict(BuiltEngine engine, List<Double> speeds, Fidelity fidelity) {
    return predict(engine, speeds, fidelity, p -> {}, () -> false);
  }

  /**
   * @param speeds rev/min
   * @param each told of every point as it stands, from a worker's thread
   * @param cancelled asked once a cycle
   * @throws CancellationException where it was cancelled
   */
  public Curve predict(
      BuiltEngine engine,
      List<Double> speeds,
      Fidelity fidelity,
      Consumer<CurvePoint> each,
      BooleanSupplier cancelled) {
    return predict(engine, speeds, fidelity, fidelity.mesh(), each, cancelled);
  }

  /**
   * A curve, each speed started from where that speed's last run ended and kept for the next: for
   * curves of one engine edited bit by bit. What it comes to depends on the runs before by less
   * than the change that counts as settled. Where a speed has no run before it, each is started
   * from its neighbour's, so that from nothing the same engine always comes to the same curve.
   *
   * @param each told of every point as it stands, from a worker's thread
   * @param cancelled asked once a cycle
   * @throws CancellationException where it was cancelled
   */
  public Curve predictNext(
      BuiltEngine engine,
      List<Double> speeds,
      Fidelity fidelity,
      WarmStarts starts,
      Consumer<CurvePoint> each,
      BooleanSupplier cancelled) {
    var job = new Job(engine, fidelity, fidelity.mesh(), RemovedLoss.NONE, starts);
    if (!speeds.stream().allMatch(starts::has)) {
      return run(job, shares(speeds), each, cancelled);
    }
    // No speed hangs on its neighbour's, so that whoever is free takes the next.
    var left = new ConcurrentLinkedDeque<>(speeds.stream().sorted().toList());
    var sources = new ArrayList<Supplier<Double>>();
    for (int k = 0; k < workers.atOnce(); k++) {
      sources.add(k % 2 == 0 ? left::pollFirst : left::pollLast);
    }
    return run(job, sources, each, cancelled);
  }

  /**
   * Runs the curve again with each loss taken away, and with all of them.
   *
   * @param progress told of every run that is done
   * @throws CancellationException where it was cancelled
   */
  public LossAccount losses(
      BuiltEngine engine,
      List<Double> speeds,
      Consumer<RemovedLoss> progress,
      BooleanSupplier cancelled) {
    Consumer<CurvePoint> none = p -> {};
    var own = new WarmStarts();
    var job = new Job(engine, Fidelity.PLACED, Fidelity.PLACED.mesh(), RemovedLoss.NONE, own);
    var base = run(job, shares(speeds), none, cancelled);
    var freed = new EnumMap<RemovedLoss, Curve>(RemovedLoss.class);
    for (var relief : RemovedLoss.values()) {
      freed.put(relief, run(job.freed(Set.of(relief)), shares(speeds), none, cancelled));
      progress.accept(relief);
    }
    var all = run(job.freed(Set.of(RemovedLoss.values())), shares(speeds), none, cancelled);
    return new LossAccount(base, freed, all);
  }

  /** Every cylinder at one speed, and one cycle of the first to fire written down. */
  public Trace trace(BuiltEngine engine, double rpm, BooleanSupplier cancelled) {
    int first = engine.combination().bottomEnd().firingOrder().getFirst();
    return trace(engine, rpm, first, cancelled);
  }

  /**
   * Every cylinder at one speed, but for those that are others over again, and one cycle of one
   * written down, on the finer cells.
   *
   * @param rpm rev/min
   * @param cylinder its number
   * @throws IllegalArgumentException where there is no such cylinder
   */
  public Trace trace(BuiltEngine engine, double rpm, int cylinder, BooleanSupplier cancelled) {
    var roles = RepresentativeCylinders.full(engine);
    var mesh = Fidelity.FULL.mesh().withStep(TRACED_STEP);
    return new OperatingPointSolver(engine.at(rpm), roles, mesh).trace(rpm, cylinder, cancelled);
  }

  Curve predict(
      BuiltEngine engine,
      List<Double> speeds,
      Fidelity fidelity,
      Mesh mesh,
      Consumer<CurvePoint> each,
      BooleanSupplier cancelled) {
    var job = new Job(engine, fidelity, mesh, RemovedLoss.NONE, new WarmStarts());
    return run(job, shares(speeds), each, cancelled);
  }

  /** What is run at each speed, and where it may start. */
  private record Job(
      BuiltEngine engine,
      Fidelity fidelity,
      Mesh mesh,
      Set<RemovedLoss> relief,
      WarmStarts starts) {
    OperatingPointSolver begin(double rpm) {
      return new OperatingPointSolver(engine.at(rpm), fidelity.roles(engine), mesh, relief, starts);
    }

    /** What solves a speed after another: its own engine where the mixture changes with speed. */
    OperatingPointSolver next(OperatingPointSolver before, double rpm) {
      if (!engine.combination().mixture().bySpeed().isGiven()) {
        return before;
      }
      var next = begin(rpm);
      next.follow(before);
      return next;
    }

    /** The same with losses taken away, from where this one ended. */
    Job freed(Set<RemovedLoss> losses) {
      return new Job(engine, fidelity, mesh, losses, new WarmStarts(starts));
    }
  }

  /**
   * @param sources where each worker takes its next speed from; {@code null} ends it
   */
  private Curve run(
      Job job,
      List<Supplier<Double>> sources,
      Consumer<CurvePoint> each,
      BooleanSupplier cancelled) {
    var tasks = new ArrayList<Callable<List<CurvePoint>>>();
    for (var source : sources) {
      tasks.add(() -> work(job, source, each, cancelled));
    }
    var all = new ArrayList<CurvePoint>();
    try {
      workers.all(tasks).forEach(all::addAll);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new CancellationException("interrupted");
    } catch (ExecutionException e) {
      throw new IllegalStateException(e.getCause());
    }
    if (cancelled.getAsBoolean()) {
      throw new CancellationException("cancelled");
    }
    return new Curve(job.fidelity, all);
  }

  private static List<CurvePoint> work(
      Job job, Supplier<Double> source, Consumer<CurvePoint> each, BooleanSupplier cancelled) {
    OperatingPointSolver run = null;
    var points = new ArrayList<CurvePoint>();
    for (var rpm = source.get(); rpm != null; rpm = source.get()) {
      run = run == null ? job.begin(rpm) : job.next(run, rpm);
      var point = run.run(rpm, cancelled);
      if (cancelled.getAsBoolean()) {
        break;
      }
      points.add(point);
      each.accept(point);
      if (!Double.isFinite(point.torque())) {
        run = null;
      }
    }
    return points;
  }

  /** Contiguous shares of about the same work, rising: slow speeds take more steps. */
  private List<Supplier<Double>> shares(List<Double> speeds) {
    var sorted = speeds.stream().sorted().toList();
    double whole = sorted.stream().mapToDouble(s -> 1 / s).sum();
    var shares = new ArrayList<Supplier<Double>>();
    var share = new ArrayDeque<Double>();
    double sum = 0;
    for (double s : sorted) {
      if (!share.isEmpty() && sum >= whole * (shares.size() + 1) / workers.atOnce()) {
        shares.add(share::poll);
        share = new ArrayDeque<>();
      }
      share.add(s);
      sum += 1 / s;
    }
    shares.add(share::poll);
    return shares;
  }

  /** Evenly spaced speeds, rev/min, both ends included. */
  public static List<Double> speeds(double from, double to, double step) {
    var speeds = new ArrayList<Double>();
    for (int i = 0; from + i * step <= to + 1e-6; i++) {
      speeds.add(from + i * step);
    }
    return speeds;
  }

  @Override
  public void close() {
    if (workers instanceof PoolWorkers own) {
      own.close();
    }
  }
}
