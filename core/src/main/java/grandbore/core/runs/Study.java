package grandbore.core.runs;

import java.util.List;

/**
 * Something to be solved, knowing nothing of who asks.
 *
 * @param <T> what it comes to
 */
public interface Study<T> {
  /** What it is, as its progress is headed. */
  String title();

  /**
   * All that its result hangs on, so that the same is not solved again; empty for a run that is not
   * to be kept, because it hangs on runs before it.
   */
  default List<Object> key() {
    return List.of();
  }

  /**
   * Solves it. Called on a thread that may wait; what takes long goes through the desk.
   *
   * @throws java.util.concurrent.CancellationException where it was cancelled
   */
  T solve(Desk<T> desk);
}
