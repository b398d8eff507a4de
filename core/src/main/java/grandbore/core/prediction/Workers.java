package grandbore.core.prediction;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;

/** Does pieces of a run at once, on as many processors as there are to it. */
public interface Workers {
  /** How many pieces go on at a time. */
  int atOnce();

  /**
   * Does all pieces and returns their results in order.
   *
   * @throws ExecutionException where a piece failed
   * @throws InterruptedException where the caller was interrupted; the pieces are given up
   */
  <T> List<T> all(List<Callable<T>> pieces) throws InterruptedException, ExecutionException;
}
