package grandbore.core.job.route;

import grandbore.core.combination.InvalidInput;
import java.util.Set;
import java.util.TreeSet;

/**
 * Something that is looked at in a step, at one place or at several: “clip seated, twice looked at”
 * at sixteen pins.
 *
 * @param places how many there are to tick
 * @param ticked those that were looked at, from 1
 */
public record StepCheck(String words, int places, Set<Integer> ticked) {
  public StepCheck {
    if (words == null || words.isBlank() || words.length() > 200) {
      throw new InvalidInput(
          "Check of a step", "“" + words + "”", "1 to 200 characters", "it is read");
    }
    if (places < 1 || places > 64) {
      throw new InvalidInput(words + ", places", "" + places, "1 to 64", "each is ticked");
    }
    if (ticked.stream().anyMatch(t -> t < 1 || t > places)) {
      throw new InvalidInput(
          words + ", ticked", "" + ticked, "1 to " + places, "they are its places");
    }
    ticked = Set.copyOf(ticked);
  }

  /** One that nobody has looked at. */
  public static StepCheck of(String words, int places) {
    return new StepCheck(words, places, Set.of());
  }

  public boolean isDone() {
    return ticked.size() == places;
  }

  /** The same with a place ticked, or not any more. */
  public StepCheck turned(int place) {
    var now = new TreeSet<>(ticked);
    if (!now.remove(place)) {
      now.add(place);
    }
    return new StepCheck(words, places, now);
  }
}
