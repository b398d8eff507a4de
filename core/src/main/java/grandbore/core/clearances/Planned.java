package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;

/**
 * The changes that are thought of for a build, in the order of its ladder; the newest note of them
 * stands.
 *
 * @param document of changes, as text; empty where none is left
 */
public record Planned(String document) implements Note {
  private static final int LONGEST = 400_000;

  public Planned {
    if (document == null || document.length() > LONGEST) {
      throw new InvalidInput(
          "Changes thought of", "none or too long", "a document of changes", "it is read again");
    }
  }
}
