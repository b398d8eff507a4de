package grandbore.core.search;

import java.util.Arrays;
import java.util.Random;
import java.util.function.Function;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.SimpleBounds;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.CMAESOptimizer;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;

/**
 * Evolution strategy with covariance matrix adaptation over the unit cube (N. Hansen, A.
 * Ostermeier, Evolutionary Computation 9, 2001), from the library; begun again from elsewhere with
 * twice the points where it has come to rest before all points are spent (A. Auger, N. Hansen, IEEE
 * Congress on Evolutionary Computation, 2005).
 *
 * <p>What it asks for hangs on the seed and on the answers alone: asked again with the same
 * answers, it goes the same way, so that a search that was stopped goes on where it was.
 */
public final class Evolution {
  /** First steps are so wide, as a share of the range. */
  private static final double WIDTH = 0.25;

  /** Never reached. Steps are damped by it, so that it must not hang on the points wanted. */
  private static final int GENERATIONS = 100_000;

  /** It has come to rest where points are this near to each other. */
  private static final double REST = 1e-6;

  private final int inputs;
  private final int points;
  private final long seed;
  private int asked;
  private double[] best;
  private Judged bestSo;

  /**
   * @param inputs coordinates
   * @param points to be judged, at most
   */
  public Evolution(int inputs, int points, long seed) {
    this.inputs = inputs;
    this.points = points;
    this.seed = seed;
  }

  /**
   * Searches from a point.
   *
   * @param judge of a point of the unit cube; what it throws ends the search
   * @return the best point
   */
  public double[] search(double[] start, Function<double[], Judged> judge) {
    RandomGenerator random = new Well19937c(seed);
    var elsewhere = new Random(seed);
    int population = 4 + (int) (3 * Math.log(inputs));
    double[] from = start.clone();
    while (asked < points) {
      int before = asked;
      descend(from, judge, population, random);
      population = Math.min(2 * population, 64);
      from = elsewhere.doubles(inputs).toArray();
      if (asked == before) {
        break;
      }
    }
    return best.clone();
  }

  private void descend(
      double[] from, Function<double[], Judged> judge, int population, RandomGenerator random) {
    var optimizer =
        new CMAESOptimizer(
            GENERATIONS, Double.NEGATIVE_INFINITY, true, 0, 0, random, false, this::rests);
    try {
      optimizer.optimize(
          new MaxEval(points - asked),
          new ObjectiveFunction(x -> cost(x, judge)),
          GoalType.MINIMIZE,
          new SimpleBounds(filled(0), filled(1)),
          new InitialGuess(from),
          new CMAESOptimizer.Sigma(filled(WIDTH)),
          new CMAESOptimizer.PopulationSize(population));
    } catch (MathRuntimeException e) {
      // All points are spent, which is how it is to end.
      if (asked < points) {
        throw e;
      }
    }
  }

  private boolean rests(
      int iteration,
      org.hipparchus.optim.PointValuePair before,
      org.hipparchus.optim.PointValuePair now) {
    double far = 0;
    for (int i = 0; i < inputs; i++) {
      far = Math.max(far, Math.abs(before.getPointRef()[i] - now.getPointRef()[i]));
    }
    return iteration > 10 * inputs && far > 0 && far < REST;
  }

  private double cost(double[] x, Function<double[], Judged> judge) {
    asked++;
    var judged = judge.apply(x.clone());
    if (bestSo == null || judged.isBetterThan(bestSo)) {
      best = x.clone();
      bestSo = judged;
    }
    return judged.cost();
  }

  private double[] filled(double value) {
    var all = new double[inputs];
    Arrays.fill(all, value);
    return all;
  }
}
