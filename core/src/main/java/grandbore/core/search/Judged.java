package grandbore.core.search;

/**
 * What a point comes to.
 *
 * @param score more is better; not a number where there is none
 * @param violation by how much what must hold does not; 0 where it holds
 */
public record Judged(double score, double violation) {
  public boolean isFeasible() {
    return violation == 0 && Double.isFinite(score);
  }

  /** Whether it is to be preferred: what holds before what does not, then the score. */
  public boolean isBetterThan(Judged other) {
    return cost() < other.cost();
  }

  /**
   * One number that puts points in order, the least first: of two that hold the better score, of
   * two that do not the lesser violation, and what holds before what does not (K. Deb, Computer
   * Methods in Applied Mechanics and Engineering 186, 2000). Whoever reads no more of it than the
   * order is not misled by its steps.
   */
  double cost() {
    if (isFeasible()) {
      // Between -1 and 1, rising with what is lost.
      return -score / (1 + Math.abs(score));
    }
    return 2 + (Double.isFinite(violation) ? Math.max(0, violation) : 1e6);
  }
}
