package grandbore.core.shelf;

/** Where a part of the shop is. */
public enum PartState {
  SHELF("on the shelf"),
  ENGINE("on an engine"),
  WANTED("wanted"),
  ORDERED("ordered"),
  SOLD("sold");

  private final String title;

  PartState(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }

  /** Whether the shop has it no more. */
  public boolean isGone() {
    return this == SOLD;
  }
}
