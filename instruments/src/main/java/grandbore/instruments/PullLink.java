package grandbore.instruments;

import com.fazecast.jSerialComm.SerialPort;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;

/**
 * A line to a dyno, over loopback TCP or a serial port: whole lines are handed over, damaged ones
 * dropped.
 */
public final class PullLink implements AutoCloseable {
  private static final int PATIENCE = 2000;

  private final InputStream in;
  private final AutoCloseable line;
  private final Listener listener;
  private volatile boolean closed;

  /** Told what comes in, on a thread of the link's own. */
  public interface Listener {
    void line(PullLine line);

    /** The line is gone. */
    void lost(String why);
  }

  private PullLink(InputStream in, AutoCloseable line, Listener listener) {
    this.in = in;
    this.line = line;
    this.listener = listener;
    Thread.ofPlatform().daemon().name("dyno").start(this::run);
  }

  /**
   * To a port of this machine.
   *
   * @throws IOException where nothing answers there
   */
  public static PullLink tcp(int port, Listener listener) throws IOException {
    var socket = new Socket();
    socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), PATIENCE);
    return new PullLink(socket.getInputStream(), socket, listener);
  }

  /**
   * To a serial port by its name.
   *
   * @throws IOException where it can't be opened
   */
  public static PullLink serial(String name, int baud, Listener listener) throws IOException {
    SerialPort port = SerialLine.open(name, baud);
    return new PullLink(port.getInputStream(), port::closePort, listener);
  }

  /** A line that is already open; for tests and other carriers. */
  static PullLink over(InputStream in, Listener listener) {
    return new PullLink(in, in, listener);
  }

  private void run() {
    var buffer = new LineBuffer(PullLine.LONGEST);
    var bytes = new byte[8192];
    try {
      int count = in.read(bytes);
      while (count >= 0 && !closed) {
        buffer.feed(bytes, count).forEach(l -> PullLine.parse(l).ifPresent(listener::line));
        count = in.read(bytes);
      }
      say("the dyno is gone");
    } catch (IOException e) {
      say(String.valueOf(e.getMessage()));
    }
  }

  private void say(String why) {
    if (!closed) {
      listener.lost(why);
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
