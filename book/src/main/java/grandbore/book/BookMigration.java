package grandbore.book;

import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.JavaMigration;

/** A step to a later version of the book that is more than SQL, whole or not at all. */
abstract class BookMigration implements JavaMigration {
  private final int version;
  private final String description;

  BookMigration(int version, String description) {
    this.version = version;
    this.description = description;
  }

  @Override
  public final MigrationVersion getVersion() {
    return MigrationVersion.fromVersion(String.valueOf(version));
  }

  @Override
  public final String getDescription() {
    return description;
  }

  @Override
  public final Integer getChecksum() {
    return null;
  }

  @Override
  public final boolean canExecuteInTransaction() {
    return true;
  }
}
