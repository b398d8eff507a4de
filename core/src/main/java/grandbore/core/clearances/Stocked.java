package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;
import java.util.List;

/**
 * A part of the shop as it stands from now on; the newest note of each part counts.
 *
 * @param part the number by which the shop knows it
 * @param document the part, as text; empty where the shop has it no more
 * @param pictures of it
 */
public record Stocked(String part, String document, List<Photo> pictures) implements Note {
  private static final int LONGEST = 400_000;
  private static final int PICTURES = 20;

  public Stocked {
    if (part == null || part.isBlank() || document == null || document.length() > LONGEST) {
      throw new InvalidInput(
          "Part " + part, "no number, none or too long", "a document of it", "it is read again");
    }
    if (pictures == null || pictures.size() > PICTURES) {
      throw new InvalidInput(
          "Part %s, pictures".formatted(part),
          "none or too many",
          "up to 20 pictures",
          "they are shown beside one another");
    }
    pictures = List.copyOf(pictures);
  }
}
