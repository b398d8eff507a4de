package grandbore.core.combination;

import static grandbore.core.units.Quantity.CYLINDER_PRESSURE;
import static grandbore.core.units.Quantity.FORCE;
import static grandbore.core.units.Quantity.MASS_FLOW;
import static grandbore.core.units.Quantity.POWER;

/**
 * What the makers of the parts say they stand. None need be known.
 *
 * @param boltClamp of all bolts of one rod together
 */
public record Ratings(
    @Spec(
            label = "Rod, tension",
            quantity = FORCE,
            min = 1000,
            max = 500e3,
            usual = 0,
            optional = true,
            why = "its maker rates it")
        Given rodTension,
    @Spec(
            label = "Rod, compression",
            quantity = FORCE,
            min = 1000,
            max = 900e3,
            usual = 0,
            optional = true,
            why = "its maker rates it, against buckling")
        Given rodCompression,
    @Spec(
            label = "Rod bolts, clamp load",
            quantity = FORCE,
            min = 1000,
            max = 500e3,
            usual = 0,
            optional = true,
            why = "all bolts of one rod together")
        Given boltClamp,
    @Spec(
            label = "Piston, peak pressure",
            quantity = CYLINDER_PRESSURE,
            min = 10e5,
            max = 400e5,
            usual = 0,
            optional = true,
            why = "its maker rates it")
        Given pistonPressure,
    @Spec(
            label = "Crank, power",
            quantity = POWER,
            min = 5e3,
            max = 4e6,
            usual = 0,
            optional = true,
            why = "its maker rates it")
        Given crankPower,
    @Spec(
            label = "Block, power",
            quantity = POWER,
            min = 5e3,
            max = 4e6,
            usual = 0,
            optional = true,
            why = "its maker rates it")
        Given blockPower,
    @Spec(
            label = "Fuel system, flow",
            quantity = MASS_FLOW,
            min = 0.0002,
            max = 0.5,
            usual = 0,
            optional = true,
            why = "it is what pump and lines pass, jets or injectors with them")
        Given fuelFlow) {
  public Ratings {
    Specs.check(
        Ratings.class,
        "ratings",
        rodTension,
        rodCompression,
        boltClamp,
        pistonPressure,
        crankPower,
        blockPower,
        fuelFlow);
  }
}
