package grandbore.core.studies;

import grandbore.core.changes.Change;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.units.UnitSystem;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * An input and the values it is swept over.
 *
 * @param path of the input
 * @param values SI, rising
 */
public record SweepAxis(String path, List<Double> values) {
  private static final int MOST = 41;

  /** Share of an input's value on either side that a sweep spans where nobody says. */
  private static final double USUAL = 0.2;

  public SweepAxis {
    values = List.copyOf(values);
    var spec = Specs.field(path).spec();
    if (values.size() < 2 || values.size() > MOST) {
      throw new InvalidInput(
          spec.label(), values.size() + " values", "2 to 41", "a sweep has steps");
    }
    for (int i = 1; i < values.size(); i++) {
      if (!(values.get(i) > values.get(i - 1))) {
        throw new InvalidInput(
            "%s (%s)".formatted(spec.label(), path),
            "a range that does not rise",
            "first the smaller value, then the larger",
            "a sweep goes upward");
      }
    }
    for (double v : new double[] {values.getFirst(), values.getLast()}) {
      if (!(v >= spec.min() && v <= spec.max())) {
        throw new InvalidInput(
            "%s (%s)".formatted(spec.label(), path),
            spec.quantity().show(v, UnitSystem.METRIC),
            "%s to %s"
                .formatted(
                    spec.quantity().show(spec.min(), UnitSystem.METRIC),
                    spec.quantity().show(spec.max(), UnitSystem.METRIC)),
            spec.why());
      }
    }
  }

  /** Evenly spaced values, both ends included. */
  public static SweepAxis over(String path, double from, double to, int steps) {
    return new SweepAxis(
        path,
        IntStream.range(0, steps)
            .mapToObj(i -> from + (to - from) * i / Math.max(1, steps - 1))
            .toList());
  }

  /** A fifth up and down from where an engine has it, within what is allowed. */
  public static SweepAxis around(Combination c, String path, int steps) {
    var field = Specs.field(path);
    double si = field.get(c).si();
    double by = USUAL * Math.abs(si);
    return over(
        path, Math.max(field.spec().min(), si - by), Math.min(field.spec().max(), si + by), steps);
  }

  /** The change that sets one of the values. */
  Change set(Combination c, int step) {
    var given = (Given) c.at(path);
    return new Change(
        Specs.field(path).spec().label(),
        Map.of(path, given.with(values.get(step), given.provenance())));
  }
}
