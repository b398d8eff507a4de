package grandbore.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The line protocol: whole lines come through as sent, nothing else comes through at all. */
class ProtocolTest {
  private static Message message(Random random, int number) {
    var kinds = Kind.values();
    var kind = kinds[random.nextInt(kinds.length)];
    return new Message(
        random.nextBoolean() ? Message.Word.LIVE : Message.Word.SENT,
        kind,
        number,
        Math.rint(1e6 * random.nextDouble(-200, 200)) / 1e6,
        kind.unit(),
        Message.State.values()[random.nextInt(3)]);
  }

  @Test
  void aMessageComesBackAsItWasSent() {
    var random = new Random(1);
    for (int i = 0; i < 2000; i++) {
      var m = message(random, i);
      assertThat(Message.parse(m.encode())).contains(m);
    }
    var m =
        new Message(
            Message.Word.SENT, Kind.DIAL, 7, 0.0235, Measure.MILLIMETRES, Message.State.STEADY);
    assertThat(m.encode()).matches("gb2 \\d\\d sent dial 7 0.023500 mm steady [0-9a-f]{8}");
    assertThat(m.typed()).isEqualTo("0.0235 mm");
    assertThat(m.si()).isCloseTo(0.0235e-3, within(1e-12));
  }

  /** Any damage to a line, and what is left is no message: 50,000 lines, none read wrongly. */
  @Test
  void aDamagedLineIsNeverAnotherReading() {
    var random = new Random(2);
    int through = 0;
    for (int i = 0; i < 50_000; i++) {
      var m = message(random, i);
      var bytes = m.encode().getBytes(StandardCharsets.US_ASCII);
      int hits = 1 + random.nextInt(3);
      for (int k = 0; k < hits; k++) {
        bytes[random.nextInt(bytes.length)] = (byte) (32 + random.nextInt(95));
      }
      var got = Message.parse(new String(bytes, StandardCharsets.US_ASCII));
      through += got.isPresent() && !got.get().equals(m) ? 1 : 0;
    }
    assertThat(through).isZero();
  }

  @Test
  void halfLinesDroppedBytesAndGarbageDoNotCorruptTheNextReading() throws Exception {
    var random = new Random(3);
    var sent = new HashMap<Long, Message>();
    var stream = new StringBuilder();
    for (int i = 0; i < 3000; i++) {
      var m = message(random, i);
      sent.put(m.number(), m);
      String line = m.encode() + "\n";
      switch (random.nextInt(6)) {
        case 0 -> stream.append(line, 0, random.nextInt(line.length()));
        case 1 -> stream.append("x".repeat(random.nextInt(600))).append('\n').append(line);
        case 2 -> stream.append(line.replaceFirst("[0-9]", "")).append(line);
        default -> stream.append(line);
      }
    }
    var got = new ArrayList<Message>();
    var texts = new ArrayList<String>();
    var end = new CountDownLatch(1);
    Link.over(
        new Dribble(stream.toString().getBytes(StandardCharsets.UTF_8), random),
        Link.Sends.MESSAGES,
        new Link.Listener() {
          @Override
          public void message(Message m) {
            got.add(m);
          }

          @Override
          public void text(String line) {
            texts.add(line);
          }

          @Override
          public void lost(String why) {
            end.countDown();
          }
        });
    assertThat(end.await(20, TimeUnit.SECONDS)).isTrue();
    assertThat(got).hasSizeGreaterThan(2000).allMatch(m -> m.equals(sent.get(m.number())));
    assertThat(texts).isEmpty();
  }

  /** Gives its bytes in pieces of any size. */
  private static final class Dribble extends ByteArrayInputStream {
    private final Random random;

    Dribble(byte[] bytes, Random random) {
      super(bytes);
      this.random = random;
    }

    @Override
    public synchronized int read(byte[] into, int from, int length) {
      return super.read(into, from, Math.min(length, 1 + random.nextInt(40)));
    }
  }

  /** Version 1, whose lines have no length, is still understood. */
  @Test
  void theFirstVersionIsStillRead() {
    assertThat(
            Message.parse(
                "gb1 sent dial 7 0.023500 mm steady " + crc("gb1 sent dial 7 0.023500 mm steady")))
        .hasValueSatisfying(m -> assertThat(m.si()).isCloseTo(0.0235e-3, within(1e-12)));
  }

  private static String crc(String body) {
    var crc = new java.util.zip.CRC32();
    crc.update(body.getBytes(StandardCharsets.UTF_8));
    return "%08x".formatted(crc.getValue());
  }

  private static final class Heard implements Link.Listener {
    final List<Message> messages = new ArrayList<>();
    final List<String> texts = new ArrayList<>();
    final CountDownLatch end = new CountDownLatch(1);
    int tooMany;
    final AtomicInteger sent = new AtomicInteger();

    @Override
    public void message(Message m) {
      messages.add(m);
      if (m.word() == Message.Word.SENT) {
        sent.incrementAndGet();
      }
    }

    @Override
    public void text(String line) {
      texts.add(line);
    }

    @Override
    public void tooMany() {
      tooMany++;
    }

    @Override
    public void lost(String why) {
      end.countDown();
    }
  }

  private static Heard heard(String stream, Link.Sends sends) throws InterruptedException {
    var heard = new Heard();
    Link.over(new ByteArrayInputStream(stream.getBytes(StandardCharsets.UTF_8)), sends, heard);
    assertThat(heard.end.await(60, TimeUnit.SECONDS)).isTrue();
    return heard;
  }

  /** A device that is set to bare numbers is heard, and no faster than anybody presses a button. */
  @Test
  void bareNumbersAreHeardFromADeviceThatIsSetToThem() throws Exception {
    String lines = "0.0235\n-1.5 mm\n12,5\nhello\ngb1 live\n\n1.2.3.4 volts!\n";
    assertThat(heard(lines, Link.Sends.BARE_NUMBERS).texts)
        .containsExactly("0.0235", "-1.5 mm", "12,5");
    assertThat(heard(lines, Link.Sends.MESSAGES).texts).isEmpty();
    var flood = heard("0.5\n".repeat(5000), Link.Sends.BARE_NUMBERS);
    assertThat(flood.texts).hasSizeBetween(10, 40);
    assertThat(flood.tooMany).isPositive();
  }

  /** Lines cut anywhere and joined to the next: no piece passes as a reading. */
  @Test
  void linesJoinedInTheMiddleAreNoReadings() throws Exception {
    joined(20_000);
  }

  @Test
  @Tag("study")
  void twoHundredThousandJoinedLines() throws Exception {
    joined(200_000);
  }

  private static void joined(int lines) throws InterruptedException {
    var random = new Random(4);
    var sent = new HashMap<Long, Message>();
    var stream = new StringBuilder();
    for (int i = 0; i < lines; i++) {
      var m = message(random, i);
      sent.put(m.number(), m);
      String line = m.encode();
      int from = random.nextInt(line.length());
      int to = from + random.nextInt(line.length() - from + 1);
      // A piece is lost, its line end too at times: two lines become one.
      stream.append(line, 0, from).append(line, to, line.length());
      stream.append(random.nextInt(3) == 0 ? "" : "\n");
    }
    var heard = heard(stream.toString(), Link.Sends.MESSAGES);
    assertThat(heard.texts).isEmpty();
    assertThat(heard.messages).allMatch(m -> m.equals(sent.get(m.number())));
  }

  /** One that never reads costs the others nothing; one that is gone is let go of. */
  @Test
  void aClientThatDoesNotReadHoldsNobodyUp() throws Exception {
    var rig = new Rig(new MockUp(DemoBuilds.hillClimbEight().combination()), 5);
    var heard = new Heard();
    try (var server = new RigServer(rig, 0);
        var deaf = new java.net.Socket(java.net.InetAddress.getLoopbackAddress(), server.port());
        var link = Link.tcp(server.port(), Link.Sends.MESSAGES, heard)) {
      assertThat(link).isNotNull();
      long from = System.nanoTime();
      for (int i = 0; i < 30_000; i++) {
        rig.live();
      }
      // Some 210,000 lines, far more than any socket takes that nobody reads.
      assertThat((System.nanoTime() - from) / 1e9).isLessThan(20);
      assertThat(deaf.isConnected()).isTrue();
      rig.send(Kind.CALIPER);
      long end = System.nanoTime() + 10_000_000_000L;
      while (heard.sent.get() == 0 && System.nanoTime() < end) {
        Thread.onSpinWait();
      }
      assertThat(heard.sent.get()).as("the reading in a flood of live lines").isEqualTo(1);
      deaf.shutdownOutput();
      while (server.clients() > 1 && System.nanoTime() < end) {
        Thread.onSpinWait();
      }
      assertThat(server.clients()).isEqualTo(1);
    }
  }

  /** What nobody can mean is answered in one line, at once. */
  @Test
  void commandsThatCanNotBeMeantAreRefusedInOneLine() {
    var console =
        new Console(
            new Rig(new MockUp(DemoBuilds.hillClimbEight().combination()), 5), UnitSystem.US);
    for (var line :
        List.of(
            "turn 1000000",
            "turn " + "9".repeat(400),
            "turn " + "9".repeat(40),
            "İstanbul",
            "fault İstanbul",
            "fault dial noise " + "1".repeat(150),
            "x".repeat(5000))) {
      assertThat(console.say(line)).startsWith("✕").doesNotContain("\n").hasSizeLessThan(300);
    }
    assertThat(console.say("turn 30")).startsWith("wheel 30.0");
  }

  @Test
  void aRigSpeaksOverLoopbackAndItsButtonSends() throws Exception {
    var rig = new Rig(new MockUp(DemoBuilds.hillClimbEight().combination()), 5);
    var messages = new LinkedBlockingQueue<Message>();
    try (var server = new RigServer(rig, 0);
        var link =
            Link.tcp(
                server.port(),
                Link.Sends.MESSAGES,
                new Link.Listener() {
                  @Override
                  public void message(Message m) {
                    messages.add(m);
                  }

                  @Override
                  public void text(String line) {}

                  @Override
                  public void lost(String why) {}
                })) {
      assertThat(link).isNotNull();
      assertThat(messages.poll(5, TimeUnit.SECONDS)).isNotNull();
      rig.mockUp().turn(Math.toRadians(42));
      rig.send(Kind.ENCODER);
      Message sent;
      do {
        sent = messages.poll(5, TimeUnit.SECONDS);
        assertThat(sent).isNotNull();
      } while (sent.word() != Message.Word.SENT);
      assertThat(sent.value()).isCloseTo(42, within(0.051));
    }
    assertThatThrownBy(() -> Link.tcp(1, Link.Sends.MESSAGES, null))
        .isInstanceOf(IOException.class);
    assertThatThrownBy(() -> Link.serial("no-such-port", 9600, Link.Sends.MESSAGES, null))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("no-such-port");
  }
}
