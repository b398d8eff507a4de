package grandbore.core.prediction;

import java.util.Set;

/** A loss taken away, so that its share of the power can be computed and not asserted. */
public enum RemovedLoss {
  METER("Carburettor or throttle"),
  RUNNER("Runner and port friction, bends"),
  CHARGE_HEAT("Heat of runner and port walls"),
  INTAKE_PORT("Intake port and valve"),
  EXHAUST_PORT("Exhaust port and valve"),
  EXHAUST_PIPES("Exhaust friction, bends, silencers"),
  HEAT("Heat to the cylinder's walls"),
  FRICTION("Friction, windage, accessories"),
  KNOCK("Spark held back");

  static final Set<RemovedLoss> NONE = Set.of();

  private final String label;

  RemovedLoss(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }
}
