package grandbore.instruments;

import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Column;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.CRC32;

/**
 * One line of a dyno: many channels at once, up to a hundred rows a second. {@code gbp1 61 begin 3
 * rpm,torque,exhaust_temperature_1 5f3a91c2} begins a pull and names its channels, {@code gbp1 48
 * row 17 1.700 3500,412.3,905 8d21aa07} is a row, {@code gbp1 24 end 180 11aa93c4} ends it. Values
 * are SI, the speed in rev/min; an empty one is a gap.
 *
 * @param number of the pull, of the row counted from 1, or of rows in all
 * @param channels by their words with their places, of a beginning
 * @param seconds since the first row, of a row
 * @param values of a row
 */
public record PullLine(
    Word word, int number, List<String> channels, double seconds, List<Double> values) {
  /** What a line is. */
  public enum Word {
    BEGIN,
    ROW,
    END
  }

  /** Longer than any line of 120 channels, bytes. */
  static final int LONGEST = 4096;

  private static final String MARK = "gbp1";

  public PullLine {
    channels = List.copyOf(channels);
    values = List.copyOf(values);
  }

  public static PullLine begin(int pull, List<Column> columns) {
    return new PullLine(
        Word.BEGIN, pull, columns.stream().map(Column::word).toList(), 0, List.of());
  }

  public static PullLine row(int number, double seconds, List<Double> values) {
    return new PullLine(Word.ROW, number, List.of(), seconds, values);
  }

  public static PullLine end(int rows) {
    return new PullLine(Word.END, rows, List.of(), 0, List.of());
  }

  /** The line without its end. */
  public String encode() {
    String body =
        switch (word) {
          case BEGIN -> "begin %d %s".formatted(number, String.join(",", channels));
          case ROW ->
              String.format(Locale.ROOT, "row %d %.3f %s", number, seconds, numbers(values));
          case END -> "end " + number;
        };
    int length = MARK.length() + 2 + body.length() + 9;
    int digits = String.valueOf(length + String.valueOf(length).length()).length();
    String checked = "%s %d %s".formatted(MARK, length + digits, body);
    return checked + " " + check(checked);
  }

  private static String numbers(List<Double> values) {
    var text = new StringBuilder();
    for (int k = 0; k < values.size(); k++) {
      text.append(k == 0 ? "" : ",");
      if (Double.isFinite(values.get(k))) {
        text.append(String.format(Locale.ROOT, "%.6g", values.get(k)));
      }
    }
    return text.toString();
  }

  private static String check(String body) {
    var crc = new CRC32();
    crc.update(body.getBytes(StandardCharsets.UTF_8));
    return String.format(Locale.ROOT, "%08x", crc.getValue());
  }

  /** The line where it is whole and its check is right. */
  public static Optional<PullLine> parse(String line) {
    var parts = line.split(" ", -1);
    int end = line.lastIndexOf(' ');
    boolean whole =
        parts.length >= 5
            && parts[0].equals(MARK)
            && parts[1].equals(String.valueOf(line.getBytes(StandardCharsets.UTF_8).length))
            && check(line.substring(0, end)).equals(parts[parts.length - 1]);
    if (!whole) {
      return Optional.empty();
    }
    try {
      int number = Integer.parseInt(parts[3]);
      return switch (parts[2]) {
        case "begin" -> Optional.of(named(number, List.of(parts[4].split(",", -1))));
        case "row" -> Optional.of(row(number, Double.parseDouble(parts[4]), values(parts[5])));
        case "end" -> Optional.of(end(number));
        default -> Optional.empty();
      };
    } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
      return Optional.empty();
    }
  }

  private static PullLine named(int number, List<String> channels) {
    channels.forEach(PullLine::channel);
    return new PullLine(Word.BEGIN, number, channels, 0, List.of());
  }

  private static List<Double> values(String text) {
    var all = new ArrayList<Double>();
    for (String v : text.split(",", -1)) {
      all.add(v.isEmpty() ? Double.NaN : Double.parseDouble(v));
    }
    return all;
  }

  /**
   * A column without rows, by the word of its channel and place.
   *
   * @throws IllegalArgumentException for a word that is no channel's
   */
  public static Column channel(String word) {
    var whole = Channel.of(word);
    if (whole.isPresent()) {
      return new Column(whole.get(), 0, List.of());
    }
    int last = word.lastIndexOf('_');
    var channel =
        Channel.of(last < 0 ? word : word.substring(0, last))
            .orElseThrow(() -> new IllegalArgumentException("no channel is called " + word));
    return new Column(channel, Integer.parseInt(word.substring(last + 1)), List.of());
  }
}
