package grandbore.core.job.orders;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.BottomEnd;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;

/** Judges what came back by the readings that were taken after it, against those before. */
public final class OrderReturn {
  /** Of the change that was asked for, what is no change. */
  private static final double UNTOUCHED = 0.25;

  /** A line and what came of it. */
  public enum Outcome {
    NOT_READ("not read since it is back", Verdict.UNKNOWN),
    MET("met", Verdict.GOOD),
    SHORT("not far enough", Verdict.BAD),
    OVER("too far", Verdict.BAD),
    ELSEWHERE("not touched here, but elsewhere", Verdict.BAD);

    private final String title;
    private final Verdict verdict;

    Outcome(String title, Verdict verdict) {
      this.title = title;
      this.verdict = verdict;
    }

    public String title() {
      return title;
    }

    public Verdict verdict() {
      return verdict;
    }
  }

  /**
   * One line, judged.
   *
   * @param after as it was read since, SI; not a number where it was not
   */
  public record Judged(OrderLine line, double after, Outcome outcome) {}

  private final Build build;
  private final WorkOrder order;
  private final Readings before;
  private final Readings after;

  /**
   * @param all readings of the build, struck ones too: those before the order are struck when the
   *     parts come back, and are still what it is judged against
   */
  public OrderReturn(Build build, WorkOrder order, Readings all) {
    this.build = build;
    this.order = order;
    before = new Readings(order.before(all).all().stream().map(OrderReturn::standing).toList());
    after = order.after(all);
  }

  private static Reading standing(Reading r) {
    return new Reading(r.id(), r.measurement(), r.place(), r.side(), r.value(), r.taken(), false);
  }

  /** Every line that something is read of. */
  public List<Judged> judged() {
    return order.lines().stream().filter(OrderLine::isRead).map(this::judge).toList();
  }

  private Judged judge(OrderLine line) {
    var now = at(after, line.reading(), line.place(), line.side());
    if (now.isEmpty()) {
      return new Judged(line, Double.NaN, Outcome.NOT_READ);
    }
    double is = now.get();
    double asked = line.to() - line.from();
    if (Math.abs(is - line.to()) <= line.tolerance()) {
      return new Judged(line, is, Outcome.MET);
    }
    double done = is - line.from();
    boolean untouched = Math.abs(done) < UNTOUCHED * Math.abs(asked);
    if (untouched && isDoneElsewhere(line, asked)) {
      return new Judged(line, is, Outcome.ELSEWHERE);
    }
    boolean over =
        Double.isNaN(asked) ? is > line.to() : done * asked > 0 && Math.abs(done) > Math.abs(asked);
    return new Judged(line, is, over ? Outcome.OVER : Outcome.SHORT);
  }

  /** Whether a place that nobody asked for has moved by about as much. */
  private boolean isDoneElsewhere(OrderLine line, double asked) {
    int places = line.reading().places(bottom());
    return IntStream.rangeClosed(1, places)
        .filter(
            p ->
                order.lines().stream()
                    .noneMatch(l -> l.reading() == line.reading() && l.place() == p))
        .anyMatch(
            p -> {
              var was = at(before, line.reading(), p, line.side());
              var is = at(after, line.reading(), p, line.side());
              return was.isPresent()
                  && is.isPresent()
                  && (is.get() - was.get()) / asked > 1 - 2 * UNTOUCHED;
            });
  }

  private static Optional<Double> at(
      Readings readings, Measurement m, int place, Reading.Side side) {
    return readings
        .at(m, place, side == Reading.Side.NONE ? m.sides().all().getFirst() : side)
        .map(Readings.Result::value);
  }

  private BottomEnd bottom() {
    return build.combination().bottomEnd();
  }

  /** Every line as a check, and what all of it means for the ratio. */
  public List<Check> checks() {
    var units = build.units();
    var all = new ArrayList<Check>();
    for (var j : judged()) {
      var l = j.line();
      var q = l.reading().quantity();
      all.add(
          new Check(
              "returned_%s_%d".formatted(l.reading().name().toLowerCase(Locale.ROOT), l.place()),
              "%s, %s".formatted(l.reading().label(), l.reading().at(l.place(), l.side())),
              j.outcome().verdict(),
              j.outcome() == Outcome.NOT_READ
                  ? j.outcome().title()
                  : "%s: %s".formatted(j.outcome().title(), q.show(j.after(), units)),
              "from %s to %s ± %s"
                  .formatted(
                      Double.isNaN(l.from()) ? "not measured" : q.show(l.from(), units),
                      q.show(l.to(), units),
                      q.showTolerance(l.tolerance(), units)),
              Double.NaN));
    }
    ratio().ifPresent(all::add);
    return List.copyOf(all);
  }

  /** Compression ratios of the cylinders as they came back, where that was worked on. */
  private Optional<Check> ratio() {
    boolean worked =
        order.lines().stream()
            .anyMatch(l -> l.reading() == Measurement.DECK || l.reading() == Measurement.CHAMBER);
    if (!worked || judged().stream().allMatch(j -> j.outcome() == Outcome.NOT_READ)) {
      return Optional.empty();
    }
    double[] was = ratios(before);
    double[] is = ratios(mixed());
    var now = IntStream.range(0, is.length).mapToDouble(i -> is[i]).summaryStatistics();
    var then = IntStream.range(0, was.length).mapToDouble(i -> was[i]).summaryStatistics();
    double apart = now.getMax() - now.getMin();
    return Optional.of(
        new Check(
            "returned_ratio",
            "Ratio of the cylinders",
            apart < 0.1 ? Verdict.GOOD : Verdict.CLOSE,
            "%.2f to %.2f, before %.2f to %.2f"
                .formatted(now.getMin(), now.getMax(), then.getMin(), then.getMax()),
            "(swept + clearance) ÷ clearance of each cylinder, with what was read before the order"
                + " and after it",
            Double.NaN));
  }

  private double[] ratios(Readings readings) {
    double swept = bottom().sweptVolume();
    return build.asMeasured(readings).clearances().stream()
        .mapToDouble(v -> 1 + swept / v)
        .toArray();
  }

  /** What was read after the order where it was, elsewhere what was before. */
  private Readings mixed() {
    var all = new ArrayList<>(after.all());
    before.all().stream()
        .filter(r -> after.standing(r.measurement(), r.place(), r.side()).isEmpty())
        .forEach(all::add);
    return new Readings(all);
  }

  /** What can be done about what was not met, each with what it comes to. */
  public List<String> ways() {
    var units = build.units();
    var all = new ArrayList<String>();
    for (var j : judged()) {
      var l = j.line();
      if (j.outcome() == Outcome.SHORT || j.outcome() == Outcome.ELSEWHERE) {
        all.add(
            "Recut %s: %s more"
                .formatted(
                    l.reading().at(l.place(), l.side()),
                    amount(l, Math.abs(l.to() - j.after()), units)));
      } else if (j.outcome() == Outcome.OVER) {
        all.add(
            "Bring the others to %s: %s beyond what %s was to have"
                .formatted(
                    l.reading().quantity().show(j.after(), units),
                    amount(l, Math.abs(l.to() - j.after()), units),
                    l.reading().at(l.place(), l.side())));
      }
    }
    if (!all.isEmpty()) {
      ratio().ifPresent(r -> all.add("Live with it: ratios of " + r.says()));
    }
    return List.copyOf(all);
  }

  private static String amount(OrderLine l, double by, UnitSystem units) {
    Quantity q = l.reading().quantity();
    return q.show(by, units);
  }
}
