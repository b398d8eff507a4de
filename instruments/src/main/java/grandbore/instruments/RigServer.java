package grandbore.instruments;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;

/** Lets a rig speak to whoever connects to a loopback port: ten live lines a second of each. */
public final class RigServer implements AutoCloseable {
  private static final int BEAT = 100;
  private static final int MOST_CLIENTS = 16;

  private final ServerSocket server;
  private final Rig rig;
  private final List<Client> clients = new CopyOnWriteArrayList<>();
  private volatile boolean closed;

  /**
   * @param port 0 for any that is free
   * @throws IOException where the port is taken
   */
  public RigServer(Rig rig, int port) throws IOException {
    this.rig = rig;
    server = new ServerSocket(port, 5, InetAddress.getLoopbackAddress());
    rig.listen(this::tell);
    Thread.ofPlatform().daemon().name("rig-accept").start(this::accept);
    Thread.ofPlatform().daemon().name("rig-beat").start(this::beat);
  }

  public int port() {
    return server.getLocalPort();
  }

  private void accept() {
    while (!closed) {
      try {
        var socket = server.accept();
        clients.removeIf(Client::isClosed);
        if (clients.size() < MOST_CLIENTS) {
          clients.add(new Client(socket));
        } else {
          socket.close();
        }
      } catch (IOException e) {
        return;
      }
    }
  }

  private void beat() {
    while (!closed) {
      rig.live();
      try {
        Thread.sleep(BEAT);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return;
      }
    }
  }

  private void tell(Message message) {
    clients.forEach(c -> c.tell(message));
    clients.removeIf(Client::isClosed);
  }

  /** How many listen. */
  int clients() {
    clients.removeIf(Client::isClosed);
    return clients.size();
  }

  @Override
  public void close() throws IOException {
    closed = true;
    server.close();
    clients.forEach(Client::close);
  }
}
