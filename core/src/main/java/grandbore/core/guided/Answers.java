package grandbore.core.guided;

import java.util.LinkedHashMap;
import java.util.Map;

/** What was read so far, by the steps' keys. */
public final class Answers {
  private final Map<String, Answer> all = new LinkedHashMap<>();

  /**
   * @param value SI
   * @param turnedBack whether the crank had been turned back just before
   */
  public record Answer(double value, boolean turnedBack) {}

  public Answers put(String key, double value, boolean turnedBack) {
    all.put(key, new Answer(value, turnedBack));
    return this;
  }

  public boolean has(String... keys) {
    for (var key : keys) {
      if (!all.containsKey(key)) {
        return false;
      }
    }
    return true;
  }

  /** The value under a key that is there, SI. */
  public double at(String key) {
    return all.get(key).value();
  }

  /** The value under a key, 0 where there is none. */
  public double orZero(String key) {
    return has(key) ? at(key) : 0;
  }

  public boolean turnedBack(String key) {
    return has(key) && all.get(key).turnedBack();
  }
}
