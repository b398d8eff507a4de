package grandbore.book;

import java.sql.SQLException;
import org.flywaydb.core.api.migration.Context;

/**
 * Brings a book to version 4: the list of builds shows how much of each is measured. A book that
 * came from before version 3 has the column already.
 */
final class MeasuredShareMigration extends BookMigration {
  private static final String COLUMN =
      "SELECT 1 FROM pragma_table_info('shelf') WHERE name = 'measured'";

  MeasuredShareMigration() {
    super(4, "measured share");
  }

  @Override
  public void migrate(Context context) throws SQLException {
    try (var s = context.getConnection().createStatement()) {
      boolean has;
      try (var found = s.executeQuery(COLUMN)) {
        has = found.next();
      }
      if (!has) {
        s.execute("ALTER TABLE shelf ADD COLUMN measured REAL NOT NULL DEFAULT 0");
      }
    }
  }
}
