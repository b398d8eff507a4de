package grandbore.core.studies;

import java.util.function.IntFunction;

/**
 * A whole shared out among its players by what each adds, averaged over all orders in which they
 * may come:
 *
 * <p>φᵢ = Σ over S without i of |S|! (n − |S| − 1)! / n! · (v(S ∪ {i}) − v(S)),
 *
 * <p>the sum running over all sets of the other players. The shares add up to v(all) − v(none). L.
 * S. Shapley, A value for n-person games, 1953.
 */
public final class Shapley {
  /** Sets double with each player. */
  private static final int MOST = 12;

  private Shapley() {}

  /**
   * @param players how many
   * @param worth of a set of players, bit i standing for player i: a row of values that are shared
   *     out alike, as long for each set
   * @return a row of shares for each player
   * @throws IllegalArgumentException for more players than twelve
   */
  public static double[][] shares(int players, IntFunction<double[]> worth) {
    if (players < 1 || players > MOST) {
      throw new IllegalArgumentException(
          "Shares are worked out among 1 to 12; there are " + players);
    }
    var worths = new double[1 << players][];
    for (int set = 0; set < worths.length; set++) {
      worths[set] = worth.apply(set);
    }
    int values = worths[0].length;
    var shares = new double[players][values];
    for (int i = 0; i < players; i++) {
      for (int set = 0; set < worths.length; set++) {
        if ((set & 1 << i) == 0) {
          double weight = weight(Integer.bitCount(set), players);
          for (int k = 0; k < values; k++) {
            shares[i][k] += weight * (worths[set | 1 << i][k] - worths[set][k]);
          }
        }
      }
    }
    return shares;
  }

  /** |S|! (n − |S| − 1)! / n! = 1 / (n · C(n − 1, |S|)). */
  private static double weight(int size, int players) {
    double choose = 1;
    for (int k = 1; k <= size; k++) {
      choose *= (double) (players - k) / k;
    }
    return 1 / (players * choose);
  }
}
