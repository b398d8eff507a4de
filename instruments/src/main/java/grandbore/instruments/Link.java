package grandbore.instruments;

import com.fazecast.jSerialComm.SerialPort;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.util.List;
import java.util.regex.Pattern;

/**
 * A line to instruments, over loopback TCP or a serial port. Whole messages are handed over and
 * damaged ones dropped. A bare number is a reading only from a device that is set to send bare
 * numbers, and only so many a second: a piece of a broken line looks just like one.
 */
public final class Link implements AutoCloseable {
  private static final int PATIENCE = 2000;

  /** Nobody presses a button more often, readings a second. */
  private static final int MOST_BARE = 10;

  private static final long SECOND = 1_000_000_000L;
  private static final Pattern NUMBER =
      Pattern.compile("[-+]?(\\d{1,12}([.,]\\d{0,12})?|[.,]\\d{1,12})( ?[^0-9.,\\s]{1,6})?");

  /** What a device on the line sends. */
  public enum Sends {
    /** Lines of this program's own protocol. */
    MESSAGES,
    /** A bare number a line, as simple gauges do. */
    BARE_NUMBERS
  }

  private final InputStream in;
  private final AutoCloseable line;
  private final Listener listener;
  private final Sends sends;
  private long second;
  private int bare;
  private volatile boolean closed;

  /** Told what comes in, on a thread of the link's own. */
  public interface Listener {
    void message(Message message);

    /** A number of a device that is set to send bare numbers. */
    void text(String line);

    /** More came in than anybody reads: so many lines were left out. */
    default void tooMany() {}

    /** The line is gone. */
    void lost(String why);
  }

  private Link(InputStream in, AutoCloseable line, Sends sends, Listener listener) {
    this.sends = sends;
    this.in = in;
    this.line = line;
    this.listener = listener;
  }

  /**
   * To a port of this machine.
   *
   * @throws IOException where nothing answers there
   */
  public static Link tcp(int port, Sends sends, Listener listener) throws IOException {
    var socket = new Socket();
    socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), PATIENCE);
    return new Link(socket.getInputStream(), socket, sends, listener).started();
  }

  /**
   * To a serial port by its name, eight bits, no parity, one stop bit.
   *
   * @throws IOException where it can't be opened
   */
  public static Link serial(String name, int baud, Sends sends, Listener listener)
      throws IOException {
    SerialPort port = SerialLine.open(name, baud);
    return new Link(port.getInputStream(), port::closePort, sends, listener).started();
  }

  /** The serial ports of this machine. */
  public static List<String> serialPorts() {
    return SerialLine.names();
  }

  /** A line that is already open; for tests and other carriers. */
  static Link over(InputStream in, Sends sends, Listener listener) {
    return new Link(in, in, sends, listener).started();
  }

  private Link started() {
    Thread.ofPlatform().daemon().name("instruments").start(this::run);
    return this;
  }

  private void run() {
    var buffer = new LineBuffer();
    var bytes = new byte[512];
    try {
      int count = in.read(bytes);
      while (count >= 0 && !closed) {
        buffer.feed(bytes, count).forEach(this::hand);
        count = in.read(bytes);
      }
      say("the instruments are gone");
    } catch (IOException e) {
      say(String.valueOf(e.getMessage()));
    }
  }

  private void say(String why) {
    if (!closed) {
      listener.lost(why);
    }
  }

  private void hand(String line) {
    if (line.startsWith("gb")) {
      Message.parse(line).ifPresent(listener::message);
    } else if (sends == Sends.BARE_NUMBERS && NUMBER.matcher(line).matches()) {
      long now = System.nanoTime();
      if (now - second > SECOND) {
        second = now;
        bare = 0;
      }
      bare++;
      if (bare <= MOST_BARE) {
        listener.text(line);
      } else if (bare == MOST_BARE + 1) {
        listener.tooMany();
      }
    }
  }

  @Override
  public void close() {
    closed = true;
    try {
      line.close();
    } catch (Exception e) {
      listener.lost("the line can't be closed: " + e.getMessage());
    }
  }
}
