package grandbore.core.combination;

import static grandbore.core.units.Quantity.ANGLE;

/**
 * What a degree wheel showed, all read turning the engine its own way round.
 *
 * @param intakeOpens at 0.050 in of tappet lift, before top centre
 * @param intakeBack the same opening read turning backward
 * @param intakeRise at some lift before the nose, after top centre
 * @param intakeFall at the same lift after the nose, after top centre
 * @param exhaustRise before top centre
 * @param exhaustFall before top centre
 * @param exhaustWanted where the exhaust cam has a gear of its own
 * @param exhaustBack the exhaust's opening read turning backward
 */
public record Degreed(
    @Spec(
            label = "Intake opens, read",
            quantity = ANGLE,
            min = -1.0,
            max = 1.9,
            usual = 0,
            optional = true,
            why = "before top centre")
        Given intakeOpens,
    @Spec(
            label = "Intake closes, read",
            quantity = ANGLE,
            min = -1.0,
            max = 1.9,
            usual = 0,
            optional = true,
            why = "after bottom centre")
        Given intakeCloses,
    @Spec(
            label = "Exhaust opens, read",
            quantity = ANGLE,
            min = -1.0,
            max = 1.9,
            usual = 0,
            optional = true,
            why = "before bottom centre")
        Given exhaustOpens,
    @Spec(
            label = "Exhaust closes, read",
            quantity = ANGLE,
            min = -1.0,
            max = 1.9,
            usual = 0,
            optional = true,
            why = "after top centre")
        Given exhaustCloses,
    @Spec(
            label = "Intake opens, turned back",
            quantity = ANGLE,
            min = -1.0,
            max = 1.9,
            usual = 0,
            optional = true,
            why = "before top centre")
        Given intakeBack,
    @Spec(
            label = "Intake rising side",
            quantity = ANGLE,
            min = 0.1,
            max = 2.5,
            usual = 0,
            optional = true,
            why = "after top centre, short of the nose")
        Given intakeRise,
    @Spec(
            label = "Intake falling side",
            quantity = ANGLE,
            min = 1.3,
            max = 3.9,
            usual = 0,
            optional = true,
            why = "after top centre, past the nose")
        Given intakeFall,
    @Spec(
            label = "Exhaust rising side",
            quantity = ANGLE,
            min = 1.3,
            max = 3.9,
            usual = 0,
            optional = true,
            why = "before top centre, short of the nose")
        Given exhaustRise,
    @Spec(
            label = "Exhaust falling side",
            quantity = ANGLE,
            min = 0.1,
            max = 2.5,
            usual = 0,
            optional = true,
            why = "before top centre, past the nose")
        Given exhaustFall,
    @Spec(
            label = "Intake centreline wanted",
            quantity = ANGLE,
            min = 1.4,
            max = 2.35,
            usual = 0,
            optional = true,
            why = "after top centre; the card's where it is not said")
        Given wanted,
    @Spec(
            label = "Exhaust centreline wanted",
            quantity = ANGLE,
            min = 1.4,
            max = 2.35,
            usual = 0,
            optional = true,
            why = "before top centre; the card's where it is not said")
        Given exhaustWanted,
    @Spec(
            label = "Exhaust opens, turned back",
            quantity = ANGLE,
            min = -1.0,
            max = 1.9,
            usual = 0,
            optional = true,
            why = "before bottom centre")
        Given exhaustBack) {
  public Degreed {
    Specs.check(
        Degreed.class,
        "degreed",
        intakeOpens,
        intakeCloses,
        exhaustOpens,
        exhaustCloses,
        intakeBack,
        intakeRise,
        intakeFall,
        exhaustRise,
        exhaustFall,
        wanted,
        exhaustWanted,
        exhaustBack);
  }
}
