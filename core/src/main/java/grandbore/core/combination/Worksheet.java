package grandbore.core.combination;

import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.LENGTH;
import static grandbore.core.units.Quantity.LIQUID;
import static grandbore.core.units.Quantity.MASS;
import static grandbore.core.units.Quantity.OCTANE;
import static grandbore.core.units.Quantity.POWER;
import static grandbore.core.units.Quantity.RATIO;
import static grandbore.core.units.Quantity.SHARE;
import static grandbore.core.units.Quantity.VOLUME;

/**
 * What is being worked out at the moment, kept with the build: nothing here changes the engine.
 *
 * @param fillDepth crown below the deck while the bore is filled down to it
 * @param fillVolume what went in
 * @param firstFill a chamber's volume
 * @param secondFill the same chamber's after a cut or with a shim
 * @param fillStep depth between the two
 * @param octaneAdded of what is mixed into the tank
 */
public record Worksheet(
    @Spec(
            label = "Deck clearance wanted",
            quantity = CLEARANCE,
            min = -0.003,
            max = 0.005,
            usual = 0,
            why = "it is crown below deck at top centre")
        Given deckWanted,
    @Spec(
            label = "Another rod",
            quantity = LENGTH,
            min = 0.050,
            max = 0.400,
            usual = 0,
            optional = true,
            why = "it is measured between the centres")
        Given otherRod,
    @Spec(
            label = "Ratio wanted",
            quantity = RATIO,
            min = 5,
            max = 20,
            usual = 0,
            optional = true,
            why = "it is a compression ratio")
        Given ratioWanted,
    @Spec(
            label = "Chamber wanted",
            quantity = VOLUME,
            min = 5e-6,
            max = 300e-6,
            usual = 0,
            optional = true,
            why = "it is one chamber's volume")
        Given chamberWanted,
    @Spec(
            label = "Fill: crown below deck",
            quantity = CLEARANCE,
            min = 0.001,
            max = 0.060,
            usual = 0,
            optional = true,
            why = "fluid has to stand over the crown")
        Given fillDepth,
    @Spec(
            label = "Fill: volume",
            quantity = VOLUME,
            min = 1e-6,
            max = 900e-6,
            usual = 0,
            optional = true,
            why = "it is what a burette poured in")
        Given fillVolume,
    @Spec(
            label = "First fill",
            quantity = VOLUME,
            min = 5e-6,
            max = 300e-6,
            usual = 0,
            optional = true,
            why = "it is one chamber's volume")
        Given firstFill,
    @Spec(
            label = "Second fill",
            quantity = VOLUME,
            min = 5e-6,
            max = 300e-6,
            usual = 0,
            optional = true,
            why = "it is the same chamber's volume")
        Given secondFill,
    @Spec(
            label = "Depth between fills",
            quantity = CLEARANCE,
            min = 0.0001,
            max = 0.010,
            usual = 0,
            optional = true,
            why = "it is the cut or the shim")
        Given fillStep,
    @Spec(
            label = "Fuel in the tank",
            quantity = LIQUID,
            min = 0.0001,
            max = 1,
            usual = 0.01892705892,
            why = "it is what is mixed into")
        Given tank,
    @Spec(
            label = "Its octane",
            quantity = OCTANE,
            min = 60,
            max = 120,
            usual = 91,
            why = "a pump states it")
        Given octaneTank,
    @Spec(
            label = "Octane of what is added",
            quantity = OCTANE,
            min = 60,
            max = 130,
            usual = 104,
            why = "its maker states it")
        Given octaneAdded,
    @Spec(
            label = "Octane wanted",
            quantity = OCTANE,
            min = 60,
            max = 120,
            usual = 95,
            why = "the engine wants it")
        Given octaneWanted,
    @Spec(
            label = "Concentrate, dose",
            quantity = SHARE,
            min = 0.0005,
            max = 0.2,
            usual = 0.02734375,
            why = "its maker states it, by volume")
        Given dose,
    @Spec(
            label = "Shim under the springs",
            quantity = CLEARANCE,
            min = 0,
            max = 0.005,
            usual = 0.000762,
            why = "it goes between spring and seat")
        Given shim,
    @Spec(
            label = "Lighter by",
            quantity = MASS,
            min = 0,
            max = 0.2,
            usual = 0.012,
            why = "it is what the other retainer or valve saves")
        Given lighter,
    @Spec(
            label = "Intake clearance read",
            quantity = CLEARANCE,
            min = 0.0001,
            max = 0.020,
            usual = 0,
            optional = true,
            why = "it is the least found by clay or checking spring")
        Given intakeRead,
    @Spec(
            label = "Exhaust clearance read",
            quantity = CLEARANCE,
            min = 0.0001,
            max = 0.020,
            usual = 0,
            optional = true,
            why = "it is the least found by clay or checking spring")
        Given exhaustRead,
    @Spec(
            label = "Claimed gain",
            quantity = POWER,
            min = 100,
            max = 100e3,
            usual = 14914,
            why = "somebody claims it")
        Given claim,
    @Spec(
            label = "Rocker test, gain",
            quantity = POWER,
            min = 1,
            max = 100e3,
            usual = 0,
            optional = true,
            why = "two pulls showed it, the second with 0.1 more rocker ratio")
        Given rockerGain) {
  public Worksheet {
    Specs.check(
        Worksheet.class,
        "worksheet",
        deckWanted,
        otherRod,
        ratioWanted,
        chamberWanted,
        fillDepth,
        fillVolume,
        firstFill,
        secondFill,
        fillStep,
        tank,
        octaneTank,
        octaneAdded,
        octaneWanted,
        dose,
        shim,
        lighter,
        intakeRead,
        exhaustRead,
        claim,
        rockerGain);
  }
}
