package grandbore.core.combination;

import static grandbore.core.units.Quantity.COST;
import static grandbore.core.units.Quantity.DISPLACEMENT;
import static grandbore.core.units.Quantity.LENGTH;
import static grandbore.core.units.Quantity.POWER;
import static grandbore.core.units.Quantity.PRESSURE;
import static grandbore.core.units.Quantity.RATIO;
import static grandbore.core.units.Quantity.ROTATION;

import grandbore.core.units.UnitSystem;
import java.util.List;

/**
 * What the engine is for, in numbers: the reasons that decide the parts.
 *
 * @param vacuum wanted in the manifold at idle
 * @param soldAs displacement that the seller named
 * @param soldBore bore before any overbore, as the seller named it
 * @param kept parts that may not be changed
 */
public record Brief(
    @Spec(
            label = "Band from",
            quantity = ROTATION,
            min = 30,
            max = 2100,
            usual = 314.1592653589793,
            why = "power is wanted from here")
        Given bandFrom,
    @Spec(
            label = "Band to",
            quantity = ROTATION,
            min = 31,
            max = 2200,
            usual = 628.3185307179587,
            why = "power is wanted up to here")
        Given bandTo,
    @Spec(
            label = "Idle speed",
            quantity = ROTATION,
            min = 40,
            max = 250,
            usual = 89.01179185171081,
            why = "engines idle at 400 to 2,400 rpm")
        Given idle,
    @Spec(
            label = "Idle vacuum wanted",
            quantity = PRESSURE,
            min = 3e3,
            max = 80e3,
            usual = 0,
            optional = true,
            why = "it is measured below the air's pressure")
        Given vacuum,
    @Spec(
            label = "Power wanted",
            quantity = POWER,
            min = 500,
            max = 4e6,
            usual = 0,
            optional = true,
            why = "it is the best at the flywheel")
        Given power,
    @Spec(
            label = "Budget",
            quantity = COST,
            min = 1,
            max = 10e6,
            usual = 0,
            optional = true,
            why = "it is what may be spent")
        Given budget,
    @Spec(
            label = "Milling a head",
            quantity = COST,
            min = 1,
            max = 1e6,
            usual = 0,
            optional = true,
            why = "the shop's price for one head")
        Given headCost,
    @Spec(
            label = "Decking a bank",
            quantity = COST,
            min = 1,
            max = 1e6,
            usual = 0,
            optional = true,
            why = "the shop's price for one bank")
        Given deckCost,
    @Spec(
            label = "Sold as",
            quantity = DISPLACEMENT,
            min = 30e-6,
            max = 20e-3,
            usual = 0,
            optional = true,
            why = "it is the engine's displacement")
        Given soldAs,
    @Spec(
            label = "Sold with bore",
            quantity = LENGTH,
            min = 0.030,
            max = 0.200,
            usual = 0,
            optional = true,
            why = "it is the bore before any overbore")
        Given soldBore,
    @Spec(
            label = "Sold with ratio",
            quantity = RATIO,
            min = 5,
            max = 20,
            usual = 0,
            optional = true,
            why = "it is a compression ratio")
        Given soldRatio,
    List<Part> kept) {
  public Brief {
    Specs.check(
        Brief.class,
        "brief",
        bandFrom,
        bandTo,
        idle,
        vacuum,
        power,
        budget,
        headCost,
        deckCost,
        soldAs,
        soldBore,
        soldRatio);
    if (!(bandTo.si() > bandFrom.si())) {
      throw new InvalidInput(
          "Band to (brief.bandTo)",
          ROTATION.show(bandTo.si(), UnitSystem.METRIC),
          "more than " + ROTATION.show(bandFrom.si(), UnitSystem.METRIC),
          "the band goes upward");
    }
    kept = List.copyOf(kept);
  }

  /** A part that a brief may say has to stay. */
  public enum Part {
    BLOCK,
    CRANK,
    RODS,
    PISTONS,
    HEADS,
    CAM,
    INTAKE,
    EXHAUST
  }
}
