package grandbore.cli;

import static grandbore.cli.Ran.run;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The instruments' command takes lines until it is told to quit. */
class InstrumentsTest {
  private final java.io.InputStream before = System.in;

  @AfterEach
  void giveBack() {
    System.setIn(before);
  }

  private static void type(String lines) {
    System.setIn(new ByteArrayInputStream(lines.getBytes(StandardCharsets.UTF_8)));
  }

  @Test
  void theEngineIsTurnedAndRead() {
    type("turn 40\non intake\nzero dial\nturn 300\nsend encoder\nfault dial rust\nquit\nturn 1\n");
    var ran = run("instruments", "--build", "demo", "--port", "0");
    assertThat(ran.code()).isZero();
    assertThat(ran.out())
        .contains("Instruments speak on port ")
        .contains("wheel 40.0°")
        .contains("dial indicator 0 mm")
        .contains("wheel -20.0°")
        .contains("-20 deg")
        .contains("✕ which fault")
        .doesNotContain("-19");
  }

  @Test
  void aPortThatIsTakenIsTold() throws Exception {
    try (var taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      var ran =
          run("instruments", "--build", "demo", "--port", String.valueOf(taken.getLocalPort()));
      assertThat(ran.code()).isEqualTo(2);
      assertThat(ran.err()).contains("--port").contains("taken");
    }
  }
}
