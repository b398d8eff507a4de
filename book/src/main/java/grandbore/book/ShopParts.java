package grandbore.book;

import grandbore.core.clearances.Stocked;
import grandbore.core.shelf.Part;
import grandbore.core.units.UnitSystem;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The shop's parts, as its notes keep them. */
public final class ShopParts {
  private static final String NUMBER = "P-%d";

  private ShopParts() {}

  /**
   * Those that the shop has, in the order in which they came.
   *
   * @param notes the oldest first
   * @throws FormatException where one can't be read
   */
  public static List<Part> of(List<Stocked> notes) {
    return standing(notes).values().stream()
        .filter(n -> !n.document().isEmpty())
        .map(
            n -> {
              var p = PartsJson.read(n.document()).getFirst();
              return new Part(
                  p.number(), p.kind(), p.state(), p.change(), p.condition(), n.pictures());
            })
        .toList();
  }

  private static Map<String, Stocked> standing(List<Stocked> notes) {
    var newest = new LinkedHashMap<String, Stocked>();
    notes.forEach(n -> newest.put(n.part(), n));
    return newest;
  }

  /** What is kept for a part to stand as it is from now on. */
  public static Stocked note(Part part, UnitSystem units) {
    return new Stocked(part.number(), PartsJson.write(List.of(part), units), part.pictures());
  }

  /** What is kept for the shop to have it no more. */
  public static Stocked gone(Part part) {
    return new Stocked(part.number(), "", List.of());
  }

  /** The first number that no part has or had. */
  public static String nextNumber(List<Stocked> notes) {
    var had = standing(notes).keySet();
    int next = 1;
    while (had.contains(NUMBER.formatted(next))) {
      next++;
    }
    return NUMBER.formatted(next);
  }
}
