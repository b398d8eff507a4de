package grandbore.instruments;

import com.fazecast.jSerialComm.SerialPort;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.util.EnumSet;

/**
 * The serial library's native part. Left to itself the library unpacks it into a folder that all
 * users share and runs what it finds there; here it gets a folder made for this run, which nobody
 * else can write.
 */
final class SerialLibrary {
  private static final String TEMPORARY = "java.io.tmpdir";
  private static boolean ready;

  private SerialLibrary() {}

  /** Loads it, once. */
  static synchronized void ready() {
    if (ready) {
      return;
    }
    String shared = System.getProperty(TEMPORARY);
    try {
      var own = Files.createTempDirectory("grand-bore-serial");
      check(own);
      System.setProperty(TEMPORARY, own.toString());
      // The library looks for its folder once, when its class is made ready.
      Class.forName(SerialPort.class.getName(), true, SerialLibrary.class.getClassLoader());
      ready = true;
    } catch (IOException e) {
      throw new UncheckedIOException("No private folder for the serial library", e);
    } catch (ClassNotFoundException e) {
      throw new IllegalStateException(e);
    } finally {
      System.setProperty(TEMPORARY, shared);
    }
  }

  /** It has to be this user's, and nobody else's to write. */
  private static void check(Path own) throws IOException {
    if (!Files.isDirectory(own) || Files.isSymbolicLink(own)) {
      throw new IOException(own + " is not the folder that was made");
    }
    if (own.getFileSystem().supportedFileAttributeViews().contains("posix")) {
      var others =
          EnumSet.of(
              PosixFilePermission.GROUP_WRITE,
              PosixFilePermission.OTHERS_WRITE,
              PosixFilePermission.OTHERS_READ,
              PosixFilePermission.GROUP_READ);
      others.retainAll(Files.getPosixFilePermissions(own));
      if (!others.isEmpty()) {
        throw new IOException(own + " is open to others: " + others);
      }
    }
  }
}
