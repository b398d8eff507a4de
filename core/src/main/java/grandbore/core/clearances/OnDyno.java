package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;
import java.util.List;

/**
 * Something of a day at the dyno.
 *
 * @param kind what it is
 * @param document of it, as text
 * @param pictures of plugs, filter, pan
 */
public record OnDyno(Kind kind, String document, List<Photo> pictures) implements Note {
  private static final int LONGEST = 8_000_000;
  private static final int PICTURES = 20;

  /** What a document is of. */
  public enum Kind {
    /** The prediction as it stood before the first pull, with the build of then. */
    FROZEN,
    PULL,
    /** What the builder thinks of a pull; the newest of each pull stands. */
    VERDICT,
    /** The pointer as it was proved at the stop; the newest stands. */
    POINTER,
    /** The main jets that are fitted; the newest stand. */
    JETS,
    /** What pulls have taught. */
    CALIBRATION,
    /** How the columns of one recorder are read: the shop's, the newest of each recorder stands. */
    LAYOUT,
    /** Causes that the shop has met: the shop's, the newest stands. */
    SYMPTOMS,
    /** How far the model is off on engines that shops pooled: the shop's, the newest stands. */
    CASES;

    /** Whether every build of the shop has it. */
    public boolean isShops() {
      return this == LAYOUT || this == SYMPTOMS || this == CASES;
    }
  }

  public OnDyno {
    if (kind == null || document == null || document.isBlank() || document.length() > LONGEST) {
      throw new InvalidInput(
          "Of the dyno", "no kind, none or too long", "a document of it", "it is opened again");
    }
    if (pictures == null || pictures.size() > PICTURES) {
      throw new InvalidInput(
          "Of the dyno, pictures",
          "none or too many",
          "up to 20 pictures",
          "they are shown beside one another");
    }
    pictures = List.copyOf(pictures);
  }

  /** One without pictures. */
  public OnDyno(Kind kind, String document) {
    this(kind, document, List.of());
  }
}
