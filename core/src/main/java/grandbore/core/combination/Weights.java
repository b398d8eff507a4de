package grandbore.core.combination;

import static grandbore.core.units.Quantity.MASS;
import static grandbore.core.units.Quantity.SHARE;

import java.util.Map;

/**
 * What the moving parts of one cylinder weigh, and how the crank answers them.
 *
 * @param pin with its locks
 * @param bearing both shells of one rod
 * @param oil carried in one throw
 * @param balanceFactor share of the reciprocating masses that the counterweights answer
 */
public record Weights(
    BalanceShafts shafts,
    @Spec(
            label = "Piston",
            quantity = MASS,
            min = 0.01,
            max = 3,
            usual = 0.41,
            why = "one piston, bare")
        Given piston,
    @Spec(
            label = "Pin with locks",
            quantity = MASS,
            min = 0.005,
            max = 1,
            usual = 0.115,
            why = "one pin and what keeps it")
        Given pin,
    @Spec(
            label = "Rings",
            quantity = MASS,
            min = 0.001,
            max = 0.3,
            usual = 0.035,
            why = "the rings of one piston")
        Given rings,
    @Spec(
            label = "Rod, small end",
            quantity = MASS,
            min = 0.005,
            max = 1,
            usual = 0.12,
            why = "the rod on scales, its big end held level")
        Given smallEnd,
    @Spec(
            label = "Rod, big end",
            quantity = MASS,
            min = 0.01,
            max = 3,
            usual = 0.41,
            why = "the rod on scales, its small end held level")
        Given bigEnd,
    @Spec(
            label = "Rod bearing",
            quantity = MASS,
            min = 0.002,
            max = 0.4,
            usual = 0.045,
            why = "both shells of one rod")
        Given bearing,
    @Spec(
            label = "Oil in a throw",
            quantity = MASS,
            min = 0,
            max = 0.03,
            usual = 0.004,
            why = "what one throw carries round")
        Given oil,
    @Spec(
            label = "Balance factor",
            quantity = SHARE,
            min = 0,
            max = 1,
            usual = 0.5,
            why = "it is a share of the reciprocating masses")
        Given balanceFactor) {
  public Weights {
    Specs.check(
        Weights.class,
        "weights",
        piston,
        pin,
        rings,
        smallEnd,
        bigEnd,
        bearing,
        oil,
        balanceFactor);
    if (shafts == null) {
      throw new InvalidInput(
          "Balance shafts (weights.shafts)", "missing", "NONE or SECONDARY_PAIR", "it is needed");
    }
  }

  /** Shafts that turn with the crank to balance it. */
  public enum BalanceShafts {
    NONE,
    /** Two, turning against each other at twice the crank's speed. */
    SECONDARY_PAIR
  }

  /** Shares of a reciprocating mass that its parts usually have; common practice, no source. */
  private static final double[] SHARES = {0.603, 0.169, 0.0515, 0.1765};

  private static final double BIG_END = 0.603;
  private static final double BEARING = 0.066;

  /** Parts as they usually weigh where only the whole reciprocating mass is known. */
  public static Weights usual(Given reciprocating) {
    double m = reciprocating.si();
    return Specs.make(
        Weights.class,
        Map.of(
            "piston",
            reciprocating.with(SHARES[0] * m, reciprocating.provenance()),
            "pin",
            reciprocating.with(SHARES[1] * m, reciprocating.provenance()),
            "rings",
            reciprocating.with(SHARES[2] * m, reciprocating.provenance()),
            "smallEnd",
            reciprocating.with(SHARES[3] * m, reciprocating.provenance()),
            "bigEnd",
            reciprocating.with(BIG_END * m, Provenance.ASSUMED),
            "bearing",
            reciprocating.with(BEARING * m, Provenance.ASSUMED)));
  }

  /** Of one cylinder, kg. */
  public double reciprocating() {
    return piston.si() + pin.si() + rings.si() + smallEnd.si();
  }

  /** Of one rod, its bearing with it, kg. */
  public double rotating() {
    return bigEnd.si() + bearing.si();
  }
}
