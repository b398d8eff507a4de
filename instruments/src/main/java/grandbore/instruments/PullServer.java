package grandbore.instruments;

import grandbore.core.dyno.Column;
import grandbore.core.dyno.Recorded;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BooleanSupplier;

/** Sends pulls to whoever connects to a loopback port, row by row as they were recorded. */
public final class PullServer implements AutoCloseable {
  private static final int ROOM = 20_000;
  private static final int MOST_LISTENERS = 16;

  private final ServerSocket server;
  private final List<Listener> listeners = new CopyOnWriteArrayList<>();
  private volatile boolean closed;

  /**
   * @param port 0 for any that is free
   * @throws IOException where the port is taken
   */
  public PullServer(int port) throws IOException {
    server = new ServerSocket(port, 5, InetAddress.getLoopbackAddress());
    Thread.ofPlatform().daemon().name("dyno-accept").start(this::accept);
  }

  public int port() {
    return server.getLocalPort();
  }

  /** How many listen. */
  public int listeners() {
    listeners.removeIf(l -> l.gone);
    return listeners.size();
  }

  private void accept() {
    while (!closed) {
      try {
        var socket = server.accept();
        if (listeners() < MOST_LISTENERS) {
          listeners.add(new Listener(socket));
        } else {
          socket.close();
        }
      } catch (IOException e) {
        return;
      }
    }
  }

  /**
   * Sends a pull and waits until it is sent.
   *
   * @param faster times as fast as it was recorded
   * @param stop asked at each row
   * @return rows that were sent
   */
  public int send(int number, Recorded rows, double faster, BooleanSupplier stop)
      throws InterruptedException {
    tell(PullLine.begin(number, rows.columns()));
    long begun = System.nanoTime();
    int sent = 0;
    for (int k = 0; k < rows.rows() && !stop.getAsBoolean() && !closed; k++) {
      double at = rows.seconds().isEmpty() ? 0.1 * k : rows.seconds().get(k);
      long due = begun + (long) (1e9 * at / faster);
      long wait = due - System.nanoTime();
      if (wait > 0) {
        Thread.sleep(wait / 1_000_000, (int) (wait % 1_000_000));
      }
      int row = k;
      var values = rows.columns().stream().map((Column c) -> c.values().get(row)).toList();
      tell(PullLine.row(k + 1, at, values));
      sent++;
    }
    tell(PullLine.end(sent));
    return sent;
  }

  private void tell(PullLine line) {
    String text = line.encode();
    listeners.forEach(l -> l.tell(text));
    listeners.removeIf(l -> l.gone);
  }

  @Override
  public void close() throws IOException {
    closed = true;
    server.close();
    listeners.forEach(Listener::close);
  }

  /** One that listens, with a queue of its own; one that leaves it full is hung up on. */
  private static final class Listener {
    private final Socket socket;
    private final BlockingQueue<String> lines = new ArrayBlockingQueue<>(ROOM);
    private volatile boolean gone;

    Listener(Socket socket) {
      this.socket = socket;
      Thread.ofPlatform().daemon().name("dyno-listener").start(this::write);
    }

    void tell(String line) {
      if (!lines.offer(line)) {
        close();
      }
    }

    private void write() {
      try {
        var out = socket.getOutputStream();
        while (!gone) {
          out.write((lines.take() + "\n").getBytes(StandardCharsets.UTF_8));
          if (lines.isEmpty()) {
            out.flush();
          }
        }
      } catch (IOException e) {
        close();
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }

    void close() {
      gone = true;
      try {
        socket.close();
      } catch (IOException e) {
        // A socket that can't be closed is closed.
      }
    }
  }
}
