package grandbore.core.combination;

import static grandbore.core.units.Quantity.MASS_FLOW;
import static grandbore.core.units.Quantity.ROTATION;

/**
 * Nitrous oxide let into the manifold with fuel to match: charge mass and oxygen.
 *
 * @param flow of nitrous oxide, for the whole engine
 * @param from crank speed from which it flows
 */
public record Nitrous(
    Kind kind,
    @Spec(
            label = "Nitrous oxide flow",
            quantity = MASS_FLOW,
            min = 0.005,
            max = 0.6,
            usual = 0.06,
            why = "it is what the jets pass for the whole engine")
        Given flow,
    @Spec(
            label = "Nitrous from",
            quantity = ROTATION,
            min = 100,
            max = 1000,
            usual = 314,
            why = "at low speed it would pile up in the cylinders")
        Given from) {
  public Nitrous {
    Specs.check(Nitrous.class, "nitrous", flow, from);
    if (kind == null) {
      throw new InvalidInput("Nitrous (nitrous.kind)", "missing", "a kind", "it is needed");
    }
  }

  /** Whether there is any. */
  public boolean isFitted() {
    return kind != Kind.NONE;
  }

  /** Fitted or not. */
  public enum Kind {
    NONE,
    FITTED
  }
}
