package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.demo.DemoBuilds;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What could not be stored is tried again in order, and trouble stays until it is in. */
class JournalTest {
  @TempDir Path folder;

  private static Entry reading(ShopBook book, long build, int place) {
    var r =
        new Reading(
            0, Measurement.CHAMBER, place, Reading.Side.NONE, 44e-6, "", "", Instant.EPOCH, false);
    return new Entry.Take(build, List.of(book.numbered(r)));
  }

  @Test
  void nothingIsStoredBeforeWhatCameBeforeIt() throws Exception {
    try (var book = ShopBook.open(folder.resolve("book.db"))) {
      long build = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      var fails = new AtomicBoolean(true);
      var told = Collections.synchronizedList(new ArrayList<Journal.Trouble>());
      var stored = Collections.synchronizedList(new ArrayList<Entry>());
      try (var journal =
          new Journal(
              e -> {
                // The first fails; those after it would not.
                if (fails.get() && stored.isEmpty()) {
                  throw new BookException("no room", null);
                }
                book.write(e);
                stored.add(e);
              },
              told::add)) {
        var all =
            List.of(reading(book, build, 1), reading(book, build, 2), reading(book, build, 3));
        all.forEach(journal::add);
        Thread.sleep(1200);
        assertThat(stored).isEmpty();
        assertThat(told).isNotEmpty().allMatch(Journal.Trouble::is);
        assertThat(told.getLast().waiting()).isEqualTo(3);
        assertThat(journal.unstored()).isEqualTo(all);
        fails.set(false);
        journal.settled().get(10, TimeUnit.SECONDS);
        assertThat(stored).isEqualTo(all);
        assertThat(told.getLast()).isEqualTo(Journal.Trouble.NONE);
      }
      assertThat(book.open(build).readings().all()).hasSize(3);
    }
  }

  /** Closed in trouble, it ends, and what is left can still be had. */
  @Test
  void whatCanNotBeStoredIsStillThereAfterTheEnd() {
    var kept = new Entry.Shelve(1, Summary.Place.ARCHIVE, Instant.EPOCH);
    var journal =
        new Journal(
            e -> {
              throw new BookException("no room", null);
            },
            t -> {});
    journal.add(kept);
    journal.close();
    assertThat(journal.unstored()).containsExactly(kept);
  }

  /** An entry written twice, since nobody knew whether it had worked, is there once. */
  @Test
  void anEntryWrittenTwiceIsThereOnce() {
    try (var book = ShopBook.open(folder.resolve("book.db"))) {
      long build = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      var entry = reading(book, build, 1);
      long revision = book.nextRevision();
      var edit =
          new Entry.Revise(
              build,
              revision,
              book.open(build).revision(),
              "x",
              DemoBuilds.paddockFour(),
              Instant.EPOCH);
      for (int i = 0; i < 2; i++) {
        book.write(entry);
        book.write(edit);
      }
      var opened = book.open(build);
      assertThat(opened.readings().all()).hasSize(1);
      assertThat(opened.past()).hasSize(1);
      assertThat(book.gaps()).isEmpty();
    }
    try (var book = ShopBook.open(folder.resolve("book.db"))) {
      assertThat(book.gaps()).isEmpty();
    }
  }
}
