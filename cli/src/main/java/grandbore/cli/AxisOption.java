package grandbore.cli;

import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.studies.SweepAxis;
import grandbore.core.units.Entry;
import grandbore.core.units.UnitSystem;

/** An input and its range as a command line says them: {@code path=from..to}, or the path alone. */
final class AxisOption {
  private AxisOption() {}

  static SweepAxis parse(String said, Combination c, UnitSystem units, int steps) {
    int equals = said.indexOf('=');
    if (equals < 0) {
      return SweepAxis.around(c, said, steps);
    }
    String path = said.substring(0, equals);
    String range = said.substring(equals + 1);
    var quantity = Specs.field(path).spec().quantity();
    int dots = range.indexOf("..");
    if (dots < 0) {
      throw new InvalidInput(path, range, "two values: 28..36", "a range has two ends");
    }
    return SweepAxis.over(
        path,
        Entry.parse(range.substring(0, dots), quantity, units, 0),
        Entry.parse(range.substring(dots + 2), quantity, units, 0),
        steps);
  }
}
