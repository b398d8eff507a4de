package grandbore.instruments;

import grandbore.core.units.Measure;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.CRC32;

/**
 * One line from an instrument: {@code gb2 49 live dial 1042 0.023500 mm steady 5f3a91c2}. The
 * second word is the length of the whole line in bytes, the last the CRC-32 of all before it; a
 * line that does not fit is no message. Lines of version 1, which have no length, are read too.
 *
 * @param word whether it is streamed or was sent by the instrument's button
 * @param number counts the instrument's lines
 * @param value in the unit
 */
public record Message(Word word, Kind kind, long number, double value, Measure unit, State state) {
  /** What kind of line. */
  public enum Word {
    /** The reading as it is now, several times a second. */
    LIVE,
    /** A reading that the one at the instrument sends. */
    SENT
  }

  /** What can be read from it. */
  public enum State {
    STEADY,
    MOVING,
    /** The battery is flat: the value means nothing. */
    FLAT
  }

  private static final String MARK = "gb2";
  private static final String FIRST = "gb1";
  private static final int PARTS = 9;
  private static final int CHECK = 9;

  /** The line without its end. */
  public String encode() {
    String body =
        String.format(
            Locale.ROOT,
            "%s %s %d %.6f %s %s",
            word.name().toLowerCase(Locale.ROOT),
            kind.name().toLowerCase(Locale.ROOT),
            number,
            value,
            unit.symbol(),
            state.name().toLowerCase(Locale.ROOT));
    // The mark, the length's two digits and three spaces stand beside body and check.
    int length = MARK.length() + 4 + bytes(body) + CHECK;
    String checked = "%s %d %s".formatted(MARK, length, body);
    return checked + " " + check(checked);
  }

  private static int bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8).length;
  }

  private static String check(String body) {
    var crc = new CRC32();
    crc.update(body.getBytes(StandardCharsets.UTF_8));
    return String.format(Locale.ROOT, "%08x", crc.getValue());
  }

  /** The message of a line, where it is whole and its check is right. */
  public static Optional<Message> parse(String line) {
    var parts = line.split(" ", -1);
    int end = line.lastIndexOf(' ');
    if (end < 0 || !check(line.substring(0, end)).equals(parts[parts.length - 1])) {
      return Optional.empty();
    }
    if (parts[0].equals(FIRST) && parts.length == PARTS - 1) {
      return read(parts, 1);
    }
    boolean whole =
        parts[0].equals(MARK)
            && parts.length == PARTS
            && parts[1].equals(String.valueOf(bytes(line)));
    return whole ? read(parts, 2) : Optional.empty();
  }

  private static Optional<Message> read(String[] parts, int from) {
    try {
      double value = Double.parseDouble(parts[from + 3]);
      var kind = Kind.valueOf(parts[from + 1].toUpperCase(Locale.ROOT));
      var unit = Measure.of(parts[from + 4]).filter(kind.quantity()::accepts);
      if (!Double.isFinite(value) || unit.isEmpty()) {
        return Optional.empty();
      }
      return Optional.of(
          new Message(
              Word.valueOf(parts[from].toUpperCase(Locale.ROOT)),
              kind,
              Long.parseLong(parts[from + 2]),
              value,
              unit.get(),
              State.valueOf(parts[from + 5].toUpperCase(Locale.ROOT))));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** The value, SI. */
  public double si() {
    return unit.toSi(value);
  }

  /** The value as it would be typed, its unit with it. */
  public String typed() {
    return String.format(Locale.ROOT, "%s %s", trimmed(), unit.symbol());
  }

  private String trimmed() {
    return String.format(Locale.ROOT, "%.6f", value).replaceAll("0+$", "").replaceAll("\\.$", "");
  }
}
