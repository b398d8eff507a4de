package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ShopBookTest {
  @TempDir Path folder;

  private static Build bored(Build build, double metres) {
    var bore = Specs.field("bottomEnd.bore");
    var c = build.combination();
    return build.with(bore.with(c, bore.get(c).with(metres, Provenance.MEASURED)));
  }

  private static double bore(Build build) {
    return build.combination().bottomEnd().bore().si();
  }

  @Test
  void editsUndoAndRedoAndSurviveARestart() {
    var file = folder.resolve("sub/book.sqlite");
    var begun = DemoBuilds.hillClimbEight();
    long id;
    try (var book = ShopBook.open(file)) {
      id = book.add(new BuildDocument(begun, DemoBuilds.hillClimbReadings()));
      book.save(id, bored(begun, 0.1045), "Bore");
      book.save(id, bored(begun, 0.1050), "Bore");
    }
    try (var book = ShopBook.open(file)) {
      assertThat(book.builds())
          .singleElement()
          .returns(id, Summary::id)
          .returns("Club hill-climb V8", Summary::name);
      assertThat(bore(book.open(id).build())).isCloseTo(0.1050, within(1e-12));
      assertThat(bore(Steps.undo(book, id).build())).isCloseTo(0.1045, within(1e-12));
      assertThat(bore(Steps.undo(book, id).build())).isCloseTo(bore(begun), within(1e-12));
      assertThat(Steps.undo(book, id).past()).isEmpty();
      assertThat(bore(Steps.redo(book, id).build())).isCloseTo(0.1045, within(1e-12));
      // An edit after an undo starts a branch; the old one stays in the file.
      book.save(id, bored(begun, 0.1041), "Bore");
      assertThat(book.open(id).future()).isEmpty();
      assertThat(bore(Steps.undo(book, id).build())).isCloseTo(0.1045, within(1e-12));
    }
  }

  @Test
  void readingsAreKeptForEverAndOnlyStruckOut() throws Exception {
    var file = folder.resolve("book.sqlite");
    try (var book = ShopBook.open(file)) {
      long id = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      var first =
          book.addReading(
              id,
              new Reading(
                  0,
                  Measurement.CHAMBER,
                  2,
                  Reading.Side.NONE,
                  44e-6,
                  "A",
                  "burette",
                  Instant.parse("2026-01-02T03:04:05Z"),
                  false));
      assertThat(book.open(id).readings().all()).containsExactly(first);
      Steps.strike(book, id, first.id(), true);
      assertThat(book.open(id).readings().at(Measurement.CHAMBER, 2)).isEmpty();
      assertThat(book.open(id).readings().all()).hasSize(1).allMatch(Reading::struck);
      Steps.strike(book, id, first.id(), false);
      assertThat(book.open(id).readings().at(Measurement.CHAMBER, 2)).isPresent();
      var back = BuildJson.read(BuildJson.write(book.document(id)));
      assertThat(back.readings()).hasSize(1);
    }
    try (var c = DriverManager.getConnection("jdbc:sqlite:" + file);
        var s = c.createStatement()) {
      assertThatThrownBy(() -> s.execute("DELETE FROM reading")).hasMessageContaining("never");
      assertThatThrownBy(() -> s.execute("UPDATE revision SET document = ''"))
          .hasMessageContaining("never");
    }
  }

  @Test
  void aLockedABrokenAndAReadOnlyBookSayWhy() throws Exception {
    var file = folder.resolve("book.sqlite");
    try (var book = ShopBook.open(file)) {
      long id = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      try (var other = DriverManager.getConnection("jdbc:sqlite:" + file);
          var s = other.createStatement()) {
        s.execute("BEGIN EXCLUSIVE");
        assertThatThrownBy(() -> book.save(id, DemoBuilds.paddockFour(), "x"))
            .isInstanceOf(BookException.class)
            .hasMessageContaining("in use by another program")
            .hasMessageContaining("nothing was changed");
        s.execute("ROLLBACK");
      }
      assertThat(book.open(id).past()).isEmpty();
    }
    var broken = folder.resolve("broken.sqlite");
    Files.writeString(broken, "this is no database, it only says so".repeat(50));
    assertThatThrownBy(() -> ShopBook.open(broken))
        .isInstanceOf(BookException.class)
        .hasMessageContaining("damaged or no shop book");
    readOnly(folder.resolve("kept"));
  }

  private static void readOnly(Path place) throws IOException {
    // A folder in the file's place can't be written by anybody, the superuser included.
    Files.createDirectories(place.resolve("book.sqlite"));
    assertThatThrownBy(() -> ShopBook.open(place.resolve("book.sqlite")))
        .isInstanceOf(BookException.class)
        .message()
        .doesNotContain("\n");
  }

  @Test
  void theOwnBookLiesWhereThePlatformKeepsData() {
    assertThat(BookPlaces.ownBook("Linux", "/home/a", Map.of()))
        .isEqualTo(Path.of("/home/a/.local/share/grand-bore/shop-book.sqlite"));
    assertThat(BookPlaces.ownBook("Linux", "/home/a", Map.of("XDG_DATA_HOME", "/d")))
        .isEqualTo(Path.of("/d/grand-bore/shop-book.sqlite"));
    assertThat(BookPlaces.ownBook("Mac OS X", "/Users/a", Map.of()).toString())
        .contains("Application Support");
    assertThat(BookPlaces.ownBook("Windows 11", "C:/Users/a", Map.of()).toString())
        .contains("Roaming");
  }
}
