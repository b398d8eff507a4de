package grandbore.core.job.parts;

import grandbore.core.units.Quantity;

/** What is weighed or measured on a part so that it finds its place. */
public enum ItemMeasure {
  WEIGHT("weight", Quantity.MASS, 0.0001, 200),
  SMALL_END("small end", Quantity.MASS, 0.01, 5),
  BIG_END("big end", Quantity.MASS, 0.01, 10),
  LENGTH("length between centres", Quantity.CLEARANCE, 0.05, 0.6),
  PIN_HEIGHT("pin to crown", Quantity.CLEARANCE, 0.01, 0.15),
  CROWN("dish, less a dome", Quantity.VOLUME, -100e-6, 100e-6),
  CHAMBER("mean chamber", Quantity.VOLUME, 5e-6, 300e-6);

  private final String title;
  private final Quantity quantity;
  private final double least;
  private final double most;

  ItemMeasure(String title, Quantity quantity, double least, double most) {
    this.title = title;
    this.quantity = quantity;
    this.least = least;
    this.most = most;
  }

  public String title() {
    return title;
  }

  public Quantity quantity() {
    return quantity;
  }

  /** Least that it can be, SI. */
  public double least() {
    return least;
  }

  /** Most that it can be, SI. */
  public double most() {
    return most;
  }
}
