package grandbore.core.job.parts;

/** What a part was found to be worth. */
public enum Condition {
  UNKNOWN("not looked at"),
  SOUND("sound"),
  WORN("worn but usable"),
  REJECT("reject");

  private final String title;

  Condition(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
