package grandbore.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.demo.DemoBuilds;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Column;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.Recorded;
import grandbore.core.dyno.simulated.Hidden;
import grandbore.core.dyno.simulated.SimulatedDyno;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.units.UnitSystem;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** A dyno on the line: every row comes through as it was sent, or is counted. */
class PullLinkTest {
  private static Recorded rows(int count, double rate) {
    var random = new Random(5);
    var seconds = IntStream.range(0, count).mapToObj(k -> k / rate).toList();
    var columns = new ArrayList<Column>();
    columns.add(
        new Column(Channel.RPM, 0, IntStream.range(0, count).mapToObj(k -> 3000.0 + k).toList()));
    columns.add(
        new Column(
            Channel.TORQUE,
            0,
            IntStream.range(0, count).mapToObj(k -> k == 3 ? Double.NaN : 400.0 + k % 7).toList()));
    for (int n = 1; n <= 8; n++) {
      columns.add(
          new Column(
              Channel.EXHAUST_TEMPERATURE,
              n,
              IntStream.range(0, count).mapToObj(k -> 900 + 10 * random.nextDouble()).toList()));
    }
    return new Recorded(seconds, columns);
  }

  @Test
  void linesComeBackAsTheyWereSentAndDamagedOnesNever() {
    var rows = rows(20, 10);
    var lines = new ArrayList<PullLine>();
    lines.add(PullLine.begin(3, rows.columns()));
    for (int k = 0; k < 20; k++) {
      int row = k;
      lines.add(
          PullLine.row(
              k + 1,
              rows.seconds().get(k),
              rows.columns().stream().map(c -> c.values().get(row)).toList()));
    }
    lines.add(PullLine.end(20));
    var random = new Random(9);
    for (var line : lines) {
      String text = line.encode();
      var back = PullLine.parse(text).orElseThrow();
      assertThat(back.word()).isEqualTo(line.word());
      assertThat(back.channels()).isEqualTo(line.channels());
      for (int k = 0; k < line.values().size(); k++) {
        double v = line.values().get(k);
        if (Double.isNaN(v)) {
          assertThat(back.values().get(k)).isNaN();
        } else {
          assertThat(back.values().get(k)).isCloseTo(v, within(1e-5 * v));
        }
      }
      for (int k = 0; k < 200; k++) {
        var bytes = text.getBytes(StandardCharsets.UTF_8);
        bytes[random.nextInt(bytes.length)] ^= (byte) (1 << random.nextInt(7));
        assertThat(PullLine.parse(new String(bytes, StandardCharsets.UTF_8))).isEmpty();
      }
      assertThat(PullLine.parse(text.substring(0, text.length() - 3))).isEmpty();
    }
  }

  /** A hundred rows a second of ten channels, ten times as fast: none is dropped. */
  @Test
  void noRowIsDropped() throws Exception {
    var rows = rows(1000, 100);
    var live = new LivePull();
    var over = new CountDownLatch(1);
    try (var server = new PullServer(0);
        var link =
            PullLink.tcp(
                server.port(),
                new PullLink.Listener() {
                  @Override
                  public void line(PullLine line) {
                    live.take(line);
                    if (live.isEnded()) {
                      over.countDown();
                    }
                  }

                  @Override
                  public void lost(String why) {}
                })) {
      long patience = System.nanoTime() + TimeUnit.SECONDS.toNanos(10);
      while (server.listeners() == 0 && System.nanoTime() < patience) {
        Thread.sleep(5);
      }
      assertThat(server.send(4, rows, 10, () -> false)).isEqualTo(1000);
      assertThat(over.await(20, TimeUnit.SECONDS)).isTrue();
      assertThat(link).isNotNull();
    }
    assertThat(live.missed()).isZero();
    assertThat(live.number()).isEqualTo(4);
    var got = live.recorded().orElseThrow();
    assertThat(got.rows()).isEqualTo(1000);
    assertThat(got.rpm(999)).isEqualTo(3999);
    assertThat(got.column(Channel.EXHAUST_TEMPERATURE, 8)).isPresent();
    assertThat(live.last(Channel.TORQUE)).isEqualTo(rows.torque(999));
  }

  /** Rows that are lost on the way are counted, not papered over. */
  @Test
  void lostRowsAreCounted() throws Exception {
    var rows = rows(10, 10);
    var text = new StringBuilder(PullLine.begin(1, rows.columns()).encode() + "\n");
    for (int k = 0; k < 10; k++) {
      int row = k;
      String line =
          PullLine.row(
                  k + 1, 0.1 * k, rows.columns().stream().map(c -> c.values().get(row)).toList())
              .encode();
      // The fourth comes damaged, the eighth not at all.
      text.append(k == 7 ? "" : (k == 3 ? line.replace("row", "rox") : line) + "\n");
    }
    text.append(PullLine.end(10).encode()).append('\n');
    var live = new LivePull();
    var gone = new CountDownLatch(1);
    PullLink.over(
        new ByteArrayInputStream(text.toString().getBytes(StandardCharsets.UTF_8)),
        new PullLink.Listener() {
          @Override
          public void line(PullLine line) {
            live.take(line);
          }

          @Override
          public void lost(String why) {
            gone.countDown();
          }
        });
    assertThat(gone.await(10, TimeUnit.SECONDS)).isTrue();
    assertThat(live.rows()).isEqualTo(8);
    assertThat(live.missed()).isEqualTo(2);
    assertThat(live.isEnded()).isTrue();
  }

  @Test
  void consoleRunsADay() throws IOException {
    var build = DemoBuilds.paddockFour();
    var engine = BuiltEngine.asSpecified(build.combination());
    var told = new ArrayList<Pull>();
    try (var predictor = new Predictor()) {
      var console =
          new DynoConsole(
              new SimulatedDyno(
                  engine,
                  new Hidden(Map.of(), 1),
                  new DayAir(99e3, 298, 0.3),
                  (e, speeds) -> predictor.predict(e, speeds, Fidelity.LIVE)),
              build.combination(),
              UnitSystem.METRIC,
              "A day",
              Instant.EPOCH,
              7,
              3000,
              8000,
              Math.toRadians(16),
              told::add);
      assertThat(console.say("rows 5")).contains("5 rows");
      assertThat(console.say("pull first")).contains("pull 7: 84 rows").contains("N·m");
      assertThat(console.say("spark 12")).isEqualTo("spark 12.0°");
      assertThat(console.say("set intake.runnerLength 300 mm")).contains("300.00 mm");
      assertThat(console.say("lambda 0.92")).contains("0.92");
      assertThat(console.say("give dead_plug 2")).contains("dead");
      assertThat(console.say("faults")).isEqualTo("dead_plug 2.0");
      assertThat(console.say("step")).contains("one speed");
      assertThat(console.say("pull runner and jets")).contains("pull 8: 21 rows");
      assertThat(console.say("mend dead_plug")).isEqualTo("mended");
      assertThat(console.say("prove")).contains("where the stop says");
      assertThat(console.say("set intake.runnerLength as it was")).contains("as it was");
    }
    assertThat(told).hasSize(2);
    assertThat(told.get(1).fitted().orElseThrow().sets())
        .containsKeys("intake.runnerLength", "mixture.lambda");
    assertThat(told.get(1).changed()).isEqualTo("runner and jets");
    assertThat(told.get(1).rows().mean(Channel.LAMBDA).orElseThrow()).isGreaterThan(1.1);
  }

  @Test
  void wrongWordsAreAnswered() {
    var build = DemoBuilds.paddockFour();
    var console =
        new DynoConsole(
            new SimulatedDyno(
                BuiltEngine.asSpecified(build.combination()),
                new Hidden(Map.of(), 1),
                new DayAir(99e3, 298, 0.3),
                (e, speeds) -> {
                  throw new IllegalStateException("nothing is run");
                }),
            build.combination(),
            UnitSystem.METRIC,
            "A day",
            Instant.EPOCH,
            1,
            3000,
            8000,
            0.3,
            p -> {});
    for (String line :
        List.of(
            "spark lots",
            "spark 99",
            "rows 0",
            "give nothing",
            "set nonsense 3",
            "set intake.runnerLength",
            "dance")) {
      assertThat(console.say(line)).as(line).startsWith("✕");
    }
    assertThat(console.say("help")).contains("pull");
    assertThat(console.say("air")).contains("99.0 kPa");
  }
}
