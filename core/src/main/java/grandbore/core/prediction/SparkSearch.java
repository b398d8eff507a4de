package grandbore.core.prediction;

import grandbore.core.combination.Mixture;
import java.util.Set;

/** Finds the spark: given, for most work, or as far as the fuel stands. */
final class SparkSearch {
  private static final double FIRST = Math.toRadians(28);
  private static final double STEP = Math.toRadians(4);
  private static final double LEAST = Math.toRadians(4);
  private static final double MOST = Math.toRadians(58);
  private static final double EARLIEST_RETARD = Math.toRadians(-10);
  private static final double FINE = Math.toRadians(0.1);

  private final boolean seeks;
  private final boolean heedsKnock;
  private double spark;

  SparkSearch(Mixture mixture, Set<Relief> relief) {
    boolean freed = relief.contains(Relief.KNOCK);
    seeks = freed || mixture.spark() != Mixture.Spark.FIXED;
    heedsKnock = !freed && mixture.spark() == Mixture.Spark.KNOCK_LIMITED;
    spark = seeks ? FIRST : mixture.advance().si();
  }

  boolean seeks() {
    return seeks;
  }

  double spark() {
    return spark;
  }

  /**
   * A parabola through three closed cycles finds the spark of most work; knock may hold it back.
   */
  void seek(Cylinder cylinder, double speed, double piston) {
    double at = Math.clamp(spark, LEAST + STEP, MOST - STEP);
    double low = cylinder.closedCycle(at - STEP, speed, piston).work();
    double mid = cylinder.closedCycle(at, speed, piston).work();
    double high = cylinder.closedCycle(at + STEP, speed, piston).work();
    double bend = low - 2 * mid + high;
    double move =
        bend < 0
            ? Math.clamp(0.5 * STEP * (low - high) / bend, -2 * STEP, 2 * STEP)
            : Math.copySign(STEP, high - low);
    spark = Math.clamp(at + move, LEAST + STEP, MOST - STEP);
    if (heedsKnock) {
      spark = Math.min(spark, limit(cylinder, speed, piston, spark));
    }
  }

  /** The most advanced spark up to one that does not knock. */
  private static double limit(Cylinder cylinder, double speed, double piston, double most) {
    if (cylinder.closedCycle(most, speed, piston).knock() <= 1) {
      return most;
    }
    double low = EARLIEST_RETARD;
    double high = most;
    while (high - low > FINE) {
      double middle = 0.5 * (low + high);
      if (cylinder.closedCycle(middle, speed, piston).knock() <= 1) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** Crank angle between the spark and the one that just knocks, rad, within 20° to each side. */
  double margin(Cylinder cylinder, double speed, double piston) {
    double most = spark + 5 * STEP;
    return Math.max(-5 * STEP, limit(cylinder, speed, piston, most) - spark);
  }
}
