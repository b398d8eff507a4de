package grandbore.core.working;

import grandbore.core.build.Build;
import grandbore.core.geometry.SliderCrank;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;

/** What crank, rods and pistons come to. */
final class BottomEndFigures extends FigureList {
  BottomEndFigures(Build measured) {
    super(measured);
    bottomEnd();
    moves();
  }

  private void bottomEnd() {
    var b = c().bottomEnd();
    var sizes = weakest(b.bore(), b.stroke());
    add(
        "displacement",
        "Displacement",
        b.displacement(),
        Quantity.DISPLACEMENT,
        sizes,
        "cylinders × π/4 × bore² × stroke",
        "%d × π/4 × %s² × %s".formatted(b.cylinders(), show(b.bore()), show(b.stroke())),
        GEOMETRY);
    add(
        "rod_ratio",
        "Rod ratio",
        b.rodRatio(),
        Quantity.RATIO,
        weakest(b.rodLength(), b.stroke()),
        "rod length ÷ stroke",
        "%s ÷ %s".formatted(show(b.rodLength()), show(b.stroke())),
        GEOMETRY + "; 1.6 to 1.8 suits most engines (common practice)");
    double mean = 2 * b.stroke().si() * topSpeed() / 60;
    add(
        "mean_piston_speed",
        atTop("Mean piston speed"),
        mean,
        Quantity.PISTON_SPEED,
        b.stroke().provenance(),
        "2 × stroke × rpm ÷ 60",
        "2 × %s × %.0f ÷ 60".formatted(show(b.stroke()), topSpeed()),
        GEOMETRY);
    add(
        "deck_clearance",
        "Deck clearance",
        b.deckClearance(),
        Quantity.CLEARANCE,
        weakest(b.blockDeck(), b.stroke(), b.rodLength(), b.pinHeight()),
        "deck height − stroke/2 − rod − compression height",
        "%s − %s/2 − %s − %s"
            .formatted(
                show(b.blockDeck()), show(b.stroke()), show(b.rodLength()), show(b.pinHeight())),
        GEOMETRY);
  }

  private void moves() {
    var b = c().bottomEnd();
    motion(this, "", "", b.crank());
  }

  /** Dwell, speed and acceleration of a crank's piston at the highest speed. */
  static void motion(FigureList list, String name, String with, SliderCrank crank) {
    var b = list.c().bottomEnd();
    var from = weakest(b.stroke(), b.rodLength(), b.pinOffset());
    double near = Measure.INCHES.toSi(0.020);
    String sizes =
        "throw %s, rod %s, pin offset %s"
            .formatted(
                Quantity.LENGTH.show(crank.throwRadius(), list.units()),
                Quantity.LENGTH.show(crank.rod(), list.units()),
                Quantity.CLEARANCE.show(crank.offset(), list.units()));
    list.add(
        name + "dwell",
        "Within %s of the top%s".formatted(Quantity.CLEARANCE.show(near, list.units()), with),
        crank.dwell(near),
        Quantity.ANGLE,
        from,
        "crank angle between the two places at that depth",
        sizes,
        GEOMETRY);
    list.add(
        name + "peak_piston_speed",
        list.atTop("Peak piston speed") + with,
        crank.steepest() * list.topRotation(),
        Quantity.PISTON_SPEED,
        from,
        "steepest of the piston's motion × crank speed",
        sizes,
        GEOMETRY);
    list.add(
        name + "peak_acceleration",
        list.atTop("Peak acceleration") + with,
        crank.sharpest() * list.topRotation() * list.topRotation(),
        Quantity.ACCELERATION,
        from,
        "sharpest bend of the piston's motion × crank speed²",
        sizes,
        GEOMETRY);
  }
}
