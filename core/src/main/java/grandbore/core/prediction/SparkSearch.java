package grandbore.core.prediction;

import grandbore.core.combination.Mixture;
import java.util.Set;

/** Finds the spark: given, for most work, or as far as the fuel stands. */
final class SparkSearch {
  private static final double FIRST = Math.toRadians(28);
  private static final double STEP = Math.toRadians(4);
  private static final double LEAST = Math.toRadians(4);
  private static final double MOST = Math.toRadians(84);

  /** A charge is closed in for so much of a turn before it is lit, rad. */
  private static final double CLOSED_SINCE = Math.toRadians(6);

  private static final double EARLIEST_RETARD = Math.toRadians(-40);
  private static final double FINE = Math.toRadians(0.02);
  private static final double NO_KNOCK = 1e-9;

  private final boolean seeks;
  private final boolean heedsKnock;
  private double spark;

  SparkSearch(Mixture mixture, Set<RemovedLoss> relief) {
    boolean freed = relief.contains(RemovedLoss.KNOCK);
    seeks = freed || mixture.spark() != Mixture.Spark.FIXED;
    heedsKnock = !freed && mixture.spark() == Mixture.Spark.KNOCK_LIMITED;
    spark = seeks ? FIRST : mixture.advance().si();
  }

  /** Starts to seek from a spark. */
  void start(double advance) {
    spark = seeks ? advance : spark;
  }

  boolean seeks() {
    return seeks;
  }

  boolean heedsKnock() {
    return heedsKnock;
  }

  double spark() {
    return spark;
  }

  /**
   * A parabola through three closed cycles finds the spark of most work; knock may hold it back.
   */
  void seek(ClosedCharge charge, double speed, double piston) {
    double most =
        Math.max(LEAST + STEP, Math.min(MOST, charge.closedBefore() - CLOSED_SINCE) - STEP);
    double at = Math.clamp(spark, LEAST + STEP, most);
    double low = charge.with(at - STEP, speed, piston).work();
    double mid = charge.with(at, speed, piston).work();
    double high = charge.with(at + STEP, speed, piston).work();
    double bend = low - 2 * mid + high;
    double move =
        bend < 0
            ? Math.clamp(0.5 * STEP * (low - high) / bend, -2 * STEP, 2 * STEP)
            : Math.copySign(STEP, high - low);
    spark = Math.clamp(at + move, LEAST + STEP, most);
    if (heedsKnock) {
      double excess = excess(charge, speed, piston, spark);
      spark = Math.min(spark, limit(charge, speed, piston, spark, excess));
    }
  }

  /**
   * The most advanced spark up to one that does not knock: where the sum over the end gas is one,
   * by secant on its logarithm, which is nearly straight, inside a bracket.
   *
   * @param over logarithm of the sum at the most
   */
  private double limit(ClosedCharge charge, double speed, double piston, double most, double over) {
    if (over <= 0) {
      return most;
    }
    double above = over;
    double low = Math.min(EARLIEST_RETARD, most - STEP);
    double high = most;
    double at = Math.clamp(spark, low, most - 0.5 * STEP);
    double last = most;
    while (high - low > FINE && Math.abs(at - last) > FINE) {
      double excess = excess(charge, speed, piston, at);
      if (excess > 0) {
        high = at;
      } else {
        low = at;
      }
      double next = at - excess * (at - last) / (excess - above);
      last = at;
      above = excess;
      at = next > low && next < high ? next : 0.5 * (low + high);
    }
    return at;
  }

  private static double excess(ClosedCharge charge, double speed, double piston, double advance) {
    return excess(charge.knockWith(advance, speed, piston));
  }

  private static double excess(double knock) {
    return Math.log(Math.max(NO_KNOCK, knock));
  }

  /** The closed cycle with so much more spark. */
  ClosedCharge.Trial trial(double more, ClosedCharge charge, double speed, double piston) {
    return charge.with(spark + more, speed, piston);
  }

  /**
   * Crank angle between the spark and the first that knocks, rad, within 20° to each side. Far
   * ahead of the best one a flame may be through before the end gas is pressed most, so that the
   * sum falls again.
   *
   * @param knock sum with the spark as it is
   */
  double margin(ClosedCharge charge, double speed, double piston, double knock) {
    double first = spark;
    double excess = excess(knock);
    for (int k = 0; k < 5 && excess <= 0; k++) {
      first += STEP;
      excess = excess(charge, speed, piston, first);
    }
    return Math.max(-5 * STEP, limit(charge, speed, piston, first, excess) - spark);
  }
}
