package grandbore.book;

import grandbore.core.build.Build;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Readings;
import java.util.List;

/**
 * A build as it stands in the book, with the way back and forth.
 *
 * @param revision the number of the one that stands
 * @param what that one changed
 * @param past revisions that led to it, the nearest first
 * @param future revisions that redo would bring, the nearest first
 * @param damages what of its rows is damaged, the backup that has it sound with it
 */
public record Opened(
    long id,
    Build build,
    long revision,
    String what,
    Readings readings,
    List<Kept> notes,
    List<Revision> past,
    List<Revision> future,
    List<Damage> damages) {

  /**
   * One revision that does not stand now; its document is read when it is asked for.
   *
   * @param what it changed
   */
  public record Revision(long id, String what, Document document) {
    /**
     * The build of this revision.
     *
     * @throws FormatException where it is damaged
     */
    public Build build() {
      return document.read();
    }
  }

  /** A document that is read when it is asked for. */
  @FunctionalInterface
  public interface Document {
    /**
     * @throws FormatException where it is damaged
     */
    Build read();
  }

  /** The document of it, with all that hangs on it but the shop's own rules. */
  public BuildDocument document() {
    return new BuildDocument(build, readings.all(), ownNotes(notes));
  }

  /** Those that are the build's and not the shop's. */
  public static List<Kept> ownNotes(List<Kept> notes) {
    return notes.stream().filter(k -> !ShopBook.isShops(k.note())).toList();
  }
}
