package grandbore.instruments;

import com.fazecast.jSerialComm.SerialPort;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;

/** Serial ports of this machine, opened for eight bits, no parity, one stop bit. */
final class SerialLine {
  private SerialLine() {}

  /**
   * Opens a port by its name; reading waits for what comes.
   *
   * @throws IOException where it can't be opened
   */
  static SerialPort open(String name, int baud) throws IOException {
    SerialLibrary.ready();
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
          "The serial port %s can't be opened; there are: %s".formatted(name, names()));
    }
    return port;
  }

  /** The serial ports of this machine. */
  static List<String> names() {
    SerialLibrary.ready();
    return Arrays.stream(SerialPort.getCommPorts()).map(SerialPort::getSystemPortName).toList();
  }
}
