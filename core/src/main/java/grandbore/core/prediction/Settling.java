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

  private final Drift work = new Drift();
  private final Drift mass = new Drift();
  private int still;

  /** One figure of the cycle. */
  private static final class Drift {
    private double last = Double.NaN;
    private double change = Double.NaN;
    private double left;

    void next(double value) {
      double now = value / last - 1;
      double rate = Math.min(now / change, SLOWEST);
      left = rate > 0 ? Math.abs(now) * rate / (1 - rate) : 0;
      change = now;
      last = value;
    }

    boolean isStill() {
      return left < CHANGE && Math.abs(change) < CHANGE;
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

  /** Change of work or trapped mass in the last cycle, whichever was more, as a share. */
  double change() {
    return Math.max(Math.abs(work.change), Math.abs(mass.change));
  }
}
