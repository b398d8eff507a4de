package grandbore.core.compression;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.checks.CheckList;
import grandbore.core.combination.Brief.Part;
import grandbore.core.combination.Given;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.units.Quantity;
import java.util.List;

/** The two ways of evening banks, with what each costs and whether the brief lets it. */
public final class EveningCost {
  /** A difference of mean ratio that nobody pays to take out. */
  private static final double ALIKE = 0.03;

  private EveningCost() {}

  /** Milling a head and decking a bank; one check where there is nothing to even. */
  public static List<Check> of(Build build, BuiltEngine engine) {
    var list = new CheckList(build.units());
    var even = Evening.of(engine);
    double swept = engine.combination().bottomEnd().sweptVolume();
    double wide = even.banks().stream().mapToDouble(Evening.Bank::mean).max().orElseThrow();
    double tight = even.banks().stream().mapToDouble(Evening.Bank::mean).min().orElseThrow();
    double apart = swept / tight - swept / wide;
    boolean alike = apart < ALIKE;
    list.add(
        "banks_apart",
        "Banks",
        alike ? Verdict.GOOD : Verdict.CLOSE,
        even.banks().size() < 2
            ? "there is one"
            : alike
                ? "%.2f of a ratio apart: not worth a cut".formatted(apart)
                : "%.2f of a ratio apart".formatted(apart),
        "ratio of each bank's mean volume at top centre; %.2f is let pass".formatted(ALIKE));
    if (even.banks().size() > 1) {
      var brief = engine.combination().brief();
      way(list, build, "mill_cost", "Milling the wider one's head", brief.headCost(), Part.HEADS);
      way(list, build, "deck_cost", "Decking the wider bank", brief.deckCost(), Part.BLOCK);
    }
    return list.checks();
  }

  private static void way(
      CheckList list, Build build, String name, String label, Given price, Part part) {
    var brief = build.combination().brief();
    if (brief.kept().contains(part)) {
      list.add(name, label, Verdict.BAD, "the brief keeps that part", "said at the Brief station");
    } else if (!price.isKnown()) {
      list.unknown(name, label, "the shop's price");
    } else {
      var budget = brief.budget();
      boolean within = !budget.isKnown() || price.si() <= budget.si();
      list.add(
          name,
          label,
          within ? Verdict.GOOD : Verdict.BAD,
          "costs "
              + list.show(Quantity.COST, price.si())
              + (budget.isKnown()
                  ? " of a budget of " + list.show(Quantity.COST, budget.si())
                  : ""),
          "the shop's price as entered");
    }
  }
}
