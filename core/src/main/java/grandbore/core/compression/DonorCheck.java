package grandbore.core.compression;

import static grandbore.core.checks.Check.Verdict.BAD;
import static grandbore.core.checks.Check.Verdict.CLOSE;
import static grandbore.core.checks.Check.Verdict.GOOD;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.CheckList;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Brief;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.ArrayList;
import java.util.List;

/** Whether an engine is what it was sold as, from what is measured on it. */
public final class DonorCheck {
  /** Displacements are named in round numbers. */
  private static final double ROUNDED = 0.004;

  /** Bores are ground in steps; less is wear or a reading's error. */
  private static final double WEAR = Measure.INCHES.toSi(0.008);

  /** Beyond that overbore walls are checked by sound; common practice, no source. */
  private static final double THIN = Measure.INCHES.toSi(0.060);

  private static final double RATIO = 0.15;

  private static final List<String> SIZES =
      List.of(
          "bottomEnd.bore",
          "bottomEnd.stroke",
          "bottomEnd.rodLength",
          "bottomEnd.blockDeck",
          "bottomEnd.pinHeight",
          "compression.chamberVolume",
          "compression.pistonVolume");

  private final Combination c;
  private final Brief brief;
  private final CheckList list;

  private DonorCheck(Build build, Readings readings) {
    c = build.asMeasured(readings).combination();
    brief = c.brief();
    list = new CheckList(build.units());
  }

  /** The seller's claims against the numbers; nothing where nothing was claimed. */
  public static List<Check> of(Build build, Readings readings) {
    var d = new DonorCheck(build, readings);
    if (d.brief.soldAs().isKnown()) {
      d.displacement();
    }
    if (d.brief.soldBore().isKnown()) {
      d.overbore();
    }
    if (d.brief.soldRatio().isKnown()) {
      d.ratio();
    }
    if (!d.list.checks().isEmpty()) {
      d.measured();
    }
    return d.list.checks();
  }

  private void displacement() {
    var b = c.bottomEnd();
    double sold = brief.soldAs().si();
    double is = b.displacement();
    double off = is / sold - 1;
    double bore = Math.sqrt(sold / b.cylinders() / b.stroke().si() * 4 / Math.PI);
    double stroke = sold / b.cylinders() / b.boreArea();
    // A claim often leaves the overbore out.
    double bare =
        brief.soldBore().isKnown()
            ? is * Math.pow(brief.soldBore().si() / b.bore().si(), 2)
            : Double.NaN;
    boolean before = Math.abs(bare / sold - 1) < ROUNDED;
    String says;
    if (Math.abs(off) < ROUNDED) {
      says = "it is: %s".formatted(list.show(Quantity.DISPLACEMENT, is));
    } else if (before) {
      says = "it was, before the overbore: now %s".formatted(list.show(Quantity.DISPLACEMENT, is));
    } else {
      says =
          "it is not: %s, %+.1f %%. With this stroke that wants a bore of %s, with this bore a stroke of %s"
              .formatted(
                  list.show(Quantity.DISPLACEMENT, is),
                  100 * off,
                  list.show(Quantity.LENGTH, bore),
                  list.show(Quantity.LENGTH, stroke));
    }
    list.add(
        "donor_displacement",
        "Sold as " + list.show(Quantity.DISPLACEMENT, sold),
        Math.abs(off) < ROUNDED || before ? GOOD : BAD,
        says,
        "cylinders × π/4 × bore² × stroke = %d × π/4 × %s² × %s; names are rounded, so %.1f %% is let pass"
            .formatted(
                b.cylinders(),
                list.show(Quantity.LENGTH, b.bore().si()),
                list.show(Quantity.LENGTH, b.stroke().si()),
                100 * ROUNDED));
  }

  private void overbore() {
    double sold = brief.soldBore().si();
    double over = c.bottomEnd().bore().si() - sold;
    String shown = list.show(Quantity.CLEARANCE, Math.abs(over));
    String says =
        over < -WEAR
            ? "smaller by %s: a sleeve, or not that block".formatted(shown)
            : Math.abs(over) <= WEAR
                ? "standard, %s %s: %s"
                    .formatted(
                        shown, over < 0 ? "under" : "over", over > 0 ? "wear or a hone" : "as sold")
                : over > THIN
                    ? "%s over: have the walls measured by sound before buying pistons"
                        .formatted(shown)
                    : "%s over".formatted(shown);
    list.add(
        "donor_bore",
        "Sold with a bore of " + list.show(Quantity.LENGTH, sold),
        over < -WEAR ? BAD : over > THIN ? CLOSE : GOOD,
        says,
        "bore − bore as sold = %s − %s; beyond %s over, common practice has walls measured by sound"
                .formatted(
                    list.show(Quantity.LENGTH, c.bottomEnd().bore().si()),
                    list.show(Quantity.LENGTH, sold),
                    list.show(Quantity.CLEARANCE, THIN))
            + " (no source)");
  }

  private void ratio() {
    double sold = brief.soldRatio().si();
    double is = c.staticRatio();
    double chamber = RatioSolver.Lever.CHAMBER.forRatio(c, sold);
    double dish = RatioSolver.Lever.DISH.forRatio(c, sold);
    boolean holds = Math.abs(is - sold) < RATIO;
    list.add(
        "donor_ratio",
        "Sold with " + list.show(Quantity.RATIO, sold) + " : 1",
        holds ? GOOD : BAD,
        holds
            ? "it has: %s".formatted(list.show(Quantity.RATIO, is))
            : "it has %s. That ratio wants chambers of %s, or %s of %s"
                .formatted(
                    list.show(Quantity.RATIO, is),
                    list.show(Quantity.VOLUME, chamber),
                    dish < 0 ? "a dome" : "a dish",
                    list.show(Quantity.VOLUME, Math.abs(dish))),
        "(swept + clearance) ÷ clearance = (%s + %s) ÷ %s"
            .formatted(
                list.show(Quantity.VOLUME, c.bottomEnd().sweptVolume()),
                list.show(Quantity.VOLUME, c.clearanceVolume()),
                list.show(Quantity.VOLUME, c.clearanceVolume())));
  }

  private void measured() {
    var open = new ArrayList<String>();
    for (var path : SIZES) {
      var field = Specs.field(path);
      if (field.get(c).provenance().compareTo(Provenance.MEASURED) < 0) {
        open.add(field.spec().label().toLowerCase(java.util.Locale.ROOT));
      }
    }
    list.add(
        "donor_measured",
        "What this rests on",
        open.isEmpty() ? GOOD : CLOSE,
        open.isEmpty() ? "all of it measured" : "not measured yet: " + String.join(", ", open),
        "a claim is judged by what was measured on this engine, not by a card");
  }
}
