package grandbore.core.valvetrain;

import grandbore.core.combination.LiftTable;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * A lobe as it was measured: a natural cubic spline through the rows, so that acceleration is
 * continuous; where the table ends above zero, a parabola takes each flank down to the base circle.
 * The nose is the middle between the two angles of equal lift 0.050 in below the highest, as the
 * trade finds it.
 */
public final class MeasuredLobe implements Lobe {
  /** Crank angle over which a flank that ends above zero comes down, rad. */
  private static final double RUN_OUT = Math.toRadians(24);

  private final PolynomialSplineFunction spline;
  private final double first;
  private final double last;
  private final double firstLift;
  private final double lastLift;
  private final double nose;
  private final double peak;

  public MeasuredLobe(LiftTable table) {
    int n = table.rows().size();
    var angles = new double[n];
    var lifts = new double[n];
    int highest = 0;
    for (int i = 0; i < n; i++) {
      angles[i] = table.rows().get(i).angle();
      lifts[i] = table.rows().get(i).lift();
      highest = lifts[i] > lifts[highest] ? i : highest;
    }
    spline = new SplineInterpolator().interpolate(angles, lifts);
    first = angles[0];
    last = angles[n - 1];
    firstLift = lifts[0];
    lastLift = lifts[n - 1];
    double below = Math.max(0.5 * lifts[highest], lifts[highest] - CHECKING_LIFT);
    nose = 0.5 * (crossing(first, angles[highest], below) + crossing(angles[highest], last, below));
    double most = 0;
    for (int i = 0; i <= 400; i++) {
      most = Math.max(most, spline.value(Math.min(last, first + i / 400.0 * (last - first))));
    }
    peak = most;
  }

  private double crossing(double from, double to, double level) {
    if ((spline.value(from) - level) * (spline.value(to) - level) > 0) {
      return Math.abs(spline.value(from) - level) < Math.abs(spline.value(to) - level) ? from : to;
    }
    return new BrentSolver(1e-10).solve(200, a -> spline.value(a) - level, from, to);
  }

  @Override
  public double lift(double angle) {
    double a = nose + angle;
    if (a < first) {
      return runOut(firstLift, first - a);
    }
    if (a > last) {
      return runOut(lastLift, a - last);
    }
    return Math.max(0, spline.value(a));
  }

  private static double runOut(double from, double beyond) {
    double left = Math.max(0, 1 - beyond / RUN_OUT);
    return from * left * left;
  }

  @Override
  public double opening() {
    return nose - first + (firstLift > 0 ? RUN_OUT : 0);
  }

  @Override
  public double peak() {
    return peak;
  }
}
