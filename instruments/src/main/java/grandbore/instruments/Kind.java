package grandbore.instruments;

import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.Locale;

/** The instruments that there are stand-ins for. */
public enum Kind {
  DIAL("dial indicator", Quantity.CLEARANCE, Measure.MILLIMETRES),
  ENCODER("crank encoder", Quantity.ANGLE, Measure.DEGREES),
  CALIPER("caliper or bore gauge", Quantity.CLEARANCE, Measure.MILLIMETRES),
  BURETTE("burette", Quantity.VOLUME, Measure.CUBIC_CENTIMETRES),
  TESTER("spring tester", Quantity.FORCE, Measure.NEWTONS),
  WRENCH("torque wrench", Quantity.TORQUE, Measure.NEWTON_METRES),
  LEAK("leak-down tester", Quantity.SHARE, Measure.PERCENT);

  private final String label;
  private final Quantity quantity;
  private final Measure unit;

  Kind(String label, Quantity quantity, Measure unit) {
    this.label = label;
    this.quantity = quantity;
    this.unit = unit;
  }

  public String label() {
    return label;
  }

  public Quantity quantity() {
    return quantity;
  }

  /** The unit that it sends. */
  public Measure unit() {
    return unit;
  }

  /** Its word on the line and at the console. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
