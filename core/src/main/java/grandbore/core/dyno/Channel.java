package grandbore.core.dyno;

import grandbore.core.units.Quantity;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * What is recorded in a pull. Values are SI, but for the speed, which is in rev/min. Outside of its
 * range a number is a fault of the recorder, not a state of an engine.
 */
public enum Channel {
  RPM("Speed", Quantity.ROTATION, Per.ENGINE, 0, 30_000),
  TORQUE("Torque", Quantity.TORQUE, Per.ENGINE, -2_000, 20_000),
  POWER("Power", Quantity.POWER, Per.ENGINE, -1e6, 10e6),
  AIR_FLOW("Air flow", Quantity.MASS_FLOW, Per.ENGINE, 0, 10),
  FUEL_FLOW("Fuel flow", Quantity.MASS_FLOW, Per.ENGINE, 0, 3),
  LAMBDA("Lambda", Quantity.RATIO, Per.ENGINE, 0.3, 3),
  BANK_LAMBDA("Lambda of a bank", Quantity.RATIO, Per.BANK, 0.3, 3),
  CYLINDER_LAMBDA("Lambda of a cylinder", Quantity.RATIO, Per.CYLINDER, 0.3, 3),
  EXHAUST_TEMPERATURE("Exhaust gas", Quantity.TEMPERATURE, Per.CYLINDER, 230, 2000),
  MANIFOLD_PRESSURE("Manifold pressure", Quantity.PRESSURE, Per.ENGINE, 1e3, 800e3),
  CHARGE_TEMPERATURE("Charge temperature", Quantity.TEMPERATURE, Per.ENGINE, 200, 600),
  CRANKCASE_VACUUM("Crankcase vacuum", Quantity.PRESSURE, Per.ENGINE, -50e3, 100e3),
  BLOW_BY("Blow-by", Quantity.AIRFLOW, Per.ENGINE, 0, 0.2),
  OIL_PRESSURE("Oil pressure", Quantity.CYLINDER_PRESSURE, Per.ENGINE, -10e3, 3e6),
  OIL_TEMPERATURE("Oil temperature", Quantity.TEMPERATURE, Per.ENGINE, 230, 480),
  WATER_IN("Water in", Quantity.TEMPERATURE, Per.ENGINE, 230, 430),
  WATER_OUT("Water out", Quantity.TEMPERATURE, Per.ENGINE, 230, 430),
  AIR_TEMPERATURE("Air temperature", Quantity.TEMPERATURE, Per.ENGINE, 220, 360),
  AIR_PRESSURE("Air pressure", Quantity.PRESSURE, Per.ENGINE, 40e3, 115e3),
  HUMIDITY("Humidity", Quantity.SHARE, Per.ENGINE, 0, 1),
  SPARK("Spark", Quantity.ANGLE, Per.ENGINE, -1.1, 1.4),
  KNOCK("Knock level", Quantity.RATIO, Per.ENGINE, 0, 1e6);

  /** How many of it there are. */
  public enum Per {
    ENGINE,
    BANK,
    CYLINDER
  }

  private final String label;
  private final Quantity quantity;
  private final Per per;
  private final double least;
  private final double most;

  Channel(String label, Quantity quantity, Per per, double least, double most) {
    this.label = label;
    this.quantity = quantity;
    this.per = per;
    this.least = least;
    this.most = most;
  }

  public String label() {
    return label;
  }

  /** What kind of number it is; its SI unit is what values are kept in, but for the speed. */
  public Quantity quantity() {
    return quantity;
  }

  public Per per() {
    return per;
  }

  /** Whether an engine's channel can read that. */
  public boolean canBe(double value) {
    return value >= least && value <= most;
  }

  /** Its word in documents, tables and on the line. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The channel of this word. */
  public static Optional<Channel> of(String word) {
    return Arrays.stream(values()).filter(c -> c.word().equals(word)).findFirst();
  }
}
