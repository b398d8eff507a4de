package grandbore.instruments;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Makes whole lines of what comes in pieces; a line that is too long is dropped whole. */
final class LineBuffer {
  private static final int LONGEST = 200;

  private final byte[] line;
  private int length;
  private boolean tooLong;

  LineBuffer() {
    this(LONGEST);
  }

  /**
   * @param longest line that is whole, bytes
   */
  LineBuffer(int longest) {
    line = new byte[longest];
  }

  /** Takes some bytes; gives the lines that they complete, without their ends. */
  List<String> feed(byte[] bytes, int count) {
    var lines = new ArrayList<String>();
    for (int i = 0; i < count; i++) {
      if (bytes[i] == '\n') {
        if (!tooLong) {
          lines.add(new String(line, 0, length, StandardCharsets.UTF_8).strip());
        }
        length = 0;
        tooLong = false;
      } else if (length == line.length) {
        tooLong = true;
      } else {
        line[length++] = bytes[i];
      }
    }
    return lines;
  }
}
