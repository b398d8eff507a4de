package grandbore.core.combination;

import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.LENGTH;
import static grandbore.core.units.Quantity.VOLUME;

/**
 * What the gas is squeezed into.
 *
 * @param pistonVolume of a dish or of valve pockets, positive; of a dome, negative
 * @param landClearance between bore and top land, across the diameter
 */
public record Squeeze(
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
        Given landClearance) {
  public Squeeze {
    Specs.check(
        Squeeze.class,
        "squeeze",
        chamberVolume,
        gasketBore,
        gasketThickness,
        pistonVolume,
        landHeight,
        landClearance);
  }
}
