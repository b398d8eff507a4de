package grandbore.core.combination;

import static grandbore.core.units.Quantity.ANGLE;
import static grandbore.core.units.Quantity.AREA;
import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.LENGTH;

/**
 * Sizes that decide whether parts that were never sold together go together. None but the bank's
 * angle, the spacing and the ring's width need be known.
 *
 * @param mainHousing block's bore for the main shells, torqued
 * @param mainShell thickness of one shell, with a spacer where one is fitted
 * @param rodHousing rod's bore for its shells, torqued
 * @param journalWidth of one rod journal, between the cheeks
 * @param shellWidth of a rod shell
 * @param fillet radius where the rod journal meets its cheeks
 * @param bankOffset of one bank before the other, along the crank
 * @param counterweightRadius from the crank's centre
 * @param skirtBelowPin from the pin's centre to the lowest point of the skirt over a counterweight
 * @param rodSection of the rod's beam, which stretches
 */
public record PartSizes(
    @Spec(
            label = "Main housing",
            quantity = LENGTH,
            min = 0.022,
            max = 0.150,
            usual = 0,
            optional = true,
            why = "it is the bore that the shells sit in")
        Given mainHousing,
    @Spec(
            label = "Main shell",
            quantity = CLEARANCE,
            min = 0.0008,
            max = 0.012,
            usual = 0,
            optional = true,
            why = "it is one shell, its spacer with it")
        Given mainShell,
    @Spec(
            label = "Rod housing",
            quantity = LENGTH,
            min = 0.020,
            max = 0.130,
            usual = 0,
            optional = true,
            why = "it is the bore that the shells sit in")
        Given rodHousing,
    @Spec(
            label = "Rod shell",
            quantity = CLEARANCE,
            min = 0.0008,
            max = 0.012,
            usual = 0,
            optional = true,
            why = "it is one shell, its spacer with it")
        Given rodShell,
    @Spec(
            label = "Rod journal width",
            quantity = LENGTH,
            min = 0.010,
            max = 0.120,
            usual = 0,
            optional = true,
            why = "it is measured between the cheeks")
        Given journalWidth,
    @Spec(
            label = "Rod width",
            quantity = LENGTH,
            min = 0.008,
            max = 0.060,
            usual = 0,
            optional = true,
            why = "it is one big end, side to side")
        Given rodWidth,
    @Spec(
            label = "Rod shell width",
            quantity = LENGTH,
            min = 0.006,
            max = 0.060,
            usual = 0,
            optional = true,
            why = "it is one shell, side to side")
        Given shellWidth,
    @Spec(
            label = "Journal fillet",
            quantity = CLEARANCE,
            min = 0.0003,
            max = 0.010,
            usual = 0,
            optional = true,
            why = "it is the radius at the cheek")
        Given fillet,
    @Spec(
            label = "Pin diameter",
            quantity = LENGTH,
            min = 0.008,
            max = 0.060,
            usual = 0,
            optional = true,
            why = "it is the pin itself")
        Given pin,
    @Spec(
            label = "Pin bore, piston",
            quantity = LENGTH,
            min = 0.008,
            max = 0.060,
            usual = 0,
            optional = true,
            why = "the pin goes through it")
        Given pistonBore,
    @Spec(
            label = "Pin bore, rod",
            quantity = LENGTH,
            min = 0.008,
            max = 0.060,
            usual = 0,
            optional = true,
            why = "the pin goes through it")
        Given rodBore,
    @Spec(
            label = "Counterweight radius",
            quantity = LENGTH,
            min = 0.030,
            max = 0.200,
            usual = 0,
            optional = true,
            why = "it turns inside the block")
        Given counterweightRadius,
    @Spec(
            label = "Skirt below pin",
            quantity = LENGTH,
            min = 0.005,
            max = 0.100,
            usual = 0,
            optional = true,
            why = "it comes down to the counterweight")
        Given skirtBelowPin,
    @Spec(
            label = "Top ring width",
            quantity = CLEARANCE,
            min = 0.0005,
            max = 0.006,
            usual = 0.0015875,
            why = "it is measured along the bore")
        Given ringWidth,
    @Spec(
            label = "Bore spacing",
            quantity = LENGTH,
            min = 0.035,
            max = 0.260,
            usual = 0.1118,
            why = "neighbours of one bank stand so far apart")
        Given boreSpacing,
    @Spec(
            label = "Bank offset",
            quantity = LENGTH,
            min = 0,
            max = 0.080,
            usual = 0,
            why = "one bank stands before the other")
        Given bankOffset,
    @Spec(
            label = "Bank angle",
            quantity = ANGLE,
            min = 0.1,
            max = 3.1416,
            usual = 1.5707963267948966,
            why = "it lies between the banks")
        Given bankAngle,
    RodMaterial rodMaterial,
    @Spec(
            label = "Rod section",
            quantity = AREA,
            min = 0.3e-4,
            max = 25e-4,
            usual = 0,
            optional = true,
            why = "it is the beam's smallest section, cut across")
        Given rodSection,
    PistonMaterial pistonMaterial) {
  /** What the rods are made of. */
  public enum RodMaterial {
    STEEL,
    ALUMINIUM,
    TITANIUM
  }

  /** What the pistons are made of: how much they grow. */
  public enum PistonMaterial {
    FORGED_LOW_EXPANSION,
    FORGED_HIGH_TOUGHNESS,
    HYPEREUTECTIC
  }

  public PartSizes {
    Specs.check(
        PartSizes.class,
        "partSizes",
        mainHousing,
        mainShell,
        rodHousing,
        rodShell,
        journalWidth,
        rodWidth,
        shellWidth,
        fillet,
        pin,
        pistonBore,
        rodBore,
        counterweightRadius,
        skirtBelowPin,
        ringWidth,
        boreSpacing,
        bankOffset,
        bankAngle,
        rodSection);
    if (rodMaterial == null || pistonMaterial == null) {
      throw new InvalidInput(
          "Material (partSizes.rodMaterial, fits.pistonMaterial)",
          "missing",
          "both",
          "they are needed");
    }
  }
}
