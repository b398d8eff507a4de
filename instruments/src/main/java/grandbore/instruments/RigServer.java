package grandbore.instruments;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;

/** Lets a rig speak to whoever connects to a loopback port: ten live lines a second of each. */
public final class RigServer implements AutoCloseable {
  private static final int BEAT = 100;

  private final ServerSocket server;
  private final Rig rig;
  private final List<Socket> clients = new CopyOnWriteArrayList<>();
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
        clients.add(server.accept());
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
    byte[] line = (message.encode() + "\n").getBytes(StandardCharsets.UTF_8);
    clients.removeIf(client -> !told(client, line));
  }

  private static boolean told(Socket client, byte[] line) {
    try {
      OutputStream out = client.getOutputStream();
      out.write(line);
      out.flush();
      return true;
    } catch (IOException e) {
      return false;
    }
  }

  @Override
  public void close() throws IOException {
    closed = true;
    server.close();
    for (var client : clients) {
      client.close();
    }
  }
}
