package grandbore.core.valvetrain;

import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * A symmetric lobe made from card numbers: a power polynomial in the angle from the nose whose
 * lift, velocity, acceleration and jerk all reach zero at the seat (D. A. Stoddart, <i>Polydyne cam
 * design</i>, 1953). The exponent and the span are those that give the card's durations at 0.050 in
 * and at 0.006 in of tappet lift.
 */
public final class PolydyneLobe implements Lobe {
  private static final double LEAST_POWER = 2.6;
  private static final double MOST_POWER = 60;

  private final double lift;
  private final double halfSpan;
  private final double[] exponents;
  private final double[] factors;

  /**
   * @param lift at the nose, m
   * @param duration at 0.050 in, crank rad
   * @param seatDuration crank rad
   */
  public PolydyneLobe(double lift, double duration, double seatDuration) {
    this.lift = lift;
    UnivariateFunction excess =
        power -> {
          var e = exponents(power);
          var c = factors(e);
          double span = halfSpan(e, c, lift, duration);
          double x = seatDuration / 2 / span;
          return (x < 1 ? lift * shape(e, c, x) : 0) - SEAT_LIFT;
        };
    // A fuller lobe has its seats closer to the checking points.
    double power;
    if (excess.value(MOST_POWER) > 0) {
      power = MOST_POWER;
    } else if (excess.value(LEAST_POWER) < 0) {
      power = LEAST_POWER;
    } else {
      power = new BrentSolver(1e-9, 1e-9).solve(200, excess, LEAST_POWER, MOST_POWER);
    }
    exponents = exponents(power);
    factors = factors(exponents);
    halfSpan = halfSpan(exponents, factors, lift, duration);
  }

  private static double[] exponents(double p) {
    return new double[] {2, p, p + 2, p + 4};
  }

  private static double[] factors(double[] e) {
    var c = new double[4];
    for (int k = 0; k < 4; k++) {
      double product = -1;
      for (int j = 0; j < 4; j++) {
        product *= j == k ? 1 : e[j] / (e[j] - e[k]);
      }
      c[k] = product;
    }
    return c;
  }

  private static double shape(double[] e, double[] c, double x) {
    double sum = 1;
    for (int k = 0; k < 4; k++) {
      sum += c[k] * Math.pow(x, e[k]);
    }
    return sum;
  }

  private static double halfSpan(double[] e, double[] c, double lift, double duration) {
    double x =
        new BrentSolver(1e-12, 1e-12)
            .solve(200, v -> lift * shape(e, c, v) - CHECKING_LIFT, 1e-3, 1);
    return duration / 2 / x;
  }

  @Override
  public double lift(double angle) {
    double x = Math.abs(angle) / halfSpan;
    return x >= 1 ? 0 : lift * Math.max(0, shape(exponents, factors, x));
  }

  @Override
  public double opening() {
    return halfSpan;
  }

  @Override
  public double peak() {
    return lift;
  }
}
