package grandbore.core.prediction;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;

/** Predicts curves: the speeds shared out over the processors, each started from its neighbour. */
public final class Predictor implements AutoCloseable {
  private final int workers;
  private final ExecutorService pool;

  public Predictor() {
    this(Runtime.getRuntime().availableProcessors());
  }

  public Predictor(int workers) {
    this.workers = workers;
    pool =
        Executors.newFixedThreadPool(
            workers, Thread.ofPlatform().daemon().name("predictor-", 0).factory());
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
   * Runs the curve again with each loss taken away, and with all of them.
   *
   * @param progress told of every run that is done
   * @throws CancellationException where it was cancelled
   */
  public LossAccount losses(
      BuiltEngine engine,
      List<Double> speeds,
      Consumer<Relief> progress,
      BooleanSupplier cancelled) {
    var mesh = Fidelity.LIVE.mesh();
    Consumer<CurvePoint> none = p -> {};
    var base = predict(engine, speeds, Fidelity.LIVE, mesh, Relief.NONE, none, cancelled);
    var freed = new EnumMap<Relief, Curve>(Relief.class);
    for (var relief : Relief.values()) {
      freed.put(
          relief, predict(engine, speeds, Fidelity.LIVE, mesh, Set.of(relief), none, cancelled));
      progress.accept(relief);
    }
    var all =
        predict(engine, speeds, Fidelity.LIVE, mesh, Set.of(Relief.values()), none, cancelled);
    return new LossAccount(base, freed, all);
  }

  /** Every cylinder at one speed, and one cycle of the first written down. */
  public Trace trace(BuiltEngine engine, double rpm, BooleanSupplier cancelled) {
    return new SpeedRun(engine, Fidelity.FULL, Fidelity.FULL.mesh()).trace(rpm, cancelled);
  }

  Curve predict(
      BuiltEngine engine,
      List<Double> speeds,
      Fidelity fidelity,
      Mesh mesh,
      Consumer<CurvePoint> each,
      BooleanSupplier cancelled) {
    return predict(engine, speeds, fidelity, mesh, Relief.NONE, each, cancelled);
  }

  private Curve predict(
      BuiltEngine engine,
      List<Double> speeds,
      Fidelity fidelity,
      Mesh mesh,
      Set<Relief> relief,
      Consumer<CurvePoint> each,
      BooleanSupplier cancelled) {
    var tasks = new ArrayList<Callable<List<CurvePoint>>>();
    var sorted = speeds.stream().sorted().toList();
    for (var share : shares(sorted, workers)) {
      tasks.add(
          () -> {
            var run = new SpeedRun(engine, fidelity, mesh, relief);
            var points = new ArrayList<CurvePoint>();
            for (double rpm : share) {
              var point = run.run(rpm, cancelled);
              if (cancelled.getAsBoolean()) {
                return points;
              }
              points.add(point);
              each.accept(point);
              if (!Double.isFinite(point.torque())) {
                run = new SpeedRun(engine, fidelity, mesh, relief);
              }
            }
            return points;
          });
    }
    var all = new ArrayList<CurvePoint>();
    try {
      for (var future : pool.invokeAll(tasks)) {
        all.addAll(future.get());
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new CancellationException("interrupted");
    } catch (ExecutionException e) {
      throw new IllegalStateException(e.getCause());
    }
    if (cancelled.getAsBoolean()) {
      throw new CancellationException("cancelled");
    }
    return new Curve(fidelity, all);
  }

  /** Contiguous shares of about the same work: slow speeds take more steps. */
  private static List<List<Double>> shares(List<Double> sorted, int workers) {
    double whole = sorted.stream().mapToDouble(s -> 1 / s).sum();
    var shares = new ArrayList<List<Double>>();
    var share = new ArrayList<Double>();
    double sum = 0;
    for (double s : sorted) {
      if (!share.isEmpty() && sum >= whole * (shares.size() + 1) / workers) {
        shares.add(share);
        share = new ArrayList<>();
      }
      share.add(s);
      sum += 1 / s;
    }
    shares.add(share);
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
    pool.shutdownNow();
  }
}
