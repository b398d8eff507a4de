package grandbore.core.prediction;

import java.util.List;
import java.util.function.BiPredicate;

/** Whether the parts of two networks pair, so that one may start from the other's gas. */
final class Pairing {
  private Pairing() {}

  /** As many on both sides, and each pair fits. */
  static <T> boolean inPairs(List<T> mine, List<T> others, BiPredicate<T, T> fit) {
    if (mine.size() != others.size()) {
      return false;
    }
    for (int k = 0; k < mine.size(); k++) {
      if (!fit.test(mine.get(k), others.get(k))) {
        return false;
      }
    }
    return true;
  }
}
