package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.clearances.AssemblyCheck;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.jdbi.v3.core.Jdbi;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A book of the version before is brought up whole: nothing of it is lost or changed. */
class MigrationTest {
  private static final String AT = "2026-05-04T10:00:00Z";

  @TempDir Path folder;

  /** Writes a book as version 2 did: whole documents, rows without sums. */
  static void older(Path file, int builds, int revisions) throws SQLException, IOException {
    Flyway.configure()
        .dataSource("jdbc:sqlite:" + file, null, null)
        .locations("classpath:migrations")
        .target("2")
        .load()
        .migrate();
    String text =
        FormatsTest.asVersion(4, new BuildDocument(DemoBuilds.hillClimbEight(), List.of()))
            .replaceAll(",\\s*\"si\" : [-0-9.E]+", "");
    try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file)) {
      c.setAutoCommit(false);
      try (var build =
              c.prepareStatement("INSERT INTO build (id, current_revision) VALUES (?, ?)");
          var revision =
              c.prepareStatement(
                  "INSERT INTO revision (id, build_id, parent_id, at, what, document)"
                      + " VALUES (?, ?, ?, ?, ?, ?)");
          var reading =
              c.prepareStatement(
                  "INSERT INTO reading (build_id, measurement, place, side, value_si, read_by,"
                      + " instrument, at) VALUES (?, 'CHAMBER', ?, 'NONE', ?, 'Ines', 'burette',"
                      + " '2026-05-04T10:00:00Z')");
          var note =
              c.prepareStatement(
                  "INSERT INTO note (build_id, kind, body, made_by, at) VALUES (?, 'TICK', ?, '',"
                      + " ?)")) {
        int id = 0;
        for (int b = 1; b <= builds; b++) {
          build.setInt(1, b);
          build.setInt(2, b * revisions);
          build.execute();
          for (int r = 0; r < revisions; r++) {
            id++;
            revision.setInt(1, id);
            revision.setInt(2, b);
            revision.setObject(3, r == 0 ? null : id - 1);
            revision.setString(4, AT);
            revision.setString(5, "edit " + r);
            revision.setString(6, text);
            revision.execute();
          }
          reading.setInt(1, b);
          for (int p = 1; p <= 8; p++) {
            reading.setInt(2, p);
            reading.setDouble(3, 57e-6 + 1e-8 * p);
            reading.execute();
          }
          note.setInt(1, b);
          note.setString(2, NoteJson.write(AssemblyCheck.PRIMED.tick()));
          note.setString(3, AT);
          note.execute();
        }
      }
      try (var s = c.createStatement()) {
        s.execute("INSERT INTO strike (reading_id, struck, at) VALUES (3, 1, '" + AT + "')");
      }
      c.commit();
    }
  }

  @Test
  void everythingOfTheOlderBookIsThere() throws Exception {
    var file = folder.resolve("book.db");
    older(file, 3, 4);
    try (var book = ShopBook.open(file)) {
      assertThat(book.builds()).hasSize(3).allMatch(Summary::isSound);
      assertThat(book.gaps()).isEmpty();
      // What was there before stands aside as it was.
      assertThat(book.backups().all())
          .extracting(Backups.Backup::kind)
          .contains(Backups.Kind.BY_HAND);
      var opened = book.open(1);
      assertThat(opened.damages()).isEmpty();
      assertThat(opened.past()).hasSize(3);
      assertThat(opened.past().getFirst().build().name()).isEqualTo(opened.build().name());
      var was = DemoBuilds.hillClimbEight().combination();
      for (var field : Specs.fields()) {
        assertThat(field.get(opened.build().combination()).si())
            .as(field.path())
            .isCloseTo(
                field.get(was).si(),
                org.assertj.core.api.Assertions.within(1e-9 * Math.abs(field.get(was).si())));
      }
      var readings = opened.readings().all();
      assertThat(readings).hasSize(8);
      assertThat(readings.get(2).struck()).isTrue();
      assertThat(readings.get(7).value()).isEqualTo(57e-6 + 8e-8);
      assertThat(opened.notes()).hasSize(1);
      book.addReading(
          1,
          new Reading(
              0,
              Measurement.CHAMBER,
              1,
              Reading.Side.NONE,
              57e-6,
              "",
              "",
              Instant.parse(AT),
              false));
    }
    try (var book = ShopBook.open(file)) {
      assertThat(book.gaps()).isEmpty();
      assertThat(book.open(1).readings().all()).hasSize(9);
    }
  }

  /** One document that can't be read does not keep the others from coming over. */
  @Test
  void anUnreadableBuildComesOverWithItsReason() throws Exception {
    var file = folder.resolve("book.db");
    older(file, 2, 1);
    try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file);
        var s = c.createStatement()) {
      s.execute("DROP TRIGGER revision_is_kept");
      s.execute(
          "UPDATE revision SET document = replace(document, '\"cylinders\" : 8', '\"cylinders\" :"
              + " 80') WHERE id = 1");
      s.execute(
          "CREATE TRIGGER revision_is_kept BEFORE UPDATE ON revision BEGIN SELECT RAISE(ABORT,"
              + " 'no'); END");
    }
    try (var book = ShopBook.open(file)) {
      var first = book.builds().getFirst();
      assertThat(first.isSound()).isFalse();
      assertThat(first.name()).isEqualTo("Club hill-climb V8");
      assertThat(book.rescue(1).raw()).contains("\"cylinders\":80");
      assertThat(book.open(2).build().name()).isEqualTo("Club hill-climb V8");
    }
  }

  /** A book of version 3 is read as it stands; how much is measured comes with the next curve. */
  @Test
  void theListOfAVersionThreeBookIsSoundAndLearnsHowMuchIsMeasured() throws Exception {
    var file = folder.resolve("book.db");
    long id;
    try (var book = ShopBook.open(file)) {
      id = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
    }
    // Version 3 had neither how much is measured nor how the job stands.
    Jdbi.create("jdbc:sqlite:" + file)
        .useHandle(
            h ->
                ShelfRows.put(
                    h, Specs.changed(ShelfRows.of(h, id).orElseThrow(), Map.of("job", ""))));
    sql(file, "ALTER TABLE shelf DROP COLUMN measured");
    sql(file, "ALTER TABLE shelf DROP COLUMN job");
    sql(file, "DELETE FROM flyway_schema_history WHERE version IN ('4', '5')");
    try (var book = ShopBook.open(file)) {
      var row = book.builds().getFirst();
      assertThat(row.isSound()).isTrue();
      assertThat(row.measured()).isZero();
      assertThat(row.line()).isEmpty();
      book.write(new Entry.Predicted(id, 90e3, 700, 0.25));
      assertThat(book.builds().getFirst().measured()).isEqualTo(0.25);
      assertThat(book.builds().getFirst().power()).isEqualTo(90e3);
    }
    sql(file, "UPDATE shelf SET measured = 0");
    try (var book = ShopBook.open(file)) {
      assertThat(book.builds().getFirst().trouble()).contains("checksum");
    }
  }

  private static void sql(Path file, String statement) throws SQLException {
    try (var c = DriverManager.getConnection("jdbc:sqlite:" + file);
        var s = c.createStatement()) {
      s.execute(statement);
    }
  }
}
