package grandbore.book;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Taken;
import grandbore.core.combination.InvalidInput;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/** Readings as a table, one a row, each with its unit. */
public final class ReadingsCsv {
  private static final String[] HEAD = {
    "measurement",
    "place",
    "side",
    "value",
    "unit",
    "by",
    "instrument",
    "at",
    "typed",
    "zero_before",
    "zero_after",
    "temperature_K",
    "note",
    "struck"
  };
  private static final CSVFormat FORMAT =
      CSVFormat.RFC4180.builder().setHeader(HEAD).setSkipHeaderRecord(true).setTrim(true).get();

  private ReadingsCsv() {}

  public static String write(List<Reading> readings, UnitSystem units) {
    var out = new StringWriter();
    try (var printer = new CSVPrinter(out, CSVFormat.RFC4180.builder().setHeader(HEAD).get())) {
      for (var r : readings) {
        var unit = r.measurement().quantity().unit(units);
        var t = r.taken();
        printer.printRecord(
            r.measurement().name(),
            r.place(),
            r.side().name(),
            CombinationJson.tidy(unit.fromSi(r.value())).toPlainString(),
            unit.symbol(),
            t.by(),
            t.instrument(),
            t.at(),
            t.typed(),
            CombinationJson.tidy(unit.differenceFromSi(t.zeroBefore())).toPlainString(),
            CombinationJson.tidy(unit.differenceFromSi(t.zeroAfter())).toPlainString(),
            CombinationJson.tidy(t.temperature()).toPlainString(),
            t.note(),
            r.struck());
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    return out.toString();
  }

  /**
   * Reads a table; it is refused whole where a row can't be.
   *
   * @throws FormatException with the place of the damage
   */
  public static List<Reading> read(String text) {
    String first = text.lines().findFirst().orElse("");
    if (!first.strip().equals(String.join(",", HEAD))) {
      throw new FormatException("line 1: the heading is to be " + String.join(",", HEAD));
    }
    var all = new ArrayList<Reading>();
    try (var parser = FORMAT.parse(new StringReader(text))) {
      for (var row : parser) {
        try {
          all.add(reading(row));
        } catch (InvalidInput e) {
          throw e;
        } catch (IllegalArgumentException | DateTimeException e) {
          throw new FormatException(
              "line %d: %s".formatted(parser.getCurrentLineNumber(), e.getMessage()), e);
        }
      }
    } catch (IOException e) {
      throw new FormatException("Not a table: " + e.getMessage(), e);
    }
    return all;
  }

  private static Reading reading(CSVRecord row) {
    if (row.size() != HEAD.length) {
      throw new IllegalArgumentException(
          "%d columns wanted, %d found".formatted(HEAD.length, row.size()));
    }
    var m = Measurement.valueOf(row.get("measurement"));
    var unit =
        Measure.of(row.get("unit"))
            .filter(m.quantity()::accepts)
            .orElseThrow(
                () -> new IllegalArgumentException("unit “" + row.get("unit") + "” does not fit"));
    double zero = unit.toSi(0);
    return new Reading(
        0,
        m,
        Integer.parseInt(row.get("place")),
        Reading.Side.valueOf(row.get("side")),
        unit.toSi(Double.parseDouble(row.get("value"))),
        new Taken(
            row.get("by"),
            row.get("instrument"),
            row.get("typed"),
            unit.toSi(Double.parseDouble(row.get("zero_before"))) - zero,
            unit.toSi(Double.parseDouble(row.get("zero_after"))) - zero,
            Double.parseDouble(row.get("temperature_K")),
            row.get("note"),
            Instant.parse(row.get("at"))),
        Boolean.parseBoolean(row.get("struck")));
  }
}
