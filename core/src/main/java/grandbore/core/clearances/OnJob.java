package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;
import java.util.List;

/**
 * Something of a build's job as it stands from now on; the newest note of each kind and key counts.
 *
 * @param kind what it is
 * @param key by which the build knows it
 * @param document of it, as text; empty where it is no more
 * @param pictures of it
 */
public record OnJob(Kind kind, String key, String document, List<Photo> pictures) implements Note {
  private static final int LONGEST = 1_000_000;
  private static final int PICTURES = 20;

  /** What a document is of. */
  public enum Kind {
    /** What is agreed on: budget, customer, days of work. */
    PLAN,
    /** A part of the engine. */
    ITEM,
    /** A work order. */
    ORDER,
    /** A step of the route. */
    STEP,
    /** The order of the steps. */
    SEQUENCE,
    /** One of several ways to go on. */
    OPTION,
    /** The build as it stood once, under a name: “as mocked up”. */
    VERSION
  }

  public OnJob {
    if (kind == null || key == null || key.length() > 80) {
      throw new InvalidInput(
          "Of the job", "no kind, or a key too long", "up to 80 characters", "it is looked up");
    }
    if (document == null || document.length() > LONGEST) {
      throw new InvalidInput(
          "Of the job, " + key, "none or too long", "a document of it", "it is read again");
    }
    if (pictures == null || pictures.size() > PICTURES) {
      throw new InvalidInput(
          "Of the job, %s, pictures".formatted(key),
          "none or too many",
          "up to 20 pictures",
          "they are shown beside one another");
    }
    pictures = List.copyOf(pictures);
  }

  /** One without pictures. */
  public OnJob(Kind kind, String key, String document) {
    this(kind, key, document, List.of());
  }
}
