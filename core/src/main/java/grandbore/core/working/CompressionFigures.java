package grandbore.core.working;

import grandbore.core.build.Build;
import grandbore.core.compression.FuelStand;
import grandbore.core.compression.Squish;
import grandbore.core.units.Quantity;

/** What the volumes come to. */
final class CompressionFigures extends FigureList {
  CompressionFigures(Build measured) {
    super(measured);
    compression();
    squish();
  }

  private void compression() {
    var b = c().bottomEnd();
    var s = c().compression();
    var from =
        weakest(
            b.bore(),
            b.stroke(),
            b.blockDeck(),
            s.chamberVolume(),
            s.gasketBore(),
            s.gasketThickness(),
            s.pistonVolume());
    double swept = b.sweptVolume();
    double clearance = c().clearanceVolume();
    String volumes =
        "(%s + %s) ÷ %s"
            .formatted(
                Quantity.VOLUME.show(swept, units()),
                Quantity.VOLUME.show(clearance, units()),
                Quantity.VOLUME.show(clearance, units()));
    add(
        "clearance_volume",
        "Volume at top centre",
        clearance,
        Quantity.VOLUME,
        from,
        "chamber + gasket + deck + dish + land crevice",
        "%s + %s + %s + %s + %s"
            .formatted(
                show(s.chamberVolume()),
                Quantity.VOLUME.show(s.gasketHole(), units()),
                Quantity.VOLUME.show(b.boreArea() * b.deckClearance(), units()),
                show(s.pistonVolume()),
                Quantity.VOLUME.show(
                    Math.PI / 2 * b.bore().si() * s.landClearance().si() * s.landHeight().si(),
                    units())),
        GEOMETRY);
    add(
        "static_compression",
        "Compression ratio",
        c().staticRatio(),
        Quantity.RATIO,
        from,
        "(swept + clearance) ÷ clearance",
        volumes,
        GEOMETRY);
    double closing = c().cam().intakeCloses(c().cam().intakeSeat().si());
    double left = FuelStand.sweptAfterClosing(c());
    add(
        "effective_compression",
        "Effective compression ratio",
        FuelStand.effectiveRatio(c()),
        Quantity.RATIO,
        from.and(weakest(c().cam().intakeSeat(), c().cam().intakeCentreline(), b.rodLength())),
        "(swept after intake closing + clearance) ÷ clearance",
        "(%s + %s) ÷ %s, closing %s after bottom centre"
            .formatted(
                Quantity.VOLUME.show(left, units()),
                Quantity.VOLUME.show(clearance, units()),
                Quantity.VOLUME.show(clearance, units()),
                Quantity.ANGLE.show(closing, units())),
        "slider-crank geometry at the seat timing of the card");
    add(
        "quench",
        "Quench gap",
        b.deckClearance() + s.gasketThickness().si(),
        Quantity.CLEARANCE,
        weakest(b.blockDeck(), s.gasketThickness()),
        "deck clearance + gasket",
        "%s + %s"
            .formatted(
                Quantity.CLEARANCE.show(b.deckClearance(), units()), show(s.gasketThickness())),
        GEOMETRY + "; 0.035 to 0.045 in with steel rods (common practice)");
  }

  private void squish() {
    double most = Squish.most(c(), topRotation());
    if (Double.isNaN(most)) {
      return;
    }
    add(
        "squish_speed",
        atTop("Squish speed"),
        most,
        Quantity.PISTON_SPEED,
        weakest(
            c().compression().planArea(),
            c().bottomEnd().blockDeck(),
            c().compression().gasketThickness()),
        "speed of the gas out of the closing quench gap, most before top centre",
        "gap %s, chamber plan area %s of a bore's %s"
            .formatted(
                Quantity.CLEARANCE.show(
                    c().bottomEnd().deckClearance() + c().compression().gasketThickness().si(),
                    units()),
                show(c().compression().planArea()),
                Quantity.AREA.show(c().bottomEnd().boreArea(), units())),
        "J. B. Heywood, Internal Combustion Engine Fundamentals, 1988, equation 8.36, from memory");
  }
}
