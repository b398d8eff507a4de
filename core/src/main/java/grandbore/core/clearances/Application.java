package grandbore.core.clearances;

/** What the engine is for, as far as clearances care. */
public enum Application {
  STREET("street"),
  RACE("race"),
  BOOST("boosted or nitrous");

  private final String word;

  Application(String word) {
    this.word = word;
  }

  public String word() {
    return word;
  }
}
