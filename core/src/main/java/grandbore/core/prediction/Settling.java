package grandbore.core.prediction;

/**
 * Whether cycles have become alike: work and trapped mass change by less than a thousandth from one
 * to the next, twice, and where they still drift one way, what is left of the drift at its own rate
 * is less than that too.
 */
final class Settling {
  private static final double CHANGE = 1e-3;
  private static final int WANTED = 2;

  /** A drift that slows down by less a cycle is taken to slow down by this. */
  private static final double SLOWEST = 0.9;

  /** Of so many cycles, in two halves, it is asked whether they swing about a mean that stands. */
  private static final int SEEN = 20;

  /** A swing of less than this share is told as settled: it does not come nearer. */
  private static final double LITTLE = 0.01;

  private final Drift work = new Drift();
  private final Drift mass = new Drift();
  private int still;

  /** One figure of the cycle. */
  private static final class Drift {
    private double last = Double.NaN;
    private double change = Double.NaN;
    private double left;
    private final double[] seen = new double[SEEN];
    private int count;

    void next(double value) {
      seen[count++ % SEEN] = value;
      double now = value / last - 1;
      double rate = Math.min(now / change, SLOWEST);
      left = rate > 0 ? Math.abs(now) * rate / (1 - rate) : 0;
      change = now;
      last = value;
    }

    boolean isStill() {
      return left < CHANGE && Math.abs(change) < CHANGE;
    }

    /** So many cycles ago. */
    private double ago(int cycles) {
      return seen[(count - 1 - cycles) % SEEN];
    }

    boolean swingsALittle() {
      if (count < SEEN) {
        return false;
      }
      double newer = 0;
      double older = 0;
      double least = Double.MAX_VALUE;
      double most = -Double.MAX_VALUE;
      for (int k = 0; k < SEEN; k++) {
        double value = ago(k);
        newer += k < SEEN / 2 ? value : 0;
        older += k < SEEN / 2 ? 0 : value;
        least = Math.min(least, value);
        most = Math.max(most, value);
      }
      double mean = Math.abs(newer + older) / SEEN;
      return most - least < LITTLE * mean && Math.abs(newer - older) < CHANGE * mean * SEEN / 2;
    }

    boolean alternates() {
      double mean = 0.5 * Math.abs(last + ago(1));
      return count >= SEEN
          && Math.abs(ago(0) - ago(2)) < CHANGE * mean
          && Math.abs(ago(1) - ago(3)) < CHANGE * mean
          && Math.abs(ago(0) - ago(1)) > LITTLE * mean;
    }
  }

  /**
   * @param counts whether this cycle may count as a settled one
   */
  void next(double cycleWork, double trapped, boolean counts) {
    work.next(cycleWork);
    mass.next(trapped);
    still = counts && work.isStill() && mass.isStill() ? still + 1 : 0;
  }

  boolean isDone() {
    return still >= WANTED;
  }

  /** Whether cycles are alike but for a slow drift, which comes to an end. */
  boolean drifts() {
    return change() < CHANGE;
  }

  /** Whether cycles swing for good, about a mean that stands, by less than a hundredth in all. */
  boolean swingsALittle() {
    return work.swingsALittle() && mass.swingsALittle();
  }

  /** Whether every second cycle is alike and those between are others. */
  boolean alternates() {
    return work.alternates();
  }

  /** Change of work or trapped mass in the last cycle, whichever was more, as a share. */
  double change() {
    return Math.max(Math.abs(work.change), Math.abs(mass.change));
  }
}
