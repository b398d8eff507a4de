package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Damage to a book's file is told with its place, and never read as good. */
class DamageTest {
  @TempDir Path folder;
  private Path file;
  private long build;
  private long other;
  private final List<Reading> taken = new ArrayList<>();

  @BeforeEach
  void aBookWithReadings() {
    file = folder.resolve("book.db");
    try (var book = ShopBook.open(file)) {
      build = book.add(new BuildDocument(DemoBuilds.hillClimbEight(), List.of()));
      other = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      for (int i = 0; i < 120; i++) {
        taken.add(
            book.addReading(
                build,
                new Reading(
                    0,
                    Measurement.CHAMBER,
                    1 + i % 8,
                    Reading.Side.NONE,
                    57e-6 + 1e-9 * i,
                    "Ines",
                    "burette",
                    Instant.parse("2026-05-04T10:00:00Z").plusSeconds(i),
                    false)));
      }
      Steps.strike(book, build, taken.get(5).id(), true);
      book.backUp();
    }
    taken.set(5, taken.get(5).struck(true));
  }

  /** How a damaged book came out. */
  private enum Seen {
    REFUSED,
    TOLD,
    WHOLE
  }

  private Seen look(byte[] bytes) throws IOException {
    var copy = folder.resolve("copy.db");
    Files.write(copy, bytes);
    try (var book = ShopBook.open(copy)) {
      var opened = book.open(build);
      var shown = opened.readings().all();
      boolean told = opened.damages().size() + book.gaps().size() > 0;
      // Whatever is shown was taken, just so; where a row that strikes one out is damaged, that is
      // told.
      var whole = new HashSet<Reading>(taken);
      taken.forEach(r -> whole.add(told ? r.struck(false) : r));
      assertThat(shown.stream().filter(r -> !whole.contains(r)).toList())
          .as("shown as taken, told %s %s %s", told, opened.damages(), book.gaps())
          .isEmpty();
      assertThat(told || shown.size() == taken.size()).as("told what is missing").isTrue();
      return told ? Seen.TOLD : Seen.WHOLE;
    } catch (BookException | FormatException e) {
      assertThat(e.getMessage()).doesNotContain("\n").hasSizeLessThan(600);
      return Seen.REFUSED;
    }
  }

  private int flip(int flips, long seed, boolean onlyReadings) throws IOException {
    byte[] sound = Files.readAllBytes(file);
    var random = new Random(seed);
    var pages = new ArrayList<Integer>();
    for (int at = 0; at < sound.length; at += 4096) {
      String page = new String(sound, at, 4096, StandardCharsets.ISO_8859_1);
      if (!onlyReadings || page.contains("burette")) {
        pages.add(at);
      }
    }
    assertThat(pages).isNotEmpty();
    int told = 0;
    for (int i = 0; i < flips; i++) {
      byte[] bytes = sound.clone();
      int at = pages.get(random.nextInt(pages.size())) + random.nextInt(4096);
      bytes[at] ^= (byte) (1 << random.nextInt(8));
      told += look(bytes) == Seen.WHOLE ? 0 : 1;
    }
    return told;
  }

  @Test
  void aByteFlippedAmongTheReadingsIsNeverReadAsGood() throws IOException {
    assertThat(flip(60, 1, true)).isGreaterThan(20);
  }

  /** The long attack: 300 flips anywhere, 100 files cut off anywhere. */
  @Test
  @Tag("study")
  void flipsAndTruncationsAnywhere() throws IOException {
    int told = flip(300, 2, false) + flip(300, 3, true);
    byte[] sound = Files.readAllBytes(file);
    var random = new Random(4);
    int cut = 0;
    for (int i = 0; i < 100; i++) {
      cut +=
          look(java.util.Arrays.copyOf(sound, random.nextInt(sound.length))) == Seen.WHOLE ? 0 : 1;
    }
    System.out.printf("flips told of: %d of 600; files cut off told of: %d of 100%n", told, cut);
  }

  private void sql(String... statements) throws SQLException {
    try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file);
        var s = c.createStatement()) {
      for (String sql : statements) {
        s.execute(sql);
      }
    }
  }

  /**
   * A changed reading and a missing one are told with their places and the backup that has them.
   */
  @Test
  void aDamagedRowIsNamedWithTheBackupAndTheRestOpens() throws SQLException {
    long bad = taken.get(40).id();
    long gone = taken.get(60).id();
    sql(
        "DROP TRIGGER reading_is_kept",
        "DROP TRIGGER reading_stays",
        "UPDATE reading SET value_si = value_si * 1.01 WHERE id = " + bad,
        "DELETE FROM reading WHERE id = " + gone);
    try (var book = ShopBook.open(file)) {
      var opened = book.open(build);
      assertThat(opened.readings().all()).hasSize(118);
      assertThat(opened.damages())
          .singleElement()
          .satisfies(
              d -> {
                assertThat(d.what()).contains("Reading " + bad, "CHAMBER");
                assertThat(d.line()).contains("is sound in the backup book.db-");
              });
      assertThat(book.gaps())
          .anySatisfy(g -> assertThat(g).contains("missing", "after number " + (gone - 1)))
          .anySatisfy(g -> assertThat(g).contains("damaged", "Reading " + bad));
      assertThat(book.backupTrouble()).contains("damaged rows", "kept apart");
      assertThat(book.backups().all())
          .extracting(Backups.Backup::kind)
          .contains(Backups.Kind.DAMAGED);
      assertThat(book.backups().newest().orElseThrow().kind()).isNotEqualTo(Backups.Kind.DAMAGED);
    }
  }

  /**
   * A damaged document: the build is listed with the reason, the others open, an old one stands.
   */
  @Test
  void aBuildThatCanNotBeReadKeepsNoOtherFromOpening() throws SQLException {
    var eight = DemoBuilds.hillClimbEight();
    long newest;
    try (var book = ShopBook.open(file)) {
      var bore = Specs.field("bottomEnd.bore");
      var c =
          bore.with(
              eight.combination(), bore.get(eight.combination()).with(0.1041, Provenance.CARD));
      newest = book.save(build, eight.with(c), "Bore");
    }
    sql(
        "DROP TRIGGER revision_is_kept",
        "UPDATE revision SET document = zeroblob(40) WHERE id = " + newest);
    try (var book = ShopBook.open(file)) {
      assertThat(book.builds())
          .filteredOn(b -> !b.isSound())
          .extracting(Summary::id)
          .containsExactly(build);
      assertThat(book.open(other).build().name()).isEqualTo(DemoBuilds.paddockFour().name());
      assertThatThrownBy(() -> book.open(build)).isInstanceOf(FormatException.class);
      var rescue = book.rescue(build);
      assertThat(rescue.line("its document is damaged"))
          .contains("Build " + build, "book.db", "older revision can be restored");
      assertThat(rescue.raw()).isNotEmpty();
      var sound = rescue.steps().stream().filter(s -> s.trouble().isEmpty()).toList();
      assertThat(sound).hasSize(1);
      rescue.restore(sound.getFirst().revision());
      assertThat(book.open(build).build()).isEqualTo(eight);
      assertThat(book.builds()).allMatch(Summary::isSound);
    }
  }
}
