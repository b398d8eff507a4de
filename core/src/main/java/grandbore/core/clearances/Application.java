package grandbore.core.clearances;

/** What the engine is built for. */
public enum Application {
  STREET("street", Wear.STREET),
  STREET_AND_STRIP("street and strip", Wear.STREET),
  DRAG("drag racing", Wear.RACE),
  ROAD_COURSE("road course", Wear.RACE),
  HILL_CLIMB("hill-climb", Wear.RACE),
  ENDURANCE("endurance", Wear.RACE),
  BOOST("boosted or nitrous", Wear.BOOST);

  /** Which clearances suit it. */
  enum Wear {
    STREET,
    RACE,
    BOOST
  }

  private final String word;
  private final Wear wear;

  Application(String word, Wear wear) {
    this.word = word;
    this.wear = wear;
  }

  public String word() {
    return word;
  }

  Wear wear() {
    return wear;
  }
}
