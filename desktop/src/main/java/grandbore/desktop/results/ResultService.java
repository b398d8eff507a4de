package grandbore.desktop.results;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.LossAccount;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.Relief;
import grandbore.core.prediction.SlowRunning;
import grandbore.core.prediction.Starts;
import grandbore.core.prediction.Trace;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Runs what a view asks for, one thing at a time; a newer wish ends the older. */
public final class ResultService {
  private static final Logger LOG = LoggerFactory.getLogger(ResultService.class);

  /** What a slow engine does. */
  public record Slow(List<Double> compression, Optional<SlowRunning.Idle> idle) {}

  private final ExecutorService runner =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("results").factory());
  private final Predictor predictor = new Predictor();
  private final AtomicLong newest = new AtomicLong();
  private final Consumer<String> failed;

  /**
   * @param failed told why a run could not be finished
   */
  public ResultService(Consumer<String> failed) {
    this.failed = failed;
  }

  public void trace(BuiltEngine engine, double rpm, Consumer<Trace> then) {
    run(stop -> predictor.trace(engine, rpm, stop), then);
  }

  public void losses(
      BuiltEngine engine,
      List<Double> speeds,
      Consumer<Relief> progress,
      Consumer<LossAccount> then) {
    run(
        stop ->
            predictor.losses(
                engine, speeds, r -> Platform.runLater(() -> progress.accept(r)), stop),
        then);
  }

  public void slow(BuiltEngine engine, double idleSpeed, Consumer<Slow> then) {
    run(
        stop -> {
          var slow = new SlowRunning(engine, stop);
          return new Slow(slow.compressionTest(), slow.idle(idleSpeed));
        },
        then);
  }

  /** Gauge pressures of a compression test, cylinder 1 first. */
  public void cranking(BuiltEngine engine, Consumer<List<Double>> then) {
    run(stop -> new SlowRunning(engine, stop).compressionTest(), then);
  }

  /** Idle at a speed, where there is one. */
  public void idle(BuiltEngine engine, double rpm, Consumer<Optional<SlowRunning.Idle>> then) {
    run(stop -> new SlowRunning(engine, stop).idle(rpm), then);
  }

  public void cancel() {
    newest.incrementAndGet();
  }

  /** The live curve of another engine. */
  public void curve(BuiltEngine engine, List<Double> speeds, Consumer<Curve> then) {
    curves(List.of(engine), speeds, c -> then.accept(c.getFirst()));
  }

  /** The live curves of several engines. */
  public void curves(List<BuiltEngine> engines, List<Double> speeds, Consumer<List<Curve>> then) {
    run(
        stop -> {
          // Each starts from where the one before it ended.
          var starts = new Starts();
          return engines.stream()
              .map(e -> predictor.predictNext(e, speeds, Fidelity.PLACED, starts, p -> {}, stop))
              .toList();
        },
        then);
  }

  /** One speed of several engines, live. */
  public void each(List<BuiltEngine> engines, double rpm, Consumer<List<CurvePoint>> then) {
    curves(
        engines,
        List.of(rpm),
        all -> then.accept(all.stream().map(c -> c.points().getFirst()).toList()));
  }

  private <T> void run(Function<BooleanSupplier, T> work, Consumer<T> then) {
    long run = newest.incrementAndGet();
    runner.execute(
        () -> {
          if (newest.get() != run) {
            return;
          }
          try {
            var result = work.apply(() -> newest.get() != run);
            Platform.runLater(
                () -> {
                  if (newest.get() == run) {
                    then.accept(result);
                  }
                });
          } catch (CancellationException e) {
            // A newer wish took this one's place.
          } catch (RuntimeException e) {
            LOG.error("A run could not be finished", e);
            Platform.runLater(() -> failed.accept(String.valueOf(e.getMessage())));
          }
        });
  }
}
