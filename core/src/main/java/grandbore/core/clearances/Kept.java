package grandbore.core.clearances;

import java.time.Instant;

/**
 * A note as the book keeps it.
 *
 * @param by who made it, may be empty
 * @param struck whether it was taken back
 */
public record Kept(long id, Note note, String by, Instant at, boolean struck) {
  /** The same note struck out, or not. */
  public Kept struck(boolean is) {
    return new Kept(id, note, by, at, is);
  }

  /** The same note under its number in the book. */
  public Kept numbered(long newId) {
    return new Kept(newId, note, by, at, struck);
  }
}
