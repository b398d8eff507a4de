package grandbore.core.shelf;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Finds parts among all of the shop. */
public final class Shelf {
  private Shelf() {}

  /**
   * Those of a kind, in a state, with some words.
   *
   * @param words each of them stands in the number, name, supplier or condition; may be blank
   */
  public static List<Part> find(
      List<Part> parts, Optional<PartKind> kind, Optional<PartState> state, String words) {
    var each = words.strip().toLowerCase(Locale.ROOT).split("\\s+");
    return parts.stream()
        .filter(p -> kind.isEmpty() || p.kind() == kind.get())
        .filter(p -> state.isEmpty() || p.state() == state.get())
        .filter(p -> Stream.of(each).allMatch(text(p)::contains))
        .toList();
  }

  private static String text(Part p) {
    return String.join(" ", p.number(), p.name(), p.change().supplier(), p.condition())
        .toLowerCase(Locale.ROOT);
  }

  /** A part that came from elsewhere, with the pictures that the shop has of it. */
  public static Part withPictures(Part came, List<Part> known) {
    for (var part : known) {
      if (part.number().equals(came.number())) {
        return new Part(
            came.number(),
            came.kind(),
            came.state(),
            came.change(),
            came.condition(),
            part.pictures());
      }
    }
    return came;
  }
}
