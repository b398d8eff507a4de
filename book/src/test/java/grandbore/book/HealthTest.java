package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.clearances.Band;
import grandbore.core.clearances.Fastener;
import grandbore.core.clearances.Finding;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Note;
import grandbore.core.clearances.Photo;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Rule;
import grandbore.core.clearances.Taken;
import grandbore.core.clearances.Tick;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.UnitSystem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A book in trouble says so and shows the way on; notes and tables come back as they went. */
class HealthTest {
  private static final Instant DAY = Instant.parse("2026-05-04T10:00:00Z");

  @TempDir Path folder;

  private static Clock on(Instant day) {
    return Clock.fixed(day, ZoneOffset.UTC);
  }

  private ShopBook book(Instant day) {
    return ShopBook.open(folder.resolve("book.db"), on(day), 0);
  }

  private static Reading chamber(int place, double cc) {
    var taken = new Taken("Ines", "burette", cc + " cc", 0, 0.1e-6, 291.5, "second fill", DAY);
    return new Reading(0, Measurement.CHAMBER, place, Reading.Side.NONE, cc * 1e-6, taken, false);
  }

  @Test
  void aBookIsOpenInOneWindowOnly() {
    try (var first = book(DAY)) {
      assertThat(first.builds()).isEmpty();
      assertThatThrownBy(() -> book(DAY))
          .isInstanceOf(BookException.class)
          .hasMessageContaining("open in another window");
    }
    try (var again = book(DAY)) {
      assertThat(again.builds()).isEmpty();
    }
  }

  @Test
  void aBookOfANewerVersionIsLeftAlone() throws SQLException {
    try (var book = book(DAY)) {
      book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
    }
    try (var sql = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("book.db"));
        var s = sql.createStatement()) {
      s.execute(
          "INSERT INTO flyway_schema_history (installed_rank, version, description, type, script,"
              + " installed_by, execution_time, success) VALUES (99, '99', 'later', 'SQL', 'V99',"
              + " 'later', 1, 1)");
    }
    assertThatThrownBy(() -> book(DAY)).hasMessageContaining("newer version");
  }

  /** A file with its middle overwritten is refused, and its newest backup is named. */
  @Test
  void aDamagedBookNamesItsBackupAndTheBackupOpens() throws IOException {
    long id;
    try (var book = book(DAY)) {
      id = book.add(new BuildDocument(DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings()));
      book.backUp();
    }
    var file = folder.resolve("book.db");
    byte[] bytes = Files.readAllBytes(file);
    for (int i = 4096; i < bytes.length; i++) {
      bytes[i] = (byte) (i * 31);
    }
    Files.write(file, bytes);
    assertThatThrownBy(() -> book(DAY))
        .isInstanceOf(BookException.class)
        .hasMessageContaining("damaged")
        .hasMessageContaining("book.db-2026-05-04-100000-by-hand.db");
    var backup = new Backups(file).all().getFirst();
    Files.copy(backup.file(), folder.resolve("other.db"));
    try (var book = ShopBook.open(folder.resolve("other.db"), on(DAY), 0)) {
      assertThat(book.open(id).readings().all()).hasSameSizeAs(DemoBuilds.hillClimbReadings());
    }
  }

  /**
   * A disk that is full refuses the reading, keeps what was there, and goes on once there is room.
   */
  @Test
  void aFullDiskLosesNothing() throws IOException {
    long id;
    try (var book = book(DAY)) {
      id = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      book.addReading(id, chamber(1, 44));
    }
    var file = folder.resolve("book.db");
    int pages = (int) (Files.size(file) / 4096);
    int kept = 1;
    try (var full = ShopBook.open(file, on(DAY), pages)) {
      BookException refused = null;
      for (int i = 0; i < 5000 && refused == null; i++) {
        try {
          full.addReading(id, chamber(2, 44));
          kept++;
        } catch (BookException e) {
          refused = e;
        }
      }
      assertThat(refused).isNotNull().hasMessageContaining("no room left");
      assertThat(full.open(id).readings().all()).hasSize(kept);
    }
    try (var book = book(DAY)) {
      book.addReading(id, chamber(3, 44));
      assertThat(book.open(id).readings().all()).hasSize(kept + 1);
    }
  }

  /** Once a day by itself; a year and a half of days leaves days, weeks and months. */
  @Test
  void backupsAreMadeDailyAndKeptSensibly() {
    try (var book = book(DAY)) {
      book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      assertThat(book.backups().all()).isEmpty();
    }
    for (int day = 1; day <= 3; day++) {
      try (var book = book(DAY.plusSeconds(86_400L * day))) {
        assertThat(book.backups().all()).hasSize(day);
      }
      try (var book = book(DAY.plusSeconds(86_400L * day + 3600))) {
        assertThat(book.backups().all()).hasSize(day);
      }
    }
  }

  @Test
  void aBackupIsRestoredAndWhatWasThereIsKept() {
    try (var book = book(DAY)) {
      long id = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      book.addReading(id, chamber(1, 44));
      book.backUp();
      book.addReading(id, chamber(2, 45));
      var aside = book.restore(book.backups().all().getFirst());
      assertThat(book.open(id).readings().all()).hasSize(1);
      assertThat(aside).exists();
      book.addReading(id, chamber(3, 45));
      assertThat(book.open(id).readings().all()).hasSize(2);
    }
  }

  private static List<Note> notes() {
    return List.of(
        new Rule(
            Measurement.QUENCH, Reading.Side.NONE, Band.Source.MAKER, 0.9e-3, 1.1e-3, "sheet 12"),
        new Rule(Measurement.ROCKER, Reading.Side.INTAKE, Band.Source.MAKER, 1e-3, 0, "none above"),
        FastenerCsv.fastener("head bolts", "engine oil", "2", "5 3 4 6 2 1", "20 N·m; 90 deg"),
        new Tick("check/PRIMED"),
        new Finding(Finding.Part.RING, 3, Finding.Kind.BUTTED, "shiny"),
        new Photo("a1b2.png", "0".repeat(64), "number 3 bearing"));
  }

  @Test
  void notesAndHowReadingsWereTakenComeBack() {
    var file = folder.resolve("book.db");
    long id;
    try (var book = book(DAY)) {
      id = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      for (var note : notes()) {
        book.addNote(id, new Kept(0, note, "Tomasz", DAY, false));
      }
      book.addReading(id, chamber(2, 44.25));
      book.write(
          new Entry.StrikeNotes(id, List.of(book.open(id).notes().getLast().id()), true, DAY));
    }
    try (var book = ShopBook.open(file, on(DAY), 0)) {
      assertThat(book.open(id).notes()).extracting(Kept::note).containsExactlyElementsOf(notes());
      assertThat(book.open(id).notes())
          .extracting(Kept::struck)
          .containsExactly(false, false, false, false, false, true);
      var document = book.document(id);
      var again = BuildJson.read(BuildJson.write(document));
      assertThat(again.notes()).extracting(Kept::note).containsExactlyElementsOf(notes());
      assertThat(again.notes().getLast().struck()).isTrue();
      var taken = again.readings().getFirst().taken();
      assertThat(taken.typed()).isEqualTo("44.25 cc");
      assertThat(taken.temperature()).isEqualTo(291.5);
      assertThat(taken.drift()).isCloseTo(0.1e-6, org.assertj.core.api.Assertions.within(1e-15));
      assertThat(taken.note()).isEqualTo("second fill");
    }
  }

  /** A rule of the shop's own holds for every build; a maker's for its own build only. */
  @Test
  void theShopsRulesHoldForEveryBuild() throws SQLException {
    try (var book = book(DAY)) {
      long one = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      long two = book.add(new BuildDocument(DemoBuilds.hillClimbEight(), List.of()));
      var house =
          new Rule(Measurement.PUSHROD, Reading.Side.INTAKE, Band.Source.HOUSE, 0.19, 0.2, "ours");
      book.addNote(one, new Kept(0, house, "", DAY, false));
      book.addNote(one, new Kept(0, notes().getFirst(), "", DAY, false));
      assertThat(book.open(two).notes()).extracting(Kept::note).containsExactly(house);
      assertThat(book.document(two).notes()).isEmpty();
    }
    try (var sql = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("book.db"));
        var s = sql.createStatement()) {
      assertThatThrownBy(() -> s.execute("DELETE FROM note")).hasMessageContaining("never deleted");
      assertThatThrownBy(() -> s.execute("UPDATE note SET body = ''"))
          .hasMessageContaining("never changed");
    }
  }

  @Test
  void readingsGoOutAndComeInAsATable() {
    var all = List.of(chamber(1, 44.1), chamber(2, 44.3));
    for (var units : UnitSystem.values()) {
      assertThat(ReadingsCsv.read(ReadingsCsv.write(all, units)))
          .hasSize(2)
          .allSatisfy(r -> assertThat(r.taken().instrument()).isEqualTo("burette"))
          .first()
          .satisfies(
              r ->
                  assertThat(r.value())
                      .isCloseTo(44.1e-6, org.assertj.core.api.Assertions.within(1e-15)));
    }
    String text = ReadingsCsv.write(all, UnitSystem.US);
    assertThatThrownBy(() -> ReadingsCsv.read(text.replace("44.3", "forty")))
        .hasMessageContaining("line 3");
    assertThatThrownBy(() -> ReadingsCsv.read(text.replace("44.3", "4430")))
        .hasMessageContaining("Chamber volume 2");
    assertThatThrownBy(() -> ReadingsCsv.read("place,value\n1,2\n")).hasMessageContaining("line 1");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "head bolts | oil | 2 | 1 2 2 4 | 20 N·m | once",
        "head bolts | | 2 | 1 2 3 4 | 20 N·m | lubricant",
        "head bolts | oil | 2 | 1 2 3 4 | 20 | unit",
        "head bolts | oil | 2 | 1 2 3 4 | 9000 N·m | takes that",
        "head bolts | oil | two | 1 2 3 4 | 20 N·m | whole numbers"
      })
  void fastenersThatCantBeAreRefused(
      String name, String oil, String rows, String sequence, String stages, String says) {
    assertThatThrownBy(
            () -> FastenerCsv.fastener(name, oil == null ? "" : oil, rows, sequence, stages))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(says);
  }

  @Test
  void fastenersComeFromTheirMakersTable() {
    var read =
        FastenerCsv.read(
            """
            name,lubricant,rows,sequence,stages
            rod bolts,moly,1,1 2,"25 lb·ft; 0.006 in"
            """);
    assertThat(read)
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.stages())
                  .extracting(Fastener.Stage::kind)
                  .containsExactly(Fastener.Kind.TORQUE, Fastener.Kind.STRETCH);
              assertThat(f.loosening()).containsExactly(2, 1);
              assertThat(FastenerCsv.show(f.stages().getFirst(), UnitSystem.US))
                  .isEqualTo("25 lb·ft");
            });
    assertThatThrownBy(() -> FastenerCsv.read("bolts\n")).hasMessageContaining("line 1");
  }

  @Test
  void compressorMapsComeFromTheirMakersTable() {
    String text =
        """
        shaft_rpm,flow_g/s,ratio,efficiency
        80000,60,1.5,0.70
        80000,140,1.3,0.62
        110000,110,2.2,0.72
        110000,230,1.8,0.60
        """;
    var map = CompressorCsv.read(text);
    assertThat(map.lines()).hasSize(2);
    assertThat(map.rows().getFirst().flow()).isEqualTo(0.060);
    var c = DemoBuilds.hillClimbEight().combination().with("boost.map", map);
    var build = DemoBuilds.hillClimbEight().with(c);
    var again = BuildJson.read(BuildJson.write(new BuildDocument(build, List.of())));
    assertThat(again.build().combination().boost().map().rows()).hasSize(4);
    assertThatThrownBy(() -> CompressorCsv.read(text.replace("230", "90")))
        .hasMessageContaining("row 4");
    assertThatThrownBy(() -> CompressorCsv.read(text.replace("flow_g/s", "flow_cups")))
        .hasMessageContaining("line 1");
    assertThatThrownBy(() -> CompressorCsv.read(text.replace("2.2", "two")))
        .hasMessageContaining("line 4");
  }
}
