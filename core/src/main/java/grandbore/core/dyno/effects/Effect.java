package grandbore.core.dyno.effects;

import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.Standard;
import java.util.ArrayList;
import java.util.List;

/**
 * What a change gave, by Student's test with the pooled deviation of all repeats,
 *
 * <p>t = (x̄₂ − x̄₁) / (s √(1/m₁ + 1/m₂)).
 *
 * @param before pulls before the change, repeats of one another
 * @param after pulls with it
 * @param byRpm difference of torque, N m, by speed
 * @param share difference of the band's averages, as a share; not a number where one does not span
 *     the band
 * @param chance how likely chance alone makes a difference that large
 * @param counts the least share that would not be chance
 */
public record Effect(
    Setting.Group before,
    Setting.Group after,
    PullCurve byRpm,
    double share,
    double chance,
    double counts,
    Told told) {
  /** Small differences want more smoothing than a curve, rev/min. */
  private static final double WIDE = 500;

  /** Below this chance a difference is no chance. */
  private static final double SURE = 0.05;

  /** What is to be believed of it. */
  public enum Told {
    GAIN("a gain"),
    LOSS("a loss"),
    NOT_TOLD("not told from chance"),
    REPEAT_FIRST("repeat first: how well pulls repeat is not known"),
    NO_AVERAGE("one of them does not span the band");

    private final String word;

    Told(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /**
   * Of each setting against the one before it.
   *
   * @param good pulls in their order
   * @param from of the band, rev/min
   * @param to its end
   */
  public static List<Effect> of(List<Pull> good, Standard standard, double from, double to) {
    var repeats = Repeats.of(good, standard, from, to);
    var groups = Setting.groups(good);
    var all = new ArrayList<Effect>();
    for (int k = 1; k < groups.size(); k++) {
      all.add(between(groups.get(k - 1), groups.get(k), repeats, standard, from, to));
    }
    return List.copyOf(all);
  }

  /** Of one setting against another. */
  public static Effect between(
      Setting.Group before,
      Setting.Group after,
      Repeats repeats,
      Standard standard,
      double from,
      double to) {
    double was = mean(before, standard, from, to);
    double is = mean(after, standard, from, to);
    double share = is / was - 1;
    int m1 = before.pulls().size();
    int m2 = after.pulls().size();
    double chance = Double.isNaN(share) ? Double.NaN : repeats.chance(share, m1, m2);
    Told told;
    if (Double.isNaN(share)) {
      told = Told.NO_AVERAGE;
    } else if (!repeats.isKnown()) {
      told = Told.REPEAT_FIRST;
    } else if (chance >= SURE) {
      told = Told.NOT_TOLD;
    } else {
      told = share > 0 ? Told.GAIN : Told.LOSS;
    }
    return new Effect(
        before, after, byRpm(before, after, standard), share, chance, repeats.counts(m1, m2), told);
  }

  private static double mean(Setting.Group group, Standard standard, double from, double to) {
    return group.pulls().stream()
        .mapToDouble(p -> Repeats.mean(p, standard, from, to))
        .average()
        .orElse(Double.NaN);
  }

  private static PullCurve byRpm(Setting.Group before, Setting.Group after, Standard standard) {
    var was = curves(before, standard);
    var is = curves(after, standard);
    var points = new ArrayList<PullCurve.Point>();
    for (var p : is.getFirst().points()) {
      double d = mean(is, p.rpm()) - mean(was, p.rpm());
      if (Double.isFinite(d)) {
        points.add(new PullCurve.Point(p.rpm(), d));
      }
    }
    return new PullCurve(points);
  }

  private static List<PullCurve> curves(Setting.Group group, Standard standard) {
    return group.pulls().stream().map(p -> PullCurve.torque(p, standard, WIDE)).toList();
  }

  private static double mean(List<PullCurve> curves, double rpm) {
    return curves.stream().mapToDouble(c -> c.at(rpm)).average().orElse(Double.NaN);
  }
}
