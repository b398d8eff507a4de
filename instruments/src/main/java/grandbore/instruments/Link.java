package grandbore.instruments;

import com.fazecast.jSerialComm.SerialPort;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.util.Arrays;
import java.util.List;
import java.util.function.Consumer;

/**
 * A line to instruments, over loopback TCP or a serial port. Whole messages are handed over; a line
 * that is none is handed over as text, since simple devices send bare numbers; damaged lines of
 * this protocol are dropped.
 */
public final class Link implements AutoCloseable {
  private static final int PATIENCE = 2000;

  private final InputStream in;
  private final AutoCloseable line;
  private final Listener listener;
  private volatile boolean closed;

  /** Told what comes in, on a thread of the link's own. */
  public interface Listener {
    void message(Message message);

    /** A line of a device that does not speak this protocol. */
    void text(String line);

    /** The line is gone. */
    void lost(String why);
  }

  private Link(InputStream in, AutoCloseable line, Listener listener) {
    this.in = in;
    this.line = line;
    this.listener = listener;
  }

  /**
   * To a port of this machine.
   *
   * @throws IOException where nothing answers there
   */
  public static Link tcp(int port, Listener listener) throws IOException {
    var socket = new Socket();
    socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), PATIENCE);
    return new Link(socket.getInputStream(), socket, listener).started();
  }

  /**
   * To a serial port by its name, eight bits, no parity, one stop bit.
   *
   * @throws IOException where it can't be opened
   */
  public static Link serial(String name, int baud, Listener listener) throws IOException {
    SerialPort port;
    try {
      port = SerialPort.getCommPort(name);
    } catch (RuntimeException e) {
      throw new IOException("There is no serial port " + name, e);
    }
    port.setComPortParameters(baud, 8, SerialPort.ONE_STOP_BIT, SerialPort.NO_PARITY);
    port.setComPortTimeouts(SerialPort.TIMEOUT_READ_SEMI_BLOCKING, 0, 0);
    if (!port.openPort()) {
      throw new IOException(
          "The serial port %s can't be opened; there are: %s".formatted(name, serialPorts()));
    }
    return new Link(port.getInputStream(), port::closePort, listener).started();
  }

  /** The serial ports of this machine. */
  public static List<String> serialPorts() {
    return Arrays.stream(SerialPort.getCommPorts()).map(SerialPort::getSystemPortName).toList();
  }

  /** A line that is already open; for tests and other carriers. */
  static Link over(InputStream in, Listener listener) {
    return new Link(in, in, listener).started();
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
        buffer.feed(bytes, count).forEach(l -> hand(l, listener::message, listener::text));
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

  static void hand(String line, Consumer<Message> message, Consumer<String> text) {
    if (line.startsWith("gb")) {
      Message.parse(line).ifPresent(message);
    } else if (line.matches("[-+]?[0-9]*[.,]?[0-9]+( ?[^0-9.,\\s]{1,6})?")) {
      text.accept(line);
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
