package grandbore.core.runs;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.LossAccount;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.RemovedLoss;
import grandbore.core.prediction.Trace;
import grandbore.core.prediction.WarmStarts;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executors;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;

/**
 * What a study solves with: the wave model on the shared workers, at the study's own urgency, each
 * solved speed counted.
 */
public final class Desk<T> {
  private final Run<T> run;
  private final QueueWorkers workers;
  private final Predictor predictor;

  Desk(Run<T> run, QueueWorkers workers) {
    this.run = run;
    this.workers = workers;
    predictor = new Predictor(workers);
  }

  /** Says how many pieces are to come, besides those said before. */
  public void expect(int pieces) {
    run.expect(pieces);
  }

  /** One piece is done. */
  public void piece() {
    run.piece();
  }

  /** Shows what is known so far. */
  public void show(T part) {
    run.show(part);
  }

  /** Asked once a cycle by whatever solves; lets what is more urgent go first. */
  public BooleanSupplier stop() {
    return workers::isStopped;
  }

  /** A curve from a cold start. */
  public Curve curve(BuiltEngine engine, List<Double> speeds, Fidelity fidelity) {
    return predictor.predict(engine, speeds, fidelity, p -> piece(), stop());
  }

  /** A curve that starts from where each speed was last left. */
  public Curve curve(
      BuiltEngine engine, List<Double> speeds, Fidelity fidelity, WarmStarts starts) {
    return predictor.predictNext(engine, speeds, fidelity, starts, this::count, stop());
  }

  /** Runs an engine that others are to start from, the speeds one piece each. */
  public Base base(BuiltEngine engine, List<Double> speeds, Fidelity fidelity) {
    var starts = new WarmStarts();
    var curve = curve(engine, speeds, fidelity, starts);
    return new Base(engine, speeds, fidelity, starts, curve);
  }

  /** The curve of another engine begun from a base; one that was run before is not run again. */
  public Curve curve(Base base, BuiltEngine engine) {
    return workers.remembered(
        base.key(engine),
        () -> curve(engine, base.speeds(), base.fidelity(), base.starts()),
        () -> base.speeds().forEach(s -> piece()));
  }

  /**
   * Curves of several engines begun from a base, all at once, so that no worker waits for the
   * slowest speed of one of them. What each comes to is what it comes to alone.
   */
  public List<Curve> curves(Base base, List<BuiltEngine> engines) {
    try (var threads = Executors.newVirtualThreadPerTaskExecutor()) {
      var asked = engines.stream().map(e -> threads.submit(() -> curve(base, e))).toList();
      var curves = new ArrayList<Curve>();
      for (var a : asked) {
        curves.add(a.get());
      }
      return curves;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new CancellationException("interrupted");
    } catch (ExecutionException e) {
      throw thrown(e);
    }
  }

  private static RuntimeException thrown(ExecutionException e) {
    return e.getCause() instanceof CancellationException c
        ? c
        : new IllegalStateException(e.getCause());
  }

  private void count(CurvePoint point) {
    piece();
  }

  /** Curves of several engines, each from where the one before it ended. */
  public List<Curve> curves(
      List<BuiltEngine> engines, List<Double> speeds, Consumer<List<Curve>> soFar) {
    expect(engines.size() * speeds.size());
    var starts = new WarmStarts();
    var curves = new ArrayList<Curve>();
    for (var engine : engines) {
      curves.add(curve(engine, speeds, Fidelity.PLACED, starts));
      soFar.accept(List.copyOf(curves));
    }
    return List.copyOf(curves);
  }

  /** The account of losses, each loss one piece. */
  public LossAccount losses(BuiltEngine engine, List<Double> speeds) {
    expect(RemovedLoss.values().length);
    return predictor.losses(engine, speeds, r -> piece(), stop());
  }

  /** One speed with one cycle of a cylinder written down. */
  public Trace trace(BuiltEngine engine, double rpm, int cylinder) {
    return alone(stop -> predictor.trace(engine, rpm, cylinder, stop));
  }

  /** Something that goes on one worker. */
  public <R> R alone(Function<BooleanSupplier, R> work) {
    Callable<R> piece = () -> work.apply(stop());
    try {
      return workers.all(List.of(piece)).getFirst();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new CancellationException("interrupted");
    } catch (ExecutionException e) {
      throw thrown(e);
    }
  }
}
