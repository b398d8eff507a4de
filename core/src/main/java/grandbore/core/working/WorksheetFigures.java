package grandbore.core.working;

import grandbore.core.build.Build;
import grandbore.core.combination.Given;
import grandbore.core.combination.Specs;
import grandbore.core.combination.Worksheet;
import grandbore.core.compression.OctaneBlend;
import grandbore.core.compression.RatioSolver;
import grandbore.core.geometry.SliderCrank;
import grandbore.core.mechanics.StackUp;
import grandbore.core.units.Quantity;
import java.util.Locale;

/** What the worksheet's questions come to: one unknown at a time, the rest as it is. */
final class WorksheetFigures extends FigureList {
  private final Worksheet w;

  WorksheetFigures(Build measured) {
    super(measured);
    w = c().worksheet();
    stack();
    otherRod();
    ratio();
    fills();
    octane();
  }

  private void stack() {
    var b = c().bottomEnd();
    for (var term : StackUp.Term.values()) {
      var field = Specs.field(term.path());
      double wanted = term.forClearance(b, w.deckWanted().si());
      double change = wanted - field.get(c()).si();
      add(
          "stack_" + term.name().toLowerCase(Locale.ROOT),
          field.spec().label() + " for a deck clearance of " + show(w.deckWanted()),
          wanted,
          Quantity.LENGTH,
          weakest(b.blockDeck(), b.stroke(), b.rodLength(), b.pinHeight()),
          "deck height = stroke/2 + rod + compression height + deck clearance, for the one unknown",
          "%s is %s, %s %s"
              .formatted(
                  field.spec().label().toLowerCase(Locale.ROOT),
                  show(field.get(c())),
                  change >= 0 ? "up by" : "down by",
                  Quantity.CLEARANCE.show(Math.abs(change), units())),
          GEOMETRY);
    }
  }

  private void otherRod() {
    var b = c().bottomEnd();
    if (!w.otherRod().isKnown()) {
      return;
    }
    double rod = w.otherRod().si();
    add(
        "other_rod_ratio",
        "Rod ratio with the other rod",
        rod / b.stroke().si(),
        Quantity.RATIO,
        weakest(w.otherRod(), b.stroke()),
        "rod length ÷ stroke",
        "%s ÷ %s".formatted(show(w.otherRod()), show(b.stroke())),
        GEOMETRY);
    add(
        "other_rod_pin",
        "Compression height that the other rod wants",
        b.pinHeight().si() + b.rodLength().si() - rod,
        Quantity.LENGTH,
        weakest(w.otherRod(), b.rodLength(), b.pinHeight()),
        "compression height + rod − other rod, deck clearance as it is",
        "%s + %s − %s".formatted(show(b.pinHeight()), show(b.rodLength()), show(w.otherRod())),
        GEOMETRY);
    var crank = new SliderCrank(b.stroke().si() / 2, rod, b.pinOffset().si());
    BottomEndFigures.motion(this, "other_", " with the other rod", crank);
    double now = sideAtMid(b.rodLength().si());
    double then = sideAtMid(rod);
    add(
        "other_rod_side",
        "Side force at mid-stroke, change by geometry",
        then / now - 1,
        Quantity.CHANGE,
        weakest(w.otherRod(), b.rodLength(), b.stroke()),
        "tan of the rod's tilt with the throw square to the cylinder, at the same gas force",
        "1/√(4 × ratio² − 1): %.4f after %.4f".formatted(then, now),
        GEOMETRY + "; that 10 % comes from a tenth of a rod ratio is often claimed and is not so");
  }

  private double sideAtMid(double rod) {
    double ratio = rod / c().bottomEnd().stroke().si();
    return 1 / Math.sqrt(4 * ratio * ratio - 1);
  }

  private void ratio() {
    if (!w.ratioWanted().isKnown()) {
      return;
    }
    var b = c().bottomEnd();
    var s = c().compression();
    var from = weakest(b.bore(), b.stroke(), s.chamberVolume(), s.pistonVolume(), b.blockDeck());
    double clearance = b.sweptVolume() / (w.ratioWanted().si() - 1);
    String[] labels = {"Dish (dome −)", "Chamber", "Gasket", "Deck height"};
    int k = 0;
    for (var lever : RatioSolver.Lever.values()) {
      var field = Specs.field(lever.path());
      add(
          "ratio_by_" + lever.name().toLowerCase(Locale.ROOT),
          "%s for %s : 1".formatted(labels[k++], show(w.ratioWanted())),
          lever.forRatio(c(), w.ratioWanted().si()),
          lever == RatioSolver.Lever.DECK ? Quantity.CLEARANCE : field.spec().quantity(),
          from,
          "volume at top wanted = swept ÷ (ratio − 1); the difference goes to this one",
          "%s ÷ (%s − 1) = %s, is %s; now %s"
              .formatted(
                  Quantity.VOLUME.show(b.sweptVolume(), units()),
                  show(w.ratioWanted()),
                  Quantity.VOLUME.show(clearance, units()),
                  Quantity.VOLUME.show(c().clearanceVolume(), units()),
                  show(field.get(c()))),
          GEOMETRY);
    }
  }

  private void fills() {
    var b = c().bottomEnd();
    if (w.fillDepth().isKnown() && w.fillVolume().isKnown()) {
      add(
          "piston_by_fill",
          "Piston by the fill down the bore (dish +, dome −)",
          RatioSolver.pistonVolume(c(), w.fillDepth().si(), w.fillVolume().si()),
          Quantity.VOLUME,
          weakest(b.bore(), w.fillDepth(), w.fillVolume()),
          "fill − π/4 × bore² × crown below deck",
          "%s − π/4 × %s² × %s"
              .formatted(show(w.fillVolume()), show(b.bore()), show(w.fillDepth())),
          GEOMETRY);
    }
    if (w.firstFill().isKnown() && w.secondFill().isKnown() && w.fillStep().isKnown()) {
      add(
          "plan_by_fills",
          "Chamber plan area by two fills",
          RatioSolver.planArea(w.firstFill().si(), w.secondFill().si(), w.fillStep().si()),
          Quantity.AREA,
          weakest(w.firstFill(), w.secondFill(), w.fillStep()),
          "difference of the fills ÷ depth between them",
          "(%s − %s) ÷ %s".formatted(show(w.firstFill()), show(w.secondFill()), show(w.fillStep())),
          GEOMETRY);
    }
    Given plan = c().compression().planArea();
    if (w.chamberWanted().isKnown() && plan.isKnown()) {
      double now = c().compression().chamberVolume().si();
      double cut = RatioSolver.millDepth(now, w.chamberWanted().si(), plan.si());
      add(
          "mill_depth",
          "Milling for a chamber of " + show(w.chamberWanted()),
          cut,
          Quantity.CLEARANCE,
          weakest(c().compression().chamberVolume(), plan),
          "(chamber − chamber wanted) ÷ plan area",
          "(%s − %s) ÷ %s"
              .formatted(
                  show(c().compression().chamberVolume()), show(w.chamberWanted()), show(plan)),
          GEOMETRY + "; straight walls for so far, and a manifold that follows the head down");
    }
  }

  private void octane() {
    double tank = w.tank().si();
    double wanted = w.octaneWanted().si();
    double add = OctaneBlend.toAdd(tank, w.octaneTank().si(), w.octaneAdded().si(), wanted);
    var from = weakest(w.tank(), w.octaneTank(), w.octaneAdded());
    if (Double.isFinite(add)) {
      add(
          "octane_to_add",
          "Fuel to add for " + show(w.octaneWanted()),
          add,
          Quantity.LIQUID,
          from,
          "tank × (wanted − tank's) ÷ (added − wanted)",
          "%s × (%s − %s) ÷ (%s − %s)"
              .formatted(
                  show(w.tank()),
                  show(w.octaneWanted()),
                  show(w.octaneTank()),
                  show(w.octaneAdded()),
                  show(w.octaneWanted())),
          "by volume, as the trade reckons (%s); a real blend differs by a number or so"
              .formatted(PRACTICE));
    }
    add(
        "concentrate",
        "Concentrate for the tank",
        w.dose().si() * tank,
        Quantity.POURED,
        weakest(w.tank(), w.dose()),
        "dose × tank",
        "%s × %s (%.1f fl oz a gallon)"
            .formatted(show(w.dose()), show(w.tank()), 128 * w.dose().si()),
        "its maker's dose; what octane it gives is its maker's word");
  }
}
