package grandbore.core.prediction;

/**
 * The top of a line between its points.
 *
 * <p>The parabola through the best point (x₁, y₁) and its neighbours, by Newton's divided
 * differences: with s₀ = (y₁ − y₀)/(x₁ − x₀), s₁ = (y₂ − y₁)/(x₂ − x₁) and c = (s₁ − s₀)/(x₂ − x₀)
 * its top lies at x = (x₀ + x₁)/2 − s₀/(2 c). Of two neighbours that are alike the top lies midway,
 * whichever is the better by a hair: it moves with the line and does not jump from point to point.
 * At an end of the line the end itself is the top.
 *
 * @param at place of the top, in the unit of x
 * @param value height there, in the unit of y
 */
public record Top(double at, double value) {
  /**
   * @param x rising
   * @param y as many
   */
  public static Top of(double[] x, double[] y) {
    if (x.length == 0 || x.length != y.length) {
      throw new IllegalArgumentException("A top wants one point or more, each with its value");
    }
    int best = 0;
    for (int i = 1; i < y.length; i++) {
      best = y[i] > y[best] ? i : best;
    }
    if (best == 0 || best == y.length - 1) {
      return new Top(x[best], y[best]);
    }
    double s0 = (y[best] - y[best - 1]) / (x[best] - x[best - 1]);
    double s1 = (y[best + 1] - y[best]) / (x[best + 1] - x[best]);
    double c = (s1 - s0) / (x[best + 1] - x[best - 1]);
    if (!(c < 0)) {
      return new Top(x[best], y[best]);
    }
    double at = 0.5 * (x[best - 1] + x[best]) - s0 / (2 * c);
    return new Top(at, y[best] + (at - x[best]) * (s0 + c * (at - x[best - 1])));
  }
}
