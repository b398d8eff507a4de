package grandbore.core.clearances;

import grandbore.core.combination.Provenance;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** All readings of one engine and what they come to. */
public final class Readings {
  private final List<Reading> all;

  /** Those that stand, by where they were taken: asked for at every place of every page. */
  private final Map<Where, List<Reading>> standing;

  private record Where(Measurement measurement, int place, Reading.Side side) {}

  /**
   * What the readings at one place come to.
   *
   * @param value SI
   * @param count readings that make it
   * @param range largest less smallest of the repeats, SI
   */
  public record Result(double value, int count, double range, Provenance provenance) {}

  public Readings(List<Reading> all) {
    this.all = List.copyOf(all);
    standing =
        this.all.stream()
            .filter(r -> !r.struck())
            .collect(Collectors.groupingBy(r -> new Where(r.measurement(), r.place(), r.side())));
  }

  /** As they were taken, struck ones too. */
  public List<Reading> all() {
    return all;
  }

  /** Of some readings those that are not among these, whatever their numbers in a book. */
  public List<Reading> unknown(List<Reading> others) {
    var known = all.stream().map(Readings::told).collect(Collectors.toSet());
    return others.stream().filter(r -> known.add(told(r))).toList();
  }

  /** A reading as it is told from others: its value to ten digits, as tables keep more. */
  private static List<Object> told(Reading r) {
    double value = new BigDecimal(r.value()).round(new MathContext(10)).doubleValue();
    var t = r.taken();
    return List.of(
        r.measurement(),
        r.place(),
        r.side(),
        value,
        t.by(),
        t.instrument(),
        t.typed(),
        t.note(),
        t.at(),
        r.struck());
  }

  /** The mean of one side's readings. */
  public Optional<Result> side(Measurement m, int place, Reading.Side side) {
    var found = standing(m, place, side);
    if (found.isEmpty()) {
      return Optional.empty();
    }
    var s = found.stream().mapToDouble(Reading::value).summaryStatistics();
    return Optional.of(
        new Result(
            s.getAverage(),
            found.size(),
            s.getMax() - s.getMin(),
            found.size() > 1 ? Provenance.REPEATED : Provenance.MEASURED));
  }

  /**
   * The value at one place. Where it is read on both sides of the pin's axis both are needed, as
   * their mean takes the piston's rock out, or one by a bridge along the pin. Where two valves have
   * a value each, the intake's.
   */
  public Optional<Result> at(Measurement m, int place) {
    return at(m, place, m.sides().all().getFirst());
  }

  /** The value at one place and side; across the pin's axis both sides make one. */
  public Optional<Result> at(Measurement m, int place, Reading.Side at) {
    if (!m.isTwoSided()) {
      return side(m, place, at);
    }
    var bridged = side(m, place, Reading.Side.NONE);
    var thrust = side(m, place, Reading.Side.THRUST);
    var opposite = side(m, place, Reading.Side.OPPOSITE);
    if (thrust.isEmpty() || opposite.isEmpty()) {
      return bridged;
    }
    var both = mean(thrust.get(), opposite.get());
    return Optional.of(bridged.map(b -> mean(both, b)).orElse(both));
  }

  private static Result mean(Result a, Result b) {
    return new Result(
        0.5 * (a.value() + b.value()),
        a.count() + b.count(),
        Math.max(a.range(), b.range()),
        a.provenance().and(b.provenance()));
  }

  /** Whether one side of the pin's axis was read and the other was not. */
  public boolean isHalfRead(Measurement m, int place) {
    return m.isTwoSided()
        && side(m, place, Reading.Side.NONE).isEmpty()
        && side(m, place, Reading.Side.THRUST).isPresent()
            != side(m, place, Reading.Side.OPPOSITE).isPresent();
  }

  /** The values at all places from 1 on that have one. */
  public List<Result> over(Measurement m, int places) {
    return over(m, places, m.sides().all().getFirst());
  }

  /** The values of one side at all places from 1 on that have one. */
  public List<Result> over(Measurement m, int places, Reading.Side side) {
    var found = new ArrayList<Result>();
    for (int p = 1; p <= places; p++) {
      at(m, p, side).ifPresent(found::add);
    }
    return found;
  }

  /** The readings that stand at one place and side, the oldest first. */
  public List<Reading> standing(Measurement m, int place, Reading.Side side) {
    return standing.getOrDefault(new Where(m, place, side), List.of());
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Readings r && all.equals(r.all);
  }

  @Override
  public int hashCode() {
    return all.hashCode();
  }
}
