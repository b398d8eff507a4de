package grandbore.core.job.route;

import java.time.Instant;
import java.util.Collections;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * That a step was done.
 *
 * @param at when
 * @param by whom, may be empty
 * @param inputs on which what it proved rests, as they were
 */
public record Done(Instant at, String by, SortedMap<String, String> inputs) {
  public Done {
    inputs = Collections.unmodifiableSortedMap(new TreeMap<>(inputs));
  }
}
