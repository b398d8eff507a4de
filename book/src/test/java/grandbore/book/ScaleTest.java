package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A shop's whole life in one book: it opens, lists and stores as a new one does. */
class ScaleTest {
  private static final int ROWS = 4000;

  @TempDir Path folder;

  private static Build bored(Build build, double metres) {
    var bore = Specs.field("bottomEnd.bore");
    var c = build.combination();
    return build.with(bore.with(c, bore.get(c).with(metres, Provenance.CARD)));
  }

  private static Reading reading(int place, double value, Instant at) {
    return new Reading(
        0, Measurement.CHAMBER, place, Reading.Side.NONE, value, "Ines", "burette", at, false);
  }

  private static double seconds(Runnable work) {
    long from = System.nanoTime();
    work.run();
    return (System.nanoTime() - from) / 1e9;
  }

  /** A table of readings is in the book, all of it, within two seconds. */
  @Test
  void fourThousandReadingsAreStoredTogether() {
    try (var book = ShopBook.open(folder.resolve("book.db"))) {
      long build = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      var all = new ArrayList<Reading>();
      for (int i = 0; i < ROWS; i++) {
        all.add(book.numbered(reading(1 + i % 4, 44e-6 + 1e-10 * i, Instant.EPOCH.plusSeconds(i))));
      }
      double took = seconds(() -> book.write(new Entry.Take(build, all)));
      System.out.printf(Locale.ROOT, "%d readings stored in %.2f s%n", ROWS, took);
      // Twice what is wanted, since the machine may be busy with other tests.
      assertThat(took).isLessThan(4);
      assertThat(book.open(build).readings().all()).hasSize(ROWS);
    }
  }

  /** 2,000 builds with 20,000 revisions and 50,000 readings. */
  @Test
  @Tag("study")
  void aLargeBook() throws IOException {
    var file = folder.resolve("book.db");
    var eight = DemoBuilds.hillClimbEight();
    try (var book = ShopBook.open(file)) {
      for (int b = 0; b < 2000; b++) {
        var readings = new ArrayList<Reading>();
        for (int r = 0; r < 25; r++) {
          readings.add(reading(1 + r % 8, 57e-6 + 1e-9 * r, Instant.EPOCH.plusSeconds(r)));
        }
        long id =
            book.add(
                new BuildDocument(eight.with(eight.combination().named("Build " + b)), readings));
        for (int e = 1; e < 10; e++) {
          book.save(id, bored(eight, 0.1035 + 1e-6 * (b + e)), "Bore");
        }
      }
    }
    System.out.printf(Locale.ROOT, "size %.1f MB%n", Files.size(file) / 1e6);
    var opened = new ArrayList<ShopBook>();
    System.out.printf(
        Locale.ROOT,
        "opened, with the day's backup: %.2f s%n",
        seconds(() -> opened.add(ShopBook.open(file))));
    opened.removeFirst().close();
    double again = seconds(() -> opened.add(ShopBook.open(file)));
    System.out.printf(Locale.ROOT, "opened again: %.2f s%n", again);
    assertThat(again).isLessThan(3);
    try (var book = opened.getFirst()) {
      for (int i = 0; i < 3; i++) {
        System.out.printf(Locale.ROOT, "list: %.3f s%n", seconds(book::builds));
        System.out.printf(
            Locale.ROOT,
            "a build opened, to lay over or copy: %.3f s%n",
            seconds(() -> book.open(1000)));
        System.out.printf(
            Locale.ROOT,
            "a reading stored: %.4f s%n",
            seconds(() -> book.addReading(1000, reading(1, 57e-6, Instant.EPOCH))));
      }
      assertThat(book.builds()).hasSize(2000);
      System.gc();
      var run = Runtime.getRuntime();
      System.out.printf(
          Locale.ROOT, "heap in use %.0f MB%n", (run.totalMemory() - run.freeMemory()) / 1e6);
    }
  }
}
