package grandbore.core.dyno.symptoms;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The search for a cause. The next test is the one that tells most in its time: with p the
 * likelihoods of the causes that are left and H = −Σ p log₂ p, that of the greatest
 *
 * <p>(H − Σ_a P(a) H(· | a)) / minutes.
 *
 * @param left causes that no answer has ruled out
 * @param done tests that were made
 */
public record Search(
    Symptom symptom, Collection<String> suspects, List<Symptom.Cause> left, List<String> done) {
  private static final double SUSPECTED = 10;

  public Search {
    suspects = List.copyOf(suspects);
    left = List.copyOf(left);
    done = List.copyOf(done);
  }

  /**
   * @param suspects words of what pulls have named
   */
  public static Search begin(Symptom symptom, Collection<String> suspects) {
    return new Search(symptom, suspects, symptom.causes(), List.of());
  }

  /** A cause with how likely it is, 0 to 1. */
  public record Likely(Symptom.Cause cause, double likelihood) {}

  /** The causes that are left, the likeliest first. */
  public List<Likely> likely() {
    double sum = left.stream().mapToDouble(this::weight).sum();
    return left.stream()
        .map(c -> new Likely(c, weight(c) / sum))
        .sorted(Comparator.comparingDouble(Likely::likelihood).reversed())
        .toList();
  }

  private double weight(Symptom.Cause cause) {
    boolean named = cause.suspects().stream().anyMatch(suspects::contains);
    return cause.weight() * (named ? SUSPECTED : 1);
  }

  /** The test to make next; empty where one cause is left or no test parts them. */
  public Optional<Symptom.Test> next() {
    return symptom.tests().stream()
        .filter(t -> !done.contains(t.label()) && told(t) > 1e-9)
        .max(Comparator.comparingDouble(t -> told(t) / t.minutes()));
  }

  /** What a test is expected to tell, bits. */
  double told(Symptom.Test test) {
    double all = left.stream().mapToDouble(this::weight).sum();
    double after = 0;
    for (var cause : left) {
      // A cause that several answers leave is as likely to give any of them.
      var giving = test.answers().values().stream().filter(a -> a.contains(cause.word())).toList();
      if (giving.isEmpty()) {
        return 0;
      }
    }
    for (var answer : test.answers().values()) {
      var weights = new ArrayList<Double>();
      for (var cause : left) {
        if (answer.contains(cause.word())) {
          long ways =
              test.answers().values().stream().filter(a -> a.contains(cause.word())).count();
          weights.add(weight(cause) / ways);
        }
      }
      double sum = weights.stream().mapToDouble(w -> w).sum();
      if (sum > 0) {
        after += sum / all * entropy(weights, sum);
      }
    }
    return entropy(left.stream().map(this::weight).toList(), all) - after;
  }

  private static double entropy(List<Double> weights, double sum) {
    return weights.stream()
        .mapToDouble(w -> w / sum)
        .filter(p -> p > 0)
        .map(p -> -p * Math.log(p) / Math.log(2))
        .sum();
  }

  /**
   * With what a test said.
   *
   * @throws IllegalArgumentException for an answer that the test can't give
   */
  public Search answered(Symptom.Test test, String answer) {
    var stay = test.answers().get(answer);
    if (stay == null) {
      throw new IllegalArgumentException(
          "“%s” does not say “%s”; it says one of %s"
              .formatted(test.label(), answer, test.answers().keySet()));
    }
    var now = new ArrayList<>(done);
    now.add(test.label());
    return new Search(
        symptom, suspects, left.stream().filter(c -> stay.contains(c.word())).toList(), now);
  }
}
