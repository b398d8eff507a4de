package grandbore.core.combination;

import static grandbore.core.units.Quantity.AREA;
import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.LENGTH;
import static grandbore.core.units.Quantity.VOLUME;

/**
 * What the gas is squeezed into.
 *
 * @param gasketVolume of the gasket's hole where it is not round
 * @param intakePocket depth of the intake valve's pocket below the flat of the crown
 * @param planArea of the chamber at the head's face, for milling
 * @param pistonVolume of a dish or of valve pockets, positive; of a dome, negative
 * @param landClearance between bore and top land, across the diameter
 */
public record Compression(
    Head head,
    @Spec(
            label = "Chamber volume",
            quantity = VOLUME,
            min = 5e-6,
            max = 300e-6,
            why = "it is what a burette pours into one chamber")
        Given chamberVolume,
    @Spec(
            label = "Gasket bore",
            quantity = LENGTH,
            min = 0.030,
            max = 0.210,
            why = "it goes around the cylinder")
        Given gasketBore,
    @Spec(
            label = "Gasket thickness",
            quantity = CLEARANCE,
            min = 0,
            max = 0.010,
            why = "it is measured when compressed")
        Given gasketThickness,
    @Spec(
            label = "Dish volume",
            quantity = VOLUME,
            min = -100e-6,
            max = 100e-6,
            why = "a dish counts as positive, a dome as negative")
        Given pistonVolume,
    @Spec(
            label = "Top land height",
            quantity = CLEARANCE,
            min = 0.001,
            max = 0.020,
            why = "it is measured from the crown to the top ring")
        Given landHeight,
    @Spec(
            label = "Top land clearance",
            quantity = CLEARANCE,
            min = 0.0001,
            max = 0.003,
            why = "it is the difference of the diameters")
        Given landClearance,
    @Spec(
            label = "Gasket hole, volume",
            quantity = VOLUME,
            min = 0.1e-6,
            max = 60e-6,
            usual = 0,
            optional = true,
            why = "it stands for bore and thickness where the hole is not round")
        Given gasketVolume,
    @Spec(
            label = "Chamber plan area",
            quantity = AREA,
            min = 5e-4,
            max = 300e-4,
            usual = 0,
            optional = true,
            why = "it is the chamber's outline on the head's face")
        Given planArea,
    @Spec(
            label = "Intake valve pocket",
            quantity = CLEARANCE,
            min = 0.0001,
            max = 0.015,
            usual = 0,
            optional = true,
            why = "it is a depth below the flat of the crown")
        Given intakePocket,
    @Spec(
            label = "Exhaust valve pocket",
            quantity = CLEARANCE,
            min = 0.0001,
            max = 0.015,
            usual = 0,
            optional = true,
            why = "it is a depth below the flat of the crown")
        Given exhaustPocket) {
  /** What the heads are made of. */
  public enum Head {
    ALUMINIUM,
    IRON
  }

  public Compression {
    if (head == null) {
      throw new InvalidInput(
          "Heads of (compression.head)", "missing", "ALUMINIUM or IRON", "it is needed");
    }
    Specs.check(
        Compression.class,
        "compression",
        chamberVolume,
        gasketBore,
        gasketThickness,
        pistonVolume,
        landHeight,
        landClearance,
        gasketVolume,
        planArea,
        intakePocket,
        exhaustPocket);
  }

  /** Volume of the hole in the compressed gasket, m³. */
  public double gasketHole() {
    double d = gasketBore.si();
    return gasketVolume.isKnown() ? gasketVolume.si() : Math.PI / 4 * d * d * gasketThickness.si();
  }
}
