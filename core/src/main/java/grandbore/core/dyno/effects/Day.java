package grandbore.core.dyno.effects;

import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.Standard;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A day at the dyno: what was pulled, what came out best, and how far the engine drifted while
 * nothing was changed.
 *
 * @param name as its pulls carry it
 * @param pulls in their order, those struck out left out
 * @param good those that are learned from
 */
public record Day(String name, List<Pull> pulls, List<Pull> good) {
  public Day {
    pulls = List.copyOf(pulls);
    good = List.copyOf(good);
    if (pulls.isEmpty()) {
      throw new InvalidInput("Day", "no pulls", "one or more", "a day is what was pulled on it");
    }
  }

  /**
   * The best of a day by its average over the band.
   *
   * @param mean torque over the band, N m
   * @param torque where it is most, N m by rev/min
   * @param power where it is most, W by rev/min
   */
  public record Best(Pull pull, double mean, PullCurve.Point torque, PullCurve.Point power) {}

  /**
   * How a setting that was come back to differed from when it was pulled first.
   *
   * @param share of the band's average, last over first
   */
  public record Drift(Pull first, Pull last, double share) {}

  /** All days of pulls that stand, in the order of their first ones. */
  public static List<Day> of(List<Pull> standing, List<Pull> good) {
    Map<String, List<Pull>> by = new LinkedHashMap<>();
    for (var p : standing) {
      by.computeIfAbsent(p.day(), d -> new ArrayList<>()).add(p);
    }
    return by.entrySet().stream()
        .map(
            e ->
                new Day(
                    e.getKey(),
                    e.getValue(),
                    good.stream().filter(p -> p.day().equals(e.getKey())).toList()))
        .toList();
  }

  public Instant from() {
    return pulls.stream().map(Pull::at).min(Comparator.naturalOrder()).orElseThrow();
  }

  public Instant to() {
    return pulls.stream().map(Pull::at).max(Comparator.naturalOrder()).orElseThrow();
  }

  /** The air of every pull that says it. */
  public List<DayAir> airs() {
    return pulls.stream().flatMap(p -> p.breathed().stream()).distinct().toList();
  }

  /** Good pulls whose torque can be told under a standard. */
  public List<Pull> told(Standard standard) {
    return good.stream().filter(p -> p.isTold(standard)).toList();
  }

  /**
   * The good pull of the highest average over a band; empty where none spans it.
   *
   * @param from rev/min
   * @param to rev/min
   */
  public Optional<Best> best(Standard standard, double from, double to) {
    return told(standard).stream()
        .flatMap(p -> best(p, standard, from, to).stream())
        .max(Comparator.comparingDouble(Best::mean));
  }

  private static Optional<Best> best(Pull pull, Standard standard, double from, double to) {
    var curve = PullCurve.torque(pull, standard, PullCurve.USUAL_WIDTH);
    double mean = curve.mean(from, to);
    var power =
        curve.points().stream()
            .map(p -> new PullCurve.Point(p.rpm(), p.value() * p.rpm() * Math.PI / 30))
            .max(Comparator.comparingDouble(PullCurve.Point::value));
    return Double.isFinite(mean) && power.isPresent()
        ? Optional.of(new Best(pull, mean, curve.top().orElseThrow(), power.get()))
        : Optional.empty();
  }

  /**
   * Between the first and the last good pull of the setting that was come back to after the longest
   * time; empty where none was.
   */
  public Optional<Drift> drift(Standard standard, double from, double to) {
    return Setting.together(told(standard)).stream()
        .filter(g -> g.pulls().size() > 1)
        .max(
            Comparator.comparingLong(
                g ->
                    g.pulls().getLast().at().getEpochSecond()
                        - g.pulls().getFirst().at().getEpochSecond()))
        .flatMap(
            g ->
                best(g.pulls().getFirst(), standard, from, to)
                    .flatMap(
                        a ->
                            best(g.pulls().getLast(), standard, from, to)
                                .map(b -> new Drift(a.pull(), b.pull(), b.mean() / a.mean() - 1))));
  }

  /**
   * What this day's best setting makes of another day's best, judged by how each day repeated
   * within itself; empty where one of them has none.
   */
  public Optional<Effect> over(Day before, Standard standard, double from, double to) {
    var repeats =
        Repeats.of(before.told(standard), standard, from, to)
            .with(Repeats.of(told(standard), standard, from, to));
    return before
        .group(standard, from, to)
        .flatMap(
            a ->
                group(standard, from, to)
                    .map(b -> Effect.between(a, b, repeats, standard, from, to)));
  }

  /** The pulls of the setting that the best pull had. */
  private Optional<Setting.Group> group(Standard standard, double from, double to) {
    return best(standard, from, to)
        .flatMap(
            b ->
                Setting.together(told(standard)).stream()
                    .filter(g -> g.pulls().contains(b.pull()))
                    .findFirst());
  }
}
