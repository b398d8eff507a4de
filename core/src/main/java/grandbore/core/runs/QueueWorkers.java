package grandbore.core.runs;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Workers;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.function.Supplier;

/** The queue's workers as one run sees them: its pieces wait their turn by its urgency. */
final class QueueWorkers implements Workers {
  private final RunQueue queue;
  private final Run<?> run;
  private final Urgency urgency;

  QueueWorkers(RunQueue queue, Run<?> run, Urgency urgency) {
    this.queue = queue;
    this.run = run;
    this.urgency = urgency;
  }

  /**
   * A curve by all that it hangs on.
   *
   * @param known told where it was run before
   */
  Curve remembered(List<Object> key, Supplier<Curve> run, Runnable known) {
    var had = queue.curve(key);
    if (had.isPresent()) {
      known.run();
      return had.get();
    }
    var curve = run.get();
    queue.remember(key, curve);
    return curve;
  }

  @Override
  public int atOnce() {
    return queue.workers();
  }

  /** Gives way to what is more urgent, then says whether to stop. */
  boolean isStopped() {
    if (!run.isCancelled() && !queue.isClosed()) {
      queue.giveWay(urgency);
    }
    return run.isCancelled() || queue.isClosed();
  }

  @Override
  public <T> List<T> all(List<Callable<T>> pieces) throws InterruptedException, ExecutionException {
    var futures = new ArrayList<FutureTask<T>>();
    for (var piece : pieces) {
      var future =
          new FutureTask<T>(
              () -> {
                if (run.isCancelled()) {
                  throw new CancellationException("cancelled");
                }
                return piece.call();
              });
      futures.add(future);
      queue.add(urgency, future);
    }
    var done = new ArrayList<T>();
    try {
      for (var future : futures) {
        done.add(future.get());
      }
    } finally {
      futures.forEach(f -> f.cancel(false));
    }
    return done;
  }
}
