package grandbore.core.clearances;

import java.time.Instant;

/**
 * A note as the book keeps it.
 *
 * @param by who made it, may be empty
 * @param struck whether it was taken back
 */
public record Kept(long id, Note note, String by, Instant at, boolean struck) {}
