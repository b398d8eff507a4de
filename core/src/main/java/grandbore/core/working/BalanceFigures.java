package grandbore.core.working;

import grandbore.core.build.Build;
import grandbore.core.combination.Weights.BalanceShafts;
import grandbore.core.mechanics.Balance;
import grandbore.core.mechanics.WindagePower;
import grandbore.core.units.Quantity;

/** What the masses come to, what shakes the engine, and what the oil takes. */
final class BalanceFigures extends FigureList {
  private static final String TAYLOR =
      "first two terms of the piston's motion; C. F. Taylor, The Internal-Combustion Engine in"
          + " Theory and Practice, volume 2, from memory";

  BalanceFigures(Build measured) {
    super(measured);
    masses();
    shaking();
    windage();
  }

  private void masses() {
    var w = c().weights();
    var reciprocating = weakest(w.piston(), w.pin(), w.rings(), w.smallEnd());
    add(
        "reciprocating_mass",
        "Reciprocating, one cylinder",
        w.reciprocating(),
        Quantity.MASS,
        reciprocating,
        "piston + pin + rings + small end",
        "%s + %s + %s + %s"
            .formatted(show(w.piston()), show(w.pin()), show(w.rings()), show(w.smallEnd())),
        "masses on the scales");
    add(
        "rotating_mass",
        "Rotating, one rod",
        w.rotating(),
        Quantity.MASS,
        weakest(w.bigEnd(), w.bearing()),
        "big end + bearing",
        "%s + %s".formatted(show(w.bigEnd()), show(w.bearing())),
        "masses on the scales");
    int rods = Balance.rodsOnThrow(c());
    add(
        "bobweight",
        "Bobweight of one throw",
        Balance.bobweight(c()),
        Quantity.MASS,
        reciprocating.and(weakest(w.bigEnd(), w.bearing(), w.oil(), w.balanceFactor())),
        "rods × rotating + oil + balance factor × rods × reciprocating",
        "%d × %s + %s + %s × %d × %s"
            .formatted(
                rods,
                Quantity.MASS.show(w.rotating(), units()),
                show(w.oil()),
                show(w.balanceFactor()),
                rods,
                Quantity.MASS.show(w.reciprocating(), units())),
        "common practice, no source: a vee with two rods on a throw is hung with bobweights, at 50"
            + " % where its banks stand at a right angle; an in-line crank balances itself");
  }

  private void shaking() {
    double speed = topRotation();
    var balance = new Balance(c());
    var most = balance.most(speed);
    var w = c().weights();
    var from =
        weakest(
            w.piston(),
            w.pin(),
            w.rings(),
            w.smallEnd(),
            w.balanceFactor(),
            c().bottomEnd().stroke(),
            c().bottomEnd().rodLength());
    String masses =
        "%s a cylinder on a throw of %s, %s of it answered by counterweights, all cylinders by their places"
            .formatted(
                Quantity.MASS.show(w.reciprocating(), units()),
                Quantity.LENGTH.show(c().bottomEnd().stroke().si() / 2, units()),
                show(w.balanceFactor()));
    add(
        "primary_force",
        atTop("Primary force"),
        most.primaryForce(),
        Quantity.FORCE,
        from,
        "sum of mass × throw × speed² × cos(angle), less the counterweights",
        masses,
        TAYLOR);
    add(
        "secondary_force",
        atTop("Secondary force"),
        most.secondaryForce(),
        Quantity.FORCE,
        from,
        "sum of mass × throw × speed² × (throw ÷ rod) × cos(2 × angle)",
        masses,
        TAYLOR);
    var places =
        weakest(
            c().partSizes().boreSpacing(),
            c().partSizes().bankOffset(),
            c().partSizes().bankAngle());
    add(
        "primary_couple",
        atTop("Primary couple"),
        most.primaryCouple(),
        Quantity.TORQUE,
        from.and(places),
        "the primary forces × their distances from the middle of the crank",
        masses + "; spacing " + show(c().partSizes().boreSpacing()),
        TAYLOR);
    add(
        "secondary_couple",
        atTop("Secondary couple"),
        most.secondaryCouple(),
        Quantity.TORQUE,
        from.and(places),
        "the secondary forces × their distances from the middle of the crank",
        masses + "; spacing " + show(c().partSizes().boreSpacing()),
        TAYLOR);
    if (w.shafts() == BalanceShafts.SECONDARY_PAIR) {
      add(
          "secondary_without_shafts",
          atTop("Secondary force, shafts taken out"),
          balance.secondaryWithoutShafts(speed),
          Quantity.FORCE,
          from,
          "as the secondary force, with nothing to answer it",
          masses,
          TAYLOR);
    }
  }

  private void windage() {
    var losses = c().losses();
    double power = WindagePower.at(c(), topSpeed());
    add(
        "windage_power",
        atTop("Power into windage"),
        power,
        Quantity.POWER,
        weakest(c().bottomEnd().stroke(), c().bottomEnd().bore(), losses.vacuum()),
        "drag of the counterweights in oily air: goes with speed³ × reach⁴ × bore",
        "%s, counterweights %s, crankcase vacuum %s"
            .formatted(
                losses.windage().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' '),
                losses.counterweights().name().toLowerCase(java.util.Locale.ROOT),
                show(losses.vacuum())),
        "see the model document, friction; set by what a tray is worth (common practice, no"
            + " source)");
    double bearings = WindagePower.bearings(c(), topSpeed());
    add(
        "skirt_power",
        atTop("Power into skirts and rod bearings"),
        WindagePower.skirts(c(), topSpeed()),
        Quantity.POWER,
        weakest(c().bottomEnd().rodLength(), c().bottomEnd().stroke(), losses.oil()),
        "friction mean pressure of pistons × displacement × rpm ÷ 120; skirts with the root of"
            + " their side force",
        "rod ratio %s, oil %s"
            .formatted(
                Quantity.RATIO.show(c().bottomEnd().rodRatio(), units()), show(losses.oil())),
        "K. J. Patton, R. G. Nitschke and J. B. Heywood, SAE 890836, from memory; side force by the"
            + " rod's tilt");
    var claim = c().worksheet().claim();
    add(
        "bearing_power",
        atTop("Power into crank bearings and seals"),
        bearings,
        Quantity.POWER,
        weakest(c().bottomEnd().mainJournal(), losses.oil(), losses.oilTemperature()),
        "friction mean pressure of crankshaft × displacement × rpm ÷ 120",
        "main journals %s, oil %s"
            .formatted(show(c().bottomEnd().mainJournal()), show(losses.oil())),
        "K. J. Patton, R. G. Nitschke and J. B. Heywood, SAE 890836, from memory");
    add(
        "claim_heat",
        "A claim of %s from polished journals, as heat".formatted(show(claim)),
        claim.si(),
        Quantity.HEAT,
        claim.provenance(),
        "power that friction took went into the oil as heat: 1 hp = 0.746 kW",
        "%s, where all crank bearings and seals together take %s%s"
            .formatted(
                show(claim),
                Quantity.POWER.show(bearings, units()),
                claim.si() > bearings ? ": more than there is to gain" : ""),
        "unit arithmetic");
  }
}
