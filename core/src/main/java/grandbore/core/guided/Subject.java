package grandbore.core.guided;

import grandbore.core.clearances.Reading.Side;

/** Which of several parts of one kind a routine is about. */
public enum Subject {
  WHOLE(""),
  INTAKE("intake"),
  EXHAUST("exhaust"),
  TOP_RING("top ring"),
  SECOND_RING("second ring"),
  MAIN("main"),
  ROD("rod");

  private final String word;

  Subject(String word) {
    this.word = word;
  }

  public String word() {
    return word;
  }

  /** The side under which a reading at a valve is kept. */
  public Side side() {
    return this == INTAKE ? Side.INTAKE : this == EXHAUST ? Side.EXHAUST : Side.NONE;
  }

  @Override
  public String toString() {
    return word;
  }
}
