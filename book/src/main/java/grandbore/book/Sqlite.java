package grandbore.book;

import java.net.URI;
import java.net.URISyntaxException;
import java.nio.file.Path;
import java.sql.SQLException;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;

/** Ways to a database file, whatever signs its name holds. */
final class Sqlite {
  private static final int BUSY_MILLISECONDS = 1500;

  /** What each page of a file of this database begins with. */
  static final String MAGIC = "SQLite format 3\0";

  private Sqlite() {}

  /**
   * A book that is written.
   *
   * @param pages most that the file may have, as if its disk were no larger; 0 for as many as fit
   */
  static SQLiteDataSource written(Path file, int pages) {
    var config = new SQLiteConfig();
    config.enforceForeignKeys(true);
    config.setBusyTimeout(BUSY_MILLISECONDS);
    config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
    if (pages > 0) {
      config.setMaxPageCount(pages);
    }
    return source(file, config, "");
  }

  /** A file that is only looked at. */
  static Jdbi read(Path file) {
    var config = new SQLiteConfig();
    config.setReadOnly(true);
    config.setBusyTimeout(BUSY_MILLISECONDS);
    return Jdbi.create(source(file, config, "?mode=ro"));
  }

  private static SQLiteDataSource source(Path file, SQLiteConfig config, String how) {
    var source = new SQLiteDataSource(config);
    try {
      // As an address, in which signs such as ? or a space at the end are written out.
      String path = file.toAbsolutePath().toString().replace('\\', separator());
      String address =
          new URI("file", null, path.startsWith("/") ? path : "/" + path, null).getRawPath();
      source.setUrl("jdbc:sqlite:file:" + address.replace("?", "%3F") + how);
    } catch (URISyntaxException e) {
      throw new BookException(
          "The name of the file " + file + " can't be used: " + e.getMessage(), e);
    }
    return source;
  }

  /** A backslash parts folders on Windows and is a sign like any other elsewhere. */
  private static char separator() {
    return java.io.File.separatorChar == '\\' ? '/' : '\\';
  }

  /** What the file's own check says: ok, or what is wrong. */
  static String quickCheck(Handle h) {
    return h.createQuery("PRAGMA quick_check(1)").mapTo(String.class).one();
  }

  /** What went wrong with a file, and what that means for whoever asked. */
  static String inWords(Throwable e, String otherwise) {
    String why = otherwise;
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof SQLException sql) {
        String said = String.valueOf(sql.getMessage());
        if (said.contains("SQLITE_BUSY") || said.contains("locked")) {
          why = "is in use by another program: nothing was changed; close that one and try again";
        } else if (said.contains("READONLY") || said.contains("CANTOPEN")) {
          why = "is read-only: nothing was changed";
        } else if (said.contains("FULL") || said.contains("IOERR")) {
          why = "has no room left on its disk: nothing was changed; make room and try again";
        }
      }
    }
    return why;
  }
}
