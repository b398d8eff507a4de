package grandbore.core.job.route;

import grandbore.core.combination.InvalidInput;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Earliest and latest times of activities that wait for one another: the critical path method of
 * Kelley and Walker (1959).
 *
 * <pre>
 *   earliest start   ES_i = max(ready_i, EF_p of all p before i)     EF_i = finish(ES_i)
 *   latest finish    LF_i = min(LS_s of all s after i, end)          LS_i = start(LF_i)
 *   slack            LS_i − ES_i
 * </pre>
 *
 * Times are whole numbers of whatever the activities count in; an activity tells itself when it
 * ends that begins at a time, so that days off and days of waiting are its own affair.
 */
public final class CriticalPath {
  /** How long something takes. */
  public interface Span {
    /** When it ends that begins then; never falls as {@code start} rises. */
    long finish(long start);

    /** The latest that it can begin so as to end by then. */
    long start(long finish);

    /** One that takes the same whenever it begins. */
    static Span of(long length) {
      return new Span() {
        @Override
        public long finish(long start) {
          return start + length;
        }

        @Override
        public long start(long finish) {
          return finish - length;
        }
      };
    }
  }

  /**
   * @param before numbers of the activities that it waits for
   * @param ready the time before which it can't begin
   */
  public record Activity(String name, List<Integer> before, long ready, Span span) {
    public Activity {
      before = List.copyOf(before);
    }
  }

  private final List<Activity> all;
  private final List<List<Integer>> after = new ArrayList<>();
  private final int[] order;
  private final long[] start;
  private final long[] finish;
  private final long[] latestStart;
  private final long[] latestFinish;

  /**
   * @throws InvalidInput where activities wait for one another in a ring
   */
  public CriticalPath(List<Activity> activities) {
    all = List.copyOf(activities);
    int n = all.size();
    for (int i = 0; i < n; i++) {
      after.add(new ArrayList<>());
    }
    for (int i = 0; i < n; i++) {
      for (int p : all.get(i).before()) {
        after.get(p).add(i);
      }
    }
    order = order();
    start = new long[n];
    finish = new long[n];
    latestStart = new long[n];
    latestFinish = new long[n];
    forward();
    backward();
  }

  private int[] order() {
    int n = all.size();
    int[] open = new int[n];
    var free = new ArrayDeque<Integer>();
    for (int i = 0; i < n; i++) {
      open[i] = all.get(i).before().size();
      if (open[i] == 0) {
        free.add(i);
      }
    }
    int[] found = new int[n];
    int k = 0;
    while (!free.isEmpty()) {
      int i = free.poll();
      found[k] = i;
      k++;
      for (int s : after.get(i)) {
        open[s]--;
        if (open[s] == 0) {
          free.add(s);
        }
      }
    }
    if (k < n) {
      var ring = new ArrayList<String>();
      for (int i = 0; i < n; i++) {
        if (open[i] > 0) {
          ring.add(all.get(i).name());
        }
      }
      throw new InvalidInput(
          "Order of the steps",
          String.join(", ", ring) + " waiting for one another",
          "no rings",
          "none of them could ever begin");
    }
    return found;
  }

  private void forward() {
    for (int i : order) {
      long s = all.get(i).ready();
      for (int p : all.get(i).before()) {
        s = Math.max(s, finish[p]);
      }
      start[i] = s;
      finish[i] = all.get(i).span().finish(s);
    }
  }

  private void backward() {
    long end = end();
    for (int k = order.length - 1; k >= 0; k--) {
      int i = order[k];
      long f = end;
      for (int s : after.get(i)) {
        f = Math.min(f, latestStart[s]);
      }
      latestFinish[i] = f;
      latestStart[i] = Math.max(start[i], all.get(i).span().start(f));
    }
  }

  /** When the last of them ends. */
  public long end() {
    return Arrays.stream(finish).max().orElse(0);
  }

  /** Earliest start. */
  public long start(int i) {
    return start[i];
  }

  /** Earliest finish. */
  public long finish(int i) {
    return finish[i];
  }

  /** Latest start that puts the end off by nothing. */
  public long latestStart(int i) {
    return latestStart[i];
  }

  /** Latest finish that puts the end off by nothing. */
  public long latestFinish(int i) {
    return latestFinish[i];
  }

  /** By how much it may begin later. */
  public long slack(int i) {
    return latestStart[i] - start[i];
  }

  /** Those that decide when an activity begins: from the first to itself. */
  public List<Integer> decide(int last) {
    var chain = new ArrayDeque<Integer>();
    int i = last;
    while (true) {
      chain.addFirst(i);
      int found = -1;
      for (int p : all.get(i).before()) {
        if (finish[p] == start[i]) {
          found = p;
          break;
        }
      }
      if (found < 0) {
        return List.copyOf(chain);
      }
      i = found;
    }
  }
}
