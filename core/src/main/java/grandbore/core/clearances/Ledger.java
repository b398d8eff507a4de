package grandbore.core.clearances;

import grandbore.core.clearances.Reading.Side;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Provenance;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the book comes to: at every place the value read or, where parts were measured apart, the
 * one that follows from them, with its band and its verdict.
 */
public final class Ledger {
  private static final double COOL = 293.15;

  /** Expansions of iron or steel and of piston alloys, 1/K; handbook values, from memory. */
  private static final double STEEL = 11.5e-6;

  private static final double PISTON = 20e-6;

  private final Combination c;
  private final Application application;
  private final Readings readings;
  private final Bands bands;

  /**
   * What stands at one place.
   *
   * @param si the value
   * @param count readings that make it
   * @param range largest less smallest of the repeats
   * @param working how it came about
   * @param derived whether it was reckoned from other readings
   */
  public record Value(
      double si, int count, double range, Provenance provenance, String working, boolean derived) {}

  public Ledger(Combination c, Application application, Readings readings, List<Rule> rules) {
    this.c = c;
    this.application = application;
    this.readings = readings;
    bands = new Bands(c, application, rules);
  }

  public Combination combination() {
    return c;
  }

  public Application application() {
    return application;
  }

  public Readings readings() {
    return readings;
  }

  public Bands bands() {
    return bands;
  }

  public int places(Measurement m) {
    return m.places(c.bottomEnd());
  }

  /** The value at a place: read there, or reckoned from what was read of its parts. */
  public Optional<Value> value(Measurement m, int place, Side side, UnitSystem units) {
    var read = readings.at(m, place, side);
    if (read.isPresent()) {
      var r = read.get();
      var change =
          m == Measurement.SEAT_FORCE ? springChange(place, side) : Optional.<Double>empty();
      if (change.isPresent()) {
        return Optional.of(
            new Value(
                r.value() + change.get(),
                r.count(),
                r.range(),
                r.provenance(),
                "%s on the tester, %s by rate × (sheet's height − installed height)"
                    .formatted(
                        m.quantity().show(r.value(), units),
                        m.quantity().show(change.get(), units)),
                true));
      }
      return Optional.of(
          new Value(
              r.value(),
              r.count(),
              r.range(),
              r.provenance(),
              m.isTwoSided() && r.count() > 1
                  ? "mean of both sides of the pin's axis, %d readings".formatted(r.count())
                  : r.count() == 1 ? "one reading" : "mean of %d readings".formatted(r.count()),
              false));
    }
    return derived(m, place, units);
  }

  /**
   * By how much a seat force read at the spring sheet's height differs at the height at which this
   * spring is installed, N: rate × (sheet's height − installed height); none where either is not
   * known.
   */
  private Optional<Double> springChange(int place, Side side) {
    var sheet = c.valveHardware().installedHeight();
    return readings
        .at(Measurement.INSTALLED_HEIGHT, place, side)
        .filter(h -> sheet.isKnown())
        .map(h -> c.valveTrain().springRate().si() * (sheet.si() - h.value()));
  }

  /** The value that follows from other readings, whether or not it was read as well. */
  public Optional<Value> derived(Measurement m, int place, UnitSystem units) {
    return switch (m) {
      case MAIN_BEARING ->
          apart(Measurement.MAIN_BORE, STEEL, Measurement.MAIN_JOURNAL, STEEL, place, units);
      case ROD_BEARING ->
          apart(Measurement.ROD_BORE, STEEL, Measurement.ROD_JOURNAL, STEEL, place, units);
      case PISTON_WALL -> apart(Measurement.BORE, STEEL, Measurement.SKIRT, PISTON, place, units);
      case QUENCH ->
          readings
              .at(Measurement.DECK, place)
              .map(
                  d -> {
                    double gasket = c.compression().gasketThickness().si();
                    return new Value(
                        d.value() + gasket,
                        d.count(),
                        d.range(),
                        d.provenance(),
                        "deck %s + gasket %s"
                            .formatted(
                                m.quantity().show(d.value(), units),
                                m.quantity().show(gasket, units)),
                        true);
                  });
      default -> Optional.empty();
    };
  }

  /** Outer less inner, each brought to 20 °C where its temperature was noted. */
  private Optional<Value> apart(
      Measurement outer,
      double outerGrows,
      Measurement inner,
      double innerGrows,
      int place,
      UnitSystem units) {
    var a = readings.at(outer, place);
    var b = readings.at(inner, place);
    if (a.isEmpty() || b.isEmpty()) {
      return Optional.empty();
    }
    double shells = shells(outer, a.get().value() - b.get().value());
    double cooledA = cooled(outer, place, outerGrows, a.get().value()) - 2 * shells;
    double cooledB = cooled(inner, place, innerGrows, b.get().value());
    boolean warm = cooledA + 2 * shells != a.get().value() || cooledB != b.get().value();
    var q = outer.quantity();
    return Optional.of(
        new Value(
            cooledA - cooledB,
            a.get().count() + b.get().count(),
            Math.max(a.get().range(), b.get().range()),
            a.get().provenance().and(b.get().provenance()),
            "%s %s − %s %s%s"
                .formatted(
                    outer.label().toLowerCase(java.util.Locale.ROOT),
                    q.show(cooledA, units),
                    inner.label().toLowerCase(java.util.Locale.ROOT),
                    q.show(cooledB, units),
                    (shells > 0 ? ", two shells taken off a bare housing" : "")
                        + (warm ? ", both brought to 20 °C" : "")),
            true));
  }

  /** Thickness of a shell where the bore was read without shells: nothing else is that wide. */
  private double shells(Measurement outer, double gap) {
    var fits = c.partSizes();
    double shell =
        outer == Measurement.MAIN_BORE
            ? fits.mainShell().si()
            : outer == Measurement.ROD_BORE ? fits.rodShell().si() : 0;
    return gap > shell ? shell : 0;
  }

  private double cooled(Measurement m, int place, double grows, double value) {
    double warmer =
        readings.standing(m, place, Side.NONE).stream()
            .filter(r -> r.taken().temperature() > 0)
            .mapToDouble(r -> r.taken().temperature() - COOL)
            .average()
            .orElse(0);
    return value / (1 + grows * warmer);
  }

  public Optional<Band> band(Measurement m, Side side) {
    return bands.of(m, side);
  }

  /** How the value at a place stands, where there is a value and a band. */
  public Optional<Band.Verdict> verdict(Measurement m, int place, Side side) {
    return value(m, place, side, UnitSystem.US)
        .flatMap(v -> band(m, side).map(b -> b.judge(v.si())));
  }

  /** How many places of a measurement have a value, all sides counted. */
  public int filled(Measurement m) {
    int count = 0;
    for (var side : m.valueSides()) {
      for (int p = 1; p <= places(m); p++) {
        count += value(m, p, side, UnitSystem.US).isPresent() ? 1 : 0;
      }
    }
    return count;
  }

  /** How many places a measurement has, all sides counted. */
  public int wanted(Measurement m) {
    return places(m) * m.valueSides().size();
  }

  /** The values of one side that were read or follow, with their places. */
  public List<Placed> over(Measurement m, Side side) {
    var found = new ArrayList<Placed>();
    for (int p = 1; p <= places(m); p++) {
      int place = p;
      value(m, p, side, UnitSystem.US).ifPresent(v -> found.add(new Placed(place, v)));
    }
    return found;
  }

  /** A value and its place. */
  public record Placed(int place, Value value) {}
}
