package grandbore.book;

import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What is still to be written into a book, in the order in which it was entered. A thread of its
 * own writes; what fails is tried again until it is in, and nothing after it is written before it.
 */
public final class Journal implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(Journal.class);
  private static final Duration PAUSE = Duration.ofMillis(500);

  private final Consumer<Entry> book;
  private final Consumer<Trouble> tell;
  private final Thread writer;
  private final Deque<Entry> waiting = new ArrayDeque<>();
  private final List<Settling> settling = new ArrayList<>();
  private long added;
  private long written;
  private boolean failing;
  private boolean closed;

  /**
   * What keeps entries from being stored.
   *
   * @param why in one line, empty once all is stored again
   * @param waiting how many entries are not stored yet
   */
  public record Trouble(String why, int waiting) {
    public static final Trouble NONE = new Trouble("", 0);

    public boolean is() {
      return !why.isEmpty();
    }
  }

  private record Settling(long upTo, CompletableFuture<Void> done) {}

  /**
   * @param book writes one entry whole, or throws
   * @param tell hears of trouble, and of its end, on the writing thread
   */
  public Journal(Consumer<Entry> book, Consumer<Trouble> tell) {
    this.book = book;
    this.tell = tell;
    writer = Thread.ofPlatform().daemon().name("book-writer").start(this::run);
  }

  /** Enters something; returns at once. */
  public synchronized void add(Entry entry) {
    if (closed) {
      throw new IllegalStateException("The journal is closed");
    }
    waiting.add(entry);
    added++;
    notifyAll();
  }

  /** Done once all that was entered so far is in the book. */
  public synchronized CompletableFuture<Void> settled() {
    if (written == added) {
      return CompletableFuture.completedFuture(null);
    }
    var s = new Settling(added, new CompletableFuture<>());
    settling.add(s);
    return s.done;
  }

  /** What is not stored yet, in its order. */
  public synchronized List<Entry> unstored() {
    return List.copyOf(waiting);
  }

  private void run() {
    try {
      Entry next = next();
      while (next != null) {
        try {
          book.accept(next);
          stored();
        } catch (RuntimeException e) {
          failed(next, e);
        }
        next = next();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Waits for the next entry; none where it is the end. */
  private synchronized Entry next() throws InterruptedException {
    while (waiting.isEmpty() && !closed) {
      wait();
    }
    return closed && failing ? null : waiting.peek();
  }

  private void stored() {
    List<Settling> done;
    boolean was;
    synchronized (this) {
      waiting.remove();
      written++;
      was = failing && waiting.isEmpty();
      failing = failing && !waiting.isEmpty();
      done = settling.stream().filter(s -> s.upTo <= written).toList();
      settling.removeAll(done);
      notifyAll();
    }
    if (was) {
      tell.accept(Trouble.NONE);
    }
    done.forEach(s -> s.done.complete(null));
  }

  private void failed(Entry entry, RuntimeException e) throws InterruptedException {
    if (!failing) {
      LOG.warn("Could not store {}", entry.getClass().getSimpleName(), e);
    }
    int left;
    synchronized (this) {
      failing = true;
      left = waiting.size();
      notifyAll();
    }
    tell.accept(new Trouble(String.valueOf(e.getMessage()), left));
    rest();
  }

  /** A while, unless it is the end. */
  private synchronized void rest() throws InterruptedException {
    long end = System.nanoTime() + PAUSE.toNanos();
    long left = PAUSE.toMillis();
    while (!closed && left > 0) {
      wait(left);
      left = (end - System.nanoTime()) / 1_000_000;
    }
  }

  /**
   * Ends once all is stored, or one more try has failed; what is left then is still in {@link
   * #unstored()}.
   */
  @Override
  public void close() {
    synchronized (this) {
      closed = true;
      // One more try, whatever failed before.
      failing = false;
      notifyAll();
    }
    try {
      writer.join(Duration.ofSeconds(20));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
