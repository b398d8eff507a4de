package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Photo;
import grandbore.core.demo.DemoBuilds;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Backups can be counted on: checked when they are made, and again before they replace a book. */
class BackupsTest {
  private static final Instant DAY = Instant.parse("2026-05-04T10:00:00Z");

  @TempDir Path folder;

  private ShopBook book(String name, Instant at) {
    return ShopBook.open(folder.resolve(name), Clock.fixed(at, ZoneOffset.UTC), 0);
  }

  private ShopBook book(Instant at) {
    return book("race.db", at);
  }

  private void begin(String name) {
    try (var book = book(name, DAY)) {
      book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
    }
  }

  private static Backups.Backup daily(LocalDateTime made, boolean sealed) {
    return new Backups.Backup(Path.of("b-" + made + sealed), made, Backups.Kind.DAILY, sealed);
  }

  /** Once a day by itself; a year and a half of days leaves days, weeks and months. */
  @Test
  void backupsAreThinnedSensibly() {
    var all = new ArrayList<Backups.Backup>();
    var newest = LocalDateTime.of(2026, 11, 25, 9, 0);
    for (int day = 0; day < 540; day++) {
      all.add(daily(newest.minusDays(day), true));
      all.add(daily(newest.minusDays(day).minusHours(3), true));
    }
    var kept = Thinning.kept(all, newest);
    assertThat(kept).hasSizeBetween(18, 24).startsWith(all.getFirst());
    for (int day = 0; day < 7; day++) {
      assertThat(kept).contains(all.get(2 * day));
    }
  }

  /** A clock that stood five years ahead for a day neither thins the right days nor counts. */
  @Test
  void aClockThatJumpedAheadCostsNothing() {
    var right = new ArrayList<Backups.Backup>();
    var newest = LocalDateTime.of(2026, 11, 25, 9, 0);
    for (int day = 0; day < 7; day++) {
      right.add(daily(newest.minusDays(day), true));
    }
    var all = new ArrayList<>(right);
    for (int day = 0; day < 20; day++) {
      all.addFirst(daily(newest.plusYears(5).plusDays(day), true));
    }
    assertThat(Thinning.kept(all, newest.plusYears(5).plusDays(20))).containsAll(right);
    assertThat(Thinning.kept(all, newest.plusDays(1))).containsAll(all);
  }

  /** What has no seal never takes the place of what has one. */
  @Test
  void anUncheckedCopyDisplacesNothing() {
    var now = LocalDateTime.of(2026, 11, 25, 9, 0);
    var sealed = daily(now.minusHours(3), true);
    var torso = daily(now, false);
    assertThat(Thinning.kept(List.of(torso, sealed), now)).contains(sealed).doesNotContain(torso);
  }

  @Test
  void aTorsoIsNotTheDaysBackupAndByHandLeavesTheMorningsAlone() throws IOException {
    begin("race.db");
    try (var book = book(DAY.plusSeconds(86_400))) {
      assertThat(book.backups().all()).hasSize(1);
    }
    var first = new Backups(folder.resolve("race.db")).all().getFirst();
    byte[] whole = Files.readAllBytes(first.file());
    Files.write(first.file(), java.util.Arrays.copyOf(whole, whole.length / 2));
    try (var book = book(DAY.plusSeconds(90_000))) {
      assertThat(book.backups().all()).filteredOn(Backups.Backup::sealed).hasSize(1);
      for (int i = 0; i < 3; i++) {
        book.backUp();
      }
      assertThat(book.backups().all()).filteredOn(Backups.Backup::sealed).hasSize(4);
      assertThat(book.backups().all())
          .filteredOn(b -> b.kind() == Backups.Kind.DAILY && b.sealed())
          .hasSize(1);
    }
  }

  /** An empty file, another program's database and another book's backup restore nothing. */
  @Test
  void onlyASoundBackupOfThisBookIsRestored() throws Exception {
    begin("race.db");
    begin("race.sqlite");
    try (var other = book("race.sqlite", DAY)) {
      other.backUp();
    }
    try (var book = book(DAY)) {
      assertThat(book.backups().all()).allMatch(b -> b.file().toString().contains("race.db-"));
      var empty = Files.createFile(folder.resolve("empty.db"));
      var foreign = folder.resolve("foreign.db");
      try (var c = DriverManager.getConnection("jdbc:sqlite:" + foreign);
          var s = c.createStatement()) {
        s.execute("CREATE TABLE songs (name TEXT)");
      }
      var others = new Backups(folder.resolve("race.sqlite")).all().getFirst().file();
      byte[] before = Files.readAllBytes(folder.resolve("race.db"));
      for (var wrong : List.of(empty, foreign, others)) {
        var as =
            new Backups.Backup(
                wrong, LocalDateTime.of(2026, 1, 1, 0, 0), Backups.Kind.DAILY, false);
        assertThatThrownBy(() -> book.restore(as))
            .isInstanceOf(BookException.class)
            .hasMessageContaining("nothing was changed");
      }
      assertThat(Files.readAllBytes(folder.resolve("race.db"))).isEqualTo(before);
    }
  }

  /** A folder that can't be made keeps no book from opening; trouble says so. */
  @Test
  void aFailedBackupDoesNotKeepTheBookFromOpening() throws IOException {
    begin("race.db");
    Files.writeString(folder.resolve("race.db-backups"), "in the way");
    try (var book = book(DAY.plusSeconds(86_400))) {
      assertThat(book.builds()).hasSize(1);
      assertThat(book.backupTrouble()).contains("backup");
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"a[b].db", "a{b}.db", "a\\b.db", "a?b.db", "a b ", "a%41#b.db"})
  void anyNameOfABookIsSafe(String name) throws IOException {
    begin(name);
    try (var book = book(name, DAY.plusSeconds(86_400))) {
      assertThat(book.backups().all()).hasSize(1);
      book.restore(book.backups().all().getFirst());
      assertThat(book.builds()).hasSize(1);
    }
    try (var files = Files.list(folder)) {
      assertThat(files.map(f -> f.getFileName().toString())).allMatch(n -> n.startsWith(name));
    }
  }

  @Test
  void aLinkLeadsToTheBookItselfAndToItsBackups() throws IOException {
    begin("race.db");
    var link = folder.resolve("sub/link.db");
    Files.createDirectories(link.getParent());
    Files.createSymbolicLink(link, Path.of("../race.db"));
    try (var book = ShopBook.open(link, Clock.fixed(DAY.plusSeconds(86_400), ZoneOffset.UTC), 0)) {
      assertThat(book.builds()).hasSize(1);
      assertThatThrownBy(() -> book(DAY)).hasMessageContaining("open in another window");
      book.restore(book.backups().all().getFirst());
    }
    assertThat(link).isSymbolicLink();
    assertThat(new Backups(folder.resolve("race.db")).all()).hasSize(1);
  }

  /** A book that is gone or empty is not silently a new one. */
  @Test
  void aMissingBookWithBackupsIsAskedAbout() throws IOException {
    begin("race.db");
    try (var book = book(DAY)) {
      book.backUp();
    }
    var file = folder.resolve("race.db");
    for (boolean empty : new boolean[] {true, false}) {
      Files.delete(file);
      if (empty) {
        Files.createFile(file);
      }
      assertThatThrownBy(() -> ShopBook.open(file))
          .isInstanceOfSatisfying(
              BookMissing.class, e -> assertThat(e.newest().file().toString()).contains("by-hand"))
          .hasMessageContaining("missing or empty");
    }
    var backups = new Backups(file);
    backups.bringBack(backups.newest().orElseThrow(), LocalDateTime.of(2026, 5, 5, 0, 0));
    try (var book = ShopBook.open(file)) {
      assertThat(book.builds()).hasSize(1);
    }
    Files.delete(file);
    try (var book = ShopBook.begin(file)) {
      assertThat(book.builds()).isEmpty();
    }
    assertThatThrownBy(() -> ShopBook.open(file)).isInstanceOf(BookMissing.class);
    assertThatThrownBy(() -> ShopBook.open(folder)).hasMessageContaining("is a folder");
  }

  @Test
  void picturesAreInTheBackupsAndComeBack() throws IOException {
    var pictures = Files.createDirectories(folder.resolve("pictures"));
    byte[] content = "a picture".getBytes(StandardCharsets.UTF_8);
    Files.write(pictures.resolve("a1.png"), content);
    var photo = new Photo("a1.png", HexFormat.of().formatHex(RowSum.digest().digest(content)), "x");
    try (var book = book(DAY)) {
      long id = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      book.addNote(id, new Kept(0, photo, "", DAY, false));
      book.backUp();
      Files.delete(pictures.resolve("a1.png"));
      assertThat(Pictures.trouble(pictures, photo)).contains("its file is missing");
      book.restore(book.backups().all().getFirst());
      assertThat(Pictures.trouble(pictures, photo)).isEmpty();
      Files.writeString(pictures.resolve("a1.png"), "another");
      assertThat(Pictures.trouble(pictures, photo)).contains("its file was changed");
    }
    for (var name : List.of("..", "a/b", "a\\b", "c:x", "a\nb", ".hidden", "x".repeat(130))) {
      assertThatThrownBy(() -> new Photo(name, photo.sha256(), "")).hasMessageContaining("Picture");
    }
  }
}
