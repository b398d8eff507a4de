package grandbore.book;

import java.io.Serial;

/** There is no book, or an empty one, where backups of one lie: which is wanted has to be asked. */
public final class BookMissing extends BookException {
  @Serial private static final long serialVersionUID = 1;

  private final transient Backups.Backup newest;

  BookMissing(String message, Backups.Backup newest) {
    super(message, null);
    this.newest = newest;
  }

  /** The newest of its backups. */
  public Backups.Backup newest() {
    return newest;
  }
}
