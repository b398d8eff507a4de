package grandbore.core.doubt;

import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;

/**
 * Points spread over the unit cube so that each coordinate alone is spread evenly: the range is cut
 * into as many equal parts as there are points, and each part holds one point,
 *
 * <p>xᵢⱼ = (πⱼ(i) + uᵢⱼ) / n,
 *
 * <p>πⱼ a random order for coordinate j and u uniform on [0, 1). M. D. McKay, R. J. Beckman, W. J.
 * Conover, Technometrics 21 (1979).
 */
public final class LatinHypercube {
  private LatinHypercube() {}

  /**
   * @param seed of all random draws: the same seed gives the same points
   * @return a row for each point, each coordinate from 0 to under 1
   */
  public static double[][] points(int points, int coordinates, long seed) {
    if (points < 1 || coordinates < 1) {
      throw new IllegalArgumentException("A sample wants a point and a coordinate");
    }
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
    var all = new double[points][coordinates];
    for (int j = 0; j < coordinates; j++) {
      var order = order(points, random);
      for (int i = 0; i < points; i++) {
        all[i][j] = (order[i] + random.nextDouble()) / points;
      }
    }
    return all;
  }

  /** The first so many numbers in a random order. */
  private static int[] order(int count, RandomGenerator random) {
    var order = new int[count];
    for (int i = 0; i < count; i++) {
      int j = random.nextInt(i + 1);
      order[i] = order[j];
      order[j] = i;
    }
    return order;
  }
}
