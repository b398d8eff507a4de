package grandbore.core.shelf;

import grandbore.core.changes.Change;
import grandbore.core.clearances.Photo;
import grandbore.core.combination.InvalidInput;
import java.util.ArrayList;
import java.util.List;

/**
 * One part of the shop.
 *
 * @param number by which the shop knows it; no two have the same
 * @param change what it is called, sets, costs and needs, and who supplies it
 * @param condition what there is to say about it, may be empty
 * @param pictures of it, kept as files beside the book
 */
public record Part(
    String number,
    PartKind kind,
    PartState state,
    Change change,
    String condition,
    List<Photo> pictures) {
  private static final int LONGEST = 40;
  private static final int WORDS = 2000;

  public Part {
    if (number == null || number.isBlank() || number.length() > LONGEST) {
      throw new InvalidInput(
          "Part, number", "“" + number + "”", "1 to 40 characters", "the shop knows it by that");
    }
    if (kind == null || state == null || change == null) {
      throw new InvalidInput(
          "Part " + number, "no kind, state or values", "all of them", "it is shown by them");
    }
    if (condition == null || condition.length() > WORDS) {
      throw new InvalidInput(
          "Part %s, condition".formatted(number),
          "none or too long",
          "up to 2000 characters",
          "it is read");
    }
    pictures = List.copyOf(pictures);
  }

  /** The same part elsewhere. */
  public Part in(PartState now) {
    return new Part(number, kind, now, change, condition, pictures);
  }

  /** The same part with one picture more. */
  public Part with(Photo picture) {
    var all = new ArrayList<>(pictures);
    all.add(picture);
    return new Part(number, kind, state, change, condition, all);
  }

  public String name() {
    return change.name();
  }
}
