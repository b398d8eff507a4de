package grandbore.core.clearances;

import grandbore.core.units.Quantity;

/** What is measured on the bench. */
public enum Measurement {
  DECK("Deck clearance", Quantity.CLEARANCE, -0.005, 0.020, Place.CYLINDER, true),
  CHAMBER("Chamber volume", Quantity.VOLUME, 5e-6, 300e-6, Place.CYLINDER, false),
  MAIN_BEARING("Main bearing clearance", Quantity.CLEARANCE, 0, 0.0005, Place.MAIN, false),
  ROD_BEARING("Rod bearing clearance", Quantity.CLEARANCE, 0, 0.0005, Place.CYLINDER, false),
  TOP_RING_GAP("Top ring end gap", Quantity.CLEARANCE, 0, 0.003, Place.CYLINDER, false),
  SECOND_RING_GAP("Second ring end gap", Quantity.CLEARANCE, 0, 0.003, Place.CYLINDER, false),
  COMPRESSION("Compression test", Quantity.CYLINDER_PRESSURE, 0, 40e5, Place.CYLINDER, false),
  COMPRESSION_OILED(
      "Compression test, oiled", Quantity.CYLINDER_PRESSURE, 0, 40e5, Place.CYLINDER, false),
  LEAK_DOWN("Leak-down", Quantity.SHARE, 0, 1, Place.CYLINDER, false);

  /** What a reading's number counts. */
  public enum Place {
    CYLINDER,
    MAIN
  }

  private final String label;
  private final Quantity quantity;
  private final double least;
  private final double most;
  private final Place place;
  private final boolean twoSided;

  Measurement(
      String label, Quantity quantity, double least, double most, Place place, boolean twoSided) {
    this.label = label;
    this.quantity = quantity;
    this.least = least;
    this.most = most;
    this.place = place;
    this.twoSided = twoSided;
  }

  /** Whether it tests the finished engine instead of measuring a part. */
  public boolean isTest() {
    return this == COMPRESSION || this == COMPRESSION_OILED || this == LEAK_DOWN;
  }

  public String label() {
    return label;
  }

  public Quantity quantity() {
    return quantity;
  }

  /** Smallest value an instrument can have shown, SI. */
  public double least() {
    return least;
  }

  /** Largest value an instrument can have shown, SI. */
  public double most() {
    return most;
  }

  public Place place() {
    return place;
  }

  /** Whether it is read on both sides of the pin's axis, so that the piston's rock averages out. */
  public boolean isTwoSided() {
    return twoSided;
  }
}
