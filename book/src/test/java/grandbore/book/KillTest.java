package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.demo.DemoBuilds;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A program killed while readings stream in loses none that it has acknowledged. */
class KillTest {
  private static final int KILLS = 200;

  @TempDir Path folder;

  /** Opens a book, adds readings for ever, and prints the number of each once it is kept. */
  public static final class Writer {
    private Writer() {}

    public static void main(String[] arguments) {
      try (var book = ShopBook.open(Path.of(arguments[0]))) {
        long build = Long.parseLong(arguments[1]);
        int at = 0;
        while (true) {
          var kept =
              book.addReading(
                  build,
                  new Reading(
                      0,
                      Measurement.CHAMBER,
                      1 + at % 8,
                      Reading.Side.NONE,
                      50e-6 + 1e-9 * at,
                      "",
                      "burette",
                      Instant.now(),
                      false));
          at++;
          System.out.println(kept.id());
          System.out.flush();
        }
      }
    }
  }

  @Test
  void everyAcknowledgedReadingIsThereAfterTwoHundredKills() throws Exception {
    var file = folder.resolve("book.db");
    long build;
    try (var book = ShopBook.open(file)) {
      build = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
    }
    var random = new Random(200);
    var acknowledged = new HashSet<Long>();
    int killed = 0;
    while (killed < KILLS) {
      var process = start(file, build);
      var lines =
          new BufferedReader(
              new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
      // Some die while they open the book, most while a reading is being written.
      int wanted = random.nextInt(20) == 0 ? 0 : 1 + random.nextInt(6);
      for (int i = 0; i < wanted; i++) {
        acknowledged.add(Long.parseLong(lines.readLine()));
      }
      if (random.nextBoolean()) {
        Thread.sleep(0, random.nextInt(999_999));
      }
      process.toHandle().destroyForcibly();
      String rest = lines.readLine();
      while (rest != null) {
        String next = lines.readLine();
        // The last line may be half a one, which was not acknowledged.
        if (next != null && !rest.isBlank()) {
          acknowledged.add(Long.parseLong(rest));
        }
        rest = next;
      }
      assertThat(process.waitFor(10, TimeUnit.SECONDS)).isTrue();
      killed++;
    }
    try (var book = ShopBook.open(file)) {
      var kept = new HashSet<Long>();
      book.open(build).readings().all().forEach(r -> kept.add(r.id()));
      assertThat(acknowledged).hasSizeGreaterThan(KILLS);
      assertThat(kept).containsAll(acknowledged);
    }
    try (var sql = DriverManager.getConnection("jdbc:sqlite:" + file);
        var result = sql.createStatement().executeQuery("PRAGMA integrity_check")) {
      assertThat(result.getString(1)).isEqualTo("ok");
    }
  }

  private static Process start(Path file, long build) throws IOException {
    var command = new ArrayList<String>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xshare:auto"));
    command.add("--enable-native-access=ALL-UNNAMED");
    // Those that are killed leave the driver's library there.
    command.add("-Dorg.sqlite.tmpdir=" + file.getParent());
    command.addAll(List.of("-cp", System.getProperty("java.class.path")));
    command.add(Writer.class.getName());
    command.add(file.toString());
    command.add(String.valueOf(build));
    return new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
  }
}
