package grandbore.core.job.parts;

/** How far a part is on its way into the engine. */
public enum ItemState {
  WANTED("wanted"),
  ORDERED("ordered"),
  ARRIVED("arrived"),
  MEASURED("measured"),
  AT_SHOP("at the shop"),
  BACK("back"),
  MEASURED_AGAIN("measured again"),
  FITTED("fitted"),
  SOLD("sold");

  private final String title;

  ItemState(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }

  /** Whether it lies in the shop, or is on the engine. */
  public boolean isHere() {
    return switch (this) {
      case ARRIVED, MEASURED, BACK, MEASURED_AGAIN, FITTED -> true;
      case WANTED, ORDERED, AT_SHOP, SOLD -> false;
    };
  }

  /** Whether money for it was promised to somebody. */
  public boolean isBought() {
    return this != WANTED;
  }

  /** Whether it was paid for. */
  public boolean isPaid() {
    return this != WANTED && this != ORDERED;
  }
}
