package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;

/**
 * A study of a build that is kept: what was asked, of which engine, and what came out.
 *
 * @param document of it, as text
 */
public record Studied(String document) implements Note {
  private static final int LONGEST = 2_000_000;

  public Studied {
    if (document == null || document.isBlank() || document.length() > LONGEST) {
      throw new InvalidInput("Study", "none or too long", "a document of it", "it is opened again");
    }
  }
}
