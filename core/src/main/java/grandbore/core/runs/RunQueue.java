package grandbore.core.runs;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.ModelVersion;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.PriorityBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.Condition;
import java.util.concurrent.locks.ReentrantLock;

/**
 * All runs of a program, on as many workers as there are processors.
 *
 * <p>A run is cut into pieces, mostly the speeds of a curve shared out, which wait in one queue:
 * the more urgent first, among equals the first come. A piece that goes on asks once a cycle
 * whether it shall stop; there it lets more urgent pieces that wait go first, on its own worker. So
 * an edit's curve never waits for a sweep by more than a cycle, no worker is idle while anything
 * waits, and sweeps go on where they were.
 *
 * <p>What a study comes to from a cold start is kept by all that it hangs on, {@link Study#key()}
 * and the model's version, the longest unused going first.
 */
public final class RunQueue implements AutoCloseable {
  /** Results kept; the largest, a trace of every cylinder, takes some 3 MB. */
  private static final int KEPT = 60;

  /** Curves of studies kept; each takes some 10 kB. */
  private static final int KEPT_CURVES = 2000;

  /** How soon a run that is held notices that it was stopped, ms. */
  private static final long HELD_MILLISECONDS = 100;

  private record Piece(Urgency urgency, long order, Runnable work) {}

  private final int workers;
  private final PriorityBlockingQueue<Piece> waiting =
      new PriorityBlockingQueue<>(
          64, Comparator.comparing(Piece::urgency).thenComparingLong(Piece::order));
  private final AtomicLong order = new AtomicLong();
  private final List<Run<?>> running = new CopyOnWriteArrayList<>();
  private final List<Runnable> watchers = new CopyOnWriteArrayList<>();
  private final ExecutorService conductors =
      Executors.newThreadPerTaskExecutor(Thread.ofVirtual().name("run-", 0).factory());
  private final ExecutorService pool;
  private final Cache<List<Object>, Object> kept = Caffeine.newBuilder().maximumSize(KEPT).build();

  /** Curves of studies' engines, by all that they hang on. */
  private final Cache<List<Object>, Curve> curves =
      Caffeine.newBuilder().maximumSize(KEPT_CURVES).build();

  private final ReentrantLock hold = new ReentrantLock();
  private final Condition letGo = hold.newCondition();

  /** The most urgent that is held; null for none. */
  private Urgency held;

  private volatile boolean closed;

  public RunQueue() {
    this(Runtime.getRuntime().availableProcessors());
  }

  public RunQueue(int workers) {
    this.workers = workers;
    pool =
        Executors.newFixedThreadPool(
            workers, Thread.ofPlatform().daemon().name("solver-", 0).factory());
    for (int i = 0; i < workers; i++) {
      pool.execute(this::serve);
    }
  }

  int workers() {
    return workers;
  }

  boolean isClosed() {
    return closed;
  }

  /** Begins a study; the same one asked for again is answered from what was kept. */
  public <T> Run<T> submit(Study<T> study, Urgency urgency) {
    var run = new Run<T>(study.title(), urgency);
    if (closed) {
      run.cancel();
      return run;
    }
    running.add(run);
    told();
    conductors.execute(
        () -> {
          try {
            conduct(study, urgency, run);
          } finally {
            running.remove(run);
            told();
          }
        });
    return run;
  }

  Optional<Curve> curve(List<Object> key) {
    return Optional.ofNullable(curves.getIfPresent(List.of(ModelVersion.CURRENT, key)));
  }

  void remember(List<Object> key, Curve curve) {
    curves.put(List.of(ModelVersion.CURRENT, key), curve);
  }

  /** Whether no run goes on or waits. */
  public boolean isIdle() {
    return running.isEmpty();
  }

  /** Runs that go on or wait, in the order they were asked for. */
  public List<Run<?>> running() {
    return List.copyOf(running);
  }

  /** Tells, from any thread, that a run began or is over. */
  public void watch(Runnable watcher) {
    watchers.add(watcher);
  }

  private void told() {
    watchers.forEach(Runnable::run);
  }

  @SuppressWarnings("unchecked") // Under a study's key lies what that study came to.
  private <T> void conduct(Study<T> study, Urgency urgency, Run<T> run) {
    try {
      awaitTurn(run, urgency);
      var key = study.key();
      List<Object> whole =
          key.isEmpty() ? List.of() : List.of(ModelVersion.CURRENT, study.getClass(), key);
      var had = key.isEmpty() ? null : kept.getIfPresent(whole);
      if (had != null) {
        run.finish((T) had);
        return;
      }
      T result = study.solve(new Desk<>(run, new QueueWorkers(this, run, urgency)));
      if (run.isCancelled()) {
        return;
      }
      if (!key.isEmpty()) {
        kept.put(whole, result);
      }
      run.finish(result);
    } catch (CancellationException e) {
      run.cancel();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      run.cancel();
    } catch (RuntimeException | Error e) {
      run.fail(e);
    }
  }

  /**
   * Holds runs that have not begun until they are let go, where something else needs the
   * processors.
   *
   * @param from the most urgent that is held, with all that are less; {@code null} lets all go
   */
  public void hold(Urgency from) {
    hold.lock();
    try {
      held = from;
      letGo.signalAll();
    } finally {
      hold.unlock();
    }
  }

  private void awaitTurn(Run<?> run, Urgency urgency) throws InterruptedException {
    hold.lock();
    try {
      while (held != null && !urgency.isBefore(held) && !run.isCancelled() && !closed) {
        letGo.await(HELD_MILLISECONDS, TimeUnit.MILLISECONDS);
      }
    } finally {
      hold.unlock();
    }
  }

  void add(Urgency urgency, Runnable work) {
    if (closed) {
      throw new CancellationException("closed");
    }
    waiting.add(new Piece(urgency, order.incrementAndGet(), work));
  }

  /** Does the pieces that wait and are more urgent, here and now. */
  void giveWay(Urgency to) {
    for (var next = waiting.peek();
        next != null && next.urgency.isBefore(to);
        next = waiting.peek()) {
      if (waiting.remove(next)) {
        next.work.run();
      }
    }
  }

  private void serve() {
    try {
      while (!closed) {
        waiting.take().work.run();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Stops everything; what goes on ends within a cycle. */
  @Override
  public void close() {
    closed = true;
    waiting.clear();
    conductors.shutdownNow();
    pool.shutdownNow();
  }
}
