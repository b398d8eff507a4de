package grandbore.book;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;

/**
 * A recorder's file as a table: whatever parts its columns, wherever its numbers begin, with a
 * point or a comma in them, its heading on one line or two.
 *
 * @param headings of the columns, as they stand
 * @param units from a second line or from brackets; blank where none is told
 * @param rows cells below
 * @param lines number of each row in the file
 * @param decimalComma whether numbers have a comma
 */
record PullTable(
    List<String> headings,
    List<String> units,
    List<List<String>> rows,
    List<Integer> lines,
    boolean decimalComma) {
  private static final Pattern POINT =
      Pattern.compile("[-+]?(\\d+(\\.\\d*)?|\\.\\d+)([eE][-+]?\\d+)?");
  private static final Pattern COMMA = Pattern.compile("[-+]?(\\d+(,\\d*)?|,\\d+)([eE][-+]?\\d+)?");
  private static final Pattern BRACKETS = Pattern.compile("^(.*?)\\s*[\\[(]([^\\])]*)[\\])]\\s*$");
  private static final int MOST_ROWS = 100_000;
  private static final int HEAD_LINES = 60;

  /**
   * @throws FormatException where no table of numbers is in it
   */
  static PullTable of(String text) {
    String[] lines = Lines.unmarked(text).split("\\R", -1);
    if (lines.length > MOST_ROWS) {
      throw new FormatException("The file has more than %,d lines".formatted(MOST_ROWS));
    }
    PullTable best = null;
    for (char by : new char[] {';', '\t', ',', ' '}) {
      var table = parted(lines, by);
      if (table != null && (best == null || table.width() > best.width())) {
        best = table;
      }
    }
    if (best == null) {
      throw new FormatException(
          "No table of numbers: a line of headings and below it rows of numbers are wanted");
    }
    return best;
  }

  private int width() {
    return headings.size();
  }

  private static PullTable parted(String[] lines, char by) {
    var cells = new ArrayList<List<String>>();
    for (String line : lines) {
      cells.add(split(line, by));
    }
    PullTable best = null;
    long most = 0;
    for (boolean comma : by == ',' ? new boolean[] {false} : new boolean[] {false, true}) {
      int first = firstRow(cells, comma);
      if (first > 0 && cells.get(first).size() > 1) {
        // Numbers with commas look like words to whoever wants a point, and the other way round.
        long numbers =
            cells.stream()
                .skip(first)
                .limit(HEAD_LINES)
                .flatMap(List::stream)
                .filter(c -> isNumber(c, comma))
                .count();
        if (best == null || numbers > most) {
          best = made(cells, first, comma);
          most = numbers;
        }
      }
    }
    return best;
  }

  private static List<String> split(String line, char by) {
    if (by == ' ') {
      return line.isBlank() ? List.of() : List.of(line.strip().split("\\s+", -1));
    }
    if (line.isBlank()) {
      return List.of();
    }
    var format =
        CSVFormat.DEFAULT.builder().setDelimiter(by).setIgnoreSurroundingSpaces(true).get();
    try (var parser = format.parse(new StringReader(line))) {
      var records = parser.getRecords();
      return records.isEmpty() ? List.of() : records.getFirst().toList();
    } catch (IOException | UncheckedIOException | IllegalStateException e) {
      // A quote that does not end on its line is a line that is broken off.
      return List.of(line.split(Pattern.quote(String.valueOf(by)), -1));
    }
  }

  /** A line mostly of numbers under one that is not; in the next there are some as well. */
  private static int firstRow(List<List<String>> cells, boolean comma) {
    for (int k = 1; k < Math.min(cells.size(), HEAD_LINES); k++) {
      boolean next =
          k + 1 >= cells.size()
              || cells.get(k + 1).isEmpty()
              || cells.get(k + 1).stream().anyMatch(c -> isNumber(c, comma));
      if (isNumbers(cells.get(k), comma) && next && !isNumbers(cells.get(k - 1), comma)) {
        return k;
      }
    }
    return -1;
  }

  private static boolean isNumbers(List<String> row, boolean comma) {
    long numbers = row.stream().filter(c -> isNumber(c, comma)).count();
    boolean anyComma = row.stream().anyMatch(c -> c.contains(","));
    return numbers >= 2
        && 2 * numbers > row.size()
        && (!comma || anyComma || numbers == row.size());
  }

  private static boolean isNumber(String cell, boolean comma) {
    return (comma ? COMMA : POINT).matcher(cell.strip()).matches();
  }

  private static PullTable made(List<List<String>> cells, int first, boolean comma) {
    int width = cells.get(first).size();
    int last = first - 1;
    while (last > 0 && cells.get(last).isEmpty()) {
      last--;
    }
    var heads = padded(cells.get(last), width);
    var units = new ArrayList<String>();
    // Where the line above the numbers holds nothing but units, the names stand one higher.
    boolean two = last > 0 && cells.get(last - 1).size() > 1 && areUnits(heads);
    var names = two ? padded(cells.get(last - 1), width) : heads;
    var headings = new ArrayList<String>();
    for (int k = 0; k < width; k++) {
      var bracket = BRACKETS.matcher(names.get(k));
      boolean in = bracket.matches();
      units.add(two ? bare(heads.get(k)) : in ? bracket.group(2).strip() : "");
      headings.add(in && !two ? bracket.group(1).strip() : names.get(k).strip());
    }
    var rows = new ArrayList<List<String>>();
    var lines = new ArrayList<Integer>();
    for (int k = first; k < cells.size(); k++) {
      if (!cells.get(k).isEmpty()) {
        rows.add(cells.get(k));
        lines.add(k + 1);
      }
    }
    return new PullTable(headings, units, rows, lines, comma);
  }

  private static String bare(String unit) {
    return unit.strip().replaceAll("^[\\[(]|[\\])]$", "");
  }

  private static boolean areUnits(List<String> row) {
    var known =
        List.of(
            "rpm", "ftlb", "lbft", "ftlbs", "nm", "hp", "kw", "lbhr", "lbh", "lbsh", "kgh", "degf",
            "degc", "f", "c", "psi", "kpa", "bar", "mbar", "inhg", "scfm", "cfm", "s", "sec", "deg",
            "afr", "lambda", "%", "pct", "", "lbshr", "kgs", "hpa", "ms", "galhr", "lh", "1min");
    long units =
        row.stream()
            .map(
                c ->
                    c.toLowerCase(Locale.ROOT)
                        .replace("°", "deg")
                        .replaceAll("[\\s\\-·*/^.()\\[\\]]", ""))
            .filter(known::contains)
            .count();
    return units == row.size() && row.stream().anyMatch(c -> !c.isBlank());
  }

  private static List<String> padded(List<String> row, int width) {
    var all = new ArrayList<>(row.subList(0, Math.min(width, row.size())));
    while (all.size() < width) {
      all.add("");
    }
    return all;
  }

  /** A cell as a number; not a number for an empty one, {@code null} for one that is none. */
  Double number(int row, int column) {
    var cells = rows.get(row);
    String cell = column < cells.size() ? cells.get(column).strip() : "";
    if (cell.isEmpty() || cell.equals("-") || cell.equalsIgnoreCase("nan")) {
      return Double.NaN;
    }
    return isNumber(cell, decimalComma) ? Double.valueOf(cell.replace(',', '.')) : null;
  }
}
