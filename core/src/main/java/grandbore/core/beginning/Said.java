package grandbore.core.beginning;

import grandbore.core.units.Quantity;

/** The sizes that a builder is asked for, as a cam card and a calliper give them. */
public enum Said {
  BORE("Bore", Quantity.LENGTH, true),
  STROKE("Stroke", Quantity.LENGTH, true),
  ROD("Rod length", Quantity.LENGTH, false),
  INTAKE_DURATION("Intake duration at 0.050", Quantity.ANGLE, true),
  EXHAUST_DURATION("Exhaust duration at 0.050", Quantity.ANGLE, true),
  INTAKE_LIFT("Intake valve lift", Quantity.LENGTH, true),
  EXHAUST_LIFT("Exhaust valve lift", Quantity.LENGTH, true),
  SEPARATION("Lobe separation", Quantity.ANGLE, false),
  INTAKE_VALVE("Intake valve", Quantity.LENGTH, false);

  private final String label;
  private final Quantity quantity;
  private final boolean needed;

  Said(String label, Quantity quantity, boolean needed) {
    this.label = label;
    this.quantity = quantity;
    this.needed = needed;
  }

  public String label() {
    return label;
  }

  public Quantity quantity() {
    return quantity;
  }

  /** Whether all else is scaled from it. */
  public boolean isNeeded() {
    return needed;
  }
}
