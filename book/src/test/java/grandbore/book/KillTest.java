package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.demo.DemoBuilds;
import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.jar.JarOutputStream;
import java.util.zip.ZipEntry;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A program killed at any moment loses nothing that it has acknowledged, whatever it was at. */
class KillTest {
  private static final int KILLS = 200;

  /** Books that one program works in at the same time, each from a thread of its own. */
  private static final int BOOKS = 5;

  @TempDir Path folder;
  private Path shared;
  private String classPath;

  /** Opens books and works in all of them until it is killed, telling what is done once it is. */
  public static final class Worker {
    private Worker() {}

    public static void main(String[] arguments) throws InterruptedException {
      var threads = new ArrayList<Thread>();
      for (int i = 1; i < arguments.length; i++) {
        int number = i - 1;
        var file = Path.of(arguments[i]);
        threads.add(Thread.ofPlatform().start(() -> work(number, file, arguments[0])));
      }
      for (var t : threads) {
        t.join();
      }
    }

    private static void work(int number, Path file, String what) {
      try (var book = ShopBook.open(file)) {
        switch (what) {
          case "write" -> write(number, book, Integer.MAX_VALUE);
          case "write-few" -> write(number, book, 6);
          case "back-up" -> {
            while (true) {
              book.backUp();
              say(number, 1);
            }
          }
          default -> say(number, 0);
        }
      }
    }

    private static void write(int number, ShopBook book, int most) {
      for (int at = 0; at < most; at++) {
        var kept =
            book.addReading(
                1,
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
        say(number, kept.id());
      }
    }

    private static synchronized void say(int book, long number) {
      System.out.println(book + " " + number);
      System.out.flush();
    }
  }

  /**
   * The classes of a worker are kept loaded and linked in one file that all of them share: they
   * start in half the time.
   */
  @BeforeEach
  void share() throws Exception {
    shared = folder.resolve("classes.aot");
    classPath = jars();
    var book = folder.resolve("first.db");
    begin(book);
    var process = start(List.of(book), "write-few", Optional.of("-XX:AOTCacheOutput=" + shared));
    process.getInputStream().readAllBytes();
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
  }

  /** The class path with its folders packed: classes can only be shared out of jars. */
  private String jars() throws IOException {
    var all = new ArrayList<String>();
    for (String part : System.getProperty("java.class.path").split(File.pathSeparator, -1)) {
      var from = Path.of(part);
      if (!Files.isDirectory(from)) {
        if (!part.isEmpty() && Files.exists(from) && !all.contains(part)) {
          all.add(part);
        }
        continue;
      }
      var jar = folder.resolve("classes-" + all.size() + ".jar");
      try (var out = new JarOutputStream(Files.newOutputStream(jar));
          var files = Files.walk(from)) {
        for (var file : files.filter(Files::isRegularFile).toList()) {
          out.putNextEntry(
              new ZipEntry(from.relativize(file).toString().replace(File.separatorChar, '/')));
          Files.copy(file, out);
          out.closeEntry();
        }
      }
      all.add(jar.toString());
    }
    return String.join(File.pathSeparator, all);
  }

  private static void begin(Path file) {
    try (var book = ShopBook.open(file)) {
      book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
    }
  }

  /** Each kill catches every book at a moment of its own. */
  @Test
  void everyAcknowledgedReadingIsThereAfterTwoHundredKills() throws Exception {
    var files = new ArrayList<Path>();
    for (int i = 0; i < BOOKS; i++) {
      files.add(folder.resolve("book-" + i + ".db"));
      begin(files.getLast());
    }
    var random = new Random(200);
    var acknowledged = new ArrayList<Set<Long>>();
    files.forEach(f -> acknowledged.add(new HashSet<>()));
    for (int killed = 0; killed < KILLS / BOOKS; killed++) {
      // Some die while they open their books, most while readings are being written.
      int wanted = random.nextInt(20) == 0 ? 0 : 1 + random.nextInt(6 * BOOKS);
      killed(files, "write", wanted, random, acknowledged);
    }
    assertThat(acknowledged.stream().mapToInt(Set::size).sum()).isGreaterThan(KILLS);
    for (int i = 0; i < BOOKS; i++) {
      allIsThere(files.get(i), acknowledged.get(i));
    }
  }

  private static void allIsThere(Path file, Set<Long> acknowledged) throws SQLException {
    try (var book = ShopBook.open(file)) {
      var kept = new HashSet<Long>();
      var opened = book.open(1);
      opened.readings().all().forEach(r -> kept.add(r.id()));
      assertThat(acknowledged).isNotEmpty();
      assertThat(kept).containsAll(acknowledged);
      assertThat(opened.damages()).isEmpty();
      assertThat(book.gaps()).isEmpty();
    }
    try (var sql = DriverManager.getConnection("jdbc:sqlite:" + file);
        var result = sql.createStatement().executeQuery("PRAGMA integrity_check")) {
      assertThat(result.getString(1)).isEqualTo("ok");
    }
  }

  /** Killed while it copies the book aside: what bears a seal is whole, what is not does not. */
  @Test
  @Tag("study")
  void aBackupThatIsBrokenOffIsNoBackup() throws Exception {
    var file = folder.resolve("book.db");
    begin(file);
    var random = new Random(50);
    for (int i = 0; i < 50; i++) {
      killed(List.of(file), "back-up", random.nextInt(3), random, List.of(new HashSet<>()));
      var backups = new Backups(file);
      for (var b : backups.all()) {
        if (b.sealed()) {
          backups.verify(b, Optional.empty());
        }
      }
    }
    assertThat(new Backups(file).all()).filteredOn(Backups.Backup::sealed).isNotEmpty();
  }

  /**
   * Killed while a book of the version before is brought up: it is the old or the new one, whole.
   */
  @Test
  @Tag("study")
  void aMigrationThatIsBrokenOffIsDoneAgain() throws Exception {
    var old = folder.resolve("old.db");
    MigrationTest.older(old, 40, 6);
    var random = new Random(51);
    for (int i = 0; i < 50; i++) {
      var file = folder.resolve("m-" + i + ".db");
      Files.copy(old, file);
      var process = start(List.of(file), "open", Optional.empty());
      Thread.sleep(300 + random.nextInt(1500));
      process.toHandle().destroyForcibly();
      process.waitFor(10, TimeUnit.SECONDS);
      try (var book = ShopBook.open(file)) {
        assertThat(book.builds()).hasSize(40).allMatch(Summary::isSound);
        assertThat(book.gaps()).isEmpty();
        assertThat(book.open(7).readings().all()).hasSize(8);
      }
    }
  }

  private void killed(
      List<Path> files, String what, int wanted, Random random, List<Set<Long>> acknowledged)
      throws Exception {
    var process = start(files, what, Optional.empty());
    var lines =
        new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
    for (int i = 0; i < wanted; i++) {
      acknowledge(lines.readLine(), acknowledged);
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
        acknowledge(rest, acknowledged);
      }
      rest = next;
    }
    assertThat(process.waitFor(10, TimeUnit.SECONDS)).isTrue();
  }

  /** A line names the book and what was kept in it. */
  private static void acknowledge(String line, List<Set<Long>> acknowledged) {
    int gap = line.indexOf(' ');
    acknowledged
        .get(Integer.parseInt(line.substring(0, gap)))
        .add(Long.parseLong(line.substring(gap + 1)));
  }

  private Process start(List<Path> files, String what, Optional<String> archive)
      throws IOException {
    var command = new ArrayList<String>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(
        List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xmx256m", "-Xlog:disable"));
    command.add(archive.orElse("-XX:AOTCache=" + shared));
    command.add("--enable-native-access=ALL-UNNAMED");
    // Those that are killed leave the driver's library there.
    command.add("-Dorg.sqlite.tmpdir=" + folder);
    command.addAll(List.of("-cp", classPath));
    command.add(Worker.class.getName());
    command.add(what);
    files.forEach(f -> command.add(f.toString()));
    return new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
  }
}
