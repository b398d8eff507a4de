package grandbore.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A library that somebody left in the shared temporary folder is not run. */
class SerialLibraryTest {
  @TempDir Path shared;

  /** Lists the serial ports and prints which files of the library the process has loaded. */
  public static final class Lists {
    private Lists() {}

    public static void main(String[] arguments) throws IOException {
      System.out.println("ports " + Link.serialPorts());
      try (Stream<String> maps = Files.lines(Path.of("/proc/self/maps"))) {
        maps.filter(l -> l.contains("jSerialComm"))
            .map(l -> l.substring(l.indexOf('/')))
            .distinct()
            .forEach(System.out::println);
      }
    }
  }

  @Test
  void aPlantedLibraryIsNotLoaded() throws Exception {
    assumeThat(Path.of("/proc/self/maps")).exists();
    var planted = shared.resolve("jSerialComm/2.11.0/libjSerialComm.so");
    Files.createDirectories(planted.getParent());
    Files.writeString(planted, "not a library, but it lies where one is looked for");
    var process =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--enable-native-access=ALL-UNNAMED",
                "-Djava.io.tmpdir=" + shared,
                "-cp",
                System.getProperty("java.class.path"),
                Lists.class.getName())
            .redirectErrorStream(true)
            .start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(said).startsWith("ports [").contains("grand-bore-serial");
    assertThat(said).doesNotContain(shared.resolve("jSerialComm").toString());
    assertThat(planted).hasContent("not a library, but it lies where one is looked for");
  }
}
