package grandbore.core.prediction;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/** Workers of their own, for a program that runs one thing after another. */
final class PoolWorkers implements Workers, AutoCloseable {
  private final int atOnce;
  private final ExecutorService pool;

  PoolWorkers(int atOnce) {
    this.atOnce = atOnce;
    pool =
        Executors.newFixedThreadPool(
            atOnce, Thread.ofPlatform().daemon().name("predictor-", 0).factory());
  }

  @Override
  public int atOnce() {
    return atOnce;
  }

  @Override
  public <T> List<T> all(List<Callable<T>> pieces) throws InterruptedException, ExecutionException {
    var done = new ArrayList<T>();
    for (var future : pool.invokeAll(pieces)) {
      done.add(future.get());
    }
    return done;
  }

  @Override
  public void close() {
    pool.shutdownNow();
  }
}
