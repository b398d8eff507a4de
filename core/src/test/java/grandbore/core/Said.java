package grandbore.core;

import grandbore.core.checks.Check;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.units.Measure;
import java.util.List;

/** What tests say of a combination, and look for in what is said of it. */
public final class Said {
  private Said() {}

  /** A combination with one input, in a unit. */
  public static Combination with(Combination c, String path, double value, Measure unit) {
    var field = Specs.field(path);
    return field.with(c, Given.of(value, unit, field.spec().quantity(), Provenance.CARD));
  }

  /** The check of this name. */
  public static Check check(List<Check> all, String name) {
    return all.stream().filter(c -> c.name().equals(name)).findFirst().orElseThrow();
  }
}
