package grandbore.instruments;

import grandbore.core.units.Measure;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.CRC32;

/**
 * One line from an instrument: {@code gb1 live dial 1042 0.0235 mm steady 5f3a91c2}. The last word
 * is the CRC-32 of all before it; a line that does not fit is no message.
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

  private static final String MARK = "gb1";
  private static final int PARTS = 8;

  /** The line without its end. */
  public String encode() {
    String body =
        String.format(
            Locale.ROOT,
            "%s %s %s %d %.6f %s %s",
            MARK,
            word.name().toLowerCase(Locale.ROOT),
            kind.name().toLowerCase(Locale.ROOT),
            number,
            value,
            unit.symbol(),
            state.name().toLowerCase(Locale.ROOT));
    return body + " " + check(body);
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
    if (parts.length != PARTS || !parts[0].equals(MARK) || end < 0) {
      return Optional.empty();
    }
    if (!check(line.substring(0, end)).equals(parts[PARTS - 1])) {
      return Optional.empty();
    }
    try {
      double value = Double.parseDouble(parts[4]);
      var kind = Kind.valueOf(parts[2].toUpperCase(Locale.ROOT));
      var unit = Measure.of(parts[5]).filter(kind.quantity()::accepts);
      if (!Double.isFinite(value) || unit.isEmpty()) {
        return Optional.empty();
      }
      return Optional.of(
          new Message(
              Word.valueOf(parts[1].toUpperCase(Locale.ROOT)),
              kind,
              Long.parseLong(parts[3]),
              value,
              unit.get(),
              State.valueOf(parts[6].toUpperCase(Locale.ROOT))));
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
