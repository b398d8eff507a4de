package grandbore.core.dyno.judged;

import grandbore.core.combination.Combination;
import grandbore.core.dyno.Frozen;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.Standard;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * How a pull differs from the frozen prediction, both under SAE J1349: with r(n) torque over
 * predicted,
 *
 * <pre>
 * r − 1 ≈ c + k (n − n̄) / Δn          a constant share, and what grows with speed
 * T(n) ≈ (1 + a) T_p(n / (1 + δ))     a curve that is displaced by a share δ of the speed
 * </pre>
 *
 * @param constant mean of r − 1
 * @param grows k, over the whole range
 * @param low r − 1 of the lowest third less that of the rest
 * @param displaced δ where it tells more than a constant; 0 else
 * @param left root mean square of r − 1 about what was told, as a share
 * @param says in words, the largest first
 */
public record Pattern(
    double constant, double grows, double low, double displaced, double left, List<String> says) {
  /** Less than this a dyno and a model do not tell, as a share. */
  private static final double TELLS = 0.01;

  private static final double FURTHEST = 0.08;
  private static final double STEP = 0.0025;

  /** A displaced curve has to leave so much less than one that is not. */
  private static final double BETTER = 0.6;

  private static final int FEWEST = 5;

  public Pattern {
    says = List.copyOf(says);
  }

  /** Empty where pull and prediction have too little in common. */
  public static Optional<Pattern> of(Combination c, Pull pull, Frozen frozen) {
    var seen = new Seen(c, pull, Optional.of(frozen));
    var speeds = seen.speeds();
    if (speeds.size() < FEWEST || Double.isNaN(seen.torqueShare(speeds.getFirst()))) {
      return Optional.empty();
    }
    double span = speeds.getLast() - speeds.getFirst();
    double middle = 0.5 * (speeds.getLast() + speeds.getFirst());
    var line = new SimpleRegression();
    speeds.forEach(n -> line.addData((n - middle) / span, seen.torqueShare(n) - 1));
    double constant = line.getIntercept();
    double grows = line.getSlope();
    double low =
        Seen.mean(seen.part(0, 0.33), seen::torqueShare)
            - Seen.mean(seen.part(0.34, 1), seen::torqueShare);
    double straight =
        left(speeds, n -> seen.torqueShare(n) - 1 - constant - grows * (n - middle) / span);
    double displaced = 0;
    double least = straight;
    for (double d = -FURTHEST; d <= FURTHEST + 1e-9; d += STEP) {
      double off = displacedBy(seen, frozen, d);
      if (off < BETTER * straight && off < least && Math.abs(d) > STEP / 2) {
        least = off;
        displaced = d;
      }
    }
    return Optional.of(
        new Pattern(
            constant,
            grows,
            low,
            displaced,
            least,
            says(constant, grows, low, displaced, straight)));
  }

  private static double displacedBy(Seen seen, Frozen frozen, double d) {
    var inside = new ArrayList<Double>();
    DoubleUnaryOperator share =
        n ->
            seen.torqueShare(n)
                * frozen.torque(n, Standard.SAE_J1349)
                / frozen.torque(n / (1 + d), Standard.SAE_J1349);
    for (double n : seen.speeds()) {
      if (Double.isFinite(share.applyAsDouble(n))) {
        inside.add(n);
      }
    }
    if (inside.size() < FEWEST) {
      return Double.POSITIVE_INFINITY;
    }
    double mean = Seen.mean(inside, share);
    return left(inside, n -> share.applyAsDouble(n) / mean - 1);
  }

  private static double left(List<Double> speeds, DoubleUnaryOperator off) {
    return Math.sqrt(Seen.mean(speeds, n -> off.applyAsDouble(n) * off.applyAsDouble(n)));
  }

  private static List<String> says(
      double constant, double grows, double low, double displaced, double left) {
    var all = new ArrayList<String>();
    if (Math.abs(constant) > TELLS) {
      all.add(
          "%+.1f %% at all speeds: the correction, the load cell, friction, spark or fuel"
              .formatted(100 * constant));
    }
    if (displaced != 0) {
      all.add(
          ("the curve stands %+.1f %% of its speed away: a pipe is %s than it was measured, or"
                  + " its gas %s")
              .formatted(
                  100 * displaced,
                  displaced > 0 ? "shorter" : "longer",
                  displaced > 0 ? "hotter" : "cooler"));
    } else if (Math.abs(low) > 2 * TELLS && Math.abs(low) > 1.5 * Math.abs(grows) / 2) {
      all.add(
          "%+.1f %% in the lowest third alone: mixture or spark at the bottom"
              .formatted(100 * low));
    } else if (Math.abs(grows) > 2 * TELLS) {
      all.add(
          "%+.1f %% from the lowest speed to the highest: %s"
              .formatted(
                  100 * grows,
                  grows < 0
                      ? "flow, exhaust, valve motion, or friction that grows faster"
                      : "more flow, or less friction, than thought"));
    }
    if (left > TELLS && displaced == 0) {
      all.add(
          ("%.1f %% up and down from speed to speed: waves that stand elsewhere; look at the"
                  + " lengths of runners and primaries")
              .formatted(100 * left));
    }
    if (all.isEmpty()) {
      all.add("within one per cent of the prediction");
    }
    return all;
  }
}
