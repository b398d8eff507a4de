package grandbore.core.checks;

import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;

/** Gathers checks, their numbers shown in one system of units. */
public final class CheckList {
  public static final String PRACTICE = "common practice, no source";

  private final UnitSystem units;
  private final List<Check> checks = new ArrayList<>();

  public CheckList(UnitSystem units) {
    this.units = units;
  }

  public void add(String name, String label, Check.Verdict verdict, String says, String working) {
    add(name, label, verdict, says, working, Double.NaN);
  }

  /**
   * @param margin share of what is allowed that is left, less than nothing beyond it
   */
  public void add(
      String name,
      String label,
      Check.Verdict verdict,
      String says,
      String working,
      double margin) {
    checks.add(new Check(name, label, verdict, says, working, margin));
  }

  /** Something that can't be told before an input is known. */
  public void unknown(String name, String label, String needs) {
    add(
        name,
        label,
        Check.Verdict.UNKNOWN,
        "say " + needs,
        "It can't be told without " + needs + ".");
  }

  public String show(Quantity q, double si) {
    return q.show(si, units);
  }

  public UnitSystem units() {
    return units;
  }

  public List<Check> checks() {
    return List.copyOf(checks);
  }
}
