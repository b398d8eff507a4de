package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;

/**
 * Words about a build, whoever it belongs to, whatever is to be remembered.
 *
 * @param words as they were written
 */
public record Remark(String words) implements Note {
  public Remark {
    if (words == null || words.isBlank() || words.length() > 4000) {
      throw new InvalidInput("Remark", "none or too long", "1 to 4000 characters", "it is read");
    }
  }
}
