package grandbore.core.runs;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * The handle of a run: how far it is, what it has so far, its end, and the way to stop it. Safe for
 * use by several threads.
 *
 * @param <T> what it comes to
 */
public final class Run<T> {
  private final String title;
  private final Urgency urgency;
  private final long asked = System.nanoTime();
  private final AtomicInteger done = new AtomicInteger();
  private final AtomicInteger of = new AtomicInteger();
  private final List<Runnable> watchers = new CopyOnWriteArrayList<>();
  private final CompletableFuture<T> result = new CompletableFuture<>();
  private volatile boolean cancelled;
  private volatile T partial;

  Run(String title, Urgency urgency) {
    this.title = title;
    this.urgency = urgency;
  }

  public String title() {
    return title;
  }

  public Urgency urgency() {
    return urgency;
  }

  public Progress progress() {
    return new Progress(done.get(), of.get(), elapsed());
  }

  private Duration elapsed() {
    return Duration.ofNanos(System.nanoTime() - asked);
  }

  /** What is known before the end, the last of it. */
  public Optional<T> partial() {
    return Optional.ofNullable(partial);
  }

  /** Tells of every step: progress, part of a result, end. From a thread of the queue. */
  public Run<T> watch(Runnable watcher) {
    watchers.add(watcher);
    if (result.isDone()) {
      watcher.run();
    }
    return this;
  }

  /** Stops it within a cycle; its end is a {@link CancellationException}. */
  public void cancel() {
    cancelled = true;
    if (result.completeExceptionally(new CancellationException("cancelled"))) {
      told();
    }
  }

  public boolean isOver() {
    return result.isDone();
  }

  /** Whether it was stopped before it came to anything. */
  public boolean isStopped() {
    return result.isCancelled();
  }

  /** What it came to, once it is through. */
  public Optional<T> result() {
    return result.state() == Future.State.SUCCESS
        ? Optional.of(result.resultNow())
        : Optional.empty();
  }

  /** Why it could not be finished; none where it was stopped or goes on. */
  public Optional<Throwable> failure() {
    return result.state() == Future.State.FAILED
        ? Optional.of(result.exceptionNow())
        : Optional.empty();
  }

  /**
   * Waits for its end.
   *
   * @throws CancellationException where it was stopped
   * @throws IllegalStateException where it could not be finished
   */
  public T await() {
    try {
      return result.join();
    } catch (CompletionException e) {
      throw new IllegalStateException(e.getCause());
    }
  }

  boolean isCancelled() {
    return cancelled;
  }

  void expect(int pieces) {
    of.addAndGet(pieces);
    told();
  }

  void piece() {
    done.incrementAndGet();
    told();
  }

  void show(T part) {
    partial = part;
    told();
  }

  void finish(T whole) {
    if (result.complete(whole)) {
      told();
    }
  }

  void fail(Throwable why) {
    if (result.completeExceptionally(why)) {
      told();
    }
  }

  private void told() {
    for (var watcher : watchers) {
      watcher.run();
    }
  }
}
