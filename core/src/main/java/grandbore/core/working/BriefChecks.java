package grandbore.core.working;

import static grandbore.core.checks.Check.Verdict.BAD;
import static grandbore.core.checks.Check.Verdict.CLOSE;
import static grandbore.core.checks.Check.Verdict.GOOD;

import grandbore.core.build.Build;
import grandbore.core.changes.Plan;
import grandbore.core.checks.Check;
import grandbore.core.checks.CheckList;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Peak;
import grandbore.core.prediction.SlowRunning;
import grandbore.core.prediction.WantedBand;
import grandbore.core.units.Quantity;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The predicted engine against its brief. */
public final class BriefChecks {
  private BriefChecks() {}

  /**
   * @param curve that was predicted
   * @param idle where it was solved
   */
  public static List<Check> of(Build build, Curve curve, Optional<SlowRunning.Idle> idle) {
    var brief = build.combination().brief();
    var list = new CheckList(build.units());
    var wanted = WantedBand.of(brief);
    String band = "%,.0f to %,.0f rpm".formatted(wanted.from(), wanted.to());
    wanted
        .score(curve)
        .ifPresentOrElse(
            s ->
                list.add(
                    "brief_band",
                    "Average, " + band,
                    GOOD,
                    "%s and %s"
                        .formatted(
                            list.show(Quantity.POWER, s.power()),
                            list.show(Quantity.TORQUE, s.torque())),
                    "every speed of the band counting alike; between the curve's points a straight"
                        + " line"),
            () ->
                list.add(
                    "brief_band",
                    "Average, " + band,
                    Check.Verdict.UNKNOWN,
                    "the curve does not span the band",
                    "speeds from and to have to reach as far as the band does"));
    curve
        .peakPower()
        .filter(p -> brief.power().isKnown())
        .ifPresent(p -> power(list, brief.power().si(), p, wanted));
    idle.filter(i -> brief.vacuum().isKnown()).ifPresent(i -> vacuum(list, brief.vacuum().si(), i));
    return list.checks();
  }

  /**
   * The vacuum at idle against the one wanted; nothing where none is wanted.
   *
   * @param idle as it was solved, empty where no throttle holds one
   */
  public static List<Check> vacuum(Build build, Optional<SlowRunning.Idle> idle) {
    var wanted = build.combination().brief().vacuum();
    var list = new CheckList(build.units());
    if (wanted.isKnown()) {
      idle.ifPresentOrElse(
          i -> vacuum(list, wanted.si(), i),
          () ->
              list.add(
                  "brief_vacuum",
                  "Vacuum at idle",
                  BAD,
                  "%s wanted, and no throttle holds an idle"
                      .formatted(list.show(Quantity.PRESSURE, wanted.si())),
                  "a throttle to each runner makes no vacuum that could be used"));
    }
    return list.checks();
  }

  /**
   * What the changes of its ladder cost against the budget; nothing where the brief names none, or
   * where there are no changes.
   */
  public static List<Check> budget(Build build, Plan plan) {
    var budget = build.combination().brief().budget();
    var list = new CheckList(build.units());
    if (budget.isKnown() && !plan.changes().isEmpty()) {
      double money = plan.changes().stream().mapToDouble(c -> c.cost().money()).sum();
      double share = money / budget.si();
      list.add(
          "brief_budget",
          "Cost of the ladder",
          share > 1 ? BAD : share > 0.95 ? CLOSE : GOOD,
          "%s of %s, for the changes of its ladder"
              .formatted(list.show(Quantity.COST, money), list.show(Quantity.COST, budget.si())),
          "prices and labour of its %d changes added up; within a twentieth is called close"
              .formatted(plan.changes().size()),
          1 - share);
    }
    return list.checks();
  }

  /** Octane of the fuel over what the worst speed of the band wants. */
  public static List<Check> octane(Build build, Curve curve) {
    var list = new CheckList(build.units());
    var band = WantedBand.of(build.combination().brief());
    curve.settled().stream()
        .filter(p -> p.rpm() >= band.from() && p.rpm() <= band.to())
        .min(Comparator.comparingDouble(p -> p.margins().octane()))
        .ifPresent(
            p -> {
              double left = p.margins().octane();
              list.add(
                  "brief_octane",
                  "Octane",
                  left < -0.5 ? BAD : left < 2 ? CLOSE : GOOD,
                  "%.1f %s, at %,.0f rpm"
                      .formatted(Math.abs(left), left < 0 ? "short" : "to spare", p.rpm()),
                  "the fuel's less what the simulated end gas wants at the worst speed of the"
                      + " band; under two to spare is called close");
            });
    return list.checks();
  }

  private static void power(CheckList list, double wanted, Peak p, WantedBand band) {
    double share = p.power() / wanted;
    boolean outside = p.rpm() < band.from() - 1 || p.rpm() > band.to() + 1;
    list.add(
        "brief_power",
        "Power wanted",
        share < 0.97 ? BAD : share < 1 || outside ? CLOSE : GOOD,
        "%s of %s wanted, at %,.0f rpm%s"
            .formatted(
                list.show(Quantity.POWER, p.power()),
                list.show(Quantity.POWER, wanted),
                p.rpm(),
                outside ? ", outside the band" : ""),
        "the best of the predicted curve; within 3 % is called close, which is about the model's"
            + " own doubt");
  }

  private static void vacuum(CheckList list, double wanted, SlowRunning.Idle idle) {
    double has = idle.vacuum();
    list.add(
        "brief_vacuum",
        "Vacuum at idle",
        has >= wanted ? GOOD : has > 0.85 * wanted ? CLOSE : BAD,
        "%s of %s wanted, at %,.0f rpm%s"
            .formatted(
                list.show(Quantity.PRESSURE, has),
                list.show(Quantity.PRESSURE, wanted),
                idle.rpm(),
                idle.steady() ? "" : ", and it idles rough"),
        "the throttle shut until the engine just turns. Power brakes want 10 inHg by one school and"
            + " 12 by the other ("
            + CheckList.PRACTICE
            + ")",
        has / wanted - 1);
  }
}
