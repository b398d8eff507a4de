package grandbore.book;

import java.sql.SQLException;
import org.flywaydb.core.api.migration.Context;

/**
 * Brings a book to a version whose list of builds shows one thing more. A book that came from
 * before version 3 has the column already.
 */
final class ShelfColumnMigration extends BookMigration {
  private final String column;
  private final String type;

  private ShelfColumnMigration(int version, String description, String column, String type) {
    super(version, description);
    this.column = column;
    this.type = type;
  }

  /** Version 4: how much of each build is measured. */
  static ShelfColumnMigration measuredShare() {
    return new ShelfColumnMigration(4, "measured share", "measured", "REAL NOT NULL DEFAULT 0");
  }

  /** Version 5: how each build stands as a job. */
  static ShelfColumnMigration jobLine() {
    return new ShelfColumnMigration(5, "job line", "job", "TEXT NOT NULL DEFAULT ''");
  }

  @Override
  public void migrate(Context context) throws SQLException {
    try (var s = context.getConnection().createStatement()) {
      boolean has;
      try (var found =
          s.executeQuery(
              "SELECT 1 FROM pragma_table_info('shelf') WHERE name = '%s'".formatted(column))) {
        has = found.next();
      }
      if (!has) {
        s.execute("ALTER TABLE shelf ADD COLUMN %s %s".formatted(column, type));
      }
    }
  }
}
