package grandbore.book;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * Tables of comma-separated values (RFC 4180), read whole or refused in one line that names the
 * place. Texts go out so that no spreadsheet takes them for a formula, and come back as they were.
 */
public final class Csv {
  private static final Pattern NUMBER =
      Pattern.compile("[-+]?(\\d+(\\.\\d*)?|\\.\\d+)([eE][-+]?\\d{1,3})?");

  /** Begins a cell that a spreadsheet would run. */
  private static final String RUNS = "=+@-\t\r";

  private static final char GUARD = '\'';

  /** More rows than any table of a shop. */
  private static final int MOST = 100_000;

  private Csv() {}

  /**
   * All records, the heading with them; empty lines are none.
   *
   * @throws FormatException where its quoting is broken
   */
  static List<CSVRecord> records(String text) {
    try (var parser =
        CSVFormat.RFC4180
            .builder()
            .setIgnoreEmptyLines(true)
            .get()
            .parse(new StringReader(Lines.unmarked(text)))) {
      var all = parser.stream().limit(MOST + 1L).toList();
      if (all.size() > MOST) {
        throw new FormatException("The table has more than %,d rows".formatted(MOST));
      }
      return all;
    } catch (IOException | UncheckedIOException | IllegalStateException e) {
      throw new FormatException(
          "The table's quoting is broken: "
              + Lines.shortened(String.valueOf(e.getMessage()).replaceFirst("^.*Exception: ", "")),
          e);
    }
  }

  /**
   * Checks the heading and the columns of every row; gives the rows below it.
   *
   * @throws FormatException where they differ
   */
  static List<CSVRecord> rows(String text, String... heading) {
    var all = records(text);
    if (all.isEmpty()
        || !all.getFirst().stream().map(String::strip).toList().equals(List.of(heading))) {
      throw new FormatException("line 1: the heading is to be " + String.join(",", heading));
    }
    for (var row : all) {
      columns(row, heading.length);
    }
    return all.subList(1, all.size());
  }

  /** Refuses a row that has not so many columns. */
  static void columns(CSVRecord row, int wanted) {
    if (row.size() != wanted) {
      throw new FormatException(
          "line %d: %d columns wanted, %d found"
              .formatted(row.getRecordNumber(), wanted, row.size()));
    }
  }

  /** A number of a row. */
  static double number(CSVRecord row, int column) {
    String text = row.get(column).strip();
    if (!NUMBER.matcher(text).matches()) {
      throw new FormatException(
          "line %d: “%s” is no number".formatted(row.getRecordNumber(), Lines.shortened(text)));
    }
    return Double.parseDouble(text);
  }

  /** A whole number of a row. */
  static int whole(CSVRecord row, int column) {
    String text = row.get(column).strip();
    try {
      return Integer.parseInt(text);
    } catch (NumberFormatException e) {
      throw new FormatException(
          "line %d: “%s” is no whole number"
              .formatted(row.getRecordNumber(), Lines.shortened(text)),
          e);
    }
  }

  /** Yes or no of a row. */
  static boolean flag(CSVRecord row, int column) {
    String text = row.get(column).strip();
    return switch (text.toLowerCase(Locale.ROOT)) {
      case "true", "yes", "1" -> true;
      case "false", "no", "0" -> false;
      default ->
          throw new FormatException(
              "line %d: “%s”; allowed: true, yes, 1, false, no, 0"
                  .formatted(row.getRecordNumber(), Lines.shortened(text)));
    };
  }

  /** A constant of a row. */
  static <E extends Enum<E>> E word(CSVRecord row, int column, Class<E> type) {
    String text = row.get(column).strip();
    try {
      return Enum.valueOf(type, text);
    } catch (IllegalArgumentException e) {
      throw new FormatException(
          "line %d: “%s” is not known as a %s"
              .formatted(
                  row.getRecordNumber(),
                  Lines.shortened(text),
                  type.getSimpleName().toLowerCase(Locale.ROOT)),
          e);
    }
  }

  /** A text of a row as it was before it went out. */
  static String text(CSVRecord row, int column) {
    String cell = row.get(column);
    boolean guarded = cell.length() > 1 && cell.charAt(0) == GUARD && needsGuard(cell.substring(1));
    return guarded ? cell.substring(1) : cell;
  }

  /** A text as it goes out. */
  public static String cell(String text) {
    return needsGuard(text) ? GUARD + text : text;
  }

  private static boolean needsGuard(String text) {
    return !text.isEmpty() && (RUNS.indexOf(text.charAt(0)) >= 0 || text.charAt(0) == GUARD);
  }
}
