package grandbore.core.studies;

import grandbore.core.changes.Change;
import grandbore.core.search.Judged;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * What a search has come to, as far as it was run: every candidate, in the order of the asking.
 *
 * @param base the engine as it stands
 * @param wanted candidates
 * @param seed of all random draws
 * @param verified the best, every cylinder solved, against the engine as it stands solved so
 */
public record Search(
    Rung base, List<Candidate> candidates, int wanted, long seed, Optional<Verified> verified) {
  /** Of those that stand beside the best, one differs at least so much: a share of the ranges. */
  private static final double IN_KIND = 0.2;

  /**
   * @param point in the unit cube
   * @param values of the free inputs, SI, in their order
   * @param chosen of the changes
   * @param money that they cost
   * @param goal what was looked for, in its own unit; not a number where there is none
   * @param second what was weighed against it; not a number where nothing was
   * @param broken what does not hold, in words
   */
  public record Candidate(
      List<Double> point,
      List<Double> values,
      List<Change> chosen,
      double money,
      double goal,
      double second,
      Judged judged,
      List<String> broken) {
    public Candidate {
      point = List.copyOf(point);
      values = List.copyOf(values);
      chosen = List.copyOf(chosen);
      broken = List.copyOf(broken);
    }
  }

  /**
   * @param best average power over the band of the best, every cylinder solved, W
   * @param base of the engine as it stands, W
   */
  public record Verified(double best, double base) {}

  public Search {
    candidates = List.copyOf(candidates);
  }

  /** The best that holds; empty where none does. */
  public Optional<Candidate> best() {
    return candidates.stream()
        .filter(c -> c.judged.isFeasible())
        .max(Comparator.comparingDouble(c -> c.judged.score()));
  }

  /** What comes nearest to holding, where nothing holds. */
  public Optional<Candidate> nearestMiss() {
    return best().isPresent()
        ? Optional.empty()
        : candidates.stream().min(Comparator.comparingDouble(c -> c.judged.violation()));
  }

  /** The best, and those that are next to it and differ in kind: other parts, or far from it. */
  public List<Candidate> best(int most) {
    var sorted =
        candidates.stream()
            .filter(c -> c.judged.isFeasible())
            .sorted(Comparator.comparingDouble((Candidate c) -> -c.judged.score()))
            .toList();
    var kept = new ArrayList<Candidate>();
    for (var c : sorted) {
      if (kept.size() < most && kept.stream().allMatch(k -> differ(k, c))) {
        kept.add(c);
      }
    }
    return kept;
  }

  private static boolean differ(Candidate a, Candidate b) {
    if (!a.chosen.equals(b.chosen)) {
      return true;
    }
    double far = 0;
    for (int i = 0; i < a.values.size(); i++) {
      far = Math.max(far, Math.abs(a.point.get(i) - b.point.get(i)));
    }
    return far >= IN_KIND;
  }

  /**
   * The trade: those that hold and of which none other is better in both, rising in the first goal.
   */
  public List<Candidate> trade() {
    ToDoubleFunction<Candidate> first = Candidate::goal;
    var front = new ArrayList<Candidate>();
    double most = Double.NEGATIVE_INFINITY;
    var falling =
        candidates.stream()
            .filter(c -> c.judged.isFeasible() && Double.isFinite(c.second))
            .sorted(
                Comparator.comparingDouble(first).thenComparingDouble(Candidate::second).reversed())
            .toList();
    for (var c : falling) {
      if (c.second > most) {
        front.add(c);
        most = c.second;
      }
    }
    return front.reversed();
  }
}
