package grandbore.instruments;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;

/**
 * One that listens to the instruments, with a queue and threads of its own: it may read as slowly
 * as it likes and holds up nobody. Live lines that it has no room for are left out, and the oldest
 * of them makes room for a reading that was sent; one that leaves a whole queue of readings unread
 * is hung up on.
 */
final class Client implements AutoCloseable {
  private static final int ROOM = 256;

  private final Socket socket;
  private final BlockingQueue<Message> lines = new ArrayBlockingQueue<>(ROOM);
  private final Thread writer;
  private volatile boolean closed;

  Client(Socket socket) {
    this.socket = socket;
    writer = Thread.ofPlatform().daemon().name("rig-client").start(this::write);
    // It has nothing to say; its stream ends when it hangs up.
    Thread.ofPlatform().daemon().name("rig-client-end").start(this::untilItHangsUp);
  }

  /** Takes a line at once, or not. */
  void tell(Message message) {
    if (!lines.offer(message) && message.word() == Message.Word.SENT) {
      makeRoomFor(message);
    }
  }

  private void makeRoomFor(Message reading) {
    boolean taken = false;
    var live = oldestLive();
    while (!taken && live.isPresent()) {
      lines.remove(live.get());
      taken = lines.offer(reading);
      live = oldestLive();
    }
    if (!taken) {
      close();
    }
  }

  private Optional<Message> oldestLive() {
    return lines.stream().filter(m -> m.word() == Message.Word.LIVE).findFirst();
  }

  boolean isClosed() {
    return closed;
  }

  private void write() {
    try {
      var out = socket.getOutputStream();
      while (!closed) {
        String line = lines.take().encode() + "\n";
        out.write(line.getBytes(StandardCharsets.UTF_8));
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

  private void untilItHangsUp() {
    try (InputStream in = socket.getInputStream()) {
      var unread = new byte[256];
      while (in.read(unread) >= 0) {
        // Whatever it says is not asked for.
      }
    } catch (IOException e) {
      // It is gone, as below.
    }
    close();
  }

  @Override
  public void close() {
    closed = true;
    writer.interrupt();
    try {
      socket.close();
    } catch (IOException e) {
      // A socket that can't be closed is closed.
    }
  }
}
